# frozen_string_literal: true

module Grittle
  module Companions
    # One percolation hole: soaked, then read again and again from the same level until three drops agree. [from memory:
    # US Public Health Service 1967; the local code decides]
    class Hole < AtPlace
      READ = %w[water_mm refilled].freeze
      # One drop: from a level (mm) at a minute to another.
      Drop = Struct.new(:from_mm, :to_mm, :began, :ended, keyword_init: true) do
        def mm = from_mm - to_mm
        def elapsed = ended - began

        # @return [Boolean] whether the water had gone before anybody looked
        def gone? = to_mm.zero?
        def mm_h = 60.0 * mm / elapsed
      end
      BAD = {
        "water_before" => [:void, "Water stood in it before: it is no test above the water table."],
        "frozen" => [:void, "Frozen ground: wait for a thaw."],
        "rain" => [:void, "Rain fell into it: cover it and begin anew."],
        "caved" => [:void, "The wall caved in: clean it out, or dig another."],
        "muddy" => [:void, "Muddy water flows in from the side: it is no percolation."],
        "burrow" => [:void, "A burrow or root channel leads the water away: dig another."]
      }.freeze
      LEAST_MM_H = 1e-6

      # Every reading has its own time, from the last filling or the last reading.
      def due
        found = drops.map { |drop| level(drop.began, usual(drop)) }
        found.unshift(soaked) if begun_at.nil? || soak_min.positive?
        found << level(last_at, interval) if begun_at && !done?
        found
      end

      # @return [Array<Numeric>] of its drops, and of the filling that ended the soaking
      def minutes = drops.map(&:ended) + (begun_at && soak_min.positive? ? [begun_at] : [])

      def said
        return "no reading yet" if drops.empty?

        rate = "#{'at least ' if at_least?}#{Consequences.figures(rate_mm_h)} mm/h"
        return "#{rate}, #{per} min/cm" if rate_mm_h.positive?

        "nothing went in #{Companions.minutes(drops.last.elapsed)}"
      end

      def advice
        if begun_at.nil? && soak_min.positive?
          return "Fill 300 mm of water in and soak it for #{Companions.minutes(soak_min)}."
        end
        return "Fill it to #{Units.number(fill_mm)} mm and begin." if begun_at.nil?
        return steady_said if done?

        "Fill up to #{Units.number(fill_mm)} mm after each reading; three drops that agree end it."
      end

      def done? = stable? || (drops.any? && last_at - timed_from >= FIGURES["drops_for_min"][pace])

      # @return [Boolean] whether the last three drops agree, of the same time and from the same level
      def stable? = alike.size >= Percolation::READINGS && of_alike.stable? && drops.none? { |one| recent_gone?(one) }

      # @return [Float, nil] mm/h of the last drop
      def rate_mm_h = drops.last&.mm_h

      # @return [Boolean] whether the rate is only known to be that much or more
      def at_least? = drops.last&.gone? || false

      def figures
        return {} if drops.empty?

        { "rate_mm_h" => rate_mm_h.round(2), "at_least" => at_least?, "stable" => stable?,
          **(rate_mm_h > LEAST_MM_H ? { "min_per_cm" => (600 / rate_mm_h).round(2),
                                        "min_per_inch" => (60 * Percolation::MM_PER_INCH / rate_mm_h).round(2) } : {}),
          "ksat_mm_h" => ksat&.round(2), "ksat_20_mm_h" => ksat_at_20&.round(2) }.compact
      end

      # What of the soil itself: walls leak too.
      def problems
        more = if drops.any? && self["gravel"] != false
                 "Gravel fills part of the hole: no conductivity of the soil is worked out from it."
               elsif ksat
                 "Without what the walls let out the soil itself takes about #{Consequences.figures(ksat)} mm/h" \
                   "#{", #{Consequences.figures(ksat_at_20)} at 20 °C" if ksat_at_20}."
               end
        super + [more].compact
      end

      def beside
        hand = where["hand"] && where["hand"]["ksat"]
        return unless hand && rate_mm_h && !void?

        low, high = hand.values_at("p10", "p90")
        how = if rate_mm_h < low
                "slower than"
              elsif rate_mm_h > high
                "faster than"
              else
                "within"
              end
        "The hole lets through #{Consequences.figures(rate_mm_h)} mm/h, #{how} what the texture suggests " \
          "(#{Consequences.figures(low)} to #{Consequences.figures(high)}): cracks, channels and packing count more."
      end

      def scales = { "water_mm" => [0, fill_mm, 1] }

      # Level of the water, with each filling as a step.
      def curve
        drops.flat_map { |drop| [[drop.began, drop.from_mm], [drop.ended, drop.to_mm]] }
      end

      # @param minutes [Numeric] since its first filling
      # @return [Float, nil] mm that have gone by then; nil where it was not looked at for so long
      def gone_by(minutes)
        left = minutes
        sum = 0.0
        drops.each do |drop|
          return sum + (drop.mm * left / drop.elapsed) if left <= drop.elapsed + 1e-9

          left -= drop.elapsed
          sum += drop.mm
        end
        sum if left.abs < 1e-9
      end

      # @return [Float] minutes over which its drops were read
      def read_for = drops.sum(&:elapsed)

      # @return [Array<Drop>] one a reading, oldest first
      def drops
        @drops ||= begin
          level = at = nil
          looks.each_with_object([]) do |look, found|
            next unless counts?(look) && look["minutes"]

            after = look["water_mm"]
            if after && level && look["minutes"] > at && after <= level
              found << Drop.new(from_mm: level, to_mm: after, began: at, ended: look["minutes"])
            end
            level = look["refilled"] ? fill_mm : after
            at = look["minutes"]
          end
        end
      end

      def self.together(holes)
        read = holes.reject(&:void?).select(&:rate_mm_h)
        few = if read.size < FIGURES["holes"]
                "#{FIGURES['holes']} holes or more tell a site; #{read.size} #{read.size == 1 ? 'was' : 'were'} read."
              end
        return [few].compact if read.size < 2

        layers = read.group_by { |hole| hole.where["layer"] || hole.where["depth_cm"] }
        [few, *(layers.size > 1 ? by_layer(layers) : alike(read))].compact
      end

      # Holes of one layer: the mean, unless they lie too far apart; and the slowest, which limits.
      def self.alike(holes)
        rates = holes.map(&:rate_mm_h)
        slow = "The slowest takes #{Consequences.figures(rates.min)} mm/h."
        if rates.min <= LEAST_MM_H || rates.max / rates.min > FIGURES["holes_apart"]
          return ["No mean: the fastest is over #{FIGURES['holes_apart']} times the slowest.", slow]
        end

        least = "at least " if holes.any?(&:at_least?)
        ["Mean of #{holes.size} holes #{least}#{Consequences.figures(rates.sum / rates.size)} mm/h.", slow]
      end

      # Holes to different layers: what has gone from each after the same time.
      def self.by_layer(layers)
        time = layers.values.flatten.map(&:read_for).min
        gone = layers.flat_map do |layer, holes|
          holes.map { |hole| "#{layer} #{Consequences.figures(hole.gone_by(time))} mm" }
        end
        ["Different layers, so no mean. After #{Companions.minutes(time)}: #{gone.join(', ')}."]
      end
      private_class_method :alike, :by_layer

      private

      def level(from, minutes) = Due.new(minutes: from + minutes, label: "Level", from: from)

      def soaked
        Due.new(minutes: soak_min, label: "Fill to #{Units.number(fill_mm)} mm and begin", from: 0, longer: true)
      end

      # How long a drop was to take: short ones follow the first that was gone in half an hour.
      def usual(drop) = FIGURES["drop_min"][first_gone && drop.began >= first_gone.ended ? "short" : "long"]
      def soak_min = FIGURES["soak_min"].fetch(self["soak"] || "four_hours")
      def fill_mm = self["from_mm"] || FIGURES["fill_mm"]
      def begun_at = looks.find { |look| look["refilled"] && look["minutes"] }&.fetch("minutes")
      def last_at = looks.select { |look| counts?(look) }.filter_map { |look| look["minutes"] }.last
      def interval = FIGURES["drop_min"][pace]
      def long = FIGURES["drop_min"]["long"] * (1 + FIGURES["look_within"])

      # Gone within half an hour: read three times as often.
      def pace = (first_gone ? "short" : "long")
      def first_gone = drops.find { |drop| drop.gone? && drop.elapsed <= long }
      def timed_from = first_gone ? first_gone.ended : begun_at

      # The last drops that took the same time from the same level.
      def alike
        drops.last(Percolation::READINGS).select do |drop|
          (drop.elapsed - interval).abs <= FIGURES["look_within"] * interval &&
            (drop.from_mm - fill_mm).abs <= FIGURES["same_level_mm"]
        end
      end

      def of_alike = Percolation.new(alike.map { |drop| drop.mm * interval / drop.elapsed }, interval)
      def recent_gone?(drop) = drop.gone? && alike.include?(drop)
      def per = Consequences.figures(600 / rate_mm_h)

      def steady_said
        return "Three drops agree: it is steady." if stable?

        "Not steady after #{Companions.minutes(last_at - timed_from)}: the last drop stands, and says so."
      end

      def ksat
        drop = drops.last
        return if drop.nil? || drop.gone? || self["gravel"] != false || self["radius_mm"].nil? || drop.mm.zero?

        Percolation.ksat_mm_h(self["radius_mm"] / 10.0, drop.from_mm / 10.0, drop.to_mm / 10.0, drop.elapsed)
      end

      def ksat_at_20 = (Percolation.at_20(ksat, self["temperature_c"]) if ksat && self["temperature_c"])
    end
  end
end
