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
         "grittiness" => "moderate", "stickiness" => "moderately", "mould_feel" => "doughy" }.freeze
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

reading = write.call(Net::HTTP::Post, "/api/readings", {})
path = "/api/readings/#{reading['id']}"
answers = FELT.except("ribbons")
reading = write.call(Net::HTTP::Patch, path, { version: reading["version"], answers: answers })
FELT["ribbons"].each do |ribbon|
  reading = write.call(Net::HTTP::Post, "#{path}/ribbons", { version: reading["version"], length: ribbon["length_mm"], unit: "mm" })
end
grit = %w[moderate slight].cycle

20.times { Grittle.assess(FELT).to_h } # warm
assessment = median(COUNT) { Grittle.assess(FELT).to_h }
{
  "one answer" => lambda {
    reading = write.call(Net::HTTP::Patch, path, { version: reading["version"], answers: { grittiness: grit.next } })
  },
  "profile with five horizons" => -> { http.get("/api/profiles/1") },
  "first page of the fieldbook" => -> { http.get("/api/sites") }
}.each do |what, request|
  20.times { request.call }
  took = median(COUNT) { request.call }
  puts format("%-28s %6.1f ms, %.2f times the assessment of %.1f ms (at most %.1f)", what, took, took / assessment, assessment, AT_MOST)
end
