# frozen_string_literal: true

module Grittle
  # A value that somebody sent, as a sentence may show it: never the way Ruby writes it.
  module Spoken
    LONGEST = 60

    # @param value [Object]
    # @return [String]
    def self.of(value)
      case value
      when nil then "nothing"
      when Numeric then Units.plain(value)
      when Hash then "an object"
      when Array then "a list"
      else value.to_s[0, LONGEST]
      end
    end
  end
end
