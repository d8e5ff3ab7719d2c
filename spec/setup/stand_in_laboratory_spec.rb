# frozen_string_literal: true

require_relative "../../bin/support/stand_in_laboratory"

# The laboratory that ships: the same answer to the same question, and errors of the size that it says. [our own model]
RSpec.describe StandInLaboratory do
  def ask(laboratory, verb, path, body = nil)
    status, _, parts = laboratory.call("REQUEST_METHOD" => verb, "PATH_INFO" => path,
                                       "rack.input" => StringIO.new(JSON.generate(body)))
    [status, parts.join]
  end

  def samples(count, method) = Array.new(count) { |at| { id: at.to_s, label: "L#{at}", method: method } }

  # @return [Array<CSV::Row>]
  def results(laboratory, key: "one", count: 4, method: "pipette")
    number = JSON.parse(ask(laboratory, "POST", "/submissions",
                            { key: key, samples: samples(count, method) })[1])["number"]
    CSV.parse(ask(laboratory, "GET", "/submissions/#{number}/results")[1], headers: true)
  end

  let(:truth) { Array.new(400) { |at| ["L#{at}", [40.0, 30.0]] }.to_h }

  it "answers the same submission alike, also after a restart, and another differently" do
    one, again, other = %w[one one two].map { |key| results(described_class.new(seconds: 0), key: key).to_s }
    expect(again).to eq one
    expect(other).not_to eq one
  end

  it "is off by what it says: a submission by 0.8 points, a result by its method's sd" do
    off = Array.new(60) do |at|
      found = results(described_class.new(truth: truth, seconds: 0), key: "k#{at}", count: 40)
      found.map { |row| row["clay"].to_f - 30 }
    end
    means = off.map { |all| all.sum / all.size }
    shared = Math.sqrt(means.sum { |mean| mean**2 } / means.size)
    within = Math.sqrt(off.zip(means).sum { |all, mean| all.sum { |one| (one - mean)**2 } } / (60.0 * 39))
    expect(shared).to be_between(0.6, 1.1)
    expect(within).to be_within(0.15).of(1 + (0.02 * 30))
  end

  it "writes pipette to a tenth, hydrometer to a whole, and little as less than" do
    expect(results(described_class.new(truth: truth, seconds: 0))["clay"]).to all match(/\A\d+\.\d\z/)
    expect(results(described_class.new(truth: truth, seconds: 0), method: "hydrometer")["clay"]).to all match(/\A\d+\z/)
    poor = described_class.new(truth: truth.transform_values { [99.5, 0.1] }, seconds: 0)
    expect(results(poor)["clay"]).to include("<2")
  end

  it "mixes up a sample with the next when told to" do
    told = { "L0" => [80.0, 5.0], "L1" => [10.0, 60.0], "L2" => [40.0, 20.0] }
    found = results(described_class.new(truth: told, swap: "L0", seconds: 0), count: 3)
    expect(found.map { |row| row["clay"].to_f.round(-1) }).to eq([60, 0, 20].map { |clay|
      clay.zero? ? found[1]["clay"].to_f.round(-1) : clay
    })
    expect(found[1]["clay"].to_f).to be < 12
  end

  it "waits until it is due, and knows no other submission" do
    slow = described_class.new(seconds: 60)
    number = JSON.parse(ask(slow, "POST", "/submissions", { key: "k", samples: samples(1, "pipette") })[1])["number"]
    expect(JSON.parse(ask(slow, "GET", "/submissions/#{number}")[1])).to include("state" => "received", "revision" => 1)
    expect(ask(slow, "GET", "/submissions/#{number}/results").first).to eq 409
    expect(ask(slow, "GET", "/submissions/S0").first).to eq 404
    expect(ask(slow, "POST", "/submissions", { key: "k" }).first).to eq 400
  end
end
