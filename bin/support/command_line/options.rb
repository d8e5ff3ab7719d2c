# frozen_string_literal: true

require "optparse"

# The commands of bin/grittle.
module CommandLine
  # Exit statuses, as on the wire page of the docs: 1 = some rows were bad, 2 = the input or the call was.
  BAD_ROWS = 1
  BAD_INPUT = 2

  # Runs a command and turns what the user got wrong into one sentence on standard error.
  # @return [Integer] exit status
  def self.guarded(err)
    yield
  rescue OptionParser::ParseError, Grittle::Error, SystemCallError => e
    err.puts "grittle: #{e.message}"
    BAD_INPUT
  rescue Interrupt
    130
  end
end
