# frozen_string_literal: true

require_relative "../spec_helper"

RSpec.describe Grittle::Tests::Catalogue do
  it "has words for exactly the states of each test" do
    described_class::TESTS.each do |name, test|
      expect(test[:answers].keys).to match_array(described_class.states_of(name)), name
      expect(test[:ask]).to end_with("?"), name
    end
  end

  it "has every step's tests and cautions" do
    expect(described_class::TESTS.values.filter_map { |test| test[:caution] } - Grittle::Tests::CAUTIONS.keys).to be_empty
    described_class::STEPS.each do |step|
      expect(step[:tests] - described_class::TESTS.keys).to be_empty
      expect(step[:cautions] - Grittle::Tests::CAUTIONS.keys).to be_empty
    end
  end

  it "names a source for every limit set" do
    expect(Grittle::Keys::LimitSets::ALL.values.map { |set| set[:source] }).to all be_a(String)
  end
end
