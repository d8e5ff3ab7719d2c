# frozen_string_literal: true

require_relative "../spec_helper"

RSpec.describe Grittle::Contradictions do
  def rules(given) = Grittle.assess(given).to_h["contradictions"].map { |found| found["rule"] }

  # What contradicts, and the same with one answer that no longer does.
  {
    "ball_fails_but_ribbon" => [{ "ball_holds" => false, "ribbons" => ribbons(40) }, { "ball_holds" => true }],
    "no_ribbon_but_sticky" => [
      { "ball_holds" => true, "ribbon_forms" => false, "stickiness" => "very" },
      { "stickiness" => "slightly" }
    ],
    "no_ribbon_but_plastic" => [{ "ball_holds" => true, "ribbon_forms" => false, "plasticity" => "very" },
                                { "plasticity" => "moderately" }],
    "no_ribbon_but_shine" => [
      { "ball_holds" => true, "ribbon_forms" => false, "shine" => "moderate" },
      { "shine" => "slight" }
    ],
    "long_ribbon_not_sticky" => [
      { "ribbons" => ribbons(50), "stickiness" => "slightly" },
      { "ribbons" => ribbons(49) }
    ],
    "long_ribbon_not_plastic" => [{ "ribbons" => ribbons(50), "plasticity" => "non" }, { "plasticity" => "slightly" }],
    "very_fine_sand_feels_smooth" => [
      { "wet_rub" => "very_smooth", "sand_grade" => "very_fine", "decanted_sand" => "most" },
      { "decanted_sand" => "trace" }
    ],
    "gritty_but_nothing_left" => [
      { "wet_rub" => "very_gritty", "decanted_sand" => "none" },
      { "decanted_sand" => "some" }
    ],
    "long_ribbon_no_shine" => [{ "ribbons" => ribbons(50), "shine" => "none" }, { "shine" => "slight" }],
    "long_ribbon_clods_shatter" => [{ "ribbons" => ribbons(60), "dry_clod" => "loose" }, { "dry_clod" => "soft" }],
    "short_ribbon_very_sticky" => [{ "ribbons" => ribbons(49), "stickiness" => "very" }, { "ribbons" => ribbons(50) }],
    "short_ribbon_strong_shine" => [{ "ribbons" => ribbons(14), "shine" => "strong" }, { "shine" => "moderate" }],
    "no_thumbprint_long_ribbon" => [{ "ribbons" => ribbons(41), "thumbprint" => false }, { "ribbons" => ribbons(40) }],
    "thumbprint_no_ribbon" => [{ "ribbon_forms" => false, "thumbprint" => true }, { "ribbon_forms" => true }],
    "sandy_but_smooth" => [{ "sand_estimate" => { "percent" => 61 }, "wet_rub" => "very_smooth" },
                           { "sand_estimate" => { "percent" => 60 } }],
    "little_sand_but_gritty" => [{ "sand_estimate" => { "percent" => 19 }, "wet_rub" => "very_gritty" },
                                 { "sand_estimate" => { "percent" => 20 } }],
    "gritty_and_floury" => [{ "wet_rub" => "very_gritty", "floury_feel" => "strong" }, { "floury_feel" => "some" }],
    "smooth_but_very_sticky" => [{ "feel_words" => ["silky"], "stickiness" => "very" }, { "feel_words" => ["greasy"] }],
    "ribbon_too_long" => [{ "ribbons" => ribbons(151) }, { "ribbons" => ribbons(151, thickness_mm: 3) }],
    "organic" => [{ "blind_spots" => ["organic"] }, { "blind_spots" => [] }],
    "stones_left_in" => [
      { "coarse_fragments_percent" => 36, "blind_spots" => ["stones_left_in"] },
      { "coarse_fragments_percent" => 35 }
    ],
    "worked_too_briefly" => [{ "ribbons" => ribbons(60), "working_minutes" => 0.5 }, { "working_minutes" => 1 }],
    "sand_and_clay_over_100" => [{ "sand_estimate" => { "percent" => 70 }, "clay_estimate" => { "percent" => 40 } },
                                 { "clay_estimate" => { "percent" => 30 } }],
    "methods_two_off" => [{ "ball_holds" => true, "ribbons" => ribbons(70, 70, 70), "wet_rub" => "neither",
                            "sand_estimate" => { "percent" => 85 }, "clay_estimate" => { "percent" => 5 } },
                          { "sand_estimate" => { "percent" => 25 }, "clay_estimate" => { "percent" => 50 } }]
  }.each do |rule, (given, mended)|
    it "sees #{rule.tr('_', ' ')}" do
      expect(rules(given)).to include rule
      expect(rules(given.merge(mended))).not_to include rule
    end
  end

  # 100 to 150 mm is ordinary for heavy clay: asked for its thickness, and not doubted (common practice, no source).
  it "asks once how thick a ribbon over 100 mm was" do
    notes = lambda { |*lengths, **shape|
      Grittle.assess({ "ribbons" => ribbons(*lengths, **shape) }).to_h["keys"].first["notes"].map do |note|
        note["rule"]
      end
    }
    expect([notes[130, 125], notes[130, 125, thickness_mm: 3],
            notes[95]]).to match [include("how_thick"), not_include("how_thick"), not_include("how_thick")]
    expect(rules("ball_holds" => true, "ribbons" => ribbons(130, 125, 120))).to be_empty
  end

  it "never explains away what tests contradict" do
    found =
      Grittle.assess(
        {
          "ball_holds" => true,
          "ribbons" => ribbons(20, 21),
          "wet_rub" => "neither",
          "stickiness" => "very",
          "plasticity" => "very",
          "shine" => "strong",
          "thumbprint" => true,
          "dry_clod" => "very_hard"
        }
      ).to_h
    expect(found["evidence"]["beside_key"]).to include(
      "rule" => "contradicted",
      "sentence" => /speak against each other/
    )
  end

  it "says each in a sentence, with tests that there are to repeat" do
    described_class::RULES.each_value do |_, sentence, repeat|
      expect(sentence).to end_with "."
      expect(repeat - Grittle::Tests::Vocabulary::ALL.keys).to be_empty
    end
  end
end
