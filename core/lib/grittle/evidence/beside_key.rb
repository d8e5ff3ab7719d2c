# frozen_string_literal: true

module Grittle
  module Evidence
    # Whether the key and the estimate agree, and where they differ by design, why, in a sentence.
    class BesideKey
      CLAY_LOAMS = Data::NAMES["clay_loams_from"]
      CLAYS = Data::NAMES["clays_from"]

      # Where the flow key and the model differ by design: [classes of the key, classes of the estimate, why]. The key
      # has few limits and asks three things; these are the places where that shows.
      RULES = {
        "ball_without_ribbon" => [
          %w[LS], %w[S SL],
          "The key calls every ball without a ribbon loamy sand; the estimate leaves room for sandy loam, whose " \
          "ribbon may not hold."
        ],
        "silt_without_ribbon" => [
          %w[LS], %w[SIL SI],
          "The key calls every ball without a ribbon loamy sand; silt holds a ball too, and here it feels like silt."
        ],
        "no_silt" => [%w[L SIL], %w[SI], "The key cannot end at silt."],
        "little_over_an_inch" => [%w[CL SCL SICL], %w[L SL SIL], [:medium_from, CLAY_LOAMS, "clay loams"]],
        "two_inches" => [%w[C SC SIC], %w[CL SCL SICL], [:strong_from, CLAYS, "clays"]],
        "clay_with_a_feel" => [
          %w[SC SIC], %w[C],
          "A clay rubs gritty or smooth before it holds the 45 % sand of a sandy clay or the 40 % silt of a silty clay."
        ]
      }.each_value(&:freeze).freeze
      CONTRADICTED = "Key and estimate differ because tests of yours speak against each other: repeat those first."

      # @param assessment [Assessment]
      # @param contradicted [Boolean] whether tests speak against each other: that is never explained away
      def initialize(assessment, contradicted: false)
        @key = assessment.key
        @method = assessment.method
        @said = assessment.outcomes.first
        @estimate = assessment.estimate
        @contradicted = contradicted
      end

      # @return [Hash, nil] "agreement" (agree, one_off, two_off), "rule" where it is by design, and "sentence"; nil
      #   while the key is not at its end, nothing was felt, the key names a group, or no class can be called likely
      def to_h
        return if @said.nil? || @estimate.empty? || @said.kind == :group || !likely?

        agreement = @said.agreement(likely)
        rule, sentence = agreement == :agree ? [nil, "Key and estimate agree."] : reason
        { "agreement" => agreement.to_s, "rule" => rule, "sentence" => sentence }
      end

      private

      def likely = @likely ||= NamedClass.new(system: @estimate.system, code: @estimate.classes.keys.first)

      # With one weak answer nothing is likely, and nothing can differ from it.
      def likely? = @estimate.likely? || @estimate.settled?

      def reason
        return ["contradicted", CONTRADICTED] if @contradicted

        by_design ||
          [
            nil,
            "The key says #{@said.name}, the estimate #{likely.name}: one takes answers one by one, the other " \
            "weighs them together."
          ]
      end

      def by_design
        return unless @key.key == Keys::RibbonAndRub::ID

        rule, (_, _, why) =
          RULES.find { |_, (keys, estimates, _)| keys.include?(@said.code) && estimates.include?(likely.code) }
        why = at_the_limit(*why) if why.is_a?(Array)
        [rule, why] if why
      end

      # The curve in force decides what a length at the key's limit means in clay; where it reaches the class, the limit
      # explains nothing.
      def at_the_limit(limit, from, classes)
        mm = Keys::LimitSets[@method.limit_set][limit].mm
        clay = @estimate.felt.curve.clay(mm)
        return unless clay < from

        length = Keys::RibbonNotes.say(mm, @method.unit)
        "The key's limit is #{length}; by the curve “#{@estimate.felt.curve.name}” that is #{clay.round} % clay, " \
          "and #{classes} begin at #{from}."
      end
    end
  end
end
