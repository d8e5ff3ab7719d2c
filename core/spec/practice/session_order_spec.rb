# frozen_string_literal: true

require_relative "../spec_helper"

RSpec.describe Grittle::Practice::SessionOrder do
  # [our own] a fifth of the tubs, two at least, come again; none where three others cannot come between
  { 3 => 0, 4 => 1, 5 => 2, 8 => 2, 14 => 2, 15 => 3, 16 => 3 }.each do |tubs, again|
    it "lets #{again} of #{tubs} tubs come again, three others between" do
      20.times do |seed|
        turns = described_class.new(tubs, seed).turns
        expect(turns.map(&:tub).uniq.size).to eq tubs
        expect(turns.count(&:again)).to eq again
        expect(turns.map(&:code).uniq.size).to eq turns.size
        turns.each_index.group_by { |at| turns[at].tub }.each_value do |first, second|
          expect(second - first).to be > 3 if second
        end
      end
    end
  end

  it "is the same for the same seed, and another for another" do
    orders = [7, 7, 8].map { |seed| described_class.new(12, seed).turns.map(&:to_h) }
    expect([orders[0] == orders[1], orders[1] == orders[2]]).to eq [true, false]
  end

  it "gives every order alike" do
    # [published: Fisher and Yates 1938] 6 orders of 3 in 6000 tries: 1000 each, sd 29
    counts = Array.new(6000) { |seed| described_class.shuffled([1, 2, 3], Random.new(seed)) }.tally
    expect(counts.values).to all(be_within(5 * 29).of(1000))
  end
end
