# frozen_string_literal: true

module Grittle
  # A number of the core as data: its value, its unit, where it comes from, and how far that can be trusted.
  Figure = Struct.new(:value, :unit, :mark, :source, keyword_init: true) do
    # @return [String] the source behind its mark, for a person
    def cited = "#{Figures::MARKS.fetch(mark)}: #{source}"
  end

  # The numbers of one subject. Checked as they load: a number without a unit, a source or a known mark does not get in.
  #
  #   Figures.new("Ribbons", "reading_error" => [2.0, "mm", "our own", "a ruler held by hand"])["reading_error"]  # =>
  #   2.0
  class Figures
    # Mark => as a person reads it.
    MARKS = {
      "published" => "published",
      "from memory" => "not checked against the source",
      "common practice" => "common practice",
      "our own" => "our own model"
    }.freeze

    # @return [String] the subject, as a heading
    attr_reader :title

    # @return [Hash{String=>Figure}] by name
    attr_reader :all

    # @param title [String]
    # @param rows [Hash{String=>Array}] name => value, unit, one of MARKS, source (edition, table; for a number of our
    #   own: why)
    # @raise [ArgumentError] naming the row that is not complete
    def initialize(title, rows)
      @title = title
      @all = rows.to_h { |name, row| [name, checked(name, row)] }.freeze
      freeze
    end

    # @return [Object] the value alone
    # @raise [KeyError] for a name that is not there
    def [](name) = all.fetch(name).value

    private

    def checked(name, row)
      value, unit, mark, source = row
      whole = row.size == 4 && !value.nil? && [unit, source].all? { |text| text.is_a?(String) && !text.empty? }
      raise ArgumentError, "the figure #{name} of #{title} is not complete" unless whole && MARKS.key?(mark)

      Figure.new(value: value.freeze, unit: unit, mark: mark, source: source).freeze
    end
  end
end
