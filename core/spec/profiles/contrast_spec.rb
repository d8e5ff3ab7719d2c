# frozen_string_literal: true

require_relative "../spec_helper"

RSpec.describe Grittle::Profiles::Contrast do
  # A horizon whose clay is known to +sd+ percentage points; 0 is exactly.
  def layer(name, upper, lower, clay, sd: 0, own: nil)
    shares = (0..100).map { |percent| Math.exp(-0.5 * (((percent - clay) / [sd.to_f, 0.1].max)**2)) }
    Grittle::Profiles::Contrast::Layer.new(designation: name, depths: Grittle::Profiles::DepthRange.new(upper, lower),
                                           clay: shares.map { |share| share / shares.sum }, own: own)
  end

  def contrast(above, below, sd: 0, own: [], names: %w[E Bt], **options)
    described_class.new(
      layer(names.first, 0, 30, above, sd: sd, own: own.first),
      layer(names.last, 30, 60, below, sd: sd, own: own.last),
      **options
    )
  end

  # A clay known to the percent still lies anywhere within it, so the sides of a limit are taken two percent apart.
  # [published: Keys to Soil Taxonomy; World Reference Base 2015 and the abrupt change from memory]
  {
    "clay_increase" => {
      [10, 14] => true,
      [10, 12] => false,
      [20, 26] => true,
      [20, 22] => false,
      [50, 60] => true,
      [50, 56] => false
    },
    "argic" => {
      [5, 11] => true,
      [5, 7] => false,
      [20, 30] => true,
      [20, 26] => false,
      [55, 78] => true,
      [55, 72] => false
    },
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
    found = contrast(8, 30, sd: 2).to_h
    expect(found).to include("difference" => 22, "sentence" => "Clay rises by about 22 points, from 8 to 30 %.")
    expect(found["tests"].first["sentence"]).to eq "Meets the clay-increase test for a Bt (over 95 %)."
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

  it "does not ask a C below a Bt for a clay increase" do
    said = contrast(20, 40, names: %w[Bt C]).tests.map { |one| one["test"] }
    expect(said & %w[clay_increase argic]).to be_empty
    expect(contrast(20, 40, names: %w[A Bt]).tests.map { |one| one["test"] }).to include "clay_increase"
  end

  it "shows the surveyor's own clay first, and says when the estimate turns the other way" do
    down = contrast(29, 30, sd: 5, own: [30, 25]).to_h
    expect(down).to include("own_clay" => [30, 25], "clay" => [29, 30], "disagreement" => nil)
    expect(
      down["sentence"]
    ).to eq "Clay falls by about 5 points, from 30 to 25 %, by your own figures; the estimate says 29 to 30 %."
    expect(
      contrast(11, 29, sd: 3, own: [30, 8]).to_h["disagreement"]
    ).to start_with "Your own figures and the estimate turn opposite ways"
    meets = contrast(20, 21, sd: 4, own: [8, 30]).to_h
    expect(meets["tests"].first["sentence"]).to match(
      /\AMeets the clay-increase test for a Bt by your own figures \(the estimate: \d+ %\)/
    )
    expect(meets["disagreement"]).to start_with "Your own figures and the estimate differ about a test"
  end
end

# Common practice, no source; the ranks are our own model.
