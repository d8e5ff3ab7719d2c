# frozen_string_literal: true

module Grittle
  module Profiles
    # The words for a pH. [published: Soil Survey Manual, USDA Handbook 18, 2017, ch. 3]
    module Ph
      # To one decimal: up to, and the class.
      CLASSES = [
        [3.4, "ultra acid"],
        [4.4, "extremely acid"],
        [5.0, "very strongly acid"],
        [5.5, "strongly acid"],
        [6.0, "moderately acid"],
        [6.5, "slightly acid"],
        [7.3, "neutral"],
        [7.8, "slightly alkaline"],
        [8.4, "moderately alkaline"],
        [9.0, "strongly alkaline"],
        [14.0, "very strongly alkaline"]
      ].freeze
      RANGE = (0..14)

      # @param value [Numeric] read to a tenth
      # @return [String]
      # @raise [InvalidInput] outside 0 to 14
      def self.class_of(value)
        unless value.is_a?(Numeric) && RANGE.cover?(value)
          raise InvalidInput,
                [Problem.new(pointer: "/ph", sentence: "A pH goes from 0 to 14, not #{Spoken.of(value)}.")]
        end

        CLASSES.find { |up_to, _| value.round(1) <= up_to }.last
      end
    end
  end
end
