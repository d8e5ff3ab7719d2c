# frozen_string_literal: true

require "zip_kit"

module Exchange
  # The tables as CSV files in a ZIP, described by datapackage.json (Frictionless Data Package), with the photographs.
  # Written as a stream.
  class Package
    MEDIA_TYPE = "application/zip"
    # Bytes of lines that are packed at once.
    PIECE = 65_536

    # @param scope [Scope]
    def initialize(scope)
      @scope = scope
    end

    # @return [Enumerable<String>] pieces of the file
    def each(&)
      ZipKit::OutputEnumerator.new { |zip| write(zip) }.each(&)
    end

    # @return [Hash] the descriptor. [published: Frictionless Data Package v1]
    def self.descriptor
      {
        "profile" => "tabular-data-package",
        "name" => "grittle-fieldbook",
        "version" => VERSION,
        "rules_version" => Grittle::RULES_VERSION,
        "resources" => Tables::ALL.map { |table| resource(table) }
      }
    end

    def self.resource(table)
      keys = table.columns.select { |column| column.kind == :ref }.map do |column|
        { "fields" => column.name, "reference" => { "resource" => column.to, "fields" => "id" } }
      end
      fields =
        table.columns.map do |column|
          { "name" => column.name, "type" => column.type, "description" => column.about }.compact
        end
      {
        "name" => table.name,
        "path" => "#{table.name}.csv",
        "profile" => "tabular-data-resource",
        "encoding" => "utf-8",
        "description" => table.about,
        "schema" => {
          "fields" => fields,
          "primaryKey" => "id",
          "foreignKeys" => keys
        }
      }
    end
    private_class_method :resource

    private

    def write(zip)
      zip.write_deflated_file("datapackage.json") { |out| out << JSON.pretty_generate(self.class.descriptor) }
      Tables::ALL.each { |table| zip.write_deflated_file("#{table.name}.csv") { |out| csv(out, table) } }
      @scope.relation(Tables::BY_NAME["photos"]).distinct.find_each { |photo| picture(zip, photo) }
    end

    def csv(out, table)
      looks = Cells.looks(table.columns)
      lines = Cells.header(table.columns)
      Rows.new(table, @scope.relation(table)).each_values do |values|
        lines << Cells.line(values, looks)
        next if lines.bytesize < PIECE

        out << lines
        lines = +""
      end
      out << lines
    end

    def picture(zip, photo)
      return if (@pictures ||= {})[photo.digest]

      @pictures[photo.digest] = true
      return unless File.file?(photo.path)

      zip.write_stored_file("photos/#{File.basename(photo.path)}") do |out|
        out << File.binread(photo.path)
      end
    end
  end
end
