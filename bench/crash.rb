# frozen_string_literal: true

# Whether an answer that was given as saved is kept when the application, the database or both are killed (-9) in the
# middle of 200 saves, and is kept once:
#
#   BUNDLE_GEMFILE=Gemfile BUNDLE_PATH=vendor/bundle ruby -rbundler/setup bench/crash.rb [runs]
#
# Ten runs of each, on a database of its own with the settings of bin/start.

require "trilogy"
require_relative "../bin/support/maria_db"
require_relative "../bin/support/gems"
require_relative "../bin/support/server"
require_relative "saves"

RUNS = Integer(ARGV[0] || 10)
# Killed once so many are answered, another number in each run.
MIDDLE = (60..140)

# @return [Hash{Float=>Integer}] how often each number is kept
def kept(url)
  uri = URI(url)
  client = Trilogy.new(host: uri.host, port: uri.port, username: uri.user, password: uri.password,
                       database: uri.path.delete_prefix("/"))
  rows = client.query("SELECT value FROM answers WHERE observation = 'sand_estimate'").rows
  client.close
  rows.map { |(value)| JSON.parse(value)["percent"].round(3) }.tally
end

FileUtils.rm_rf(File.join(Place::VAR, "bench_crash"))
database = MariaDb.new("bench_crash").start
application = Server.new({ **Gems.env(with_tests: true), "DATABASE_URL" => database.url }).start
KILLED = {
  "the application" => -> { application.kill },
  "MariaDB" => -> { database.kill },
  "both" => -> { [application, database].each(&:kill) }
}.freeze
BEGUN = {
  "the application" => -> { application.start },
  "MariaDB" => -> { database.start },
  "both" => lambda {
    database.start
    application.start
  }
}.freeze

seed = 0
failed = false
begin
  KILLED.each do |what, kill|
    found = Array.new(RUNS) do |run|
      saves = Saves.new([application.address], seed += 1)
      middle = Random.new(run).rand(MIDDLE)
      saves.run do
        sleep 0.001 while saves.answered < middle
        kill.call
        BEGUN[what].call
      end
      counts = kept(database.url).values_at(*saves.numbers.map { |number| number.round(3) })
      { once: counts.count(1), twice: counts.compact.count { |count| count > 1 }, again: saves.again }
    end
    failed ||= found.any? { |run| run[:once] < Saves::COUNT }
    puts format("%-16s %d runs: %s of %d kept once, %d twice; tried again %d times", what, RUNS,
                found.map { |run| run[:once] }.minmax.uniq.join(" to "), Saves::COUNT,
                found.sum { |run| run[:twice] }, found.sum { |run| run[:again] })
  end
ensure
  application.stop
  database.stop
end
exit 1 if failed
