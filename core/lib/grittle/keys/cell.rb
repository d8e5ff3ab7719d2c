# frozen_string_literal: true

module Grittle
  module Keys
    # One cell of a table key: the states (or lengths) that fit, and those that are next to. Frozen.
    class Cell
      # @param fits, near [String] states parted by blanks, or lengths in mm such as "5-15", ">= 75" or "1-5; 28-40"
      def initialize(fits, near = "")
        @fits, @near = [fits, near].map { |text| parse(text) }
        freeze
      end

      # @return [Float] 1 fits, 0.5 next to, 0 contradicts; for a list of words their mean
      def score(value)
        return value.sum { |word| score(word) } / value.size.to_f if value.is_a?(Array)

        return 1.0 if hold?(@fits, value)

        hold?(@near, value) ? 0.5 : 0.0
      end

      # @return [Array] states that fit
      attr_reader :fits

      # @return [Float] mm: the middle of the lengths that fit; an open range is given one beyond its beginning
      def middle
        range = fits.first
        range.end ? (range.begin + range.end) / 2.0 : range.begin * Data::KEYS["open_middle"]
      end

      # @return [Array<Float>] mm: where the lengths that fit end
      def ends = fits.flat_map { |range| [range.begin, range.end] }.compact.reject(&:zero?)

      private

      def hold?(set, value) = set.any? { |one| one.is_a?(Range) ? one.cover?(value) : one == value }

      def parse(text)
        return text.split.freeze unless text.match?(/\d/)

        text.split(";").map do |part|
          low, high = part.scan(/[\d.]+/).map(&:to_f)
          high ? low..high : (low..)
        end.freeze
      end
    end
  end
end
