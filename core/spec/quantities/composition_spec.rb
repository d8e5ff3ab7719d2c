# frozen_string_literal: true

require_relative "../spec_helper"

RSpec.describe Grittle::Composition do
  it "takes two of three and works out the third" do
    expect(described_class.new(sand: 64.9, clay: 25.1).silt).to eq 10.0
    expect(described_class.new(silt: 40, clay: 20).sand).to eq 40.0
  end

  it "normalises a sum within 1.5 of 100" do
    rounded = described_class.new(sand: 33, silt: 33, clay: 33)
    expect(rounded.to_h.values).to all be_within(1e-6).of(100 / 3.0)
    expect(described_class.new(sand: 60, clay: 41.5).silt).to eq 0
  end

  {
    { sand: 20, silt: 30, clay: 30 } => /add up to 80;/,
    { sand: 40, silt: 40, clay: 21.6 } => /add up to 101.6;/,
    { sand: 60, clay: 42 } => /add up to 102;/,
    { sand: -1, clay: 20 } => /Sand must be a percentage from 0 to 100, not “-1”/,
    { sand: "much", clay: 20 } => /Sand must be a percentage/,
    { sand: Float::NAN, clay: 20 } => /Sand must be a percentage/,
    { clay: 20 } => /at least two/
  }.each do |parts, sentence|
    it("refuses #{parts}") do
      expect { described_class.new(**parts) }.to refuse_with(Grittle::InvalidComposition, sentence)
    end
  end

  it "is a value" do
    expect(composition(40, 20)).to eq described_class.new(sand: 40, silt: 40, clay: 20)
    expect([composition(40, 20), composition(40, 20)].uniq.size).to eq 1
  end
end
