# frozen_string_literal: true

module Exchange
  # A file that was sent, told by its content: a package, a JSON fieldbook, sites as GeoJSON, or a table of horizons.
  module ImportFile
    FORMATS = { "package" => "Package of tables", "json" => "JSON fieldbook", "geojson" => "Sites as GeoJSON",
                "table" => "Table of horizons" }.freeze
    # Bytes: ten thousand sites take far less.
    MOST_GEOJSON_BYTES = 8 * 1024 * 1024
    # A fieldbook's rows hold an assessment at the deepest.
    MOST_NESTING = 24

    module_function

    # @param file [String, IO] its bytes, or where they are read
    # @param name [String] of the file
    # @return [Array] the format, and a FieldbookImport, SitePoints or HorizonTable
    # @raise [Unreadable]
    def call(file, name)
      file = StringIO.new(file) if file.is_a?(String)
      file.rewind
      start = file.read(64).to_s.b
      file.rewind
      raise Unreadable, "The file is empty." if start.empty?
      return ["package", package(file)] if start.start_with?("PK\x03\x04".b)

      bytes = file.read.b
      return json(bytes) if start.lstrip.delete_prefix("\uFEFF".b).lstrip.start_with?("{")

      ["table", HorizonTable.new(bytes, name: title(name))]
    end

    def package(file)
      zip = Unpacked.new(file)
      described =
        parse(zip["datapackage.json"] || refuse("The ZIP has no datapackage.json: it is no package of Grittle."))
      check_version(described["version"])
      rows = Tables::ALL.filter_map { |table| (csv = zip.unfold("#{table.name}.csv")) && [table, csv] }
      FieldbookImport.new(rows.to_h { |table, csv| [table.name, TableRows.new(table, csv)] }, Pictures.new(zip))
    end

    # The pictures of a package by their digests, unpacked when one is asked for.
    class Pictures
      def initialize(zip)
        @zip = zip
        @names = zip.names.filter_map do |name|
          (digest = name[%r{\Aphotos/(\h{64})\.(jpg|png|webp)\z}, 1]) && [digest, name]
        end.to_h
      end

      # @return [String, nil] bytes
      def [](digest) = @names.key?(digest) ? @zip[@names[digest]] : nil
    end

    # Rows of a JSON fieldbook, which are read at once, about 1 kB of memory each. [our own]
    MOST_ROWS = 250_000

    def json(bytes)
      if bytes.count("{") > MOST_ROWS
        refuse(
          "The file has more than #{MOST_ROWS} rows. Export and import it as a package, or one site at a time."
        )
      end
      if bytes[0, 4096].include?('"FeatureCollection"') && bytes.bytesize > MOST_GEOJSON_BYTES
        refuse("A GeoJSON of sites has at most #{MOST_GEOJSON_BYTES / 1024 / 1024} MB.")
      end
      book = parse(bytes)
      return ["geojson", SitePoints.new(list(book["features"], "features"))] if book["type"] == "FeatureCollection"

      unless book["format"] == JsonBook::FORMAT
        refuse(
          "This JSON is neither a Grittle fieldbook nor a GeoJSON of sites."
        )
      end
      check_version(book["version"])
      ["json", book(book)]
    end

    def book(book)
      rows = Tables::ALL.to_h do |table|
        [table.name, list(book[table.name] || [], table.name).map do |row|
          row.is_a?(Hash) ? row : refuse("#{table.name} holds something else than rows.")
        end]
      end
      pictures = rows["photos"].to_h { |row| [row["digest"], Base64.decode64(row["data"].to_s)] }
      rows["photos"] = rows["photos"].map { |row| row.except("data") }
      FieldbookImport.new(rows, pictures)
    end

    def list(value, name) = value.is_a?(Array) ? value : refuse("“#{name}” must be a list.")

    def parse(text)
      JSON.parse(text.dup.force_encoding("UTF-8").delete_prefix("\uFEFF"), max_nesting: MOST_NESTING)
          .then { |found| found.is_a?(Hash) ? found : refuse("The JSON must be an object.") }
    rescue JSON::ParserError, ArgumentError
      refuse("The file is no valid JSON.")
    end

    def check_version(version)
      return if version == VERSION

      refuse(
        "This file was written as version “#{Grittle::Spoken.of(version)}”; this Grittle reads version #{VERSION}."
      )
    end

    # A name for what has none, without any path.
    def title(name)
      File.basename(name.to_s.tr("\\", "/"), ".*").gsub(/[^\p{L}\p{N} ._()-]/, "")[0, 100].presence || "Imported"
    end

    def refuse(sentence) = raise(Unreadable, sentence)
    private_class_method :package, :json, :book, :list, :parse, :check_version, :refuse
  end
end
