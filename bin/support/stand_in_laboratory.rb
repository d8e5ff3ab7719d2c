# frozen_string_literal: true

require "csv"
require "digest"
require "json"
require "optparse"
require "puma"
require "puma/server"
require "time"
require_relative "../../core/lib/grittle"

# A laboratory that is none. What a sample holds follows from its label or its number alone, so that the same submission
# is answered alike also after a restart.
class StandInLaboratory
  # Shares of samples, reports and answers that go wrong where nothing else is said. [our own]
  USUAL = { "swap" => 0.005, "little" => 0.01, "sum" => 0.01, "revised" => 0.02, "unknown" => 0.1,
"late" => 0.1 }.freeze
  # sd in points that a whole submission is off by. [our own]
  SHARED_SD = 0.8
  # Of a result: what the core takes where a laboratory gives none.
  SDS = Grittle::Practice::FIGURES["laboratory_sd"]
  # Seconds that a late answer takes: longer than anybody waits.
  LATE = 8
  HEADINGS = %w[label id number date method sand silt clay remark].freeze

  # @param truth [Hash{String=>Array<Float>}] sand and clay by label
  # @param faults [Hash{String=>Float}] shares by name
  # @param swap [String, nil] label of a sample that is mixed up with the next
  # @param seconds [Numeric] until a report is there
  def initialize(truth: {}, faults: {}, swap: nil, seconds: 20)
    @truth = truth
    @faults = faults
    @swap = swap
    @seconds = seconds
    @submissions = {}
    @asked = Hash.new(0)
  end

  # Rack.
  def call(env)
    sleep LATE if once_late?(env)
    case [env["REQUEST_METHOD"], *env["PATH_INFO"].split("/").drop(1)]
    in ["POST", "submissions"] then take(JSON.parse(env["rack.input"].read))
    in ["GET", "submissions", number] then known(number) { |one| stands(one) }
    in ["GET", "submissions", number, "results"] then known(number) { |one| results(one) }
    else answer(404, "error" => "There is nothing here.")
    end
  rescue JSON::ParserError, KeyError, NoMethodError
    answer(400, "error" => "A submission has a key, and samples with id, label and method.")
  end

  private

  def answer(status, body) = [status, { "content-type" => "application/json" }, [JSON.generate(body)]]

  # Each address is answered late at most once, or nobody would ever have an answer.
  def once_late?(env)
    asked = [env["REQUEST_METHOD"], env["PATH_INFO"]]
    (@asked[asked] += 1) == 1 && happens?("late", asked.join)
  end

  def take(asked)
    samples = asked.fetch("samples").map { |one| one.slice("id", "label", "method") }
    raise KeyError if samples.empty? || samples.any? { |one| one.size < 3 }

    number = "S#{Digest::SHA256.hexdigest(asked.fetch('key').to_s)[0, 8].upcase}"
    @submissions[number] ||= { number: number, samples: samples, at: Time.now }
    answer(202, "number" => number, "due" => due(@submissions[number]).iso8601)
  end

  def known(number)
    found = @submissions[number]
    found ? yield(found) : answer(404, "error" => "There is no submission #{number}.")
  end

  def due(one) = one[:at] + @seconds

  def stands(one)
    waited = Time.now - one[:at]
    state = if waited >= @seconds
              "reported"
            else
              waited >= @seconds / 3.0 ? "in_analysis" : "received"
            end
    answer(200, "state" => state, "due" => due(one).iso8601, "revision" => revision(one))
  end

  # A corrected report follows when it has been out for as long as it took.
  def revision(one)
    happens?("revised", one[:number]) && Time.now - one[:at] >= 2 * @seconds ? 2 : 1
  end

  def results(one)
    return answer(409, "error" => "It is not reported yet.") if Time.now < due(one)

    rows = swapped(one[:samples]).map { |sample, held| row(one, sample, held) }
    text = CSV.generate do |csv|
      csv << HEADINGS
      rows.each { |cells| csv << cells }
    end
    [200, { "content-type" => "text/csv; charset=utf-8" }, [text]]
  end

  # Each sample with the one whose soil was in the cylinder.
  def swapped(samples)
    held = samples.dup
    (0...(samples.size - 1)).each do |at|
      next unless samples[at]["label"] == @swap || happens?("swap", samples[at]["id"])

      held[at], held[at + 1] = held[at + 1], held[at]
    end
    samples.zip(held)
  end

  def row(one, sample, held)
    label = happens?("unknown", sample["id"]) ? "#{sample['label']}-X" : sample["label"]
    beside = [sample["id"], "#{one[:number]}-#{sample['id']}", due(one).strftime("%Y-%m-%d"), sample["method"]]
    return [label, *beside, "", "", "", "too little material"] if happens?("little", sample["id"])

    [label, *beside, *measured(one, held, sample["method"]), revision(one) > 1 ? "corrected report" : ""]
  end

  # Clay and sand with a submission's own error and each result's; silt is the rest.
  def measured(one, sample, method)
    random = seeded("#{one[:number]}/#{sample['id']}/#{revision(one)}")
    from, share = SDS.fetch(method, SDS["other"])
    sand, clay = %w[sand clay].zip(truth(sample)).map do |part, percent|
      off = SHARED_SD * deviate(seeded("#{one[:number]}/#{part}"))
      (percent + off + ((from + (share * percent)) * deviate(random))).clamp(0, 100)
    end
    sand = [sand, 100 - clay].min
    parts = [sand, 100 - sand - clay, clay]
    parts[1] += 2 + (3 * random.rand) if happens?("sum", sample["id"])
    parts.map { |percent| written(percent, method) }
  end

  def written(percent, method)
    return "<2" if percent < 2

    method == "pipette" ? format("%.1f", percent) : percent.round.to_s
  end

  # Else drawn by the sample's number: even over the triangle.
  def truth(sample)
    @truth.fetch(sample["label"]) do
      random = seeded("sample #{sample['id']}")
      one, other = [random.rand, random.rand].minmax
      [100 * one, 100 * (1 - other)]
    end
  end

  def seeded(text) = Random.new(Digest::SHA256.hexdigest(text).to_i(16))

  def happens?(fault, what)
    (Digest::SHA256.hexdigest("#{fault} #{what}")[0, 8].to_i(16) / (16.0**8)) < (@faults[fault] || 0)
  end

  # Box and Muller 1958. [published]
  def deviate(random) = Math.sqrt(-2 * Math.log(1 - random.rand)) * Math.cos(2 * Math::PI * random.rand)
