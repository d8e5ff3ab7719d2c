# frozen_string_literal: true

# What requests of a running server take beside the assessment with suggestions in a process of its own, as ratios of one run; the
# server should be idle otherwise:
#   ruby --yjit bench/requests.rb [http://127.0.0.1:4600]

require "json"
require "net/http"
require "securerandom"
require_relative "../core/lib/grittle"
require_relative "median"

BASE = URI(ARGV[0] || "http://127.0.0.1:4600")
COUNT = 41
FELT = { "ball_holds" => true, "ribbons" => [41, 44, 39].map { |mm| { "length_mm" => mm } }, "wet_rub" => "neither",
         "grittiness" => "moderate", "stickiness" => "moderately", "mould_feel" => "doughy",
         "sand_estimate" => { "percent" => 30.0, "half_width" => 6 } }.freeze
# The most that each may take, times the assessment.
AT_MOST = 1.5

http = Net::HTTP.start(BASE.host, BASE.port)
write = lambda do |verb, path, body|
  request = verb.new(path, "content-type" => "application/json", "idempotency-key" => SecureRandom.uuid)
  request.body = JSON.generate(body)
  answer = http.request(request)
  raise "#{path}: #{answer.code} #{answer.body[0, 200]}" unless answer.is_a?(Net::HTTPSuccess)

  JSON.parse(answer.body)
end

# A reading with what was felt, as a bench has it before the next answer.
begin_reading = lambda do
  reading = write.call(Net::HTTP::Post, "/api/readings", {})
  path = "/api/readings/#{reading['id']}"
  reading = write.call(Net::HTTP::Patch, path, { version: reading["version"], answers: FELT.except("ribbons") })
  FELT["ribbons"].each do |ribbon|
    reading = write.call(Net::HTTP::Post, "#{path}/ribbons", { version: reading["version"], length: ribbon["length_mm"], unit: "mm" })
  end
  [path, reading]
end
# Answers that a reading gets before the next is begun.
ANSWERS = 12

20.times { Grittle.assess(FELT).to_h } # warm
assessment = median(COUNT) { Grittle.assess(FELT).to_h }
path = reading = nil
given = ANSWERS
# Another number each time, so that no assessment was made before, in an earlier run either.
percent = 20 + rand(20.0)
answer = lambda do
  changed = { sand_estimate: { percent: percent += 0.0137, half_width: 6 } }
  reading = write.call(Net::HTTP::Patch, path, { version: reading["version"], answers: changed })
end
prepare = lambda do
  next if (given += 1) < ANSWERS

  given = 0
  path, reading = begin_reading.call
end
{
  "one answer" => [answer, prepare],
  "reading that has not changed" => [-> { http.get(path) }],
  "profile with five horizons" => [-> { http.get("/api/profiles/1") }],
  "first page of the fieldbook" => [-> { http.get("/api/sites") }]
}.each do |what, (request, before)|
  times = Array.new(COUNT + 20) do
    before&.call
    median(1, &request)
  end
  took = times.drop(20).sort[COUNT / 2]
  puts format("%-28s %6.1f ms, %.2f times the assessment of %.1f ms (at most %.1f)", what, took, took / assessment, assessment, AT_MOST)
end
