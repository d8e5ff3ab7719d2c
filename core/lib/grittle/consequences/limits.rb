# frozen_string_literal: true

module Grittle
  # Down the profile: what stops roots and water.
  module Consequences
    # What stops or hinders roots, and what water that goes down meets, with its depth and reason: none merged, the
    # shallowest first. [common practice but where a figure has its own source]
    class Limits
      CEMENTED = %w[moderately strongly very_strongly indurated].freeze
      STOPS = { "rock" => "rock", "hardpan" => "a hard pan" }.freeze
      DENSE = %w[massive].freeze
      DENSE_PEDS = %w[platy columnar].freeze
      FIRM = %w[firm very_firm extremely_firm].freeze
      HARD_TO_DIG = %w[high very_high].freeze
      MILKY = { "some" => "some of", "complete" => "all of" }.freeze
      ACID, ALKALINE = FIGURES["acid_hinders"]
      SLOW_PART = FIGURES["slow_part"]
      SLOW_MM_H = FIGURES["slow_mm_h"]
      ROCK = /\A\d?R/
      FILL = /fill/i

      # One limit. roots, water: what it does to them, nil for nothing.
      Limit = Struct.new(:depth_cm, :reason, :roots, :water, keyword_init: true)

      # One horizon: what was seen of it, its middle Ksat (mm/h, nil: unknown), the class or grade it stands for, and
      # the FoundTests of companion tests.
      Seen = Struct.new(:described, :ksat, :code, :tests, keyword_init: true)

      # @param horizons [Array<Seen>] from the surface down
      # @param profile [Hash{String=>Object}] fields of Entry::Fields::PROFILE
      # @param wetness [Profiles::Wetness]
      def initialize(horizons, profile, wetness)
        @horizons = horizons
        @profile = profile
        @wetness = wetness
      end

      # @return [Array<Limit>]
      def to_a
        found = [bottom, water, wet] + @horizons.each_with_index.flat_map { |one, at| of(one, at) }
        found.compact.uniq.sort_by.with_index { |limit, at| [limit.depth_cm, at] }
      end

      private

      def limit(depth, reason, roots: nil, water: nil)
        Limit.new(depth_cm: depth, reason: reason, roots: roots, water: water)
      end

      def bottom
        stop = STOPS[@profile["stopped_by"]]
        depth = @profile["excavated_depth_cm"] || (@horizons.last.described.depths.lower unless @horizons.empty?)
        limit(depth, "Digging ended at #{stop}.", roots: "stops", water: "stops") if stop && depth
      end

      def water
        depth = @profile["water_table_cm"] or return
        limit(depth, "Water was met#{" on #{@profile['date']}" if @profile['date']}.", roots: "stops",
                                                                                      water: "separation by local code")
      end

      def wet
        depth = @wetness.depth_cm or return
        limit(depth, "Colours of seasonal wetness.", roots: "hinders", water: "separation by local code")
      end

      def of(one, at)
        depth = one.described.depths.upper
        seen = one.described.seen
        [hard(one, depth, seen), dense(depth, seen), slow(one, at, depth), milky(depth, seen), coarse(one, depth),
         acid(depth, seen), other(one, at, depth), *one.tests&.limits(depth)]
      end

      def hard(one, depth, seen)
        return limit(depth, "Rock.", roots: "stops", water: "stops") if one.described.designation.match?(ROCK)
        return unless CEMENTED.include?(seen["cementation"])

        limit(depth, "#{one.described.designation} is cemented.", roots: "stops", water: "stops")
      end

      def dense(depth, seen)
        shape = [seen["structure_grade"], seen["structure_type"]].find { |word| (DENSE + DENSE_PEDS).include?(word) }
        return unless shape && (FIRM.include?(seen["moist_consistence"]) || HARD_TO_DIG.include?(seen["digging"]))

        limit(depth, "#{shape.capitalize} and firm.", roots: "hinders", water: "slow")
      end

      def slow(one, at, depth)
        above = at.zero? ? nil : @horizons[at - 1].ksat
        return if one.ksat.nil? || (one.ksat >= SLOW_MM_H && !(above && one.ksat < SLOW_PART * above))

        why = above && one.ksat < SLOW_PART * above ? "less than a tenth of the layer above" : "moderately low or less"
        limit(depth, "By its texture water goes through at about #{Consequences.figures(one.ksat)} mm/h: #{why}.",
              water: "slow")
      end

      def milky(depth, seen)
        part = MILKY[seen["dispersion"]] or return
        limit(depth, "In water #{part} its clay disperses.", roots: "hinders", water: "seals, tunnels, fails dams")
      end

      def coarse(one, depth)
        return unless one.code == "S" || one.described.gravel?

        limit(depth, one.described.gravel? ? "Gravel." : "Sand.", roots: "dry; trees manage",
water: "too fast to clean")
      end

      def acid(depth, seen)
        ph = seen["ph"]
        return if ph.nil? || ph.between?(ACID, ALKALINE)

        limit(depth, "pH #{Units.number(ph)}.", roots: "hinders")
      end

      def other(one, at, depth)
        filled = at.zero? && @profile["parent_material"].to_s.match?(FILL)
        return unless filled || (at.positive? && one.described.other_material?)

        limit(depth, filled ? "Fill." : "Another material begins.", roots: "open",
                                                                   water: "changes within metres: one more hole")
      end
    end

    # @param value [Float]
    # @return [String] to two significant figures
    def self.figures(value)
      return "0" if value.zero?

      digits = 1 - Math.log10(value.abs).floor
      Units.number(digits.positive? ? value.round(digits) : value.round(digits).to_i)
    end
  end
end
