# frozen_string_literal: true

module Grittle
  module Consequences
    # How surely a thing is said, by the share of the compositions it is true of.
    module Claim
      LEAST = FIGURES["claims"]
      EITHER = "either or"

      module_function

      # @param odds [Hash{String=>Float}] by category
      # @return [Hash] "strength" ("plain", "probably", "more likely than not", "either or"), "categories" (one, or the
      #   two likeliest), "share" of the first
      def of(odds)
        first, second = odds.sort_by { |name, share| [-share, odds.keys.index(name)] }
        strength = LEAST.find { |_, least| first.last >= least - 1e-9 }&.first || EITHER
        { "strength" => strength, "share" => first.last,
          "categories" => strength == EITHER ? [first, second].compact.map(&:first) : [first.first] }
      end

      # @param claim [Hash] as {of} gives it
      # @return [String] such as "probably medium", "either low or medium"
      def say(claim)
        one, other = claim["categories"]
        case claim["strength"]
        when "plain" then one
        when EITHER then other ? "either #{one} or #{other}" : one
        else "#{claim['strength']} #{one}"
        end
      end
    end
  end
end
