# frozen_string_literal: true

require "optparse"
require_relative "place"

# What bin/start may be told.
module StartOptions
  PORT = 4600

  TLS_PORT = 4643

  # @return [Hash] :port, :empty, :lan, :tls_port, :backup_every in hours or nil
  # @raise [Stop]
  def self.parse(arguments)
    options = { port: PORT, empty: false, lan: false, tls_port: TLS_PORT, backup_every: nil }
    parser = OptionParser.new do |o|
      o.banner = "Usage: bin/start [--port N] [--empty] [--lan [--tls-port N]] [--backup-every HOURS]"
      o.on("--port N", Integer, "the page's port on 127.0.0.1 (#{PORT})") { |port| options[:port] = port }
      o.on("--empty", "do not load the demo into an empty database") { options[:empty] = true }
      o.on("--lan", "let phones of the local network in, over TLS") { options[:lan] = true }
      o.on("--tls-port N", Integer, "the port for them (#{TLS_PORT})") { |port| options[:tls_port] = port }
      o.on("--backup-every HOURS", Float, "write a backup so often") { |hours| options[:backup_every] = hours }
    end
    parser.parse!(arguments)
    check(options)
    options
  rescue OptionParser::ParseError => e
    raise Stop, "#{e.message.capitalize}. #{parser.banner}"
  end

  def self.check(options)
    wrong = options.values_at(:port, :tls_port).grep_v(1..65_535).first
    raise Stop, "A port is a number from 1 to 65535, not #{wrong}." if wrong
    raise Stop, "--port and --tls-port are two." if options[:port] == options[:tls_port]
    return if options[:backup_every].nil? || options[:backup_every] >= 0.1

    raise Stop, "A backup is written every 0.1 hours at most, not every #{options[:backup_every]}."
  end
  private_class_method :check
end
