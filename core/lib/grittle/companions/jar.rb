# frozen_string_literal: true

module Grittle
  module Companions
    # Soil that was shaken with water settles in layers: sand, silt, clay. Their heights are no masses. When each layer
    # is read follows from Stokes' law.
    class Jar < AtPlace
      S = Settling
      READ = %w[sand_mm silt_mm clay_mm cloudy].freeze
      LAYERS = %w[sand_mm silt_mm clay_mm].freeze
      USUAL_C = 20
      # mm that a jar is drawn to while nobody has said.
      USUAL_MM = 150
      BAD = {
        "moved" => [:void, "The jar was moved: shake it again and begin anew."],
        "lumps" => [:void, "Lumps settled as sand: soak and shake it longer."],
        "sides_differ" => [:doubt, "The layers differ by more than #{FIGURES['sides_apart']} mm from side to side: " \
                                   "take the middle, and the result as rough."],
        "gravel" => [:doubt, "Gravel makes the sand layer too thick: sieve to 2 mm."],
        "dark_fluff" => [:doubt, "Dark fluff is organic matter: leave it out of the heights."]
      }.freeze
      UNDISPERSED = [:doubt, "Without dispersant clay clots and settles with the silt."].freeze

      def due
        return [] unless self["water_mm"]

        [[sand_min, "Sand layer"], [silt_min, "Silt layer"],
         *FIGURES["jar_looks"].map { |hours| [hours * 60, "Clay layer"] }].map { |at, label| fixed(at, label) }
      end

      def said
        return super unless read?
        return layers_said unless whole?

        sand, silt, clay = percent.map(&:round)
        return "sand to silt #{(100 * ratio).round} : #{(100 - (100 * ratio)).round}; clay not settled" if cloudy?

        "sand #{sand}, silt #{silt}, clay #{clay} % of the height"
      end

      def advice
        return "Write how high the water stands: the times follow from it." unless self["water_mm"]
        return if done?

        "Sand is read after #{Companions.minutes(sand_min)}, silt after #{Companions.minutes(silt_min)} at " \
          "#{Units.number(temperature)} °C#{' (assumed)' unless self['temperature_c']}, clay after " \
          "#{FIGURES['jar_looks'].join(' and ')} h."
      end

      def done? = whole? && (minutes.max || 0) >= FIGURES["jar_looks"].last * 60 * (1 - FIGURES["look_within"])

      def figures
        found = whole? && !cloudy? ? S::NAMES.zip(percent.map { |part| part.round(1) }).to_h : {}
        return found unless self["water_mm"]

        found.merge("sand_read_min" => sand_min.round(2), "silt_read_min" => silt_min.round(1),
                    "grain_at_1min_um" => grain(1), "grain_at_2h_um" => grain(S::KITCHEN_S / 60))
      end

      def scales = LAYERS.to_h { |name| [name, [0, self["water_mm"] || USUAL_MM, 1]] }

      # Told of layers that may be read.
      # @return [Array<String>]
      def notes
        return [] unless read?

        ["A layer's height is no mass: the sand layer already holds about " \
         "#{(100 * FIGURES['silt_in_sand']).round} % of the silt, and clay lies loose and reads high.",
         (if cloudy?
            "The water is still cloudy: the clay is at least this much, and only sand to silt is told."
          end)].compact
      end

      def problems = super + notes

      # Beside the hand, part by part.
      def beside
        hand = where["hand"]
        return unless hand && whole? && !void? && !cloudy?

        apart = S::NAMES.zip(percent).to_h { |name, own| [name, (own - hand[name]).round] }
                        .select { |_, points| points.abs > FIGURES["jar_apart"] }
        own = Grittle.classify(sand: percent[0], clay: percent[2]).name
        "By height #{own.downcase}; the hand #{hand['name'].downcase}#{apart_said(apart)}"
      end

      private

      def bad = super + (self["dispersant"] == false ? [UNDISPERSED] : [])
      def temperature = self["temperature_c"] || USUAL_C
      def fall_cm = self["water_mm"] / 10.0
      def sand_min = S.seconds(fall_cm, S::SAND_UM, temperature_c: temperature) / 60
      def silt_min = S.seconds(fall_cm, S::SILT_UM, temperature_c: temperature) / 60
      def grain(min) = S.grain_um(fall_cm, min * 60, temperature_c: temperature).round(1)
      def heights = LAYERS.map { |name| self[name] }
      def whole? = heights.all? && heights.sum.positive?
      def percent = S.percent(heights)
      def ratio = heights[0] / [heights[0] + heights[1], 1e-9].max.to_f
      def cloudy? = self["cloudy"] == true

      def layers_said
        LAYERS.filter_map { |name| "#{name.delete_suffix('_mm')} #{Units.number(self[name])} mm" if self[name] }
              .join(", ").then { |text| text.empty? ? "still cloudy" : text }
      end

      def apart_said(apart)
        if apart.empty?
          return ". Within #{FIGURES['jar_apart']} points in every part: they agree as far as a jar can tell."
        end

        parts = apart.map { |name, points| "#{name} #{points.positive? ? 'more' : 'less'} by #{points.abs} points" }
        ". Apart: the jar has #{parts.join(', ')}. Neither is averaged into the other."
      end
    end
  end
end
