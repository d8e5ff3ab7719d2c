# frozen_string_literal: true

require "json"
require_relative "options"

module CommandLine
  # `grittle compute NAME`: a JSON document a line on standard input, an answer a line on standard output; without a
  # name, the calculations there are.
  module Compute
    # @return [Integer] exit status
    def self.run(arguments, input, output, error)
      CommandLine.guarded(error) do
        help = arguments.delete("--help")
        name = arguments.shift or next list(output)
        calculation = Grittle::Compute::ALL[name] || Grittle::Compute.run(name, {})
        next explain(calculation, output) if help

        lines(name, input, output)
      rescue Errno::EPIPE
        0
      end
    end

    def self.list(output)
      width = Grittle::Compute::ALL.keys.map(&:size).max
      Grittle::Compute::ALL.each_value { |one| output.puts "#{one.name.ljust(width)}  #{one.says}" }
      0
    end

    def self.explain(calculation, output)
      output.puts "#{calculation.says}. In, and out:"
      output.puts JSON.generate(calculation.example)
      output.puts JSON.generate(Grittle::Compute.run(calculation.name, calculation.example))
      0
    end

    def self.lines(name, input, output)
      bad = false
      input.each_line do |line|
        next if line.strip.empty?

        answer = answer(name, line)
        bad ||= answer.key?("problem")
        output.puts JSON.generate(answer)
      end
      bad ? BAD_ROWS : 0
    end

    def self.answer(name, line)
      Grittle::Compute.run(name, JSON.parse(line.scrub("?")))
    rescue JSON::ParserError
      { "problem" => "The line is no JSON document." }
    rescue Grittle::Error => e
      { "problem" => e.message }
    end
    private_class_method :list, :explain, :lines, :answer
  end
end
