# frozen_string_literal: true

# What requests of a running server take beside the assessment with suggestions in a process of its own, as ratios of
# one run; the server should be idle otherwise:
#   ruby --yjit bench/requests.rb [http://127.0.0.1:4600]

require "json"
require "net/http"
require "securerandom"
require_relative "../core/lib/grittle"
require_relative "demo_session"
require_relative "median"

BASE = URI(ARGV[0] || "http://127.0.0.1:4600")
COUNT = 41
WARM = 20
FELT = { "ball_holds" => true, "ribbons" => [41, 44, 39].map { |mm| { "length_mm" => mm } }, "wet_rub" => "neither",
         "grittiness" => "moderate", "stickiness" => "moderately", "mould_feel" => "doughy",
         "sand_estimate" => { "percent" => 30.0, "half_width" => 6 } }.freeze
# The most that each may take, times the assessment.
AT_MOST = 1.5

SIGNED_IN = DemoSession.headers(BASE)
http = Net::HTTP.start(BASE.host, BASE.port)
deliver = lambda do |verb, path, body|
  request = verb.new(path, "content-type" => "application/json", "idempotency-key" => SecureRandom.uuid,
                           **SIGNED_IN)
  request.body = JSON.generate(body)
  answer = http.request(request)
  raise "#{path}: #{answer.code} #{answer.body[0, 200]}" unless answer.is_a?(Net::HTTPSuccess)

  answer.body
end
write = ->(*request) { JSON.parse(deliver.call(*request)) }

# A reading with what was felt, as a bench has it before the next answer.
begin_reading = lambda do
  reading = write.call(Net::HTTP::Post, "/api/readings", {})
  path = "/api/readings/#{reading['id']}"
  reading = write.call(Net::HTTP::Patch, path, { version: reading["version"], answers: FELT.except("ribbons") })
  FELT["ribbons"].each do |ribbon|
    reading =
      write.call(
        Net::HTTP::Post,
        "#{path}/ribbons",
        { version: reading["version"], length: ribbon["length_mm"], unit: "mm" }
      )
  end
  [path, reading["version"]]
end
# Answers that a reading gets before the next is begun.
ANSWERS = 12

# Another number each time, so that no assessment was made before, in an earlier run either.
percent = 20 + rand(20.0)
sand = -> { { "percent" => percent += 0.0137, "half_width" => 6 } }
path = version = nil
given = ANSWERS
prepare = lambda do
  next if (given += 1) < ANSWERS

  given = 0
  path, version = begin_reading.call
end
answer = lambda do
  deliver.call(Net::HTTP::Patch, path, { version: version, answers: { sand_estimate: sand.call } })
  version += 1
end
# The first reading of the profile, changed before the profile is asked for.
layer = "/api/readings/#{JSON.parse(http.get('/api/profiles/1', SIGNED_IN).body)['horizons'].flat_map do |one|
  one['readings']
end.first['id']}"
change = lambda do
  reading = JSON.parse(http.get(layer, SIGNED_IN).body)
  deliver.call(Net::HTTP::Patch, layer, { version: reading["version"], answers: { sand_estimate: sand.call } })
end

# The assessment runs between the requests, so that what else the machine does falls on both alike.
assess = -> { Grittle.assess(FELT.merge("sand_estimate" => sand.call)).to_h }
20.times { assess.call } # warm
{
  "one answer" => [answer, prepare],
  "reading that has not changed" => [-> { http.get(path, SIGNED_IN) }],
  "profile after a change" => [-> { http.get("/api/profiles/1", SIGNED_IN) }, change],
  "profile that has not changed" => [-> { http.get("/api/profiles/1", SIGNED_IN) }],
  "first page of the fieldbook" => [-> { http.get("/api/sites", SIGNED_IN) }]
}.each do |what, (request, before)|
  pairs = Array.new(COUNT + WARM) do
    before&.call
    [median(1, &request), median(1, &assess)]
  end
  took, beside = pairs.drop(WARM).transpose.map { |times| times.sort[COUNT / 2] }
  puts format(
    "%-28s %6.1f ms, %.2f times the assessment of %.1f ms (at most %.1f)",
    what,
    took,
    took / beside,
    beside,
    AT_MOST
  )
end
