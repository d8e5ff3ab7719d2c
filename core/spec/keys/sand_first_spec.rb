# frozen_string_literal: true

require_relative "../spec_helper"

RSpec.describe Grittle::Keys::SandFirst do
  def walk(given) = described_class.new(Grittle::Observations.new(given)).result
  def codes(given) = walk(given).outcomes.map(&:first)

  # What the manuals' table says of each class (from memory: Canadian field manuals; lengths under 50 mm our own model).
  def self.typical(wet_rub, cast, lengths, grittiness, shine, stickiness, **more)
    {
      "wet_rub" => wet_rub,
      "cast_strength" => cast,
      "ribbons" => ribbons(*lengths),
      "grittiness" => grittiness,
      "shine" => shine,
      "stickiness" => stickiness,
      **more.transform_keys(&:to_s)
    }
  end

  classes = {
    "LS" => typical("very_gritty", "very_weak", [3, 3, 3], "very", "none", "non", floury_feel: "some"),
    "SL" => typical("very_gritty", "weak", [14, 14, 15], "very", "none", "slightly", floury_feel: "some"),
    "SCL" =>
      typical("very_gritty", "moderate", [24, 25, 24], "very", "slight", "moderately", ribbon_character: "short_thick"),
    "SC" => typical("very_gritty", "strong", [60, 61, 60], "moderate", "moderate", "very", ribbon_character: "thin"),
    "L" => typical("neither", "moderate", [18, 18, 19], "moderate", "none", "slightly", floury_feel: "some"),
    "SIL" => typical("very_smooth", "weak", [16, 15, 16], "slight", "none", "slightly", ribbon_character: "flakes"),
    "SI" =>
      typical(
        "very_smooth",
        "weak",
        [9, 9, 9],
        "none",
        "none",
        "non",
        floury_feel: "strong",
        ribbon_character: "flakes"
      ),
    "CL" => typical("neither", "strong", [37, 37, 38], "moderate", "slight", "moderately", ribbon_character: "thin"),
    "SICL" => typical("very_smooth", "strong", [37, 37, 38], "none", "slight", "moderately", floury_feel: "some"),
    "SIC" => typical("very_smooth", "very_strong", [62, 63, 62], "none", "moderate", "very", ribbon_character: "thin"),
    "C" => typical("neither", "very_strong", [90, 90, 91], "none", "strong", "very", shear_resistance: "slight"),
    "HC" => typical("neither", "very_strong", [90, 90, 91], "none", "strong", "very", shear_resistance: "very_firm")
  }

  classes.each do |code, given|
    it("names #{code} first for what it is like") { expect(codes(given).first).to eq code }
  end

  # The page (wet_rub) and resistance decide; every other answer may be wrong once.
  it "keeps the class among the outcomes when one answer is wrong" do
    wrong = { "shine" => { "none" => "strong", "slight" => "strong", "moderate" => "none", "strong" => "none" },
              "stickiness" => { "non" => "very", "slightly" => "very", "moderately" => "non", "very" => "non" },
              "cast_strength" => { "very_weak" => "strong", "weak" => "very_strong", "moderate" => "very_strong",
                                   "strong" => "weak", "very_strong" => "weak" } }
    lost = classes.flat_map do |code, given|
      wrong.filter_map do |test, swaps|
        [code, test] unless codes(given.merge(test => swaps.fetch(given[test]))).include?(code)
      end
    end
    expect(lost).to be_empty
  end

  # Common practice: strong cast, 30 mm that carries its weight, moderate grains, sticky, slight shine.
  it "finds clay loam, or its neighbour, where the trade does" do
    given = {
      "wet_rub" => "neither",
      "cast_strength" => "strong",
      "ribbons" => ribbons(30, 30, 30, carried_own_weight: true),
      "grittiness" => "moderate",
      "stickiness" => "moderately",
      "shine" => "slight"
    }
    expect(codes(given).first).to eq "CL"
  end

  it "asks for the page first, then a length, then a feel" do
    expect(walk({ "ball_holds" => true }).next_question).to eq "wet_rub"
    expect(walk({ "ball_holds" => true, "wet_rub" => "neither" }).next_question).to eq "ribbon_forms"
    expect(walk({ "ribbons" => ribbons(40), "wet_rub" => "neither" }).next_question).to eq "grittiness"
  end

  it "ends at sand without a cast, and lists which test disagrees" do
    expect(codes({ "cast_strength" => "none", "moisture_rounds" => 0 })).to eq ["S"]
    given = classes["CL"].merge("shine" => "strong")
    expect(walk(given).disagreeing_tests).to eq ["shine"]
  end
end
