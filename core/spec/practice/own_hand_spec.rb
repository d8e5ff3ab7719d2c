# frozen_string_literal: true

require "json"
require_relative "../spec_helper"

# A hand that is learnt from samples, and what an assessment makes of it.
RSpec.describe Grittle::Practice::OwnHand do
  # The prototype's ten pairs; the words and numbers are shifted on purpose.
  let(:pairs) { [[44, 27], [75, 43], [21, 12], [57, 34], [101, 55], [31, 18], [72, 38], [30, 22], [92, 48], [52, 31]] }
  let(:rows) do
    pairs.each_with_index.map do |(mm, clay), at|
      felt = { "ball_holds" => true, "ribbons" => Array.new(3) { { "length_mm" => mm } },
               "stickiness" => clay > 30 ? "moderately" : "slightly",
               "sand_estimate" => { "percent" => 40, "half_width" => 4 } }
      result = Grittle::Practice::LaboratoryResult.new({ "sand" => 30, "clay" => clay, "method" => "pipette" })
      Grittle::Practice::TaughtHand::Row.new(sample: "sample/#{at}", observations: Grittle::Observations.new(felt),
                                             result: result, blind: true, age_days: 10 - at)
    end
  end
  let(:taught) { Grittle::Practice::TaughtHand.new(rows) }

  def clay(observations, hand) = Grittle.assess(observations, hand: hand).estimate

  it "moves the estimate by the curve, and narrows it" do
    felt = { "ball_holds" => true, "ribbons" => Array.new(3) { { "length_mm" => 60 } } }
    own, plain = [taught.own_hand, nil].map { |hand| clay(felt, hand) }
    expect(own.mean["clay"]).to be < plain.mean["clay"] - 2 # ribbons a fifth too long
    expect(own.sd["clay"]).to be < plain.sd["clay"]
  end

  it "comes back from its numbers as it was" do
    again = described_class.new(JSON.parse(JSON.generate(taught.own_hand.to_h)))
    expect(again).to eq taught.own_hand
    felt = { "ball_holds" => true, "stickiness" => "moderately" }
    expect(clay(felt, again).mean).to eq clay(felt, taught.own_hand).mean
  end

  it "learns words and numbers, and says which are used" do
    told = taught.further
    sand = told["numbers"].find { |one| one["test"] == "sand_estimate" }
    expect(sand).to include("count" => 10, "used" => true)
    expect(sand["bias"]).to be_between(7, 10) # ten points too high, drawn to none
    expect(told["words"].find { |one| one["test"] == "stickiness" }).to include("used" => true)
    expect(told["bias"].map { |one| one["of"] }).to contain_exactly("sand", "silt", "clay")
    expect(told["bias"].find { |one| one["of"] == "clay" }["sd"]).to be < Grittle::Evidence::Hand::SDS[:clay]
  end

  it "shifts a number by its bias" do
    felt = { "ball_holds" => true, "sand_estimate" => { "percent" => 60, "half_width" => 4 } }
    high = described_class.new("curve" => Grittle::Practice::OwnCurve.new.to_h,
                               "numbers" => { "sand_estimate" => { "bias" => 10, "sd" => 6 } })
    expect(clay(felt, high).mean["sand"]).to be < clay(felt, nil).mean["sand"] - 5
  end

  it "says that a hand has moved only once it has" do
    expect(taught.further["drift"]["sentence"]).to be_nil
    longer = rows.map.with_index do |row, at|
      felt = { "ball_holds" => true, "ribbons" => Array.new(3) { { "length_mm" => (pairs[at][0] * 1.7).round } } }
      row.dup.tap do |one|
        one.observations = Grittle::Observations.new(felt) and one.sample = "later/#{at}" and one.age_days = 0
      end
    end
    moved = Grittle::Practice::TaughtHand.new((rows * 2) + longer).further["drift"]["sentence"]
    expect(moved).to include("longer than your curve says")
  end

  it "tells how far two sets of one soil differ" do
    told = taught.further([[38, 41], [22, 25], [70, 61], [48, 47]])["repeat"]
    expect(told).to include("count" => 4, "sd_percent" => 9.9, "limit_percent" => 32)
  end

  it "leaves out what a person took out, with the reason" do
    rows.first.out = "dried out in the bag"
    expect(taught.to_h["left_out"].map { |one| one["reason"] }).to eq ["taken out: dried out in the bag"]
  end
end
