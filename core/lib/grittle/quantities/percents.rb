# frozen_string_literal: true

module Grittle
  # Shares as whole percents that add up to what they are together: every page shows the same numbers, and they sum to
  # 100.
  #
  #   Percents.of([0.705, 0.295])  # => [71, 29]
  module Percents
    module_function

    # The largest remainders are rounded up; of equal ones the earlier. [published: Hamilton's method of apportionment]
    # @param shares [Array<Numeric>] from 0 to 1
    # @return [Array<Integer>] percents, in the same order
    def of(shares)
      exact = shares.map { |share| (100 * share).round(9) }
      floors = exact.map(&:floor)
      missing = exact.sum.round - floors.sum
      raised = exact.each_index.max_by(missing) { |at| [exact[at] - floors[at], -at] }
      floors.each_with_index.map { |floor, at| raised.include?(at) ? floor + 1 : floor }
    end

    # @param odds [Numeric] from 0 to 1, of two uncertain things
    # @return [String] in words: never more certain than the numbers behind it are
    def odds(odds)
      return "over 95 %" if odds > 0.95
      return "under 5 %" if odds < 0.05

      "#{(100 * odds).round} %"
    end
  end
end
