# frozen_string_literal: true

module Grittle
  module Profiles
    # The horizons of one profile from the surface down. Overlaps are refused when one is added; gaps are named and
    # never mended.
    class HorizonSequence
      # @param ranges [Hash{String=>DepthRange}, Array<Array>] depths by designation; designations may repeat in pairs
      def initialize(ranges)
        @ranges = ranges.sort_by { |_, range| [range.upper, range.lower] }
      end

      # @param range [DepthRange] a new or changed horizon
      # @raise [InvalidDepths] when it overlaps one that is there
      def check_fits(range)
        name, other = @ranges.find { |_, present| present.overlap?(range) }
        return unless other

        pointer = range.upper.between?(other.upper, other.lower - 1e-9) ? "/upper_cm" : "/lower_cm"
        raise InvalidDepths, [Problem.new(pointer: pointer, sentence: "#{range} overlaps #{name}, which is #{other}.")]
      end

      # @return [Array<DepthRange>] depths that no horizon covers, from the surface to the deepest lower depth
      def gaps
        depth = 0
        @ranges.filter_map do |_, range|
          gap = DepthRange.new(depth, range.upper) if range.upper > depth
          depth = range.lower
          gap
        end
      end
    end
  end
end
