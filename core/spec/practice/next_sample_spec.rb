# frozen_string_literal: true

require_relative "../spec_helper"

RSpec.describe Grittle::Practice::NextSample do
  it "draws what is missed more often, and less of what was just met" do
    odds = described_class.new({ "C" => [0, 0, 0], "S" => [1, 1, 1] }, [], codes: %w[C S L]).odds
    expect(odds.sum { |_, share| share }).to be_within(1e-9).of(1)
    expect(odds["C"]).to be > odds["L"]
    expect(odds["L"]).to be > odds["S"]
    after = described_class.new({ "C" => [0, 0, 0] }, %w[C L], codes: %w[C S L]).odds
    fresh = described_class.new({ "C" => [0, 0, 0] }, [], codes: %w[C S L]).odds
    expect(after["C"] / after["S"]).to be_within(1e-9).of(0.25 * fresh["C"] / fresh["S"])
  end

  it "begins clear of the lines and goes nearer with skill" do
    apart = { [0] => "clear", [] => "middle", [1] * 12 => "near" }.map do |credits, level|
      chooser = described_class.new({ "L" => credits }, [])
      expect(chooser.level("L")).to eq level
      chooser.composition("L", Random.new(5)).then { |one| Grittle::Triangles::USDA.distance_to_boundary(one) }
    end
    expect(apart).to eq apart.sort.reverse
  end

  it "shares every class out into thirds, all of them its own" do
    described_class::CODES.each do |code|
      cells = described_class::THIRDS.flat_map { |level| described_class.third(code, level) }
      own = cells.uniq.map { |sand, _, clay| Grittle.classify(sand: sand, clay: clay).code }
      expect([cells.size, own.uniq]).to eq [own.size, [code]]
    end
  end
end
