# frozen_string_literal: true

module Exchange
  # A table of an authority as a CSV file.
  module AuthorityTable
    COLUMNS = Grittle::Consequences::AssessorTable::COLUMNS
    MOST_ROWS = Grittle::Consequences::AssessorTable::MOST_ROWS
    NEEDED = %w[match value].freeze

    module_function

    # @return [String] an empty table to fill in
    def template = "#{COLUMNS.join(',')}\n"

    # @param csv [String] the file as it came
    # @return [Array<Hash{String=>String}>] by column
    # @raise [Grittle::InvalidInput]
    def rows(csv)
      file = CsvText.new(csv, most: MOST_ROWS)
      names = file.headings.map { |heading| heading.to_s.strip.downcase.tr(" ", "_") }
      missing = NEEDED - names
      refuse("The table needs a column “#{missing.first}”. Its columns: #{COLUMNS.join(', ')}.") if missing.any?
      file.rows.map { |_, cells| names.zip(cells).to_h.slice(*COLUMNS).transform_values { |cell| clean(cell.to_s) } }
    end

    def clean(cell)
      refuse(PlainText::SENTENCE) if PlainText.flaw(cell)
      Cells.unguard(cell)
    end

    def refuse(sentence) = raise(Grittle::InvalidInput, [Grittle::Problem.new(pointer: "/csv", sentence: sentence)])
    private_class_method :clean, :refuse
  end
end
