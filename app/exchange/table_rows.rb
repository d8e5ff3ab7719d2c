# frozen_string_literal: true

require "csv"

module Exchange
  # The rows of one table of a package, read from its CSV anew each time they are gone through, one time after another:
  # memory holds one of them, however many there are.
  class TableRows
    include Enumerable

    # Rows of one table. [our own: about ten times a large fieldbook]
    MOST = 4_000_000
    BYTE_ORDER_MARK = "\xEF\xBB\xBF".b

    # @param table [Table]
    # @param file [File] the CSV, unpacked
    def initialize(table, file)
      @table = table
      @file = file
    end

    # @yieldparam row [Hash{String=>Object}] by column
    # @raise [Unreadable]
    def each
      return enum_for(:each) unless block_given?

      csv = begun
      place = 1 # the header
      while (line = shifted(csv))
        refuse("#{@table.name}.csv has more than #{MOST} rows. Export and import one site at a time.") if place > MOST

        yield read(line, place += 1)
      end
    end

    private

    def begun
      @file.rewind
      @file.rewind unless @file.read(BYTE_ORDER_MARK.bytesize) == BYTE_ORDER_MARK
      CSV.new(@file, headers: true)
    end

    # The next line, or why it cannot be read.
    def shifted(csv)
      csv.shift
    rescue CSV::MalformedCSVError => e
      refuse("#{@table.name}.csv cannot be read at line #{e.line_number}.")
    rescue ArgumentError, EncodingError
      refuse("#{@table.name}.csv is no UTF-8 text.")
    end

    def read(line, place)
      line.to_h.compact.to_h do |name, cell|
        column = @table[Earlier.column(name)] ||
                 refuse("#{@table.name}.csv has a column “#{name}” that no #{@table.name} has.")
        [column.name, Cells.read(cell, column)]
      rescue Unreadable
        raise
      rescue Grittle::InvalidInput => e
        refuse("#{@table.name}.csv, row #{place}: #{e.message}")
      end
    end

    def refuse(sentence) = raise(Unreadable, sentence)
  end
end
