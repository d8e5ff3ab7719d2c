# frozen_string_literal: true

module Grittle
  module Evidence
    # How likely each answer is for a composition: the likelihoods of all tests and the hand they were felt with, as one
    # value, so that numbers fitted to one person can take its place. [our own model]
    class Model
      # An answer that is a degree of +of+: state k of n has the logistic probability between its cuts, the ends open,
      # then mixed with an error: (1 - e) p + e/n. Every answer stays possible, and one wrong answer cannot rule out the
      # truth.
      Ordered = Struct.new(:of, :cuts, :scale, keyword_init: true)
      # A yes or no: yes with the logistic probability of (of - cut) / scale, mistaken with +error+ each way.
      Flag = Struct.new(:of, :cut, :scale, :error, keyword_init: true)
      # Gritty, smooth, or neither: the softmax of two leads over 0; lead => [fraction, percent, less so much of the
      # clay].
      Choice = Struct.new(:leads, :scale, keyword_init: true) do
        def lead(state, *cell)
          axis, over, less = leads.fetch(state)
          axis.at(*cell) - (over - (less * cell.last))
        end
      end
      # A number in percent: normal about +of+ and a bias, mixed with a uniform over 0-100.
      Number = Struct.new(:of, :sd, :bias, keyword_init: true)
      # The mean of a ribbon set: normal about the curve's length for c, mixed with a uniform up to the longest.
      Length = Struct.new(:of, keyword_init: true)

      FIGURES = Data::EVIDENCE
      ERROR = FIGURES["error"]
      LENGTH_SHARE = FIGURES["length_share"]
      LENGTH_MM = FIGURES["length_mm"]
      LONGEST_MM = FIGURES["longest"]
      WIDER = FIGURES["wider"]

      # Answers that say nothing: water that is repelled comes of wax and heat, not of texture.
      SILENT = { "water_uptake" => %w[repels] }.freeze

      # @return [Array] the answers of a test, in the order that rises
      def self.states(test)
        kind = Tests::Vocabulary::ALL.fetch(test)
        return [false, true] if kind[:kind] == :flag

        (kind[:states] || []) - SILENT.fetch(test, [])
      end

      # @return [String] the group whose tests share a hand and a moisture
      def self.group(test) = Tests::Catalogue::FACTS.fetch(test)[2]

      # Tests of one group are not independent: with k of them, each counts for (1 + 0.5 (k - 1)) / k.
      def self.weight(count) = (1 + (FIGURES["group"] * (count - 1))) / count

      # @return [Hash{String=>Struct}] by test
      attr_reader :likelihoods

      # @return [Hand]
      attr_reader :hand

      # @param figures [Hash{String=>Hash}] as in Data::LIKELIHOODS, by test
      # @param hand [Hand]
      # @raise [ArgumentError] where a test has not one cut between each two of its answers
      def initialize(figures: Data::LIKELIHOODS.all.transform_values(&:value), hand: Hand.new)
        @figures = figures
        @likelihoods = figures.to_h { |test, figure| [test, likelihood(test, **figure).freeze] }.freeze
        @hand = hand
        @tables = {}
      end

      # @return [Model] the same with another hand
      def with(hand:) = Model.new(figures: @figures, hand: hand)

      # @param widened [Boolean] whether something misleads the hand
      # @return [Tables] worked out when they are first asked for
      def tables(widened) = @tables[widened] ||= Tables.new(self, widened ? WIDER : 1.0)

      private

      def likelihood(test, yes: nil, degree: nil, number: nil, length: nil, stands_out: nil, scale: nil)
        return Flag.new(of: AXES.fetch(yes[0]), cut: yes[1], scale: yes[2], error: yes[3]) if yes
        return Number.new(of: AXES.fetch(number[0]), sd: number[1], bias: number[2] || 0.0) if number
        return Length.new(of: AXES.fetch(length)) if length
        return choice(stands_out, scale) if stands_out

        unless degree[1].size == Model.states(test).size - 1
          raise ArgumentError,
                "#{test} needs #{Model.states(test).size - 1} cuts"
        end

        Ordered.new(of: AXES.fetch(degree[0]), cuts: degree[1], scale: degree[2])
      end

      def choice(leads, scale)
        Choice.new(
          leads: leads.transform_values { |lead| [AXES.fetch(lead.first), *lead.drop(1)].freeze }.freeze,
          scale: scale
        )
      end
    end
  end
end
