# frozen_string_literal: true

require "json"
require_relative "options"

module CommandLine
  # `grittle interpret`: a described profile as JSON on standard input, what it means for water, roots and work on
  # standard output.
  module Interpret
    # @return [Integer] exit status
    def self.run(_arguments, input, output, error)
      CommandLine.guarded(error) do
        profile = JSON.parse(input.read.to_s.scrub("?"))
        next refuse(error) unless profile.is_a?(Hash) && profile["horizons"].is_a?(Array)

        output.puts JSON.generate(Grittle.interpret(profile))
        0
      rescue JSON::ParserError
        refuse(error)
      rescue Errno::EPIPE
        0
      end
    end

    def self.refuse(error)
      error.puts "grittle: Standard input is no profile: give a JSON object with a list of horizons."
      BAD_INPUT
    end
    private_class_method :refuse
  end
end
