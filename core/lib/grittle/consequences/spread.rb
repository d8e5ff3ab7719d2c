# frozen_string_literal: true

module Grittle
  module Consequences
    # What is shared out along a scale, by categories.
    module Shared
      # @param limits [Hash{String=>Numeric, nil}] categories with the value that each ends under, in rising order
      # @return [Hash{String=>Float}] probability by category, adding up to 1
      def categories(limits)
        before = 0.0
        limits.to_h do |name, under|
          below = under ? share_under(under) : 1.0
          part = below - before
          before = below
          [name, part]
        end
      end
    end

    # A figure over the shares of the compositions: its mean, what a tenth, half and nine tenths lie under, how much
    # lies where it does not hold. Exact sums. Frozen.
    class Spread
      include Shared

      POINTS = [0.1, 0.5, 0.9].freeze
      SAID = FIGURES["outside_said"]
      MOST = FIGURES["outside_most"]

      # @return [Float] share of what lies where the figure does not hold
      attr_reader :outside

      # @param figure [CellFigure]
      # @param shares [Array<Float>] one a cell, adding up to 1
      # @param factor [Float] what every value is multiplied by, such as the fine earth's part of the volume
      def initialize(figure, shares, factor: 1.0)
        @factor = factor
        walk(figure, shares)
        @outside = 1 - @held
        freeze
      end

      # @return [Float, nil] nil where nothing lies where the figure holds
      attr_reader :mean

      # @return [Float, nil] what a tenth, half and nine tenths lie under
      def p10 = @points && @points[0]
      def p50 = @points && @points[1]
      def p90 = @points && @points[2]

      # @return [Boolean] whether enough lies where the figure holds for it to be shown
      def shown? = outside <= MOST + 1e-9

      # @return [Boolean] whether what lies outside is worth a word
      def outside_said? = outside > SAID

      # @param limit [Numeric]
      # @return [Float] share of what holds that lies under it
      def share_under(limit)
        place = @values.bsearch_index { |value| value >= limit - 1e-12 } || @values.size
        place.zero? ? 0.0 : @sums[place - 1] / @held
      end

      # @yieldparam value [Float] in rising order
      # @yieldparam share [Float] of what holds
      def each_share
        before = 0.0
        @values.each_with_index do |value, at|
          yield(value, (@sums[at] - before) / @held)
          before = @sums[at]
        end
      end

      private

      # Plain loops: this runs for every horizon and figure.
      def walk(figure, shares)
        values = []
        sums = []
        held = 0.0
        weighted = 0.0
        figure.order.each do |cell|
          share = shares[cell]
          next unless share > 0 # rubocop:disable Style/NumericPredicate -- 5151 times a figure

          value = figure.values[cell] * @factor
          held += share
          weighted += share * value
          values << value
          sums << held
        end
        @held = held
        @values = values
        @sums = sums
        return if values.empty?

        @mean = weighted / held
        @points = POINTS.map { |part| values[sums.bsearch_index { |sum| sum >= (part * held) - 1e-12 } || -1] }
      end
    end

    # How fast water goes through, with the equation's own error beside the texture's: normal in the logarithm. Frozen.
    class KsatSpread
      include Shared

      SD = FIGURES["ksat_sd"]
      # log10 units, beside which nothing lies.
      FAR = 6
      STEPS = 60

      # @param spread [Spread] of Ksat, mm/h
      def initialize(spread)
        @spread = spread
        @logs = bins
        freeze
      end

      # @return [Float, nil] mm/h: the middle of what the texture gives
      def p50 = @spread.p50

      def p10 = under(0.1)
      def p90 = under(0.9)

      # @param rate [Numeric] mm/h
      # @return [Float] probability that water goes faster
      def over(rate)
        limit = Math.log10(rate)
        @logs.sum { |log, share| share * Evidence::Tables.normal_below((log - limit) / SD, 1.0) }
      end

      # @return [Float] probability that water goes no faster
      def share_under(rate) = 1 - over(rate)

      private

      # Shares by hundredths of a log10: finer than any equation of this kind.
      def bins
        found = Hash.new(0.0)
        @spread.each_share { |value, share| found[Math.log10(value).round(2)] += share }
        found.to_a
      end

      # mm/h that so much lies under, by halving.
      def under(part)
        return if @logs.empty?

        low = @logs.first.first - FAR
        high = @logs.last.first + FAR
        STEPS.times do
          middle = (low + high) / 2
          1 - over(10**middle) < part ? low = middle : high = middle
        end
        10**high
      end
    end
  end
end
