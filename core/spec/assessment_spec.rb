# frozen_string_literal: true

require_relative "spec_helper"

RSpec.describe Grittle::Assessment do
  def assess(given, **options) = Grittle.assess(given, **options)

  it "carries the rules' version, the ribbon set with its limits, and the key" do
    found = assess({ "ball_holds" => true, "ribbons" => ribbons(48, 48, 48) }).to_h
    expect(found["rules_version"]).to eq Grittle::RULES_VERSION
    expect(found["ribbon_set"]).to include("count" => 3, "mean_mm" => 48.0, "scale_mm" => 3.09,
                                           "sentence" => "3 ribbons, in good agreement.")
    limits = found["ribbon_set"]["limits"].to_h { |limit| [limit["limit_mm"], limit["probability_above"].round(2)] }
    expect(limits).to eq(5.0 => 1.0, 25.0 => 1.0, 50.0 => 0.28)
    expect(found["keys"].map { |key| key["key"] })
      .to eq %w[ribbon_and_rub field_grades sand_first rolling two_numbers texture_groups length_alone]
    expect(found["curves"].map { |curve| curve["curve"] }).to eq %w[
      twenty_forty
      cautious
      flow_tiers
      field_grades
      consensus
    ]
  end

  {
    {} => "11 of 12 classes are still possible.",
    { "ball_holds" => false, "moisture_rounds" => 1 } => "Sand.",
    { "ball_holds" => true, "ribbons" => [{ "length_mm" => 70 }, { "length_mm" => 70 }, { "length_mm" => 70 }],
      "wet_rub" => "very_smooth" } => "Silty clay.",
    { "ball_holds" => true, "ribbons" => [{ "length_mm" => 46 }, { "length_mm" => 53 }, { "length_mm" => 61 }],
      "wet_rub" => "very_smooth" } => "On the limit: silty clay 75 %, silty clay loam 25 %."
  }.each do |given, sentence|
    it("says “#{sentence}”") { expect(assess(given).sentence).to eq sentence }
  end

  it "says which keys agree with the main one" do
    given = {
      "ball_holds" => true,
      "ribbons" => ribbons(37, 38, 37),
      "wet_rub" => "neither",
      "grittiness" => "moderate",
      "stickiness" => "moderately",
      "shine" => "slight",
      "cast_strength" => "strong"
    }
    found = assess(given).to_h["keys"].to_h { |key| [key["key"], key["agreement"]] }
    expect(found).to include(
      "ribbon_and_rub" => nil,
      "sand_first" => "agree",
      "texture_groups" => nil,
      "two_numbers" => nil
    )
  end

  # One set of answers by every key in turn: its own names, a scale to read ribbons on, and what to do about a limit.
  {
    "ribbon_and_rub" => [4, "On the limit: clay loam 92 %, clay 8 %.", "one_more"],
    "field_grades" => [7, /clay loam, sandy/, "one_more"],
    "sand_first" => [5, "Clay loam.", "one_more"],
    "rolling" => [1, "15 of 15 classes are still possible.", "clear"],
    "two_numbers" => [1, /clay loam 93 %/, "clear"],
    "texture_groups" => [5, "Moderately fine.", "clear"],
    "length_alone" => [5, "On the limit: loam 65 %, clay 35 %.", "clear"]
  }.each do |key, (tiers, sentence, advice)|
    it "leads by #{key}" do
      found =
        assess(
          {
            "ball_holds" => true,
            "ribbons" => ribbons(44, 47, 43),
            "wet_rub" => "neither",
            "grittiness" => "moderate",
            "sand_estimate" => {
              "percent" => 31
            }
          },
          key: key,
          system: "uk"
        )
      expect(found.ruler["tiers"].size).to eq tiers
      expect(found.sentence).to match(sentence)
      expect(found.main["advice"]["state"]).to match(advice)
      expect(found.to_h["keys"].map { |one| one["key"] }.first).to eq key
      expect(found.to_h["systems"].to_h { |one| [one["system"], one["class"]] }).to include(
        "uk" => "clay loam",
        "canada" => "clay loam"
      )
    end
  end

  it "leaves out figures of ribbons that all tore" do
    set = assess({ "ribbons" => ribbons(30, ended: "torn") }).to_h["ribbon_set"]
    expect(set).to include("verdict" => "all_torn", "count" => 0)
    expect(set).not_to have_key "mean_mm"
  end

  # Number of ribbons on the limit => what is advised.
  { [52] => "make_another", [48, 52] => "make_another", [48, 50, 52] => "one_more", [48, 50, 52, 50] => "one_more",
    [48, 50, 52, 50, 50] => "on_the_limit", [70, 70, 70] => "clear", [90] => "make_another" }.each do |lengths, state|
    it "advises #{state} after #{lengths.join(', ')} mm" do
      expect(assess({ "ball_holds" => true, "ribbons" => ribbons(*lengths) }).main["advice"]["state"]).to eq state
    end
  end

  it "does not depend on the order of answers" do
    given = { "wet_rub" => "neither", "ribbons" => ribbons(41, 44, 39), "ball_holds" => true }
    expect(assess(given).to_h).to eq assess(given.to_a.reverse.to_h).to_h
  end

  it "draws the bell of the true length around its mean" do
    ruler = assess({ "ribbons" => ribbons(48, 48, 48) }).ruler
    peak = ruler["density"].max_by(&:last)
    expect(peak).to eq [48.0, 1.0]
    expect(ruler["density"].first.last).to eq ruler["density"].last.last
    expect(ruler["tiers"].map { |tier| tier["name"] }).to eq %w[none weak medium strong]
  end

  {
    { system: "mars" } => /no system “mars”/,
    { limit_set: "royal" } => /no limit set “royal”. Use one of: metric, inch_tiers, contest/,
    { ribbon_counts_from: "a_mile" } => /any_length, five_mm, half_inch/,
    { key: "guess" } => /no key “guess”/,
    { unit: "ell" } => /no unit “ell”/
  }.each do |options, sentence|
    it("refuses #{options}") do
      expect { assess({ "ribbons" => ribbons(40) }, **options).to_h }.to refuse_with(Grittle::UnknownName, sentence)
    end
  end
end
