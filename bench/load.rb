# frozen_string_literal: true

# Fifty people at their benches for a minute, each signed in, answering and asking for verdicts as the page does, with
# now and then a page of the fieldbook between: requests a second, the 95th percentile, what was refused, and whether a
# save that was answered is not there afterwards. On an application and a database of its own, or on a running demo:
#
#   ruby bench/load.rb [--people 50] [--seconds 60] [--pace 2] [http://127.0.0.1:4600]
#
# --pace: seconds from one answer to the next, on average: a reading in less than a minute. [our own]

require "json"
require "net/http"
require "optparse"
require "securerandom"
require_relative "../bin/support/gems"
require_relative "../bin/support/server"
require_relative "demo_session"
require_relative "../bin/support/maria_db"

options = { people: 50, seconds: 60.0, pace: 2.0 }
OptionParser.new do |o|
  o.on("--people N", Integer) { |number| options[:people] = number }
  o.on("--seconds S", Float) { |seconds| options[:seconds] = seconds }
  o.on("--pace S", Float) { |seconds| options[:pace] = seconds }
end.parse!
SEED = 7
# Seconds before anything is timed.
WARM = 20
# The most that 95 % may take, ms.
AT_MOST = 150
# What is asked of one sample, and how many ribbons are pushed of it, before the next is begun.
WRITES_OF_ONE = 12
LENGTHS_MM = (10..75)
ANSWERS = { "ball_holds" => [true], "wet_rub" => %w[neither very_smooth very_gritty],
            "grittiness" => %w[slight moderate very], "stickiness" => %w[slightly moderately very],
            "shine" => %w[none slight moderate] }.freeze
PAGES = %w[/api/sites /api/profiles/1 /api/work].freeze
# Of ten answers, one is followed by a look at another page.
LOOKS = 0.1

# One person at a bench, with a connection kept open.
class Person
  attr_reader :times, :failures, :kept

  def initialize(base, number, pace)
    @base = base
    @random = Random.new(SEED + number)
    @pace = pace
    @times = []
    @failures = Hash.new(0)
    @kept = {} # by reading, the version that was answered last
    @signed_in = DemoSession.headers(base)
  end

  # @param from [Float] what was asked before is not timed: the server's Ruby is still compiling what it runs
  def run(from, until_time)
    @from = from
    Net::HTTP.start(@base.host, @base.port, read_timeout: 60) do |http|
      @http = http
      @written = 0
      sleep @random.rand(@pace) # nobody begins at once with the others
      begin_reading
      while now < until_time
        step
        sleep @pace * (0.5 + @random.rand)
      end
    end
  end

  # @return [Array<Integer>] readings of which a save that was answered is not there
  def lost
    Net::HTTP.start(@base.host, @base.port) do |http|
      @kept.select do |id, version|
        JSON.parse(http.get("/api/readings/#{id}", @signed_in).body)["version"] < version
      end.keys
    end
  end

  private

  # The key's verdict with the answer, and the estimate as soon as it is asked for.
  def step
    @written += 1
    return begin_reading if (@written % WRITES_OF_ONE).zero?

    @random.rand < 0.3 ? push : answer
    timed { @http.get("/api/readings/#{@reading['id']}", @signed_in) }
    timed { @http.get(PAGES[@random.rand(PAGES.size)], @signed_in) } if @random.rand < LOOKS
  end

  def answer
    name, values = ANSWERS.to_a[@random.rand(ANSWERS.size)]
    change(Net::HTTP::Patch, "", answers: { name => values[@random.rand(values.size)] })
  end

  def begin_reading = @reading = send_json(Net::HTTP::Post, "/api/readings", {})
  def push = change(Net::HTTP::Post, "/ribbons", length: @random.rand(LENGTHS_MM), unit: "mm")

  def change(verb, below, **body)
    path = "/api/readings/#{@reading['id']}#{below}?evidence=none"
    @reading = send_json(verb, path, { version: @reading["version"], **body }) || @reading
  end

  def send_json(verb, path, body)
    headers = { "content-type" => "application/json", "idempotency-key" => SecureRandom.uuid, **@signed_in }
    request = verb.new(path, headers)
    request.body = JSON.generate(body)
    found = timed { @http.request(request) }
    return unless found.is_a?(Net::HTTPSuccess)

    # Read as text: taking the whole answer apart would take the processors from those who answer.
    id, version = %w[id version].map { |name| found.body[/\A[^\[]*?"#{name}":(\d+)/, 1].to_i }
    @kept[id] = version
    { "id" => id, "version" => version }
  end

  def timed
    started = now
    answer = yield
    @times << (now - started) if started >= @from
    @failures[answer.code] += 1 unless answer.is_a?(Net::HTTPSuccess)
    answer
  end

  def now = Process.clock_gettime(Process::CLOCK_MONOTONIC)
end

database = application = nil
base = ARGV[0] && URI(ARGV[0])
begin
  unless base
    FileUtils.rm_rf(File.join(Place::VAR, "bench_load"))
    database = MariaDb.new("bench_load").start
    application = Server.new({ **Gems.env(with_tests: true), "DATABASE_URL" => database.url }, demo: true).start
    base = application.address
  end
  people = Array.new(options[:people]) { |number| Person.new(base, number, options[:pace]) }
  started = Process.clock_gettime(Process::CLOCK_MONOTONIC)
  from = started + WARM
  people.map { |person| Thread.new { person.run(from, from + options[:seconds]) } }.each(&:join)
  took = Process.clock_gettime(Process::CLOCK_MONOTONIC) - from
  times = people.flat_map(&:times).sort
  failures = people.map(&:failures).reduce { |sums, more| sums.merge(more) { |_, one, other| one + other } }
  lost = people.flat_map(&:lost)
  worst = times[(times.size * 0.95).floor] * 1000
  puts format("%d people, an answer every %.1f s, %.0f s: %.1f requests/s, median %.0f ms, 95 %% within %.0f ms " \
              "(at most %d), refused %s, lost %d", options[:people], options[:pace], took, times.size / took,
              times[times.size / 2] * 1000, worst, AT_MOST, failures.empty? ? "none" : failures.to_s, lost.size)
  exit 1 if failures.any? || lost.any? || worst > AT_MOST
ensure
  application&.stop
  database&.stop
end
