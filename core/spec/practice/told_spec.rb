# frozen_string_literal: true

require_relative "../spec_helper"

# What scores, pulls and charts say to a person.
RSpec.describe Grittle::Practice do
  {
    [] => nil,
    [["C", "SCL", "SCL", ["SCL"]]] => "You never went with your guess against the key.",
    ([["C", "SCL", "C", ["SCL"]]] * 3) + [["C", "SCL", "C", ["C"]]] + ([["C", "SCL", "SCL", ["C"]]] * 2) =>
      "4 of 6 times you went with your guess: nearer once, the key 3 times."
  }.each do |rows, sentence|
    it("says of #{rows.size} guesses: #{sentence.inspect}") { expect(described_class::Pull.say(rows)).to eq sentence }
  end

  it "tells a difference that asking makes only where there is one, and nothing of a few" do
    asking = described_class::Pull.method(:asking)
    expect(asking[[1] * 5, [0] * 9]).to be_nil
    expect(asking[[1] * 12, [0] * 12]).to be < 0.01
    expect(asking[[1, 0] * 6, [0, 1] * 6]).to be > 0.5
  end

  it "gives every tub of a group one code, and everybody an order of their own" do
    orders = [1, 2].map { |own| described_class::SessionOrder.new(8, 42, own_seed: own).turns }
    codes = orders.map { |turns| turns.map { |turn| [turn.tub, turn.code] }.sort }
    expect(codes.first).to eq codes.last
    expect(codes.first).to eq described_class::SessionOrder.coded(8, 42).sort
    expect(orders.map { |turns| turns.map(&:tub) }.uniq.size).to eq 2
    expect(orders.first.select(&:again).map(&:tub)).to match_array(orders.first.map(&:tub).tally.select { |_, n|
      n > 1
    }.keys)
  end

  it "lets tubs of more need come earlier, and every tub once" do
    first = Array.new(300) do |own|
      order = described_class::SessionOrder.new(6, 7, again: false, own_seed: own, needs: [8, 1, 1, 1, 1, 1]).turns
      expect(order.map(&:tub)).to match_array(0..5)
      order.first.tub
    end
    expect(first.count(0)).to be_within(30).of(300 * 8 / 13.0) # three sd of a binomial are 25
  end

  {
    [[], nil] => "No double reading yet.",
    [[], { "outside" => [], "run" => false }] => "Nothing out of the usual.",
    [[{ "signal" => true }], { "outside" => [2], "run" => false }] =>
      "The last batch agrees less than those before; a difference of clay lies outside its limits. Let both read " \
      "five common tubs of known clay; a chart corrects nothing."
  }.each do |(batches, differences), sentence|
    it("says of double readings: #{sentence[0, 40]}") do
      expect(described_class::Charts.say(batches, differences)).to eq sentence
    end
  end

  it "sees a hand through its deviations: none while it stays, then the same sign" do
    pair = lambda do |length, clay|
      described_class::Calibration::Pair.new(length_mm: length, scale_mm: 3, clay: clay, clay_sd: 1, weight: 1)
    end
    curve = Grittle::Curves["consensus"]
    steady = [15, 20, 25, 30, 35, 40].map { |clay| pair[curve.length(clay), clay] }
    longer = [15, 25, 35].map { |clay| pair[curve.length(clay) * 1.8, clay] }
    found = described_class::Calibration.new(steady + longer).deviations
    expect(found.first(6).map(&:abs)).to all be < 0.5
    expect(found.last(3)).to all be > 1
  end
end
