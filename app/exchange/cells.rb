# frozen_string_literal: true

require "csv"
require "json"

module Exchange
  # Values in the cells of a CSV table and back.
  module Cells
    # A spreadsheet takes a text that begins so for a formula and may run it: an apostrophe before it keeps it a text.
    FORMULA = /\A['=+\-@\t\r]/

    module_function

    # @param value [Object] of a row; what is JSON is its text
    # @return [String, Numeric, nil]
    def write(value, column)
      case value
      when true, false then value.to_s
      when String then column.kind == :json ? value : guard(value)
      else value
      end
    end

    # @param text [String, nil]
    # @return [Object]
    # @raise [Grittle::InvalidInput]
    def read(text, column)
      return if text.nil? || text == ""

      case column.kind
      when :json then JSON.parse(text, max_nesting: 20)
      when :id, :ref, :integer then integer(text, column)
      when :number then Grittle::Entry::Field.number(text) || bad(text, column, "a number")
      when :flag then { "true" => true, "false" => false }.fetch(text.downcase) { bad(text, column, "true or false") }
      else unguard(text)
      end
    rescue JSON::ParserError
      bad(text, column, "JSON")
    end

    # @return [String] the text as no spreadsheet takes it for a formula
    def guard(text) = text.match?(FORMULA) ? "'#{text}" : text

    # @return [String] the text as it was
    def unguard(text) = text.start_with?("'") && text[1..].match?(FORMULA) ? text[1..] : text

    def integer(text, column) = text.match?(/\A\d{1,18}\z/) ? text.to_i : bad(text, column, "a whole number")

    def bad(text, column, kind)
      raise Grittle::InvalidInput,
            [Grittle::Problem.new(pointer: "/#{column.name}", sentence: "#{column.name} must be #{kind}, not “#{text[0, 60]}”.")]
    end
    private_class_method :integer, :bad
  end
end
