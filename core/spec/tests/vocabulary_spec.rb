# frozen_string_literal: true

require_relative "../spec_helper"

# One spec over the whole table: what a row must have, whatever it is about.
RSpec.describe Grittle::Tests::Vocabulary do
  let(:kinds) do
    {
      states: [:states],
      words: [:states],
      number: %i[range unit],
      parts: %i[parts required],
      flag: [],
      count: [],
      ribbons: []
    }
  end

  it "gives every observation a kind, and what that kind needs" do
    described_class::ALL.each do |name, row|
      expect(kinds).to have_key(row[:kind]), name
      expect(row.keys).to contain_exactly(:kind, *kinds[row[:kind]]), name
      expect(row).to be_frozen, name
    end
  end

  it "has no state twice, and only words of the wire" do
    described_class::ALL.each_value.filter_map { |row| row[:states] }.each do |states|
      expect(states.uniq).to eq states
      expect(states).to all match(/\A[a-z0-9_]+\z/)
    end
  end

  it "takes every state it lists" do
    described_class::ALL.each do |name, row|
      next unless row[:kind] == :states

      row[:states].each { |state| expect { Grittle::Observations.new(name => state) }.not_to raise_error }
    end
  end

  it "says each caution in one sentence, with more behind it" do
    Grittle::Tests::CAUTIONS.each_value do |caution|
      expect(caution[:sentence].count(".")).to eq 1
      expect(caution[:more].length).to be > caution[:sentence].length / 2
    end
  end
end
