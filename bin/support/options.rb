# frozen_string_literal: true

require "optparse"
require_relative "place"

# What bin/start may be told.
module StartOptions
  PORT = 4600

  # @return [Hash] :port, :empty
  # @raise [Stop]
  def self.parse(arguments)
    options = { port: PORT, empty: false }
    parser = OptionParser.new do |o|
      o.banner = "Usage: bin/start [--port N] [--empty]"
      o.on("--port N", Integer, "the page's port on 127.0.0.1 (#{PORT})") { |port| options[:port] = port }
      o.on("--empty", "do not load the demo into an empty database") { options[:empty] = true }
    end
    parser.parse!(arguments)
    raise Stop, "A port is a number from 1 to 65535, not #{options[:port]}." unless options[:port].between?(1, 65_535)

    options
  rescue OptionParser::ParseError => e
    raise Stop, "#{e.message.capitalize}. #{parser.banner}"
  end
end
