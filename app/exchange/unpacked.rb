# frozen_string_literal: true

require "stringio"
require "tempfile"

module Exchange
  # The files of a ZIP that was sent, read with limits: what it says of its own sizes is not trusted. Names only choose
  # what is read; nothing is ever written under one.
  class Unpacked
    MOST_FILES = 5_000
    MOST_BYTES = 400 * 1024 * 1024
    # Text packs to a tenth, perhaps a fiftieth; what unfolds to more is made to fill a disk.
    MOST_RATIO = 120
    RATIO_FROM_BYTES = 5 * 1024 * 1024
    # Bytes of packed text at a time: they may unfold to a thousand times as much before anything is counted.
    PIECE = 16 * 1024
    DAMAGED = "The ZIP is damaged or cut off."
    UNREADABLE = [
      ZipKit::FileReader::ReadError,
      ZipKit::FileReader::MissingEOCD,
      ZipKit::FileReader::LocalHeaderPending,
      ZipKit::FileReader::UnsupportedFeature,
      Zlib::Error,
      EOFError,
      RangeError
    ].freeze

    # @param io [IO, StringIO]
    # @raise [Unreadable]
    def initialize(io)
      @io = io
      @packed = io.size
      @left = MOST_BYTES
      @counted = {}
      @entries = ZipKit::FileReader.read_zip_structure(io: @io)
      refuse("The ZIP holds more than #{MOST_FILES} files.") if @entries.size > MOST_FILES
      @by_name = @entries.to_h { |entry| [entry.filename, entry] }
    rescue *UNREADABLE
      refuse(DAMAGED)
    end

    # @return [Array<String>]
    def names = @entries.map(&:filename)

    # @param name [String]
    # @return [String, nil] the file's bytes
    # @raise [Unreadable]
    def [](name)
      text = +"".b
      pieces(name) { |piece| text << piece } && text
    end

    # Into a file of its own, which goes with the process.
    # @param name [String]
    # @return [Tempfile, nil]
    # @raise [Unreadable]
    def unfold(name)
      return unless @by_name.key?(name)

      Tempfile.new("grittle").tap do |file|
        file.unlink # nobody else finds it
        file.binmode
        pieces(name) { |piece| file.write(piece) }
        file.set_encoding("UTF-8")
      end
    end

    private

    # @return [Boolean, nil] nil where there is no such file
    def pieces(name)
      entry = @by_name[name] or return
      size = crc = 0
      extractor = entry.extractor_from(@io)
      until extractor.eof?
        piece = extractor.extract(PIECE) || refuse(DAMAGED) # nothing left, though it is not whole
        check(size += piece.bytesize, entry)
        crc = Zlib.crc32(piece, crc)
        yield piece
      end
      refuse(DAMAGED) unless crc == entry.crc32
      count(name, size)
    rescue *UNREADABLE
      refuse("#{name} in the ZIP cannot be unpacked.")
    end

    # Read again, a file counts once.
    def count(name, size)
      @left -= size unless @counted[name]
      @counted[name] = true
    end

    def check(size, entry)
      refuse("The ZIP unfolds to more than #{MOST_BYTES / 1024 / 1024} MB.") if size > @left
      return if size < RATIO_FROM_BYTES || size <= MOST_RATIO * [entry.compressed_size, @packed].min

      refuse("The ZIP unfolds to more than #{MOST_RATIO} times its size: it is no fieldbook.")
    end

    def refuse(sentence) = raise(Unreadable, sentence)
  end
end
