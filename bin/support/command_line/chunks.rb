# frozen_string_literal: true

module CommandLine
  # A CSV cut into pieces that end with a row, as bytes: what encoding its cells have is none of our business.
  class Chunks
    SIZE = 256 * 1024
    # Bytes in which a row, or a field in quotes, must come to its end.
    LONGEST = 1024 * 1024
    SEPARATORS = [",", ";", "\t", "|"].freeze
    BOM = "\xEF\xBB\xBF".b.freeze
    WIDE = ["\xFF\xFE".b, "\xFE\xFF".b].freeze

    # @return [String] the header's row, without a byte-order mark
    attr_reader :header
    # @return [String] between fields
    attr_reader :separator
    # @return [String] behind a row: CR alone where the file has no LF
    attr_reader :line_end

    # @param input [IO]
    # @raise [Grittle::Error] when there is no header
    def initialize(input)
      @input = input.binmode
      @text = @input.read(SIZE).to_s
      wide = @text.start_with?(*WIDE) || @text.include?("\0")
      raise Grittle::Error, "The file is UTF-16. Save it as UTF-8, then try again." if wide

      @text = @text.delete_prefix(BOM)
      @line_end = !@text.include?("\n") && @text.include?("\r") ? "\r" : "\n"
      @header = @text.slice!(0..(@text.index(@line_end) || @text.size)).chomp(@line_end).chomp("\r")
      raise Grittle::Error, "The file is empty: a header with sand, silt and clay is needed." if @header.strip.empty?

      @separator = SEPARATORS.max_by { |one| @header.count(one) }
    end

    # Yields text without quotes, cut behind a row, or any text with quotes; for the latter the block says how far it
    # came.
    # @yieldparam text [String]
    # @yieldparam last [Boolean] whether nothing follows
    # @yieldreturn [Integer] bytes of a text with quotes that were used; the rest comes again with what follows
    def each(&)
      last = @text.empty? && @input.eof?
      until last
        last = @input.eof?
        @text = @text.byteslice(used(last, &)..)
        @text << @input.read(SIZE) unless last
      end
    end

    private

    def used(last)
      return yield(@text, last) if @text.include?('"')

      whole = last ? @text.bytesize : @text.rindex(@line_end).to_i + 1
      if whole == 1 && @text.bytesize > LONGEST
        raise Grittle::Error,
              "A row has more than #{LONGEST} bytes. Is this a CSV?"
      end
      return 0 if whole == 1 && !@text.start_with?(@line_end)

      yield @text.byteslice(0, whole), last
      whole
    end
  end
end
