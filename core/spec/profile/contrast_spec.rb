# frozen_string_literal: true

require_relative "../spec_helper"

RSpec.describe Grittle::Profile::Contrast do
  # A horizon whose clay is known to +sd+ percentage points; 0 is exactly.
  def layer(name, upper, lower, clay, sd: 0, group: "medium")
    shares = (0..100).map { |percent| Math.exp(-0.5 * (((percent - clay) / [sd.to_f, 0.1].max)**2)) }
    Grittle::Profile::Contrast::Layer.new(designation: name, depths: Grittle::Profile::DepthRange.new(upper, lower),
                                          clay: shares.map { |share| share / shares.sum }, group: group)
  end

  def contrast(above, below, sd: 0, groups: %w[medium medium], **options)
    described_class.new(layer("E", 0, 30, above, sd: sd, group: groups.first), layer("Bt", 30, 60, below, sd: sd, group: groups.last),
                        **options)
  end

  # A clay known to the percent still lies anywhere within it, so the sides of a limit are taken two percent apart.
  # [published: Keys to Soil Taxonomy; World Reference Base 2015 and the abrupt change from memory]
  {
    "clay_increase" => { [10, 14] => true, [10, 12] => false, [20, 26] => true, [20, 22] => false, [50, 60] => true, [50, 56] => false },
    "argic" => { [5, 11] => true, [5, 7] => false, [20, 30] => true, [20, 26] => false, [55, 78] => true, [55, 72] => false },
    "abrupt_change" => { [10, 22] => true, [10, 17] => false, [24, 50] => true, [24, 42] => false, [40, 62] => false }
  }.each do |test, cases|
    cases.each do |(above, below), met|
      it "#{met ? 'meets' : 'does not meet'} #{test} from #{above} to #{below} %" do
        odds = contrast(above, below).to_h["tests"].find { |one| one["test"] == test }&.fetch("probability") || 0
        expect(odds).to(met ? be > 0.9 : be < 0.2)
      end
    end
  end

  it "meets the clay-increase test from 5-10 % above to about 30 % below (common practice, no source)" do
    found = contrast(8, 30, sd: 2, groups: ["moderately coarse", "moderately fine"]).to_h
    expect(found).to include("difference" => 22, "sentence" => "Clay rises by about 22 points, from 8 to 30 %.")
    expect(found["tests"].first["sentence"]).to eq "Meets the clay-increase test for a Bt (100 %)."
    expect(found["tests"].last["sentence"]).to end_with "The change itself must lie within 7.5 cm."
  end

  { nil => /must lie within 7.5 cm/, [0.5, 2] => /sharp enough/, [5, 15] => /leaves open/,
    [15, nil] => /too gradual/ }.each do |boundary, sentence|
    it "says of an abrupt change over a boundary of #{boundary || 'no known'} cm that it #{sentence.source}" do
      upper = layer("E", 0, 30, 8).tap { |one| one.boundary = boundary }
      expect(described_class.new(upper, layer("Bt", 30, 60, 40)).tests.last["sentence"]).to match(sentence)
    end
  end

  it "makes no fact of 5 points where each side may be 6 off, and is surer where one hand did both" do
    apart, same = [false, true].map do |hand|
      contrast(20, 26, sd: 6, same_hand: hand).tests.to_h { |one| [one["test"], one["probability"]] }
    end
    expect(apart["clay_increase"]).to be_between(0.4, 0.75)
    expect(same["clay_increase"]).to be > apart["clay_increase"]
    expect(same.fetch("abrupt_change", 0)).to be < apart.fetch("abrupt_change", 0)
  end

  it "says that clay hardly changes" do
    expect(contrast(20, 21).sentence).to eq "Clay hardly changes."
    expect(contrast(40, 30).sentence).to eq "Clay falls by about 10 points, from 40 to 30 %."
  end

  # Water perches over a finer layer, and for another reason over a coarser one (common practice, no source).
  { ["moderately coarse", "moderately fine"] => "finer_below", %w[fine medium] => "coarser_below", %w[medium medium] => nil,
    ["medium", "moderately fine"] => nil }.each do |groups, kind|
    it "finds #{kind || 'no perching'} from #{groups.join(' to ')}" do
      expect(contrast(20, 30, groups: groups).perching&.fetch("kind")).to eq kind
    end
  end

  it "takes a layer from the shares of an estimate" do
    estimate = Grittle::Evidence::Estimate.new(Grittle::Observations.new("ball_holds" => true, "ribbons" => ribbons(80, 82)))
    found = described_class::Layer.from(estimate.shares, designation: "Bt", depths: Grittle::Profile::DepthRange.new(0, 9))
    expect(found.group).to eq "fine"
    expect(found.clay.sum).to be_within(1e-9).of(1)
  end
end
