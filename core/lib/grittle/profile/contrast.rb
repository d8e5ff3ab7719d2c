# frozen_string_literal: true

module Grittle
  module Profile
    # What lies between two horizons that touch: how much the clay changes, which published tests that meets and with what
    # odds, whether water perches, and what the change is consistent with. It names no soil: clay films, thickness and the
    # rest are the surveyor's.
    class Contrast
      # One horizon as this looks at it.
      #
      #   clay     101 shares, one a percent       group    management group, such as "moderately fine"
      #   depths   DepthRange                      boundary cm from and to over which its lower boundary lies, or nil
      #   other_material  whether it is noted to be another material than what lies above
      Layer = Struct.new(:designation, :depths, :clay, :group, :boundary, :other_material, keyword_init: true) do
        # @param shares [Array<Float>] one a cell of Evidence::Grid
        def self.from(shares, **facts)
          margins = Evidence::Margins.new(shares)
          sand, _, clay = margins.moments.values.map(&:first)
          new(**facts, clay: margins.along[Evidence::Model::CLAY],
                       group: Grittle.classify(sand: sand, clay: [clay, 100 - sand].min).group)
        end

        # @return [Float] percent
        def clay_mean = clay.each_with_index.sum { |share, percent| share * percent }
      end

      # Clay of the upper horizon (percent) and of the lower: test => [name, source, when it is met]. The printed ranges of
      # the upper clay join where the rules agree (15, 40 and 10, 50 %), so the lesser of two rules is the one that holds.
      TESTS = {
        "clay_increase" => [
          "the clay-increase test for a Bt",
          "Keys to Soil Taxonomy; the Canadian System of Soil Classification uses the same numbers (published)",
          ->(upper, lower) { lower >= (upper < 15 ? upper + 3 : [1.2 * upper, upper + 8].min) }
        ],
        "argic" => [
          "the clay increase of an argic horizon", "World Reference Base 2015 (from memory)",
          ->(upper, lower) { lower >= (upper < 10 ? upper + 4 : [1.4 * upper, upper + 20].min) }
        ],
        "abrupt_change" => [
          "the clay of an abrupt textural change", "Keys to Soil Taxonomy (detail from memory)",
          ->(upper, lower) { upper < 20 ? lower >= 2 * upper : lower >= upper + 20 && lower >= 2 * upper }
        ]
      }.each_value(&:freeze).freeze

      # cm: over no more than this the clay of an abrupt change is reached. [published: Keys to Soil Taxonomy]
      ABRUPT_WITHIN_CM = 7.5
      # cm: within no more than this the clay increase of a Bt is reached. [from memory: Keys to Soil Taxonomy]
      INCREASE_WITHIN_CM = 30
      # Odds under which a test is not spoken of, and from which it counts as met. [Grittle's own model]
      LEAST = 0.10
      MET = 0.50
      # From coarse to fine; water perches where two horizons are two or more apart. [common practice; how far is our own model]
      GROUPS = ["coarse", "moderately coarse", "medium", "moderately fine", "fine"].freeze
      PERCHES_FROM = 2

      # @param upper, lower [Layer]
      # @param same_hand [Boolean] whether one hand textured both on one day
      def initialize(upper, lower, same_hand: false)
        @upper = upper
        @lower = lower
        @pair = ClayPair.new(upper.clay, lower.clay, correlation: same_hand ? ClayPair::SAME_HAND : 0.0)
        freeze
      end

      # @return [Hash] as on the wire: percent and probabilities
      def to_h
        { "upper" => @upper.designation, "lower" => @lower.designation, "depth_cm" => @lower.depths.upper,
          "clay" => [mean(@upper), mean(@lower)].map(&:round), "difference" => (mean(@lower) - mean(@upper)).round,
          "ratio" => ratio, "tests" => tests, "perching" => perching, "sentence" => sentence }
      end

      # @return [Array<Hash>] "test", "name", "source", "probability" and "sentence", of those with a chance
      def tests
        TESTS.filter_map do |test, (name, source, met)|
          odds = @pair.probability(&met)
          next if odds < LEAST

          { "test" => test, "name" => name, "source" => source, "probability" => odds.round(2), "sentence" => say(test, name, odds) }
        end
      end

      # @return [Hash, nil] "kind" (finer_below or coarser_below) and "sentence"
      def perching
        steps = GROUPS.index(@lower.group) - GROUPS.index(@upper.group)
        if steps >= PERCHES_FROM
          { "kind" => "finer_below", "sentence" => "Water may perch on #{@lower.designation}: it is finer and takes water more slowly." }
        elsif steps <= -PERCHES_FROM
          { "kind" => "coarser_below",
            "sentence" => "Water may hang above #{@lower.designation}: the finer layer must fill before the coarser one takes any." }
        end
      end

      # @return [String] the change in clay, for a person
      def sentence
        by = (mean(@lower) - mean(@upper)).round
        return "Clay hardly changes." if by.abs < 3

        "Clay #{by.positive? ? 'rises' : 'falls'} by about #{by.abs} points, from #{mean(@upper).round} to #{mean(@lower).round} %."
      end

      private

      def mean(layer) = layer.clay_mean
      def ratio = mean(@upper).positive? ? (mean(@lower) / mean(@upper)).round(2) : nil

      def say(test, name, odds)
        chance = "#{(100 * odds).round} %"
        said = odds >= MET ? "Meets #{name} (#{chance})." : "May meet #{name} (#{chance})."
        [said, (reach if test == "abrupt_change"), (left_open if test == "clay_increase")].compact.join(" ")
      end

      # What the depths or a noted discontinuity leave open of the increase.
      def left_open
        return "But #{@lower.designation} is noted as another material: the test asks for one." if @lower.other_material

        from, to = @upper.boundary
        "The boundary leaves open whether it is reached within #{INCREASE_WITHIN_CM} cm." if from && (to.nil? || to > INCREASE_WITHIN_CM)
      end

      # The clay alone makes no abrupt change: it must come within a few cm.
      def reach
        from, to = @upper.boundary
        return "The change itself must lie within #{ABRUPT_WITHIN_CM} cm." if from.nil?
        return "The boundary is sharp enough: the change lies within #{ABRUPT_WITHIN_CM} cm." if to && to <= ABRUPT_WITHIN_CM
        return "But the boundary is too gradual: the change takes more than #{ABRUPT_WITHIN_CM} cm." if from >= ABRUPT_WITHIN_CM

        "The boundary leaves open whether the change lies within #{ABRUPT_WITHIN_CM} cm."
      end
    end
  end
end
