# frozen_string_literal: true

require_relative "../spec_helper"

RSpec.describe Grittle::Keys::Rolling do
  def walk(given) = described_class.new(Grittle::Observations.new({ "ball_holds" => true }.merge(given))).result
  def codes(given) = walk(given).outcomes.map(&:first)

  def self.rolled(wire, ring = nil, **more)
    { "finest_wire_mm" => wire, "ring_forms" => ring, **more.transform_keys(&:to_s) }.compact
  end

  # FAO Guidelines for Soil Description, 4th ed., 2006, table 25 (wording from memory); on the numbered branches.
  {
    # 1  no wire of 7 mm
    rolled("none", floury_feel: "none", finger_stain: "clean") => %w[S],
    rolled("none", floury_feel: "none", finger_stain: "stained") => %w[LS],
    rolled("none", floury_feel: "none", finger_stain: "grains_stick", stickiness: "slightly") => %w[LS],
    rolled("none", floury_feel: "none", finger_stain: "grains_stick", stickiness: "non") => %w[LS S],
    rolled("none", floury_feel: "some") => %w[SL/poor],
    rolled("none", floury_feel: "strong", grittiness: "none") => %w[SI],
    rolled("none", floury_feel: "strong", grittiness: "slight") => %w[SIL/poor],
    # 2  wire of 3 to 7 mm, breaks when bent
    rolled("7", floury_feel: "strong", stickiness: "non", grittiness: "none") => %w[SI],
    rolled("7", floury_feel: "strong", stickiness: "slightly", grittiness: "none") => %w[SIL/rich],
    rolled("3", false, floury_feel: "some", grittiness: "moderate", stickiness: "slightly") => %w[L],
    rolled("3", false, floury_feel: "some", grittiness: "very", stickiness: "non") => %w[SL/rich],
    rolled("3", false, floury_feel: "some", grittiness: "very", stickiness: "moderately") => %w[SCL],
    rolled(
      "7",
      floury_feel: "none",
      grittiness: "moderate",
      stickiness: "very",
      squeezed_surface: "moderately_shiny"
    ) => %w[SCL],
    # 3  wire of 3 mm bends to a ring
    rolled("3", true, grittiness: "very") => %w[SC],
    rolled("3", true, grittiness: "slight", plasticity: "moderately") => %w[CL],
    rolled("3", true, grittiness: "slight", plasticity: "very", squeezed_surface: "shiny") => %w[C],
    rolled("3", true, grittiness: "slight", plasticity: "very", squeezed_surface: "moderately_shiny") => %w[CL C],
    rolled("3", true, grittiness: "none", plasticity: "slightly") => %w[SICL],
    rolled("3", true, grittiness: "none", plasticity: "very", squeezed_surface: "moderately_shiny") => %w[SIC],
    rolled("3", true, grittiness: "none", plasticity: "very", squeezed_surface: "shiny") => %w[HC]
  }.each do |given, outcomes|
    it "ends at #{outcomes.join(' and ')} by #{given.values.join(', ')}" do
      expect(codes(given)).to eq outcomes
      expect(walk(given).on_the_limit).to be(outcomes.size > 1)
    end
  end

  it "takes the ring for a wire of 3 mm, and the gloss for the surface, and says where it read them" do
    path = walk({ "ring_forms" => true, "grittiness" => "none", "plasticity" => "very", "shine" => "strong" }).path
    expect(path.filter_map { |step| step.values_at("question", "from") if step["from"] })
      .to eq [%w[finest_wire_mm ring_forms], %w[squeezed_surface shine]]
  end

  it "lists the ring where only clay is left without one" do
    result = walk({ "finest_wire_mm" => "3", "ring_forms" => false, "floury_feel" => "none", "grittiness" => "none",
"plasticity" => "slightly" })
    expect([result.outcomes, result.disagreeing_tests]).to eq [[["SICL", 1.0]], ["ring_forms"]]
  end

  it "says which part of a class it means" do
    expect(Grittle::NamedClass.new(key: "rolling", code: "SL/poor").name).to eq "sandy loam, poor in clay"
    expect(walk({ "finest_wire_mm" => "7" }).possible).to include("SCL", "SIL/rich").and not_include("C", "SC")
  end
end
