# frozen_string_literal: true

# Time, time to the first piece, and memory of exporting 2,000 and 20,000 horizons, each with a reading, as package and
# as JSON, from a database of its own. Flat memory means that ten times the horizons take hardly more of it.
#
#   BUNDLE_GEMFILE=Gemfile BUNDLE_PATH=vendor/bundle ruby --yjit -rbundler/setup bench/export.rb

require_relative "filled"

HORIZONS = [2000, 20_000].freeze

# @return [Integer] MB this process holds
def resident = File.read("/proc/self/status")[/VmRSS:\s+(\d+)/, 1].to_i / 1024
def now = Process.clock_gettime(Process::CLOCK_MONOTONIC)

def export(writer)
  before = peak = resident
  started = now
  first = nil
  bytes = 0
  writer.new(Exchange::Scope.new("fieldbook")).each do |piece|
    first ||= now - started
    bytes += piece.bytesize
    peak = [peak, resident].max if rand < 0.01
  end
  { seconds: now - started, first: first, grown: peak - before, mb: bytes / 1e6 }
end

Filled.connect
grown = HORIZONS.map do |count|
  Filled.horizons(count)
  GC.start
  [Exchange::Package, Exchange::JsonBook].map do |writer|
    took = export(writer)
    puts format("%6d horizons as %-9s %5.1f s, the first piece after %.2f s, %5.1f MB written, memory +%d MB", count,
                writer.name.split("::").last, *took.values_at(:seconds, :first, :mb, :grown))
    took[:grown]
  end.max
end
puts format("ten times the horizons: %+d MB of memory", grown.last - grown.first)
