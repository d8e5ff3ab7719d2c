# frozen_string_literal: true

# Median time of one assessment with all keys (the second opinion has bench/evidence.rb): in this process, and over HTTP
# where a server's address is given:
#   ruby bench/assess.rb [http://127.0.0.1:4600]

require "json"
require "net/http"
require_relative "../core/lib/grittle"
require_relative "median"

COUNT = 300
TARGET = 15.0 # ms over HTTP
OBSERVATIONS = {
  "ball_holds" => true,
  "cast_strength" => "strong",
  "ribbons" => [44, 47, 45].map { |mm| { "length_mm" => mm } },
  "ribbon_character" => "thin",
  "wet_rub" => "neither",
  "grittiness" => "moderate",
  "floury_feel" => "some",
  "sand_estimate" => {
    "percent" => 31.25,
    "half_width" => 6.25
  },
  "stickiness" => "moderately",
  "plasticity" => "moderately",
  "finest_wire_mm" => "3",
  "ring_forms" => true,
  "shine" => "slight",
  "coherence" => "strongly_coherent",
  "rods" => "fracture"
}.freeze

inside = median(COUNT) { Grittle.assess(OBSERVATIONS, evidence: "none").to_h }
puts format("in process: %.1f ms", inside)
exit unless (address = ARGV.first)

uri = URI("#{address}/api/assessments")
body = JSON.generate(observations: OBSERVATIONS, evidence: "none")
Net::HTTP.start(uri.host, uri.port) do |http|
  over = median(COUNT) { http.post(uri.path, body, "content-type" => "application/json") }
  puts format("over HTTP: %.1f ms (%.2f of the target of %d ms)", over, over / TARGET, TARGET)
end
