# frozen_string_literal: true

require_relative "spec_helper"
require "open3"

RSpec.describe Grittle do
  it "loads with Ruby alone: no gem, no standard library" do
    script = "before = $LOADED_FEATURES.dup; require '#{File.expand_path('../lib/grittle',
                                                                         __dir__)}'; puts $LOADED_FEATURES - before"
    out, = Open3.capture2({ "RUBYOPT" => nil }, "ruby", "--disable-gems", "-e", script)
    expect(out.lines(chomp: true)).to all include("/core/lib/grittle")
  end

  it "classifies from two of three" do
    expect(described_class.classify(sand: 40, clay: 20).name).to eq "loam"
    expect { described_class.classify(sand: 40, clay: 20, system: "moon") }.to refuse_with(
      Grittle::UnknownName,
      /no system “moon”/
    )
  end

  it "names each key's system and source" do
    described_class.keys.each do |key|
      expect([*Grittle::TRIANGLES.keys, "australia"]).to include key::SYSTEM
      expect(key::SOURCE).not_to be_empty
    end
  end

  # Silt measured to 20 µm, as Australian laboratories do, is an estimate everywhere else; clay stays what it is.
  it "compares a composition measured to another limit of silt as an estimate, with its grade of sand" do
    measured = Grittle::Composition.new(sand: 80, clay: 5)
    found = described_class.compare(measured, silt_limit: 20, sand_grade: "fine").to_h { |one| [one["system"], one] }
    expect(found["usda"]).to include("estimate" => true, "full_name" => "fine sandy loam",
                                     "composition" => { sand: 64.1, silt: 30.9, clay: 5.0 })
    expect(described_class.compare(measured, silt_limit: 60).to_h { |one| [one["system"], one["estimate"]] })
      .to eq("usda" => true, "canada" => true, "fao_wrb" => true, "uk" => false)
    expect(described_class.compare(measured).map { |one| one["estimate"] }).to all be(false)
  end

  # Whatever key leads, every test can be made, at one step of its path and no other.
  described_class.keys.each do |key|
    it "has a step for every test on the path of #{key::NAME.downcase}" do
      path = Grittle::Tests::Steps.of(key::ID)
      expect(path.flat_map { |step| step[:tests] }).to match_array(Grittle::Tests::Vocabulary::ALL.keys)
      expect(path.map { |step| step[:id] }).to start_with("prepare").and end_with("more", "assign")
    end
  end
end
