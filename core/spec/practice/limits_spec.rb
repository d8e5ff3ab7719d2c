# frozen_string_literal: true

require_relative "../spec_helper"

# Both sides of the limits of practice; sources stand with the numbers in docs/numbers.md.
RSpec.describe Grittle::Practice do
  def row(sand, silt, clay) = described_class::LaboratoryRow.new("sand" => sand, "silt" => silt, "clay" => clay)

  {
    ["98.5", "0", "0"] => [100.0, 0.0, 0.0], ["101.5", 0, 0] => [100.0, 0.0, 0.0],
    ["tr", 60, 39.5] => [0.5, 60.0, 39.5],
    ["41,2", "38,8 %", "20"] => [41.2, 38.8, 20.0], ["n.d.", 40, 20] => [40.0, 40.0, 20.0],
    ["", "388", "200"] => [41.2, 38.8, 20.0], ["0.5", "0.3", "0.2"] => [50.0, 30.0, 20.0], %w[985 0 0] => [100.0, 0, 0],
    # What "<" leaves open is no mistake of the sum.
    ["99.7", "<2", "<2"] => [98.0, 1.0, 1.0], ["101.4", "<2", "<2"] => [98.1, 1.0, 1.0],
    ["997", "<20", "<20"] => [98.0, 1.0, 1.0]
  }.each do |written, percents|
    it("reads #{written.inspect}") { expect(row(*written).percents.values).to eq percents }
  end

  {
    ["98.4", 0, 0] => "Sand, silt and clay add up to 98.4, not to 100.",
    ["101.6", "<2", "<2"] => "Sand, silt and clay add up to 103.6, not to 100.",
    ["<2", "<2", 0] => "Sand, silt and clay add up to 2, not to 100.",
    ["984", 0, 0] => "Sand, silt and clay add up to 984, not to 100.",
    ["-", "n.a.", 20] => "Two of sand, silt and clay are needed.", ["much", 40, 20] => "Sand is a number, not “much”."
  }.each do |written, sentence|
    it("refuses #{written.inspect}") { expect { row(*written) }.to raise_error(Grittle::InvalidInput, sentence) }
  end

  it "knows in percent how sure a “<” in g/kg is" do
    expect(row("997", "<20", "3").sds["silt"]).to be_within(1e-9).of(row("99.7", "<2", "0.3").sds["silt"])
  end

  it "learns no shift from nothing, and none from one word alone" do
    usual = described_class::WordShift.new([10, 25, 40], 4, [])
    expect([usual.shift.abs < 1e-9, usual.scale, usual.enough?]).to eq [true, 4.0, false]
    alike = Array.new(9) { described_class::WordShift::Heard.new(state: 1, percent: 20, sd: 1) }
    expect(described_class::WordShift.new([10, 25, 40], 4, alike).enough?).to be false
  end

  it "keeps a curve rising, whatever the pairs" do
    pairs = [[90, 8], [10, 55], [80, 12], [12, 50], [70, 15]].map do |length, clay|
      described_class::Calibration::Pair.new(length_mm: length, scale_mm: 3, clay: clay, clay_sd: 1, weight: 1)
    end
    curve = described_class::Calibration.new(pairs).curve
    expect((1..80).each_cons(2)).to all(satisfy { |less, more| curve.length(less) <= curve.length(more) })
    expect((1..120).each_cons(2)).to all(satisfy { |less, more| curve.clay(less) <= curve.clay(more) })
  end

  it "signals a batch of double readings only once there are forty before it" do
    good = Array.new(40, true)
    bad = Array.new(13, true) + Array.new(7, false)
    expect(described_class::Charts.agreement(Array.new(18, true) + [false, false] + bad).last["signal"]).to be false
    mixed = good.each_index.map { |at| at % 10 != 0 }
    expect(described_class::Charts.agreement(mixed + bad).last).to include("limit" => 13, "within" => 13,
                                                                           "signal" => true)
    expect(described_class::Charts.agreement(mixed + (Array.new(14,
                                                                true) + Array.new(6,
                                                                                  false))).last["signal"]).to be false
  end

  it "sees eight differences in a row on one side" do
    run = [-9, *Array.new(8, 2)]
    expect(described_class::Charts.differences(run)["run"]).to be true
    expect(described_class::Charts.differences(run.drop(1).push(-9, 2, -9))["run"]).to be true
    expect(described_class::Charts.differences([-9, *Array.new(7, 2), -9])["run"]).to be false
  end

  # [our own] a truth on a line, and within two points of it
  { 0.0 => %w[SL], 2.0 => %w[SL SCL] }.each do |line, codes|
    it("calls #{codes.join(' and ')} right within #{line} points") do
      truth = Grittle::Composition.new(sand: 66, clay: 18)
      expect(described_class::Credits.classes(truth, line)).to match_array(codes)
    end
  end

  it "practises what is weak, near the lines only once it is known" do
    # [our own] clear under 0.5, middle under 0.75, then near; steady from mean less sd of 0.7
    levels = [[0, 0], [1, 0, 1], Array.new(12, 1)].map { |credits| described_class::Skill.new(credits) }
    expect(levels.map(&:level)).to eq %w[clear middle near]
    expect(levels.map(&:steady?)).to eq [false, false, true]
    expect(levels.map(&:need).each_cons(2)).to all(satisfy { |weak, strong| weak > strong })
  end

  {
    { "features" => 1 } => "This is no GeoJSON with features.",
    { "features" => [{ "geometry" => nil,
"properties" => {} }] } => "Feature 1 has no polygon with unit, scale and components."
  }.each do |document, sentence|
    it "refuses #{document} as a map" do
      expect { described_class::SurveyMap.new(document) }.to raise_error(Grittle::InvalidInput, sentence)
    end
  end
end
