# frozen_string_literal: true

# Clients at once on a running server, mixing reads and writes as benches and desks do: requests a second, the 95th
# percentile, and what was refused. To compare two commits, start one after the other and run this against each:
#   ruby bench/load.rb [http://127.0.0.1:4600] [clients] [seconds]

require "json"
require "net/http"
require "securerandom"

BASE = URI(ARGV[0] || "http://127.0.0.1:4600")
CLIENTS = Integer(ARGV[1] || 50)
SECONDS = Float(ARGV[2] || 15)
SEED = 7
# What is asked of one sample, and how many ribbons are pushed of it, before the next is begun.
WRITES_OF_ONE = 12
LENGTHS_MM = (10..75)
ANSWERS = {
  "ball_holds" => [true],
  "wet_rub" => %w[neither very_smooth very_gritty],
  "grittiness" => %w[slight moderate very],
  "stickiness" => %w[slightly moderately very],
  "shine" => %w[none slight moderate]
}.freeze
# Of ten requests, four write.
WRITES = 0.4
READS = %w[/api/sites /api/profiles/1 /api/work].freeze

# One person at a bench, with a connection kept open.
class Client
  attr_reader :times, :failures

  def initialize(number)
    @random = Random.new(SEED + number)
    @times = []
    @failures = Hash.new(0)
  end

  def run(until_time)
    Net::HTTP.start(BASE.host, BASE.port, read_timeout: 60) do |http|
      @http = http
      @written = 0
      begin_reading
      step while now < until_time
    end
  end

  private

  def step
    return write if @reading && @random.rand < WRITES

    path = @random.rand < 0.3 && @reading ? "/api/readings/#{@reading['id']}" : READS[@random.rand(READS.size)]
    timed { @http.get(path) }
  end

  def write
    @written += 1
    return begin_reading if (@written % WRITES_OF_ONE).zero?
    return push if @random.rand < 0.3

    name, values = ANSWERS.to_a[@random.rand(ANSWERS.size)]
    change(Net::HTTP::Patch, "", answers: { name => values[@random.rand(values.size)] })
  end

  def begin_reading = @reading = send_json(Net::HTTP::Post, "/api/readings", {})
  def push = change(Net::HTTP::Post, "/ribbons", length: @random.rand(LENGTHS_MM), unit: "mm")

  def change(verb, below, **body)
    @reading =
      send_json(verb, "/api/readings/#{@reading['id']}#{below}", { version: @reading["version"], **body }) || @reading
  end

  def send_json(verb, path, body)
    request = verb.new(path, "content-type" => "application/json", "idempotency-key" => SecureRandom.uuid)
    request.body = JSON.generate(body)
    answer = timed { @http.request(request) }
    JSON.parse(answer.body) if answer.is_a?(Net::HTTPSuccess)
  end

  def timed
    started = now
    answer = yield
    @times << (now - started)
    @failures[answer.code] += 1 unless answer.is_a?(Net::HTTPSuccess)
    answer
  end

  def now = Process.clock_gettime(Process::CLOCK_MONOTONIC)
end

clients = Array.new(CLIENTS) { |number| Client.new(number) }
started = Process.clock_gettime(Process::CLOCK_MONOTONIC)
clients.map { |client| Thread.new { client.run(started + SECONDS) } }.each(&:join)
took = Process.clock_gettime(Process::CLOCK_MONOTONIC) - started
times = clients.flat_map(&:times).sort
failures = clients.map(&:failures).reduce { |sums, more| sums.merge(more) { |_, one, other| one + other } }
puts format(
  "%d clients, %.0f s: %.1f requests/s, median %.0f ms, 95 %% within %.0f ms, refused %s",
  CLIENTS,
  took,
  times.size / took,
  times[times.size / 2] * 1000,
  times[(times.size * 0.95).floor] * 1000,
  failures.empty? ? "none" : failures.to_s
)
