# frozen_string_literal: true

module Exchange
  # A CSV file as anybody's spreadsheet writes it: in UTF-8, UTF-16 or Windows-1252, separated by commas, semicolons,
  # tabs or bars, perhaps with a title above its headings.
  class CsvText
    SEPARATORS = [",", ";", "\t", "|"].freeze
    BOMS = { "\xFF\xFE".b => "UTF-16LE", "\xFE\xFF".b => "UTF-16BE", "\xEF\xBB\xBF".b => "UTF-8" }.freeze

    # @return [Array<String>]
    attr_reader :headings

    # @return [Array<Array>] number of the row as a spreadsheet counts, and its cells; empty rows are left out
    attr_reader :rows

    # @param text [String] the file, as it came
    # @param most [Integer] rows
    # @raise [Unreadable]
    def initialize(text, most:)
      @most = most
      (_, @headings), *@rows = parse(readable(text))
      raise Unreadable, "The file has no row below its headings." if @rows.empty?
      raise Unreadable, too_many if @rows.size > most
    end

    # Which column is which, by headings as people write them; the first of a name counts.
    # @param said [Hash{String=>Array<String>}] by name, how it may be called, without anything but letters
    # @param needed [Array<String>] names
    # @return [Array<String, nil>] a name a column
    # @raise [Unreadable]
    def names(said, needed)
      found = headings.map do |heading|
        letters = heading.to_s.downcase.gsub("%", "percent").gsub(/[^a-z]/, "")
        said.find { |_, words| words.include?(letters) }&.first
      end
      missing = needed - found
      raise Unreadable, "The table needs a column for #{missing.first}." if missing.any?

      found.each_with_index.map { |name, at| name unless found.first(at).include?(name) }
    end

    private

    def too_many = "The file has more than #{@most} rows. Take it in parts."

    # One encoding and one end of lines, whatever the spreadsheet wrote.
    def readable(text)
      bytes = text.b
      mark, encoding = BOMS.find { |bom, _| bytes.start_with?(bom) }
      plain = mark ? decoded(bytes.delete_prefix(mark), encoding) : guessed(bytes)
      raise Unreadable, "This is no text file." if plain.include?("\0")

      plain.gsub(/\r\n?/, "\n")
    rescue ArgumentError, EncodingError
      raise Unreadable, "This is no text file."
    end

    def decoded(bytes, encoding)
      bytes.force_encoding(encoding).encode("UTF-8", invalid: :replace, undef: :replace)
    end

    def guessed(bytes)
      plain = bytes.dup.force_encoding("UTF-8")
      if plain.valid_encoding?
        plain
      else
        bytes.force_encoding("Windows-1252").encode("UTF-8", undef: :replace, invalid: :replace)
      end
    end

    # @return [Array<Array>] the row's number as a spreadsheet counts, and its cells; empty rows are left out
    def parse(text)
      raise Unreadable, too_many if text.count("\n") > 2 * @most # before anything is read

      said = text[/\Asep=(.)\n/, 1]
      first = most_separated(text.each_line.first(10).grep_v(/\Asep=/))
      separator = said || SEPARATORS.max_by { |one| first.to_s.count(one) }
      numbered =
        numbered(
          CSV.parse(said ? "\n#{text.delete_prefix("sep=#{said}\n")}" : text, col_sep: separator, liberal_parsing: true)
        )
      numbered.empty? ? raise(Unreadable, "The file is empty.") : untitled(numbered)
    rescue CSV::MalformedCSVError => e
      raise Unreadable, "The file is no CSV table: line #{e.line_number} cannot be read."
    end

    # The first line with three columns: a comma in a title is no separator.
    def most_separated(lines)
      [2, 1].each do |least|
        found = lines.find { |line| SEPARATORS.any? { |one| line.count(one) >= least } }
        return found if found
      end
      nil
    end

    def numbered(rows)
      stripped = rows.map { |row| row.map { |cell| cell.to_s.strip } }
      stripped.each.with_index(1).map { |row, number| [number, row] }.reject { |_, row| row.all?(&:empty?) }
    end

    # A title above the headings fills one cell where the rows below fill more.
    def untitled(rows)
      filled = rows.first(3).map { |_, row| row.count { |cell| !cell.empty? } }
      filled.size == 3 && filled.first == 1 && filled.drop(1).min > 1 ? rows.drop(1) : rows
    end
  end
end
