# frozen_string_literal: true

require_relative "../spec_helper"

# Names as tables have them: common practice, no source.
RSpec.describe Grittle::Written do
  {
    "SL" => %w[usda SL],
    "Sandy loam" => %w[usda SL],
    "light clay" => %w[australia LC],
    "sandy silt loam" => %w[uk SZL],
    "heavy clay" => %w[australia HC],
    "ZCL" => %w[australia ZCL],
    "moderately fine" => %w[usda moderately_fine],
    "Muck" => %w[organic muck],
    "clay loam, sandy" => %w[australia CLS],
    "gravelly fine sandy loam" => ["usda", "SL", { sand_grade: "fine" }],
    "FSL" => ["usda", "SL", { sand_grade: "fine" }],
    "LFS" => ["usda", "LS", { sand_grade: "fine" }],
    "loamy very fine sand" => ["usda", "LS", { sand_grade: "very_fine" }],
    "heavy clay loam" => ["usda", "CL", { position: "heavy" }],
    "CL-" => %w[australia CL-],
    "SIL+" => ["usda", "SIL", { position: "heavy" }]
  }.each do |text, (system, code, added)|
    it "reads #{text}" do
      found = described_class.read(text)
      expect([found.system, found.code, found.added]).to eq [system, code, added || {}]
    end
  end

  it "keeps to the system that is said" do
    expect(described_class.read("heavy clay", system: "Canadian")).to have_attributes(system: "canada", code: "HC")
    expect(described_class.read("clay loam", system: "UK")).to have_attributes(system: "uk", code: "CL")
    expect(described_class.read("sandy silt loam", system: "usda")).to be_nil
    expect(described_class.read("gumbo")).to be_nil
    expect { described_class.read("SL", system: "moon") }.to refuse_with(Grittle::UnknownName, /no system “moon”/)
  end
end
