# frozen_string_literal: true

module Grittle
  module Keys
    # A scale of lengths parted by limits, and the odds of a ribbon set in each part.
    class Tiers
      attr_reader :names, :limits

      # @param names [Array<String>] shortest first
      # @param limits [Array<Limit>] one fewer than names, rising
      def initialize(names, limits)
        raise ArgumentError, "#{names.size} tiers need #{names.size - 1} limits" unless limits.size == names.size - 1

        @names = names.freeze
        @limits = limits.freeze
        freeze
      end

      # @return [String] the tier of one length in mm
      def of(length_mm) = names[limits.count { |limit| limit.reached_by?(length_mm) }]

      # The tier of the mean and every tier that can be reached from it without leaving the 90 % interval. The tail
      # beyond the interval belongs to the outermost of them, so the odds add up to 1.
      # @param set [RibbonSet]
      # @return [Hash{String=>Float}] tier to probability, shortest first
      def odds(set)
        lowest = limits.count { |limit| limit.mm < set.interval.begin && limit.reached_by?(set.mean) }
        highest = names.size - 1 - limits.count { |limit| limit.mm > set.interval.end && !limit.reached_by?(set.mean) }
        (lowest..highest).to_h do |index|
          above_lower = index == lowest ? 1.0 : set.probability_above(limits[index - 1].mm)
          above_upper = index == highest ? 0.0 : set.probability_above(limits[index].mm)
          [names[index], above_lower - above_upper]
        end
      end

      # @return [Array<Hash>] the scale for drawing: name, from_mm and to_mm (nil: open), without empty tiers
      def to_a
        bounds = [0.0, *limits.map(&:mm), nil]
        names.zip(bounds.each_cons(2)).filter_map do |name, (from, to)|
          { "name" => name, "from_mm" => from, "to_mm" => to } unless from == to
        end
      end

      # @return [Array<Limit>] the limits that the set's 90 % interval holds
      def undecided(set) = limits.select { |limit| set.on?(limit.mm) }
    end
  end
end
