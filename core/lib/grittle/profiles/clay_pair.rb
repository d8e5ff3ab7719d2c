# frozen_string_literal: true

module Grittle
  module Profiles
    # The clay of two horizons with its uncertainty, so that a difference can be given its odds. Two readings by one
    # hand on one day share that hand's bias: their errors are correlated 0.5, otherwise 0. [Grittle's own model]
    class ClayPair
      SAME_HAND = Data::PROFILE["same_hand"]
      # Normal deviates the two errors are taken through, and their weights: 41 steps of equal chance a side.
      STEPS = 41

      # @param upper, lower [Array<Float>] 101 shares, one a percent of clay
      # @param correlation [Float] of the two errors
      def initialize(upper, lower, correlation: 0.0)
        @above, @below = [upper, lower].map { |shares| running(shares) }
        @chances = ClayPair.chances(correlation)
        @uppers = DEVIATES.map { |deviate| clay(@above, ClayPair.chance(deviate)) }
        @lowers = Array.new(STEPS) { [] }
        freeze
      end

      # @yieldparam upper [Float] percent clay
      # @yieldparam lower [Float] percent clay
      # @yieldreturn [Boolean] once true of an upper horizon's clay, true of every larger clay below it
      # @return [Float] probability that the block holds
      def probability
        met = @uppers.each_with_index.sum do |upper, shared|
          STEPS - ((0...STEPS).bsearch { |own| yield(upper, lower(shared, own)) } || STEPS)
        end
        met / (STEPS**2).to_f
      end

      # The chances that the lower clay is taken at, for each step of what both share; two sets are ever asked for.
      def self.chances(correlation)
        spread = Math.sqrt(1 - (correlation**2))
        (@chances ||= {})[correlation] ||= DEVIATES.map do |shared|
          DEVIATES.map { |own| chance((correlation * shared) + (spread * own)) }
        end
      end

      def self.chance(deviate) = Evidence::Tables.normal_below(deviate, 1.0)

      private

      # Every test asks for the same few.
      def lower(shared, own) = @lowers[shared][own] ||= clay(@below, @chances[shared][own])

      # Running sums, so that a chance can be turned into a percentage.
      def running(shares)
        sum = 0.0
        shares.map { |share| sum += share }.freeze
      end

      # The percentage that so much of the shares lies under, straight within a percent.
      def clay(sums, chance)
        place = sums.bsearch_index { |sum| sum >= chance } || 100
        below = place.zero? ? 0.0 : sums[place - 1]
        width = sums[place] - below
        (place - 0.5 + (width.positive? ? (chance - below) / width : 0.5)).clamp(0.0, 100.0)
      end

      # The middle of each of STEPS equal parts of a normal distribution.
      DEVIATES = (0...STEPS).map do |step|
        low = -8.0
        high = 8.0
        60.times do
          middle = (low + high) / 2
          Evidence::Tables.normal_below(middle, 1.0) < (step + 0.5) / STEPS ? low = middle : high = middle
        end
        low
      end.freeze
      private_constant :DEVIATES
    end
  end
end