end

if $PROGRAM_NAME == __FILE__
  read = lambda do |file|
    CSV.read(file, headers: true, converters: :numeric).to_h do |row|
      [row["label"].to_s, row.values_at("sand", "clay")]
    end
  end
  options = { port: 4680, truth: read[File.expand_path("../../db/demo_truth.csv", __dir__)], faults: {} }
  OptionParser.new do |parser|
    parser.on("--port N", Integer) { |port| options[:port] = port }
    parser.on("--seconds S", Float) { |seconds| options[:seconds] = seconds }
    parser.on("--swap LABEL") { |label| options[:swap] = label }
    parser.on("--truth FILE") { |file| options[:truth] = read[file] }
    parser.on("--fault LIST") do |list|
      shares = list.split(",").to_h { |one| one.split("=").then { |name, share| [name, Float(share || 1)] } }
      options[:faults] = list == "all" ? StandInLaboratory::USUAL : shares
      unknown = options[:faults].keys - StandInLaboratory::USUAL.keys
      abort "There is no fault #{unknown.first}. Use: #{StandInLaboratory::USUAL.keys.join(', ')}." if unknown.any?
    end
  end.parse!
  port = options.delete(:port)
  server = Puma::Server.new(StandInLaboratory.new(**options))
  server.add_tcp_listener("127.0.0.1", port)
  $stdout.puts "a laboratory at http://127.0.0.1:#{port}/, reporting after #{options[:seconds] || 20} s"
  $stdout.flush
  server.run.join
end
