# frozen_string_literal: true

module Grittle
  module Evidence
    # The shares of the cells gathered by percent of sand, of silt and of clay.
    class Margins
      # @return [Hash{Axis=>Array<Float>}] 101 shares each
      attr_reader :along

      # @return [Hash{String=>Array<Float>}] mean and sd of sand, silt and clay in percent
      attr_reader :moments

      # @param shares [Array<Float>] one a cell of Grid, adding up to 1
      def initialize(shares)
        @along = gather(shares)
        @moments = along.to_h { |axis, margin| [axis.name.to_s, moments_of(margin)] }
        freeze
      end

      # @return [Array<Integer>] percent clay under which a tenth and nine tenths lie
      def clay_range = range(CLAY)

      # @param axis [Axis]
      # @return [Array<Integer>] percent under which a tenth and nine tenths lie
      def range(axis)
        sum = 0.0
        below = along[axis].map { |share| sum += share }
        [0.1, 0.9].map { |part| below.index { |so_far| so_far >= part } || 100 }
      end

      # @return [Hash{String=>Hash}] of sand, silt and clay "mean" and "range", in percent
      def parts
        along.keys.to_h do |axis|
          [axis.name.to_s, { "mean" => moments[axis.name.to_s].first.round(1), "range" => range(axis) }]
        end
      end

      private

      def gather(shares)
        sand, silt, clay = Array.new(3) { Array.new(101, 0.0) }
        at = 0
        101.times do |percent|
          rest = 100 - percent
          place = 0
          row = 0.0
          while place <= rest
            share = shares[at]
            sand[place] += share
            silt[rest - place] += share
            row += share
            at += 1
            place += 1
          end
          clay[percent] = row
        end
        { SAND => sand, SILT => silt, CLAY => clay }
      end

      def moments_of(margin)
        mean = margin.each_with_index.sum { |share, percent| share * percent }
        square = margin.each_with_index.sum { |share, percent| share * (percent**2) }
        [mean, Math.sqrt([square - (mean**2), 0.0].max)]
      end
    end
  end
end
