# frozen_string_literal: true

require_relative "spec_helper"

RSpec.describe Grittle::Compute do
  described_class::ALL.each_value do |calculation|
    it "#{calculation.name} answers its example" do
      expect([described_class.run(calculation.name, calculation.example)].flatten.flat_map(&:values).compact)
        .not_to be_empty
    end
  end

  {
    ["water", { "sand" => 40 }] => "clay is needed.",
    ["water", { "sand" => 80, "clay" => 30 }] => "sand and clay add up to more than 100.",
    ["water", { "sand" => "much", "clay" => 3 }] => "sand is a number from 0 to 100, not “much”.",
    ["wetting", { "amount_mm" => 5, "layers" => 3 }] => "layers is a list of 1 or more.",
    ["wetting", { "amount_mm" => 5, "layers" => [{ "sand" => 40, "clay" => 20 }] }] => "mm of layers 1 is needed.",
    ["perching", { "layers" => ["mud"] }] => /A layer is one of S, .*not “mud”/,
    ["available_water", { "observations" => { "moon" => 1 } }] => /moon/,
    ["tides", {}] => /no calculation “tides”/
  }.each do |(name, document), sentence|
    it "refuses #{document} for #{name}" do
      expect { described_class.run(name, document) }.to refuse_with(Grittle::InvalidInput, sentence)
    end
  end

  # Trade facts: common practice, no source.
  it "says what everybody who digs knows" do
    expect(described_class.run("perching", { "layers" => %w[compost S C] })["found"].map do |one|
      one["kind"]
    end).to eq %w[
      hangs_over_coarser stands_on_finer
    ]
    colours = [["10YR", 6, 2, {}], ["10YR", 4, 2, {}], ["10YR", 4, 2, { "rusty" => "common" }], ["10YR", 4, 4, {}],
               ["10YR", 4, 4, { "rusty" => "few" }]]
    says = colours.map do |hue, value, chroma, more|
      described_class.run("wetness", { "hue" => hue, "value" => value, "chroma" => chroma, **more })["says"]
    end
    expect(says).to eq %w[sure possible sure nothing comes_and_goes]
    crumb = described_class.run("crumb", { "water" => "rain", "looks" => [[1200, "fully", "none"]] })
    expect(crumb.slice("classes", "state")).to eq("classes" => [3, 4, 5, 6], "state" => "open")
  end
end
