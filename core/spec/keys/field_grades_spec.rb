# frozen_string_literal: true

require_relative "../spec_helper"

RSpec.describe Grittle::Keys::FieldGrades do
  def walk(given, **options) = described_class.new(Grittle::Observations.new(given), **options).result
  def codes(given, **options) = walk(given, **options).outcomes.map(&:first)

  # What each grade is said to be like, from memory: Northcote 1979; Australian Soil and Land Survey Field Handbook, 3rd
  # ed., 2009. Ribbons (mm), coherence, grittiness, wet rub, then what else the page says.
  def self.typical(lengths, coherence, grittiness, wet_rub, **more)
    { "ribbons" => ribbons(*lengths), "coherence" => coherence, "grittiness" => grittiness, "wet_rub" => wet_rub,
      **more.transform_keys(&:to_s) }
  end

  grades = {
    "LS" => typical([5, 5, 5], "slight", "very", "very_gritty", finger_stain: "grains_stick"),
    "CS" => typical([11, 12, 11], "slight", "very", "very_gritty", stickiness: "moderately", finger_stain: "stained"),
    "SL" => typical([20, 20, 21], "coherent", "very", "very_gritty"),
    "L" => typical([25, 25, 26], "coherent", "slight", "neither", feel_words: ["spongy"]),
    "ZL" => typical([25, 25, 26], "coherent", "none", "very_smooth", floury_feel: "strong", feel_words: ["silky"]),
    "SCL" => typical([32, 33, 32], "strongly_coherent", "moderate", "very_gritty", grains_seen: "some"),
    "CL" => typical([45, 45, 46], "coherent", "slight", "neither", plasticity: "moderately", feel_words: ["smooth"]),
    "CLS" =>
      typical([45, 45, 46], "coherent", "moderate", "very_gritty", plasticity: "moderately", grains_seen: "many"),
    "ZCL" => typical([45, 45, 46], "coherent", "none", "very_smooth", plasticity: "moderately", feel_words: ["silky"]),
    "LCS" => typical([62, 62, 63], "strongly_coherent", "moderate", "very_gritty", plasticity: "very"),
    "LCZ" =>
      typical([62, 62, 63], "strongly_coherent", "none", "very_smooth", plasticity: "very", feel_words: ["silky"]),
    "LC" =>
      typical([62, 62, 63], "strongly_coherent", "none", "neither", plasticity: "very", shear_resistance: "slight"),
    "LMC" =>
      typical([75, 75, 76], "strongly_coherent", "none", "neither", plasticity: "very", shear_resistance: "slight"),
    "MC" =>
      typical(
        [90, 91, 90],
        "strongly_coherent",
        "none",
        "neither",
        plasticity: "very",
        shear_resistance: "moderate",
        rods: "without_fracture"
      ),
    "MHC" => typical([90, 91, 90], "strongly_coherent", "none", "neither", plasticity: "very", shear_resistance: "firm",
                                                                           rods: "without_fracture"),
    "HC" =>
      typical(
        [95, 96, 95],
        "strongly_coherent",
        "none",
        "neither",
        plasticity: "very",
        shear_resistance: "very_firm",
        rods: "without_fracture"
      )
  }

  grades.each do |code, given|
    it("names #{code} for what it is like") { expect(codes(given)).to include code }
  end

  it "names the typical grades first" do
    firsts = grades.except("LMC", "MHC", "LC").transform_values { |given| codes(given).first }
    expect(firsts).to eq(firsts.keys.to_h { |code| [code, code] })
  end

  # One answer that speaks for something else; resistance decides among the clays and is left out.
  it "keeps the grade among the outcomes when one answer is wrong" do
    wrong = { "grittiness" => { "none" => "extreme", "slight" => "extreme", "moderate" => "none", "very" => "none" },
              "wet_rub" => {
                "neither" => "very_gritty",
                "very_smooth" => "very_gritty",
                "very_gritty" => "very_smooth"
              },
              "plasticity" => { "moderately" => "non", "very" => "slightly" } }
    lost = grades.except("LCS", "LCZ").flat_map do |code, given|
      wrong.filter_map do |test, swaps|
        answer = swaps[given[test]] or next
        [code, test] unless codes(given.merge(test => answer)).include?(code)
      end
    end
    expect(lost).to be_empty
  end

  it "ends at sand without coherence" do
    expect(codes({ "coherence" => "none", "moisture_rounds" => 1 })).to eq ["S"]
    expect(walk({ "coherence" => "none", "moisture_rounds" => 1, "plasticity" => "very" }).disagreeing_tests).to eq []
  end

  # Common practice: 90-100 mm, like modelling clay, moderate resistance is a medium clay; with firm resistance it is
  # not.
  it "lets resistance to shearing decide among the clays" do
    like_clay = { "ball_holds" => true, "ribbons" => ribbons(95, 95, 95), "feel_words" => ["like_modelling_clay"] }
    expect(codes(like_clay.merge("shear_resistance" => "moderate")).first).to eq "MC"
    expect(codes(like_clay.merge("shear_resistance" => "firm"))).not_to include "MC"
  end

  it "says so where the printed table leaves a gap, and writes short loams as light" do
    plain = { "ball_holds" => true, "grittiness" => "none" }
    expect(codes(plain.merge("ribbons" => ribbons(34, 34, 34), "wet_rub" => "neither"))).to contain_exactly("L+", "CL-")
    expect(codes(plain.merge("ribbons" => ribbons(34, 34, 34), "wet_rub" => "very_smooth", "floury_feel" => "strong")))
      .to contain_exactly("ZL+", "ZCL-")
    expect(codes(plain.merge("ribbons" => ribbons(15, 15, 15), "wet_rub" => "neither")).first).to eq "L-"
  end

  it "shows sandy clay and silty clay where the older list is asked for" do
    expect(codes(grades["LCS"], older_list: true).first).to eq "SC"
  end

  it "names the grade beyond the limit where the interval reaches it" do
    result =
      walk({ "ball_holds" => true, "ribbons" => ribbons(49, 50, 51), "grittiness" => "none", "wet_rub" => "neither" })
    expect(result.outcomes.map(&:first)).to include("CL", "LC")
    expect(result.on_the_limit).to be true
  end

  it "marks a ribbon of another shape than its own, and uses it" do
    given = {
      "ball_holds" => true,
      "ribbons" => ribbons(45, 45, thickness_mm: 4),
      "grittiness" => "slight",
      "wet_rub" => "neither"
    }
    expect(walk(given).notes).to include("rule" => "not_this_schools_ribbon",
                                         "sentence" => "Not this school's ribbon: it wants one 2 to 3 mm thick.")
    expect(codes(given).first).to eq "CL"
    expect(walk(given.merge("ribbons" => ribbons(45, 45, thickness_mm: 3))).notes).to be_empty
    contest = Grittle.assess(given, limit_set: "contest").key.notes.map { |note| note["rule"] }
    expect(contest).to include "not_this_schools_ribbon"
  end

  # Order of the page: bolus, ribbon, feel.
  {
    {} => "ball_holds",
    { "coherence" => "coherent" } => "ribbon_forms",
    { "coherence" => "coherent", "ribbon_forms" => true } => "ribbons",
    { "ribbons" => [{ "length_mm" => 45 }] } => "grittiness"
  }.each do |given, question|
    it("asks for #{question} after #{given.keys}") { expect(walk(given).next_question).to eq question }
  end
end
