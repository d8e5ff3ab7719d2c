# frozen_string_literal: true

# The server's process, started by bin/start with the gems in its environment: brings the database up to date, says on
# the terminal what stands in the way, then serves with its output going to the log.

require_relative "place"
require_relative "../../db/prepare"
require_relative "../../app/reach"

File.umask(0o077) # what the application writes is its owner's alone

begin
  Prepare.run(demo: !ARGV.include?("--empty"))
rescue Prepare::Refused => e
  warn "grittle: #{e.message}"
  exit!(ALREADY_SAID)
end

if Reach.network?
  if Reach.shut
    warn "grittle: The network stays shut: #{Reach.shut}"
    exit!(ALREADY_SAID)
  end
  warn "grittle: Nobody has an account. The word for the first one lies in #{Reach::FIRST_WORD_IN}." if Account.alone?
end

[$stdout, $stderr].each { |stream| stream.reopen(File.join(Place::LOGS, "server.log"), "a") }
$stdout.sync = true
require "puma/cli"
Puma::CLI.new(["-C", Place.at("config/puma.rb"), Place.at("config.ru")]).run
