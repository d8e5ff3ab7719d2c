# frozen_string_literal: true

require_relative "options"

module CommandLine
  # `grittle keys`: the keys, each with its system and source.
  module Keys
    # @return [Integer] exit status
    def self.run(_arguments, _input, output, _error)
      Grittle.keys.each { |key| output.puts "#{key::ID}\t#{key::SYSTEM}\t#{key::NAME}\t#{key::SOURCE}" }
      0
    end
  end
end
