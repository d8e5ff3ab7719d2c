# frozen_string_literal: true

module Grittle
  module Practice
    # A laboratory's result as an estimate: normal about its sand, silt and clay, so that what follows from a texture
    # can be reckoned from it as from what the hand felt. It replaces no estimate of a hand.
    class MeasuredEstimate < Evidence::Estimate
      LEAST_SD = FIGURES["least_sd"]

      # @param percents [Hash{String=>Numeric}] sand, silt and clay
      # @param sds [Hash{String=>Numeric}] percent, by part
      def initialize(percents, sds) # rubocop:disable Lint/MissingSuper -- nothing was felt
        @system = Triangles::USDA.id
        pairs = LaboratoryRow::PARTS.map { |part| [percents.fetch(part), [sds[part] || LEAST_SD, LEAST_SD].max] }
        logs = Evidence::Grid::CELLS.map do |cell|
          -0.5 * cell.zip(pairs).sum { |value, (about, sd)| ((value - about) / sd)**2 }
        end
        most = logs.max
        raw = logs.map { |log| Math.exp(log - most) }
        total = raw.sum
        @shares = raw.map { |share| share / total }.freeze
      end

      attr_reader :shares

      def empty? = false
      def posterior = self

      private

      def by_class
        codes, of_cell = Evidence::Grid.classes(system)
        sums = Array.new(codes.size, 0.0)
        of_cell.each_with_index { |place, cell| sums[place] += shares[cell] }
        codes.zip(sums).to_h
      end
    end
  end
end
