# frozen_string_literal: true

require_relative "../spec_helper"

RSpec.describe Grittle::Evidence::NextTests do
  def estimate(given) = Grittle::Evidence::Estimate.new(Grittle::Observations.new(given))
  def suggested(given) = described_class.new(estimate(given)).to_a

  let(:given) { { "ball_holds" => true, "ribbons" => ribbons(41, 44, 39), "wet_rub" => "neither" } }

  it "names two or three tests worth making, best first by bits a minute" do
    found = suggested(given)
    expect(found.size).to be_between(2, 3)
    rates = found.map { |test| test["bits"] / test["seconds"] }
    expect(rates).to eq rates.sort.reverse
    expect(found.first).to include("test" => "stickiness", "seconds" => 10,
                                   "sentence" => "Stickiness, 10 s: separates clay loam from clay.")
  end

  # What is expected of a test, by asking every answer of it through the whole model.
  %w[shine floury_feel thumbprint decanted_sand cast_strength].each do |test|
    it "expects of #{test} what the model says of its answers" do
      now = estimate(given)
      tables = Grittle::Evidence::STANDARD.tables(false).of(test)
      after = tables.sum do |answer, table|
        places = Grittle::Evidence::Grid::CELLS.map { |cell| table.axis.place(*cell) }
        likely = table.logs.map { |log| Math.exp(log) }
        likely = Grittle::Evidence::STANDARD.hand.through(table.axis, likely, 1.0) if table.axis.quantity?
        chance = now.shares.each_with_index.sum { |share, cell| share * likely[places[cell]] }
        chance * estimate(given.merge(test => answer)).entropy
      end
      expect(described_class.new(now).all[test]).to be_within(0.005).of(now.entropy - after)
    end
  end

  it "suggests nothing that was made, whose moment is past, or that the hand cannot do" do
    all = described_class.new(estimate(given)).all.keys
    expect(
      all & %w[ball_holds ribbon_forms ribbons wet_rub moist_clod water_uptake mould_feel clay_estimate]
    ).to be_empty
    expect(
      described_class.new(estimate("ball_holds" => false)).all.keys & %w[ribbons plasticity shine cast_strength]
    ).to be_empty
    expect(described_class.new(estimate({})).all.keys).to include("ball_holds", "dry_clod")
    expect(described_class.new(estimate({})).all.keys).not_to include("ribbons")
  end

  it "says so when nothing is worth it" do
    sure = {
      "ball_holds" => true,
      "ribbons" => ribbons(14, 12, 15),
      "wet_rub" => "very_smooth",
      "decanted_sand" => "trace",
      "floury_feel" => "strong"
    }
    evidence = Grittle.assess(sure).to_h["evidence"]
    expect(evidence["next_tests"]).to be_empty
    expect(evidence["next_sentence"]).to include "send it to the laboratory"
  end
end
