# frozen_string_literal: true

# The server's process, started by bin/start with the gems in its environment: brings the database up to date, says on
# the terminal what stands in the way, then serves with its output going to the log.

require_relative "place"
require_relative "../../db/prepare"

begin
  Prepare.run(demo: !ARGV.include?("--empty"))
rescue Prepare::Refused => e
  warn "grittle: #{e.message}"
  exit!(ALREADY_SAID)
end

[$stdout, $stderr].each { |stream| stream.reopen(File.join(Place::LOGS, "server.log"), "a") }
$stdout.sync = true
require "puma/cli"
Puma::CLI.new(["-C", Place.at("config/puma.rb"), Place.at("config.ru")]).run
