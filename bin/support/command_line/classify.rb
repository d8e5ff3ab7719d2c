# frozen_string_literal: true

require_relative "options"

module CommandLine
  # `grittle classify`: a CSV with sand, silt and clay in, the same CSV with a class column a system out. Reads and
  # writes row by row, so memory does not grow with the file; a row's own text is passed on untouched.
  class Classify
    PARTS = %i[sand silt clay].freeze
    PROBLEM_COLUMN = "texture_problem"

    # @return [Integer] exit status
    def self.run(arguments, input, output, error)
      CommandLine.guarded(error) do
        options = { systems: ["usda"], near: false }
        parser = OptionParser.new
        parser.on("--system NAMES") { |names| options[:systems] = names.split(",").map(&:strip) }
        parser.on("--near") { options[:near] = true }
        file, *extra = parser.parse(arguments)
        raise OptionParser::NeedlessArgument, extra.join(" ") unless extra.empty?

        file ? File.open(file) { |csv| new(csv, output, **options).run } : new(input, output, **options).run
      end
    end

    def initialize(input, output, systems:, near:)
      @input = input
      @output = output
      @triangles = systems.map { |system| Grittle.triangle(system) }
      @near = near
      @bad = 0
    end

    # @return [Integer] exit status
    def run
      header = next_row or raise Grittle::Error, "The file is empty: a header with sand, silt and clay is needed."
      find_columns(header)
      added = [*@triangles.map { |triangle| "texture_#{triangle.id}" }, PROBLEM_COLUMN]
      @output.write(header.delete_prefix("\uFEFF"), ",", added.join(","), "\n")
      while (row = next_row)
        write(row)
      end
      @bad.zero? ? 0 : BAD_ROWS
    rescue Errno::EPIPE # the reader, such as head, has seen enough
      0
    end

    private

    # One record without its line end. A quoted field may span lines: read on until the quotes are closed.
    def next_row
      row = @input.gets&.scrub or return
      row << @input.gets.scrub while row.count('"').odd? && !@input.eof?
      row.chomp
    end

    def find_columns(header)
      names = fields(header.delete_prefix("\uFEFF")).map { |name| name.to_s.strip.downcase }
      @columns = PARTS.map { |part| names.index(part.to_s) }
      twice = PARTS.find { |part| names.count(part.to_s) > 1 }
      raise Grittle::Error, "The column #{twice} stands twice in the header." if twice
      return if @columns.compact.size >= 2

      raise Grittle::Error, "The header needs at least two of the columns sand, silt and clay; it has: #{names.join(', ')}."
    end

    def fields(row)
      return row.split(",", -1) unless row.include?('"')

      require "csv"
      CSV.parse_line(row) || []
    end

    def write(row)
      return @output.write(row, "\n") if row.empty? || row.strip.empty?

      @output.write("#{row},#{classes(fields(row)).join(',')},\n")
    rescue Grittle::InvalidInput, CSV_ERROR => e
      @bad += 1
      @output.write(row, "," * (@triangles.size + 1), '"', e.message.tr('"', "'"), "\"\n")
    end

    # The csv library is loaded only for quoted rows; its error has no name before.
    CSV_ERROR = Class.new do
      def self.===(error) = defined?(CSV::MalformedCSVError) && error.is_a?(CSV::MalformedCSVError)
    end
    private_constant :CSV_ERROR

    def classes(values)
      sand, silt, clay = @columns
      composition = Grittle::Composition.new(sand: sand && number(values[sand]), silt: silt && number(values[silt]),
                                             clay: clay && number(values[clay]))
      return @triangles.map { |triangle| triangle.near(composition).first(2).map(&:code).join("/") } if @near

      @triangles.map { |triangle| triangle.classify(composition).code }
    end

    # A blank cell is a part not given; anything else must be a number. Left as text, Composition refuses it by name.
    def number(text)
      return if text.nil?

      Float(text, exception: false) || (text unless text.strip.empty?)
    end
  end
end
