# frozen_string_literal: true

module Grittle
  module Evidence
    # Whether the key and the estimate agree, and where they differ by design, why, in a sentence.
    class BesideKey
      # Where the flow key and the model differ by design: [when, why]. The key has few limits and asks three things; these
      # are the places where that shows.
      RULES = {
        "ball_without_ribbon" => [
          ->(key, likely) { key == "LS" && !%w[SIL SI].include?(likely) },
          "The key calls every ball without a ribbon loamy sand; the estimate leaves room for sandy loam, whose ribbon may not hold."
        ],
        "silt_without_ribbon" => [
          ->(key, likely) { key == "LS" && %w[SIL SI].include?(likely) },
          "The key calls every ball without a ribbon loamy sand; silt holds a ball too, and here it feels like silt."
        ],
        "no_silt" => [->(_, likely) { likely == "SI" }, "The key cannot end at silt."],
        "little_over_an_inch" => [
          ->(key, likely) { %w[CL SCL SICL].include?(key) && %w[L SL SIL].include?(likely) },
          "The key's limit is 25 mm; by the curve an inch of ribbon is little over 20 % clay, and clay loams begin at 27."
        ],
        "two_inches" => [
          ->(key, likely) { %w[C SC SIC].include?(key) && %w[CL SCL SICL].include?(likely) },
          "The key's limit is 50 mm; by the curve two inches of ribbon are a little under 40 % clay, where clays begin."
        ],
        "clay_with_a_feel" => [
          ->(key, likely) { %w[SC SIC].include?(key) && likely == "C" },
          "A clay rubs gritty or smooth before it holds the 45 % sand of a sandy clay or the 40 % silt of a silty clay."
        ]
      }.each_value(&:freeze).freeze

      # @param result [Keys::Result] of the key that leads
      # @param estimate [Estimate]
      def initialize(result, estimate)
        @result = result
        @estimate = estimate
        freeze
      end

      # @return [Hash, nil] "agreement" (agree, one_off, two_off), "rule" where it is by design, and "sentence"; nil while
      #   the key is not at its end, nothing was felt, or the key names a group
      def to_h
        return if @estimate.empty? || @result.outcomes.empty? || !Agreement::KEYS.include?(@result.key)

        agreement = Agreement.of([@result.system, said], [@estimate.system, likely])
        rule, sentence = agreement == :agree ? [nil, "Key and estimate agree."] : reason
        { "agreement" => agreement.to_s, "rule" => rule, "sentence" => sentence }
      end

      private

      def said = @result.outcomes.first.first
      def likely = @estimate.classes.keys.first

      def reason
        rule, (_, sentence) = RULES.find { |_, (holds, _)| holds.call(said, likely) } if @result.key == Keys::RibbonAndRub::ID
        return [rule, sentence] if rule

        names = [Keys[@result.key].name_of(said, @result.system), Grittle.triangle(@estimate.system)[likely].name]
        [nil, "The key says #{names.first}, the estimate #{names.last}: one takes answers one by one, the other weighs them together."]
      end
    end
  end
end
