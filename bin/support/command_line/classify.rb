# frozen_string_literal: true

require_relative "options"
require_relative "chunks"
require_relative "jobs"
require_relative "sheet"

module CommandLine
  # `grittle classify`: a CSV with sand, silt and clay in, the same CSV with a class column a system out. Reads and
  # writes piece by piece, so memory does not grow with the file.
  class Classify
    MOST_JOBS = 16

    # @return [Integer] exit status
    def self.run(arguments, input, output, error)
      CommandLine.guarded(error) do
        options = { systems: ["usda"], near: false, jobs: 1 }
        parser = OptionParser.new
        parser.on("--system NAMES") { |names| options[:systems] = names.split(",").map(&:strip) }
        parser.on("--near") { options[:near] = true }
        parser.on("--jobs COUNT", Integer) { |count| options[:jobs] = count.clamp(1, MOST_JOBS) }
        file, *extra = parser.parse(arguments)
        raise OptionParser::NeedlessArgument, extra.join(" ") unless extra.empty?

        file ? File.open(file) { |csv| new(csv, output, **options).run } : new(input, output, **options).run
      end
    end

    def initialize(input, output, systems:, near:, jobs:)
      @output = output
      @chunks = Chunks.new(input)
      @sheet = Sheet.new(@chunks.header, separator: @chunks.separator, line_end: @chunks.line_end, near: near,
                                         triangles: systems.map { |system| Grittle.triangle(system) })
      @count = jobs
      @bad = 0
    end

    # @return [Integer] exit status
    def run
      @output.binmode
      @output.write(@chunks.header, @sheet.added, "\n")
      @count > 1 ? side_by_side : one_by_one
      (@bad + @sheet.bad).zero? ? 0 : BAD_ROWS
    rescue Errno::EPIPE # the reader, such as head, has seen enough
      0
    end

    private

    def one_by_one
      @chunks.each { |text, last| text.include?('"') ? quoted(text, last) : @output.write(@sheet.plain(text)) }
    end

    # Where a text has quotes, a row may reach beyond it; those are done here, in their turn.
    def side_by_side
      jobs = Jobs.new(@count) { |text| [@sheet.plain(text), @sheet.bad.tap { @sheet.forget }] }
      @chunks.each do |text, last|
        next jobs.give(text) { |answer| keep(answer) } unless text.include?('"')

        jobs.finish { |answer| keep(answer) }
        quoted(text, last)
      end
      jobs.finish { |answer| keep(answer) }
    ensure
      jobs&.close
    end

    def keep((rows, bad))
      @output.write(rows)
      @bad += bad
    end

    def quoted(text, last)
      rows, used = @sheet.quoted(text, last)
      @output.write(rows)
      used
    end
  end
end
