# frozen_string_literal: true

# The second opinion's time on one core: loading the core, the estimate alone, and a full assessment with suggestions;
# with ruby --yjit bench/evidence.rb as bin/start serves.

started = Process.clock_gettime(Process::CLOCK_MONOTONIC)
require_relative "../core/lib/grittle"
loaded = Process.clock_gettime(Process::CLOCK_MONOTONIC) - started
require_relative "median"

COUNT = 101
# ms, and s for loading: what the second opinion may take.
TARGETS = { load: 0.3, without: 12.0, full: 25.0 }.freeze
FELT = { "ball_holds" => true, "ribbons" => [41, 44, 39].map { |mm| { "length_mm" => mm } }, "wet_rub" => "neither",
         "grittiness" => "moderate", "stickiness" => "moderately", "mould_feel" => "doughy" }.freeze

Grittle.assess(FELT).to_h
without = median(COUNT) { Grittle.assess(FELT, evidence: "estimate").to_h }
full = median(COUNT) { Grittle.assess(FELT).to_h }
puts format("core loaded: %.2f s (%.2f of the target)", loaded, loaded / TARGETS[:load])
puts format("assessment with the estimate: %.1f ms (%.2f of the target)", without, without / TARGETS[:without])
puts format("assessment with suggestions: %.1f ms (%.2f of the target)", full, full / TARGETS[:full])
