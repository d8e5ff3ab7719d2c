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

# The network is not opened while somebody could come in without knowing anything.
if ENV["GRITTLE_NETWORK"] == "1"
  weak = Account.open.select(&:weak?)
  lan = !ENV.fetch("GRITTLE_LAN", "").empty?
  if weak.any? || (lan && Account.alone?)
    names = weak.map(&:name).join(", ")
    why = if weak.any?
            "#{names}, of the demo, can come in without a password. Set one for each, or close them: " \
              "bin/account password #{weak.first.login}, bin/account close #{weak.last.login}."
          else
            "nobody has an account yet. Make yours first: on the page “Members”, or with bin/account add."
          end
    warn "grittle: The network stays shut: #{why}"
    exit!(ALREADY_SAID)
  end
  warn "grittle: Nobody has an account. The word for the first one lies in #{Reach::FIRST_WORD_IN}." if Account.alone?
end

[$stdout, $stderr].each { |stream| stream.reopen(File.join(Place::LOGS, "server.log"), "a") }
$stdout.sync = true
require "puma/cli"
Puma::CLI.new(["-C", Place.at("config/puma.rb"), Place.at("config.ru")]).run
