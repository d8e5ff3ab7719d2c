# frozen_string_literal: true

module Grittle
  module Consequences
    # One horizon's part of a profile's water: the shares of the compositions and the figure of a cell. Cells are picked
    # by the rank of their clay, then by sand; what was drawn is kept.
    class WaterPart
      # @param shares [Array<Float>] one a cell
      # @param figure [CellFigure]
      def initialize(shares, figure)
        @shares = shares
        @figure = figure
        @values = figure.values
        sum = 0.0
        @sums = shares.each_with_index.map { |share, cell| sum += @values[cell] ? share : 0.0 }
        @rows = Evidence::Grid::STARTS.each_cons(2).map { |_, to| @sums[to - 1] }
        @whole = sum
        @drawn = {}
      end

      # @return [Float] of the figure
      def mean = @mean ||= Spread.new(@figure, @shares).mean || 0.0

      # @param count [Integer] parts of the profile
      # @param at [Integer] which of them it is
      # @param correlation [Float] of their clay
      # @return [Array<Float>] the figure, draw by draw
      def draws(count, at, correlation)
        @drawn[[count, at, correlation]] ||=
          ProfileWater.chances(count, correlation).map { |chances| value(*chances[at]) }
      end

      private

      # @param clay, sand [Float] chances
      # @return [Float]
      def value(clay, sand)
        return 0.0 if @whole.zero?

        row = @rows.bsearch_index { |so_far| so_far >= clay * @whole } || (@rows.size - 1)
        below = row.zero? ? 0.0 : @rows[row - 1]
        aim = below + (sand * (@rows[row] - below))
        cells = Evidence::Grid::STARTS[row]...Evidence::Grid::STARTS[row + 1]
        cell = cells.bsearch { |place| @sums[place] > aim } || cells.begin
        @values[cell] || 0.0
      end
    end
  end
end
