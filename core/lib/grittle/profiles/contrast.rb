# frozen_string_literal: true

module Grittle
  module Profiles
    # What lies between two horizons that touch: how much the clay changes, and which published tests that meets with
    # what odds. Where the surveyor wrote down clay of their own, that comes first, and the estimate beside it. It names
    # no soil: clay films, thickness and the rest are the surveyor's.
    class Contrast
      # One horizon as this looks at it.
      #
      #   clay     101 shares, one a percent       own      percent clay that the hand wrote down, or nil
      #   depths   DepthRange                      boundary cm from and to over which its lower boundary lies, or nil
      #   other_material  whether it is noted to be another material than what lies above
      Layer = Struct.new(:designation, :depths, :clay, :own, :boundary, :other_material, keyword_init: true) do
        # @return [Float] percent
        def clay_mean = clay.each_with_index.sum { |share, percent| share * percent }

        # @return [Boolean] whether a gain of clay can be looked for in it: a C or an R lies below what clay moved into
        def gains? = !designation.match?(/\A\d?[CR]/)
      end

      LIMITS = Data::PROFILE

      # Clay of the upper horizon (percent) and of the lower: test => [name, source, when it is met]. The printed ranges
      # of the upper clay join where the rules agree (15, 40 and 10, 50 %), so the lesser of two rules is the one that
      # holds.
      TESTS = {
        "clay_increase" => [
          "the clay-increase test for a Bt",
          "Keys to Soil Taxonomy; the Canadian System of Soil Classification uses the same numbers (published)",
          lambda { |upper, lower|
            lower >= if upper < LIMITS["increase_low_under"] then upper + LIMITS["increase_low_points"]
                     else [LIMITS["increase_ratio"] * upper, upper + LIMITS["increase_high_points"]].min
                     end
          }
        ],
        "argic" => [
          "the clay increase of an argic horizon", "World Reference Base 2015 (not checked against the source)",
          lambda { |upper, lower|
            lower >= if upper < LIMITS["argic_low_under"] then upper + LIMITS["argic_low_points"]
                     else [LIMITS["argic_ratio"] * upper, upper + LIMITS["argic_high_points"]].min
                     end
          }
        ],
        "abrupt_change" => [
          "the clay of an abrupt textural change", "Keys to Soil Taxonomy (detail not checked against the source)",
          lambda { |upper, lower|
            lower >= LIMITS["abrupt_ratio"] * upper &&
              (upper < LIMITS["abrupt_under"] || lower >= upper + LIMITS["abrupt_points"])
          }
        ]
      }.each_value(&:freeze).freeze
      # Tests of a gain of clay, which is asked of no parent material.
      OF_GAIN = %w[clay_increase argic].freeze

      ABRUPT_WITHIN_CM = LIMITS["abrupt_within"]
      INCREASE_WITHIN_CM = LIMITS["increase_within"]
      LEAST = LIMITS["least_odds"]
      MET = LIMITS["met_odds"]
      HARDLY = LIMITS["hardly"]

      # @param upper, lower [Layer]
      # @param same_hand [Boolean] whether one hand textured both on one day
      def initialize(upper, lower, same_hand: false)
        @upper = upper
        @lower = lower
        @pair = ClayPair.new(upper.clay, lower.clay, correlation: same_hand ? ClayPair::SAME_HAND : 0.0)
        @means = [upper.clay_mean, lower.clay_mean]
        @odds = asked.transform_values { |_, _, met| @pair.probability(&met) }
        freeze
      end

      # @return [Hash] as on the wire: percent and probabilities
      def to_h
        {
          "upper" => @upper.designation,
          "lower" => @lower.designation,
          "depth_cm" => @lower.depths.upper,
          "clay" => @means.map(&:round),
          "difference" => (@means.last - @means.first).round,
          "own_clay" => own,
          "ratio" => ratio,
          "tests" => tests,
          "sentence" => sentence,
          "disagreement" => disagreement
        }
      end

      # @return [Array<Hash>] "test", "name", "source", "probability", "own" (met by the surveyor's figures, or nil),
      #   "threshold" (percent clay that the lower horizon needs, or nil) and "sentence", of those with a chance
      def tests
        asked.filter_map do |test, (name, source, met)|
          odds = @odds[test]
          by_hand = met.call(*own) if own
          next if odds < LEAST && !by_hand

          { "test" => test, "name" => name, "source" => source, "probability" => odds.round(2), "own" => by_hand,
            "threshold" => threshold(met), "sentence" => say(test, name, odds, by_hand) }
        end
      end

      # @return [Array<Numeric>, nil] percent clay as the surveyor wrote it down, where both have one
      def own = [@upper.own, @lower.own].all? ? [@upper.own, @lower.own] : nil

      # @return [String] the change in clay, for a person: the surveyor's own figures first
      def sentence
        return change(*@means) unless own

        "#{change(*own).delete_suffix('.')}, by your own figures; the estimate says " \
          "#{@means.map(&:round).join(' to ')} %."
      end

      # @return [String, nil] where the surveyor's figures and the estimate say opposite things
      def disagreement
        return unless own

        apart = [own.last - own.first, @means.last - @means.first]
        turned = apart.all? { |by| by.abs >= HARDLY } && apart.map(&:positive?).uniq.size > 1
        other = asked.any? { |test, (_, _, met)| met.call(*own) != (@odds[test] >= MET) }
        return "Your own figures and the estimate turn opposite ways: which is meant?" if turned

        "Your own figures and the estimate differ about a test of the clay: look again before you rely on it." if other
      end

      private

      # Over the upper horizon as the surveyor wrote it, else by the mean of the estimate.
      # @return [Integer, nil] percent clay from which on the lower one meets a test; nil where none does
      def threshold(met) = (0..100).find { |percent| met.call(own ? own.first : @means.first, percent) }

      def asked = @lower.gains? ? TESTS : TESTS.except(*OF_GAIN)
      def ratio = @means.first.positive? ? (@means.last / @means.first).round(2) : nil

      def change(above, below)
        by = (below - above).round
        return "Clay hardly changes." if by.abs < HARDLY

        "Clay #{by.positive? ? 'rises' : 'falls'} by about #{by.abs} points, from #{above.round} to #{below.round} %."
      end

      def say(test, name, odds, by_hand)
        said = "#{odds >= MET ? 'Meets' : 'May meet'} #{name} (#{Percents.odds(odds)})"
        unless by_hand.nil?
          said =
            "#{by_hand ? 'Meets' : 'Does not meet'} #{name} by your own figures (the estimate: #{Percents.odds(odds)})"
        end
        ["#{said}.", (reach if test == "abrupt_change"), (left_open if test == "clay_increase")].compact.join(" ")
      end

      # What the depths or a noted discontinuity leave open of the increase.
      def left_open
        return "But #{@lower.designation} is noted as another material: the test asks for one." if @lower.other_material

        from, to = @upper.boundary
        return unless from && (to.nil? || to > INCREASE_WITHIN_CM)

        "The boundary leaves open whether it is reached within #{INCREASE_WITHIN_CM} cm."
      end

      # The clay alone makes no abrupt change: it must come within a few cm.
      def reach
        from, to = @upper.boundary
        return "The change itself must lie within #{ABRUPT_WITHIN_CM} cm." if from.nil?
        if to && to <= ABRUPT_WITHIN_CM
          return "The boundary is sharp enough: the change lies within #{ABRUPT_WITHIN_CM} cm."
        end
        if from >= ABRUPT_WITHIN_CM
          return "But the boundary is too gradual: the change takes more than #{ABRUPT_WITHIN_CM} cm."
        end

        "The boundary leaves open whether the change lies within #{ABRUPT_WITHIN_CM} cm."
      end
    end
  end
end
