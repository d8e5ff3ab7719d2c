# frozen_string_literal: true

module Grittle
  module Keys
    # Two numbers on the triangle: sand by halving or by number, clay from the ribbon by a curve or by an experienced
    # hand. [the triangle's own source; how a point near a line is shared out is Grittle's own model]
    class TwoNumbers
      include Opening

      ID = "two_numbers"
      NAME = "Sand and clay by feel"
      SYSTEM = "usda"
      SOURCE = "the triangle of the chosen system; curves of 2026"
      ASKS = %w[sand_estimate ribbon_forms ribbons].freeze
      # Percentage points from a line within which the class beyond it is named too, and the least weight it gets.
      NEAR = Triangle::NEAR
      LEAST = Data::KEYS["two_numbers_least"]
      MOST = 100 + Composition::SUM_TOLERANCE

      # @param system [String] a name of Grittle::TRIANGLES
      # @param curve [String] a name of Curves::ALL
      # @raise [UnknownName]
      def initialize(observations, system: SYSTEM, curve: Curves::DEFAULT, unit: "mm", **_options)
        @observations = observations
        @triangle = Grittle.triangle(system)
        @curve = Curves[curve]
        @unit = unit
        @facts = Facts.new(observations, counts_from_mm: STUB_MM)
      end

      # @return [Array<String>] what a person may assign by this key
      def self.codes(system = SYSTEM) = Grittle.triangle(system).classes.keys

      # @return [Composition, nil] the two numbers and the rest; nil while one is missing
      def composition = next_question ? nil : point

      # @return [Result]
      def result
        found = next_question ? [] : outcomes
        Result.new(
          key: ID,
          system: @triangle.id,
          outcomes: found,
          next_question: next_question,
          notes: notes,
          path: path,
          possible: found.empty? ? @triangle.classes.keys : found.map(&:first),
          on_the_limit: found.size > 1,
          disagreeing_tests: too_much? ? ["sand_estimate"] : [],
          details: details
        )
      end

      private

      attr_reader :observations, :facts

      def next_question
        return "sand_estimate" unless sand

        clay ? nil : length_question
      end

      def sand = observations["sand_estimate"]&.fetch("percent", nil)

      # A number by hand wins over the ribbons.
      def clay
        return observations["clay_estimate"]["percent"] if observations.given?("clay_estimate")

        length = no_ball? ? 0.0 : length_mm
        @curve.clay(length) if length
      end

      def total = sand && clay ? sand + clay : 0
      def too_much? = total > MOST

      # Over 100, both are taken down in proportion and silt is 0.
      def point
        factor = total > 100 ? 100.0 / total : 1.0
        Composition.new(sand: sand * factor, clay: [clay * factor, 100 - (sand * factor)].min)
      end

      def outcomes
        own, *others = @triangle.near(point, within: NEAR)
        weights = { own.code => 1.0 }
        others.each { |other| weights[other.code] = [1 - (@triangle.distance_to(other.code, point) / NEAR), LEAST].max }
        weights.map { |code, weight| [code, weight / weights.values.sum] }
      end

      def path
        steps = sand ? [{ "question" => "sand_estimate", "answer" => sand, "text" => "sand #{sand.round} %" }] : []
        return steps unless clay

        from = observations.given?("clay_estimate") ? "clay_estimate" : "ribbons"
        steps << { "question" => from, "answer" => clay.round(1), "text" => "clay #{clay.round} %" }
      end

      def notes
        return [] unless too_much?

        [
          {
            "rule" => "sand_and_clay_over_100",
            "sentence" => "Sand and clay add up to more than 100: estimate the sand again."
          }
        ]
      end

      def details
        return {} if next_question

        {
          "curve" => @curve.id,
          "composition" => point.to_h.transform_keys(&:to_s).transform_values { |part| part.round(1) },
          "distance" => @triangle.distance_to_boundary(point).round(1)
        }
      end
    end
  end
end
