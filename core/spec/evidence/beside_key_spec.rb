# frozen_string_literal: true

require_relative "../spec_helper"

RSpec.describe Grittle::Evidence::BesideKey do
  def beside(given, **options)
    given = given.merge("ribbons" => ribbons(*given["ribbons"])) if given["ribbons"]
    Grittle.assess({ "ball_holds" => true }.merge(given), **options).to_h["evidence"]["beside_key"]
  end

  # Where the flow key and the model differ by design, and the rule that says why.
  {
    { "ribbon_forms" => false, "grittiness" => "moderate" } => "ball_without_ribbon",
    { "ribbon_forms" => false, "wet_rub" => "very_smooth", "floury_feel" => "strong" } => "silt_without_ribbon",
    {
      "ribbons" => [8, 8],
      "wet_rub" => "very_smooth",
      "decanted_sand" => "none",
      "floury_feel" => "strong"
    } =>
      "no_silt",
    { "ribbons" => [26], "wet_rub" => "neither" } => "little_over_an_inch",
    { "ribbons" => [53, 54, 52], "wet_rub" => "very_smooth", "floury_feel" => "strong" } => "two_inches",
    {
      "ribbons" => [100, 101],
      "wet_rub" => "very_gritty",
      "grittiness" => "moderate",
      "stickiness" => "very"
    } =>
      "clay_with_a_feel"
  }.each do |given, rule|
    it("explains #{rule}") { expect(beside(given)).to include("rule" => rule, "agreement" => /off|agree/) }
  end

  it "agrees where both say the same" do
    expect(beside({ "ribbons" => [38, 39, 37], "wet_rub" => "neither" }))
      .to eq("agreement" => "agree", "rule" => nil, "sentence" => "Key and estimate agree.")
  end

  it "names both where a table key differs, and says nothing before the key is at its end" do
    found =
      beside(
        {
          "ribbons" => [62, 63],
          "wet_rub" => "very_smooth",
          "grittiness" => "none",
          "stickiness" => "slightly",
          "shine" => "slight"
        },
        key: "field_grades"
      )
    expect(found["sentence"]).to eq described_class::CONTRADICTED
    found = beside({ "ribbons" => [62, 63], "wet_rub" => "neither", "grittiness" => "none" }, key: "field_grades")
    expect(found["sentence"]).to match(/\AThe key says .+, the estimate .+: one takes answers one by one/)
    expect(beside({})).to be_nil
    expect(beside({ "ribbons" => [40] }, key: "texture_groups")).to be_nil
  end

  it "estimates in the triangle that is asked for, and can be left out" do
    felt = { "ball_holds" => true, "ribbons" => ribbons(90, 95) }
    expect(
      Grittle.assess(felt, evidence_system: "canada").to_h["evidence"]["classes"].map { |one| one["code"] }
    ).to include "HC"
    expect(Grittle.assess(felt, evidence: "none").to_h["evidence"]).to be_nil
    expect(Grittle.assess(felt, evidence: "estimate").to_h["evidence"]).not_to have_key "next_tests"
    expect { Grittle.assess(felt, evidence: "some") }.to refuse_with(Grittle::UnknownName, /no evidence “some”/)
  end
end
