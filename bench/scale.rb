# frozen_string_literal: true

# What size costs: the same requests at 1,000 and at 200,000 horizons, in a database of its own, as ratios of one run;
# and the first page and a search at 1,000 horizons in ms and kB. Each is asked as for the first time: answers that were
# kept are forgotten.
#
#   BUNDLE_GEMFILE=Gemfile BUNDLE_PATH=vendor/bundle ruby --yjit -rbundler/setup bench/scale.rb [horizons]

require "json"
require "rack/mock"
require "securerandom"
require_relative "filled"
require_relative "median"

SIZES = [1000, Integer(ARGV[0] || 200_000)].freeze
COUNT = 15
# The most that the larger may take, times the smaller; and of the first page, ms and kB.
AT_MOST = 1.5
PAGE_AT_MOST = [150, 80].freeze

Filled.connect
server = Rack::Builder.parse_file(File.expand_path("../config.ru", __dir__))
SERVER = server.is_a?(Array) ? server.first : server
HEADERS = { "HTTP_HOST" => "127.0.0.1", "CONTENT_TYPE" => "application/json" }.freeze
# One line a request is no result.
OUT = $stdout.dup
$stdout.reopen(File::NULL)

def ask(verb, path, body = nil)
  headers = HEADERS.merge("HTTP_IDEMPOTENCY_KEY" => SecureRandom.uuid)
  answer = Rack::MockRequest.new(SERVER).request(verb, path, **headers, **(body ? { input: JSON.generate(body) } : {}))
  raise "#{path}: #{answer.status} #{answer.body[0, 200]}" unless answer.ok?

  answer.body
end

# @return [Hash{String=>Proc}] what is measured, at the latest of so many horizons
def requests(count)
  reading = count - 3
  profile = count / Filled::HORIZONS
  grit = %w[moderate slight].cycle
  day = Filled.day(reading).to_date
  { "save an answer" => lambda {
    version = Reading.where(id: reading).pick(:lock_version)
    ask("PATCH", "/api/readings/#{reading}", { version: version, answers: { grittiness: grit.next } })
  },
    "section" => lambda {
      ask("GET", "/api/profiles/#{profile -= 1}")
    }, # another each time, as it has not been asked for before
    "where the work stopped" => -> { ask("GET", "/api/work") },
    "quick readings" => -> { ask("GET", "/api/readings") },
    "first page" => -> { ask("GET", "/api/sites") },
    "search by a name" => lambda do
      ask("GET", "/api/sites?text=#{Filled.site_name(count / Filled::PER_SITE).sub(' ', '%20')}")
    end,
    "search by a common word" => -> { ask("GET", "/api/sites?text=pasture") },
    "search by a word of none" => -> { ask("GET", "/api/sites?text=zinnia") },
    "search by class" => -> { ask("GET", "/api/sites?class=usda:CL") },
    "search by days" => -> { ask("GET", "/api/sites?from=#{day}&to=#{day}") },
    "search by all of these" => lambda do
      ask("GET", "/api/sites?text=pasture&class=usda:CL&from=#{day}&to=#{day}&unfinished=1")
    end,
    "package of one site" => -> { ask("GET", "/api/export?format=package&of=site&id=#{count / Filled::PER_SITE}") } }
end

taken = SIZES.map do |count|
  Filled.horizons(count)
  requests(count).transform_values do |request|
    bytes = nil
    2.times { request.call }
    times = Array.new(COUNT) do
      Routes::Support::KEPT.clear if defined?(Routes::Support::KEPT)
      median(1) { bytes = request.call.bytesize }
    end
    { ms: times.sort[COUNT / 2], kb: bytes / 1000.0 }
  end
end
OUT.puts format("%-26s %8s %8s  times (at most %.1f)", "horizons", *SIZES, AT_MOST)
taken.first.each_key do |what|
  small, large = taken.map { |one| one[what][:ms] }
  OUT.puts format("%-26s %5.0f ms %5.0f ms  %.2f", what, small, large, large / small)
end
["first page", "search by a common word"].each do |what|
  OUT.puts format(
    "%s at %d horizons: %.0f ms, %.0f kB (at most %d ms, %d kB)",
    what,
    SIZES.first,
    *taken.first[what].values,
    *PAGE_AT_MOST
  )
end
