# frozen_string_literal: true

require_relative "../spec_helper"

RSpec.describe Grittle::Tests::Catalogue do
  it "has words for exactly the states of each test" do
    described_class::TESTS.each do |name, test|
      expect(test[:answers].keys).to match_array(described_class.states_of(name)), name unless test[:answers].empty?
      expect(test[:ask]).to end_with("?"), name
    end
  end

  it "tells how in one sentence, how long it takes, and which tests share its hand" do
    described_class::TESTS.each do |name, test|
      expect(test[:how].scan(/[.!?](?:\s|\z)/).size).to be <= 1, name
      expect(test[:seconds]).to be_between(5, 120), name
      expect(%w[sample ball ribbon clay silt grain keys]).to include(test[:group]), name
    end
  end

  # Seconds as the model of the evidence counts them.
  {
    "shine" => 20,
    "stickiness" => 10,
    "cast_strength" => 15,
    "ribbons" => 40,
    "plasticity" => 90,
    "decanted_sand" => 60,
    "grittiness" => 15,
    "floury_feel" => 10,
    "dry_clod" => 15,
    "shear_resistance" => 15
  }.each do |name, seconds|
    it("takes #{seconds} s for #{name}") { expect(described_class::FACTS[name][1]).to eq seconds }
  end

  it "has every step's tests and cautions" do
    expect(
      described_class::TESTS.values.filter_map { |test| test[:caution] } - Grittle::Tests::CAUTIONS.keys
    ).to be_empty
    Grittle::Tests::Steps::ALL.each_value do |step|
      expect(step[:cautions] - Grittle::Tests::CAUTIONS.keys).to be_empty
    end
  end

  it "names a source for every limit set" do
    expect(Grittle::Keys::LimitSets::ALL.values.map { |set| set[:source] }).to all be_a(String)
  end
end
