# frozen_string_literal: true

module Grittle
  # The loop before any key: the ball does not hold; too dry, too wet, or neither? A round is one such correction.
  # [common practice; also the opening of the flow key]
  class MoistureLoop
    # So many rounds and still no ball means sand.
    ROUNDS = Data::RULES_OF_THUMB["rounds"]
    CORRECTIONS = %w[too_dry too_wet].freeze
    ANSWERS = [*CORRECTIONS, "neither"].freeze

    # @return [Array<String>]
    attr_reader :answers

    # @param answers [Array<String>] of ANSWERS, each given after a ball that did not hold, oldest first
    def initialize(answers)
      @answers = answers
    end

    # @return [Integer] corrections made
    def rounds = @answers.count { |answer| CORRECTIONS.include?(answer) }

    # True when moisture is no longer the reason that the ball fails.
    def over? = @answers.last == "neither" || rounds >= ROUNDS

    # @param ball_holds [Boolean, nil]
    # @return [Integer, nil] the observation moisture_rounds; nil while the loop goes on, or where it was never entered
    def moisture_rounds(ball_holds)
      rounds if ball_holds ? rounds.positive? : ball_holds == false && over?
    end
  end
end
