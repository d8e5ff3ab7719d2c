# frozen_string_literal: true

require "strscan"

module CommandLine
  # Gives the rows of a CSV their classes. A row's own text is passed on untouched, byte by byte.
  class Sheet
    PARTS = %i[sand silt clay].freeze
    PROBLEM_COLUMN = "texture_problem"
    # "Sand", "sand_pct", "Total clay (%)". [common practice: headers of laboratories' reports]
    SPELLINGS = PARTS.to_h do |part|
      [part, /\A(?:total[ _-]*)?#{part}[ _-]*(?:content|total)?[ _-]*[(\[]?(?:%|percent|pct|perc|wt[ _-]?%)?[)\]]?\z/i]
    end
                     .freeze
    # As people write numbers; what only a programmer writes (0x10, 1_0) is none.
    NUMBER = /\A\s*[-+]?(?:\d+\.?\d*|\.\d+)(?:[eE][-+]?\d+)?\s*\z/
    PLAIN = /\A(?:\d+\.?\d*|\.\d+)\z/
    DECIMAL_COMMA = /\A\s*[-+]?\d+,\d+\s*\z/
    # Characters of a number that has at most the decimals that a composition keeps.
    SHORT = Grittle::Composition::DECIMALS + 2
    # Percentage points within which three floats add up to 100: under half of the last decimal that is kept.
    EXACT = 1e-10
    # Numbers remembered by their text: all with two decimals, and few megabytes.
    REMEMBERED = 20_000

    # @return [Integer] rows that could not be classified
    attr_reader :bad

    # @param header [String]
    # @param separator [String] between fields
    # @param line_end [String] behind rows that are read; rows are written with LF
    # @param triangles [Array<Grittle::Triangle>]
    # @param near [Boolean] whether the class next to a near line is named too
    # @raise [Grittle::Error] when two of the three columns are not there
    def initialize(header, separator:, line_end:, triangles:, near:)
      @separator = separator
      @line_end = line_end
      @triangles = triangles
      @near = near
      @bad = 0
      names = fields(header) || raise(Grittle::Error, "The header has a quote that is not closed.")
      @width = names.size
      @sand, @silt, @clay = columns(names)
      @usual = !near && ![@sand, @silt, @clay].include?(nil)
      @numbers = {}
      @tails = triangles.map { |triangle| triangle.classes.keys.to_h { |code| [code, "#{separator}#{code}"] } }
      @row_end = "#{separator}\n"
    end

    # Begins counting anew.
    def forget = @bad = 0

    # @return [String] names of the columns that are added, with the separator in front
    def added = [nil, *@triangles.map { |triangle| "texture_#{triangle.id}" }, PROBLEM_COLUMN].join(@separator)

    # @param text [String] whole rows without any quote
    # @return [String] the rows with their classes
    def plain(text)
      out = String.new(capacity: text.bytesize * 2, encoding: Encoding::BINARY)
      return fast(text, out) if @triangles.size == 1 && @usual

      text.each_line(@line_end, chomp: true) { |row| write(out, row, row.split(@separator, -1)) }
      out
    end

    # A quote opens a field only where the field begins, and the field goes on to the quote that a separator or the
    # row's end follows. A row in which that is not so is bad by itself: the rows behind it are read as if it were not
    # there.
    # @param text [String]
    # @param last [Boolean] whether nothing follows the text
    # @return [Array] the rows with their classes, and how many bytes of the text they were
    def quoted(text, last)
      out = String.new(encoding: Encoding::BINARY)
      scanner = StringScanner.new(text)
      until scanner.eos?
        start = scanner.pos
        line = scanner.scan_until(end_of_row) || (last && scanner.scan(/.+/mn)) or break
        values =
          line.include?('"') ? whole_row(scanner, start, last) : line.chomp(@line_end).chomp("\r").split(@separator, -1)
        break scanner.pos = start if values == :unfinished

        row = text.byteslice(start, scanner.pos - start).chomp(@line_end).chomp("\r")
        values ? write(out, row, values) : write_bad(out, row, @width, "The row has a quote that is out of place.")
      end
      [out, scanner.pos]
    end

    private

    # What nearly every file is, without a call for each cell: one system, three numbers that were seen before and add
    # up to 100.
    def fast(text, out)
      separator = @separator
      numbers = @numbers
      tails = @tails.first.transform_values { |tail| tail + @row_end }
      decide = @triangles.first.decide
      width = @width
      sand_at = @sand
      silt_at = @silt
      clay_at = @clay
      text.each_line(@line_end, chomp: true) do |row|
        values = row.split(separator, -1)
        sand = numbers[values[sand_at]]
        silt = numbers[values[silt_at]]
        clay = numbers[values[clay_at]]
        if sand && silt && clay && values.size == width && (off = sand + silt + clay - 100.0) < EXACT && off > -EXACT
          out << row << tails[decide.call(sand, silt, clay)]
        else
          write(out, row, values)
        end
      end
      out
    end

    def end_of_row = @end_of_row ||= Regexp.new(Regexp.escape(@line_end).b, Regexp::FIXEDENCODING | Regexp::NOENCODING)

    def pattern
      @pattern ||= begin
        separator = Regexp.escape(@separator)
        field = %((?:"(?:[^"]++|"")*+"|[^"#{separator}\r\n]*+))
        /#{field}(?:#{separator}#{field})*+(?:\r?\n|\r|\z)/n
      end
    end

    # @return [Array<String>, Symbol, nil] cells of a row that may go on behind its first line; nil leaves the scanner
    #   behind that
    def whole_row(scanner, start, last)
      behind = scanner.pos
      scanner.pos = start
      row = scanner.scan(pattern)
      return fields(row.chomp(@line_end).chomp("\r")) if row && (last || !scanner.eos? || row.end_with?(@line_end))
      return :unfinished unless last || scanner.string.bytesize - start > Chunks::LONGEST

      scanner.pos = behind
      nil
    end

    # @return [Array<String>, nil]
    def fields(row)
      return row.split(@separator, -1) unless row.include?('"')
      return unless row.match?(/\A#{pattern}\z/n)

      between = Regexp.escape(@separator)
      row.scan(/"((?:[^"]|"")*)"|([^"#{between}]+)|(?<=\A|#{between})(?=#{between}|\z)/n)
         .map do |inner, bare|
        inner ? inner.gsub('""', '"') : bare.to_s
      end
    end

    def columns(names)
      names = names.map { |name| name.dup.force_encoding(Encoding::UTF_8).scrub.strip }
      found = PARTS.map { |part| place(names, part) }
      return found if found.compact.size >= 2

      raise Grittle::Error,
            "The header needs at least two of the columns sand, silt and clay; it has: " \
            "#{names.join(', ')}.#{hint(names)}"
    end

    # A column with exactly the part's name goes before one that is spelt in another way.
    def place(names, part)
      exact = names.each_index.select { |at| names[at].casecmp?(part.to_s) }
      places = exact.empty? ? names.each_index.select { |at| names[at].match?(SPELLINGS[part]) } : exact
      raise Grittle::Error, "The column #{part} stands twice in the header." if places.size > 1

      places.first
    end

    def hint(names)
      alike =
        PARTS.filter_map do |part|
          (name = names.find { |one| one.downcase.include?(part.to_s) }) && "“#{name}” to #{part}"
        end
      alike.empty? ? "" : " Rename #{alike.join(', ')}."
    end

    # The usual row has three numbers that add up to 100; nothing is made for it but its text.
    def write(out, row, values)
      return write_odd(out, row, values) unless @usual && values.size == @width

      sand = number(values[@sand])
      silt = number(values[@silt])
      clay = number(values[@clay])
      return write_odd(out, row, values) unless sand && silt && clay && (sand + silt + clay - 100).abs < EXACT

      out << row
      @triangles.each_with_index { |triangle, at| out << @tails[at][triangle.code(sand, silt, clay)] }
      out << @row_end
    end

    # @return [Float, nil] nil where the text needs a closer look
    def number(text)
      @numbers.fetch(text) do
        @numbers.clear if @numbers.size > REMEMBERED
        @numbers[text] = text.size <= SHORT && text.match?(PLAIN) ? text.to_f : nil
      end
    end

    def write_odd(out, row, values)
      return out << row << "\n" if row.strip.empty?
      return write_bad(out, row, values.size, fields_sentence(values.size)) if values.size != @width

      found = classes(values)
      out << row << @separator << found.join(@separator) << @row_end
    rescue Grittle::InvalidInput => e
      write_bad(out, row, values.size, e.message)
    end

    def fields_sentence(count) = "The row has #{count} fields, the header has #{@width}."

    # The sentence stands in its own column, also where fields are missing.
    def write_bad(out, row, count, sentence)
      @bad += 1
      out << row << (@separator * ([@width - count, 0].max + @triangles.size + 1)) << '"' << sentence.tr('"', "'").b <<
        "\"\n"
    end

    def classes(values)
      parts = PARTS.zip([@sand, @silt, @clay]).to_h { |part, at| [part, at && part_of(values[at])] }
      composition = Grittle::Composition.new(**parts)
      return @triangles.map { |triangle| triangle.near(composition).first(2).map(&:code).join("/") } if @near

      @triangles.map { |triangle| triangle.classify(composition).code }
    end

    # A blank cell is a part not given; anything else must be a number. Left as text, Composition refuses it by name.
    def part_of(text)
      return if text.strip.empty?
      return text.to_f if text.match?(NUMBER)

      if @separator != "," && text.match?(DECIMAL_COMMA)
        text.tr(",", ".").to_f
      else
        text.dup.force_encoding(Encoding::UTF_8).scrub
      end
    end
  end
end
