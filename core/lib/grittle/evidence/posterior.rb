# frozen_string_literal: true

module Grittle
  module Evidence
    # The share of every cell, from tables and the weights of their groups. The prior is uniform.
    class Posterior
      # Cell by cell, the place on each axis that is no fraction of its own.
      PLACES = [Model::BALL, Model::BAND, Model::CAST].to_h { |axis| [axis, Grid::CELLS.map { |cell| axis.place(*cell) }.freeze] }.freeze

      OWN = %w[ball_holds ribbon_forms].freeze
      # What the ball and the ribbon say of every cell, for each pair of answers there can be. Both are groups of their own,
      # so their weight is always 1. widened? => [ball, ribbon] => likelihoods
      OPENINGS = Tables::ALL.transform_values do |tests|
        balls, bands = OWN.map { |test| [[nil, nil], *tests[test].to_a] }
        balls.product(bands).to_h do |(ball, ball_table), (band, band_table)|
          factors = [[ball_table, PLACES[Model::BALL]], [band_table, PLACES[Model::BAND]]].select(&:first)
          [[ball, band], Array.new(Grid::SIZE) { |at| Math.exp(factors.sum(0.0) { |table, places| table.logs[places[at]] }) }.freeze]
        end.freeze
      end.freeze

      # @return [Array<Float>] one a cell, adding up to 1
      attr_reader :shares

      # @param felt [Felt]
      # @param weights [Hash{String=>Float}] by group
      def initialize(felt, weights = Posterior.weights(felt.tables))
        @opening = OPENINGS[felt.misled?].fetch(felt.opening)
        @tables = felt.tables.except(*OWN)
        @weights = weights
        @shares = normalise(products).freeze
        freeze
      end

      # @return [Hash{String=>Float}] by group, as many tests as were made in each
      def self.weights(tables) = tables.keys.group_by { |test| Model.group(test) }.transform_values { |tests| Model.weight(tests.size) }

      private

      # Plain loops over 5151 cells: this runs at every answer. The answers of one axis are added up before.
      def products
        factors = axis_factors
        found = spread(*[Model::SAND, Model::SILT, Model::CLAY].map { |axis| factors[axis] || Array.new(101, 1.0) })
        multiply(found, factors[Model::CAST], PLACES[Model::CAST]) if factors[Model::CAST]
        @tables.each { |test, table| multiply(found, Tables.power(table, weight(test))) if table.axis == :cell }
        found
      end

      def weight(test) = @weights.fetch(Model.group(test))

      # @return [Hash{Model::Axis=>Array<Float>}]
      def axis_factors
        along = @tables.reject { |_, table| table.axis == :cell }.group_by { |_, table| table.axis }
        along.transform_values do |tests|
          weighted = tests.map { |test, table| [weight(test), table.logs] }
          weighted.first.last.each_index.map { |place| Math.exp(weighted.sum { |weight, logs| weight * logs[place] }) }
        end
      end

      def spread(sand, silt, clay)
        found = Array.new(Grid::SIZE, 0.0)
        opening = @opening
        at = 0
        clay.each_with_index do |base, percent|
          rest = 100 - percent
          place = 0
          while place <= rest
            found[at] = opening[at] * base * sand[place] * silt[rest - place]
            at += 1
            place += 1
          end
        end
        found
      end

      def multiply(found, factors, places = Grid::PLACES)
        at = 0
        while at < Grid::SIZE
          found[at] *= factors[places[at]]
          at += 1
        end
      end

      def normalise(found)
        total = found.sum
        found.map! { |share| share / total }
      end
    end
  end
end
