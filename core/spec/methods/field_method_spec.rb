# frozen_string_literal: true

require_relative "../spec_helper"

RSpec.describe Grittle::FieldMethod do
  it "is the printed flow key unless something else is said" do
    expect(described_class.new.to_h).to eq(
      key: "ribbon_and_rub",
      limit_set: "metric",
      ribbon_counts_from: "five_mm",
      system: "usda",
      older_grades: false,
      curve: "consensus",
      unit: "mm"
    )
  end

  {
    {} => ["Ribbon and rub, metric, as printed", "usda", "usda"],
    { limit_set: "contest" } => ["Ribbon and rub, judging-contest", "usda", "usda"],
    { key: "field_grades" } => ["Field texture grades", "australia", "usda"],
    { key: "two_numbers", system: "uk" } => ["Sand and clay by feel, United Kingdom", "uk", "uk"],
    { key: "rolling", system: "uk" } => %w[Rolling fao_wrb fao_wrb]
  }.each do |parts, said|
    it("is #{said.first}") do
      method = described_class.new(**parts)
      expect([method.name, method.naming_system, method.evidence_system]).to eq said
    end
  end

  it "tells a form its parts, their choices, and which keys look at them" do
    form = described_class.form.to_h { |part| [part[:name], part] }
    expect(form.keys).to eq %w[key limit_set ribbon_counts_from system older_grades curve unit]
    expect(form["limit_set"]).to include(keys: ["ribbon_and_rub"], default: "metric")
    expect(form["older_grades"][:choices].map { |choice| choice[:value] }).to eq [false, true]
    expect(form["key"][:choices].size).to eq 7
  end

  it "names only what its key can, and organic soil" do
    expect(described_class.new(key: "rolling").named("SL/poor").name).to eq "sandy loam, poor in clay"
    expect(described_class.new.named("peat").system).to eq "organic"
    expect { described_class.new.named("MC") }.to refuse_with(Grittle::UnknownName, /no class “MC”/)
  end

  {
    { key: "guess" } => /no key “guess”/,
    { curve: "bent" } => /no curve “bent”/,
    { older_grades: "yes" } => /no older grades “yes”/,
    { taste: 1 } => /no part of a method “taste”/
  }.each do |parts, sentence|
    it("refuses #{parts}") { expect { described_class.new(**parts) }.to refuse_with(Grittle::UnknownName, sentence) }
  end
end
