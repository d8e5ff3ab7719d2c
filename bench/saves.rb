# frozen_string_literal: true

require "json"
require "net/http"
require "securerandom"

# Two hundred saves by several benches at once, each tried again under its own word until it is answered, whoever is
# killed meanwhile. Every save is a number of its own, so that it can be counted afterwards.
class Saves
  COUNT = 200
  BENCHES = 8
  # Seconds between two tries, and for one answer.
  PAUSE = 0.1
  PATIENCE = 10
  # Seconds for all of them.
  LONGEST = 300

  # @return [Integer] how many are answered
  attr_reader :answered
  # @return [Integer] how often one was tried again
  attr_reader :again

  # @param addresses [Array<URI>] of the application's processes; a bench goes to the next where one does not answer
  # @param seed [Integer] distinguishes the numbers of several runs
  def initialize(addresses, seed)
    @addresses = addresses
    @seed = seed
    @answered = 0
    @again = 0
    @lock = Mutex.new
  end

  # @yieldparam saves [Saves] in a thread of its own, as soon as the first is answered
  def run(&killer)
    benches = Array.new(BENCHES) { |number| Thread.new { bench(number) } }
    sleep 0.01 while @answered.zero?
    killing = Thread.new { killer.call(self) }
    [*benches, killing].each { |thread| thread.join(LONGEST) || raise("It did not come to an end") }
  end

  # @return [Array<Float>] the number of every save, percent of sand
  def numbers = Array.new(COUNT) { |save| number(save) }

  private

  # Different in each run, and never the same twice.
  def number(save) = ((@seed * COUNT) + save + 1) / 1000.0

  def bench(which)
    reading = send_until_answered(Net::HTTP::Post, "/api/readings", {}, which)
    (which...COUNT).step(BENCHES) do |save|
      answer = { sand_estimate: { percent: number(save), half_width: 6 } }
      reading = send_until_answered(Net::HTTP::Patch, "/api/readings/#{reading['id']}",
                                    { version: reading["version"], answers: answer }, which)
      @lock.synchronize { @answered += 1 }
    end
  end

  def send_until_answered(verb, path, body, which)
    key = SecureRandom.uuid
    loop do
      found = tried(verb, path, body, key, @addresses[which % @addresses.size])
      return found if found

      @lock.synchronize { @again += 1 }
      which += 1
      sleep PAUSE
    end
  end

  # @return [Hash, nil] what was answered, nil where nothing was
  def tried(verb, path, body, key, address)
    request = verb.new(path, "content-type" => "application/json", "idempotency-key" => key)
    request.body = JSON.generate(body)
    answer = Net::HTTP.start(address.host, address.port, open_timeout: 1, read_timeout: PATIENCE) do |http|
      http.request(request)
    end
    return JSON.parse(answer.body) if answer.is_a?(Net::HTTPSuccess)
    raise "#{path}: #{answer.code} #{answer.body[0, 200]}" unless [502, 503, 504, 507].include?(answer.code.to_i)
  rescue SystemCallError, EOFError, Net::ReadTimeout, Net::OpenTimeout, Net::HTTPBadResponse
    nil
  end
end
