# frozen_string_literal: true

require "json"
require_relative "options"

module CommandLine
  # `grittle assess`: observations as JSON on standard input, the assessment as JSON on standard output. One object may
  # span lines; several objects, one a line, give one assessment a line.
  module Assess
    # @return [Integer] exit status
    def self.run(arguments, input, output, error)
      CommandLine.guarded(error) do
        options = parse(arguments)
        text = input.read.to_s
        documents(text).each { |observations| output.puts JSON.generate(Grittle.assess(observations, **options).to_h) }
        0
      rescue JSON::ParserError
        error.puts "grittle: Standard input is not JSON: give one object of observations, or one a line."
        BAD_INPUT
      rescue Errno::EPIPE
        0
      end
    end

    def self.parse(arguments)
      options = {}
      OptionParser.new do |parser|
        parser.on("--system NAME") { |name| options[:system] = name }
        parser.on("--curve NAME") { |name| options[:curve] = name }
        parser.on("--key NAME") { |name| options[:key] = name }
        parser.on("--limits NAME") { |name| options[:limit_set] = name }
        parser.on("--ribbon-counts-from NAME") { |name| options[:ribbon_counts_from] = name }
      end.parse!(arguments)
      options
    end

    def self.documents(text)
      [JSON.parse(text)]
    rescue JSON::ParserError
      lines = text.lines.map(&:strip).reject(&:empty?)
      raise if lines.size < 2

      lines.lazy.map { |line| JSON.parse(line) }
    end
    private_class_method :parse, :documents
  end
end
