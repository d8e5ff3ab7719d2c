# frozen_string_literal: true

require "csv"
require "json"

module Exchange
  # Values in the cells of a CSV table and back.
  module Cells
    # What would be taken for more than one cell, or trimmed.
    QUOTED = /[",\r\n]|\A\s|\s\z/
    # A spreadsheet takes a text that begins so for a formula and may run it: an apostrophe before it keeps it a text.
    FORMULA = /\A['=+\-@\t\r]/

    module_function

    # @param columns [Array<Column>]
    # @return [String] the header
    def header(columns) = "#{columns.map { |column| quote(column.name) }.join(',')}\n"

    # @param columns [Array<Column>]
    # @return [Array<#[], nil>] for each how its values look in a file; nil for what looks as it is
    def looks(columns) = columns.map { |column| look(column.kind) }

    # @param values [Array] of a row, in the order of +looks+; what is JSON is its text
    # @return [String] the line, as RFC 4180 has it but for its end
    def line(values, looks)
      line = +""
      place = 0
      values.each do |value|
        look = looks[place]
        line << "," if place > 0 # rubocop:disable Style/NumericPredicate -- for every cell
        place += 1
        next if value.nil?

        line << (look ? look[value] : value.to_s)
      end
      line << "\n"
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

    def look(kind)
      case kind
      when :json
        method(:quote)
      when :text, :person, :field, :derived
        Looks.new { |value| value.is_a?(String) ? quote(guard(value)) : value.to_s }
      end
    end

    # An empty text is quoted, or it would come back as nothing.
    def quote(text) = text.empty? || text.match?(QUOTED) ? %("#{text.gsub('"', '""')}") : text

    def integer(text, column) = text.match?(/\A\d{1,18}\z/) ? text.to_i : bad(text, column, "a whole number")

    def bad(text, column, kind)
      raise Grittle::InvalidInput,
            [
              Grittle::Problem.new(
                pointer: "/#{column.name}",
                sentence: "#{column.name} must be #{kind}, not “#{text[0, 60]}”."
              )
            ]
    end
    private_class_method :look, :quote, :integer, :bad
  end
end
