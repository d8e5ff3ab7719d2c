# frozen_string_literal: true

# Time and memory of importing packages of 500 and 5,000 horizons, each with a reading, into a database of its own:
# checked and taken in. Flat memory means that ten times the horizons take hardly more of it.
#
#   BUNDLE_GEMFILE=Gemfile BUNDLE_PATH=vendor/bundle ruby --yjit -rbundler/setup bench/import.rb

require "tmpdir"
require_relative "filled"

HORIZONS = [500, 5000].freeze
ENV["GRITTLE_FILES"] = Dir.mktmpdir
at_exit { FileUtils.rm_rf(ENV.fetch("GRITTLE_FILES")) }

# @return [Integer] MB this process holds
def resident = File.read("/proc/self/status")[/VmRSS:\s+(\d+)/, 1].to_i / 1024
def now = Process.clock_gettime(Process::CLOCK_MONOTONIC)

# In a process of its own, whose memory begins afresh.
def import(path)
  reader, writer = IO.pipe
  child = fork do
    Database.connect
    GC.start
    before = peak = resident
    started = now
    import = File.open(path, "rb") { |file| Exchange::Import.open(file, "bench.zip") }
    checked = now
    import.source.take_in { peak = [peak, resident].max if rand < 0.01 }
    writer.write(JSON.generate(rows: import.source.total, checked: checked - started, taken: now - checked,
                               grown: [peak, resident].max - before))
    exit!(0)
  end
  writer.close
  found = JSON.parse(reader.read)
  Process.wait(child)
  found
end

Filled.connect
grown = HORIZONS.map do |count|
  Filled.horizons(count)
  path = File.join(ENV.fetch("GRITTLE_FILES"), "#{count}.zip")
  package = Exchange::Package.new(Exchange::Scope.new("fieldbook"))
  File.open(path, "wb") { |file| package.each { |piece| file << piece } }
  ActiveRecord::Base.connection_handler.clear_all_connections!(:all)
  took = import(path)
  puts format("%6d horizons, %d rows, %.1f MB: checked in %.1f s, taken in %.1f s, memory +%d MB", count,
              *took.values_at("rows"), File.size(path) / 1e6, *took.values_at("checked", "taken", "grown"))
  Database.connect
  took["grown"]
end
puts format("ten times the horizons: %+d MB of memory", grown.last - grown.first)
