# frozen_string_literal: true

module Grittle
  module Profiles
    # What a change between two horizons is consistent with, cautiously, and what would tell. [common practice; the
    # amounts are our own model]
    class Origin
      MORE_CLAY = Data::PROFILE["origin_more_clay"]
      OTHER_STONES = Data::PROFILE["origin_other_stones"]
      PALER = Data::PROFILE["origin_paler"]
      TELLS = "Clay films, the stones and the sand fractions would tell."

      # @param upper, lower [HorizonDescription]
      def initialize(upper, lower)
        @upper = upper
        @lower = lower
        freeze
      end

      # @return [Hash, nil] "kind" (moved_down, materials or both) and "sentence"; nil where nothing speaks
      def to_h
        kind =
          { [true, false] => "moved_down", [false, true] => "materials", [true, true] => "both" }[
            [moved_down?, !other.empty?]
          ]
        kind && { "kind" => kind, "sentence" => sentences[kind] }
      end

      private

      def sentences
        {
          "moved_down" => "More clay below a paler, leached layer is consistent with clay moved down. #{TELLS}",
          "materials" => "#{other.join(' and ')} with it: consistent with different materials. #{TELLS}",
          "both" => "Consistent with clay moved down, and with different materials: #{other.join(' and ').downcase} " \
                    "with it. #{TELLS}"
        }
      end

      def moved_down? = more_clay? && leached?
      def more_clay? = !@upper.clay.nil? && !@lower.clay.nil? && @lower.clay - @upper.clay >= MORE_CLAY

      # By its name, or paler and no stronger in colour than what lies below.
      def leached?
        return true if @upper.designation.match?(Wetness::LEACHED)

        above = @upper.colour
        below = @lower.colour
        !above.nil? && !below.nil? && above.value >= below.value + PALER && above.chroma <= below.chroma
      end

      def other
        [("The material is noted to change" if @lower.other_material?), ("The stones change" if other_stones?)].compact
      end

      def other_stones?
        amounts, kinds =
          %w[fragments_percent fragments_kind].map { |field| [@upper, @lower].map { |horizon| horizon.seen[field] } }
        (amounts.all? && (amounts.first - amounts.last).abs >= OTHER_STONES) || (kinds.all? && kinds.uniq.size > 1)
      end
    end
  end
end
