# frozen_string_literal: true

require_relative "../spec_helper"

RSpec.describe Grittle::Profiles::Boundaries do
  # [published: Soil Survey Manual, USDA Handbook 18, 2017; Australia from memory]
  {
    [0.4, "usda"] => "very_abrupt",
    [0.5, "usda"] => "abrupt",
    [2, "usda"] => "clear",
    [5, "usda"] => "gradual",
    [14.9, "usda"] => "gradual",
    [15, "usda"] => "diffuse",
    [0.4, "australia"] => "sharp",
    [9.9, "australia"] => "gradual",
    [10, "australia"] => "diffuse"
  }.each do |(centimetres, system), word|
    it("calls #{centimetres} cm #{word} in #{system}") do
      expect(described_class.of(centimetres, system: system)).to eq word
    end
  end

  it "knows over how many cm a boundary of a word lies, also one of another method" do
    expect(described_class.range_cm("gradual")).to eq [5, 15]
    expect(described_class.range_cm("gradual", system: "australia")).to eq [5, 10]
    expect(described_class.range_cm("sharp")).to eq [0, 0.5]
    expect { described_class.range_cm("wavy") }.to refuse_with(Grittle::UnknownName, /no boundary “wavy”/)
  end
end
