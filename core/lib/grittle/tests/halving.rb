# frozen_string_literal: true

module Grittle
  # The share of sand narrowed by halving: more than half, or less? Then which part of what is left, until the interval
  # is an eighth of the whole or the person stops. [common practice]
  class Halving
    # Percent: the narrowest interval a hand can tell.
    NARROWEST = Data::RULES_OF_THUMB["narrowest"]
    ANSWERS = %w[less more].freeze

    attr_reader :low, :high

    # @param answers [Array<String>] "more" (predominantly gritty; nearer the upper end) or "less", in the order given
    # @raise [UnknownName]
    def initialize(answers = [])
      @low = 0.0
      @high = 100.0
      answers.each { |answer| narrow(answer) }
      freeze
    end

    # @return [Boolean] whether nothing is left to halve
    def done? = high - low <= NARROWEST

    # @return [Float] percent; the question is whether sand is above it
    def middle = (low + high) / 2

    # @return [Hash] the observation sand_estimate, percent
    def estimate = { "percent" => middle, "half_width" => (high - low) / 2 }

    private

    def narrow(answer)
      raise UnknownName.new("answer", answer, ANSWERS) unless ANSWERS.include?(answer)
      return if done?

      answer == "more" ? @low = middle : @high = middle
    end
  end
end
