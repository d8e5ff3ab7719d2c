# frozen_string_literal: true

require "base64"

module Exchange
  # Everything as one JSON object: a list of rows under each table's name, photographs in base64. Written as a stream;
  # described by docs/exchange-schema.json.
  class JsonBook
    MEDIA_TYPE = "application/json"
    FORMAT = "grittle-fieldbook"

    # @param scope [Scope]
    def initialize(scope)
      @scope = scope
    end

    # @yieldparam piece [String]
    def each(&)
      yield %({"format":"#{FORMAT}","version":"#{VERSION}","rules_version":"#{Grittle::RULES_VERSION}")
      Tables::ALL.each do |table|
        yield %(,\n"#{table.name}":[)
        lines(table, &)
        yield "]"
      end
      yield "}\n"
    end

    # @return [Hash] JSON Schema of the file. [published: JSON Schema 2020-12]
    def self.schema
      tables = Tables::ALL.to_h do |table|
        properties = table.columns.to_h { |column| [column.name, property(column)] }
        if table.name == "photos"
          properties["data"] = {
            "type" => %w[string null],
            "description" => "The picture, base64"
          }
        end
        [table.name, { "type" => "array", "description" => table.about,
                       "items" => { "type" => "object", "additionalProperties" => false, "required" => ["id"],
                                    "properties" => properties } }]
      end
      {
        "$schema" => "https://json-schema.org/draft/2020-12/schema",
        "title" => "A Grittle fieldbook",
        "type" => "object",
        "required" => %w[format version],
        "properties" => {
          "format" => {
            "const" => FORMAT
          },
          "version" => {
            "const" => VERSION
          },
          "rules_version" => {
            "type" => "string"
          },
          **tables
        }
      }
    end

    def self.property(column)
      types = { "datetime" => "string", "object" => nil }.fetch(column.type, column.type)
      words = column.field&.words&.keys
      {
        "type" => types && [types, "null"],
        "format" => ("date-time" if column.type == "datetime"),
        "enum" => words && [*words, nil],
        "description" => column.about
      }.compact
    end
    private_class_method :property

    private

    # Many lines go out as one piece.
    PIECE = 16_384
    private_constant :PIECE

    def lines(table)
      columns = table.columns.each_with_index.map do |column, at|
        name = %(#{at.zero? ? '{' : ','}"#{column.name}":)
        [name, "#{name}null", look(column.kind)]
      end
      piece = +""
      between = "\n"
      Rows.new(table, @scope.relation(table)).each_values do |values|
        piece << between
        line(piece, columns, values)
        piece << %(,"data":) << JSON.generate(picture(values.first)) if table.name == "photos"
        piece << "}"
        between = ",\n"
        next if piece.bytesize < PIECE

        yield piece
        piece = +""
      end
      yield piece unless piece.empty?
    end

    # @return [#[], nil] nil for what looks as it is: numbers, and what is JSON already
    def look(kind)
      case kind
      when :time then ->(value) { %("#{value}") }
      when :text, :person, :field, :derived then Looks.new { |value| JSON.generate(value) }
      end
    end

    # The members of a row, from its brace on.
    def line(piece, columns, values)
      place = 0
      columns.each do |name, nothing, look|
        value = values[place]
        place += 1
        if value.nil? then piece << nothing
        elsif look then piece << name << look[value]
        else piece << name << value.to_s
        end
      end
    end

    def picture(id)
      path = Photo.find(id).path
      File.file?(path) ? Base64.strict_encode64(File.binread(path)) : nil
    end
  end
end
