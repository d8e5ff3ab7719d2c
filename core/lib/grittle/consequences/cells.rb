# frozen_string_literal: true

module Grittle
  module Consequences
    # A figure of every composition of whole percent, and the cells in its order, so that what lies under a share of
    # them takes one walk. Frozen but for the order, which is worked out when first asked for.
    class CellFigure
      # @return [Array<Float, nil>] one a cell of Evidence::Grid, nil where the figure does not hold
      attr_reader :values

      # @param values [Array<Float, nil>]
      def initialize(values)
        @values = values.freeze
      end

      # @return [Array<Integer>] the cells that have a figure, the least first
      def order
        @order ||= Evidence::Grid::PLACES.select { |cell| values[cell] }.sort_by { |cell| values[cell] }.freeze
      end
    end

    # The figures of all compositions, for one organic matter and one packing: worked out once for each.
    module Cells
      # Organic matters and packings that are kept: a profile has a handful.
      MOST = 24
      @kept = {}

      module_function

      # @param name [Symbol] a figure of FIGURES_OF
      # @param organic_matter [Numeric] percent by weight
      # @param density_factor [Numeric]
      # @return [CellFigure]
      def figure(name, organic_matter: 2.5, density_factor: 1.0)
        kept = kept([organic_matter.to_f, density_factor.to_f])
        kept[name] ||= CellFigure.new(FIGURES_OF.fetch(name).call(kept[:water], organic_matter.to_f))
      end

      def kept(conditions)
        @kept[conditions] ||= begin
          @kept.shift if @kept.size >= MOST
          organic, density = conditions
          { water: Evidence::Grid::CELLS.map do |sand, _, clay|
            SoilWater.new(sand, clay, organic_matter: organic, density_factor: density)
          end.freeze }
        end
      end
      private_class_method :kept

      # Each from the water of every cell and the organic matter.
      FIGURES_OF = {
        available_water: ->(water, _) { water.map { |one| one.available_mm unless one.problem } },
        out_of_reach: ->(water, _) { water.map { |one| 100 * one.wilting_point } },
        ksat: ->(water, _) { water.map { |one| one.ksat_mm_h unless one.problem } },
        leaching: ->(water, _) { water.map { |one| one.leaching_mm unless one.problem } },
        spring: ->(water, _) { water.map { |one| one.heat unless one.problem } },
        erodibility: lambda { |_, organic|
          Evidence::Grid::CELLS.map do |cell|
            Erodibility.k(*cell, organic_matter: organic)
          end
        },
        carbon: ->(_, organic) { Evidence::Grid::CLAY.map { |clay| Store.carbon_to_clay(clay, organic) } },
        nutrients: ->(_, organic) { Evidence::Grid::CLAY.map { |clay| Store.cec(clay, organic) } },
        clay: ->(_, _) { Evidence::Grid::CLAY.map(&:to_f) }
      }.freeze
    end
  end
end
