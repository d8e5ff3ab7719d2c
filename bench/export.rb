# frozen_string_literal: true

# Memory and time of exporting 1000 and 10,000 horizons, each with a reading, as package and as JSON, from a database of its own.
# Flat memory means that ten times the horizons take hardly more of it.
#
#   BUNDLE_GEMFILE=Gemfile BUNDLE_PATH=vendor/bundle ruby -rbundler/setup bench/export.rb

require_relative "../bin/support/maria_db"
database = MariaDb.new("bench", fleeting: true).start
ENV["DATABASE_URL"] = database.url
at_exit { database.stop }

require_relative "../app/database"
require_relative "../app/models"
require_relative "../app/exchange"
Database.connect
Database.migrate

HORIZONS = [1000, 10_000].freeze
PER_PROFILE = 5

# @return [Integer] MB this process holds
def resident = File.read("/proc/self/status")[/VmRSS:\s+(\d+)/, 1].to_i / 1024

def fill(count)
  method = Profile::METHOD_DEFAULTS
  result = { "key" => method[:key], "system" => "usda", "outcomes" => [] }
  site = Site.make(name: "Bench")
  (count / PER_PROFILE).times do |number|
    profile = Profile.create!(site: site, name: "P#{number}", kind: "pit", **method)
    PER_PROFILE.times do |layer|
      horizon = Horizon.create!(profile: profile, designation: "B#{layer}", upper_cm: layer * 20, lower_cm: (layer + 1) * 20)
      reading = Reading.begin(horizon: horizon)
      Answer.create!(reading: reading, observation: "ball_holds", value: true, given_at: Time.now.utc)
      Assignment.create!(reading: reading, code: "CL", rules_version: "bench", result: result, assigned_at: Time.now.utc)
    end
  end
end

def export(writer)
  started = Process.clock_gettime(Process::CLOCK_MONOTONIC)
  before = resident
  peak = before
  bytes = 0
  writer.new(Exchange::Scope.new("fieldbook")).each do |piece|
    bytes += piece.bytesize
    peak = [peak, resident].max if rand < 0.01
  end
  { seconds: Process.clock_gettime(Process::CLOCK_MONOTONIC) - started, grown: peak - before, mb: bytes / 1e6 }
end

made = 0
grown = HORIZONS.map do |count|
  ActiveRecord::Base.transaction { fill(count - made) }
  made = count
  GC.start
  [Exchange::Package, Exchange::JsonBook].map do |writer|
    took = export(writer)
    puts format("%6d horizons as %-9s %5.1f s, %5.1f MB written, memory +%d MB", count, writer.name.split("::").last, took[:seconds],
                took[:mb], took[:grown])
    took[:grown]
  end.max
end
puts format("ten times the horizons: %+d MB of memory", grown.last - grown.first)
