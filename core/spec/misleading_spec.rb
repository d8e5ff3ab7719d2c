# frozen_string_literal: true

require_relative "spec_helper"

# What once said something that is wrong, or kept quiet about something that is not: each with the sentence that is said
# now. Common practice, no source, but where a line names one.
RSpec.describe Grittle do
  # In every row.
  B = { "ball_holds" => true }.freeze # rubocop:disable RSpec/LeakyConstantDeclaration, Lint/ConstantDefinitionInBlock

  def assessed(given, **method) = described_class.assess(given, **method).to_h
  def contradicted(given) = assessed(given)["contradictions"].to_h { |one| one.values_at("rule", "sentence") }
  def likely(given) = assessed(given)["evidence"]["sentence"]
  def grades(given) = assessed(given, key: "field_grades")["keys"].first["outcomes"].map { |one| one["code"] }

  describe "a hand too sticky or too wet to push a ribbon" do
    {
      B.merge("ribbon_forms" => false, "stickiness" => "very") =>
        /No ribbon forms, yet it is sticky: soil too wet, or a hand too sticky/,
      B.merge("ribbons" => ribbons(15), "stickiness" => "very", "wet_rub" => "neither") =>
        /A short ribbon, yet very sticky/,
      B.merge("ribbons" => ribbons(49), "stickiness" => "very") => /A short ribbon, yet very sticky/,
      B.merge("ribbons" => ribbons(60), "stickiness" => "slightly") => /A long ribbon, yet hardly sticky/
    }.each do |given, sentence|
      it "contradicts itself with #{given.except('ball_holds').keys.join(' and ')}" do
        found = assessed(given)["contradictions"].find { |one| sentence.match?(one["sentence"]) }
        expect(found["repeat"]).to include("ribbons", "stickiness")
        expect(found["decides"]).to match(/push again|sticks when wetter/)
      end
    end
  end

  it "does not doubt the 130 mm of a heavy clay" do
    expect(
      contradicted(B.merge("ribbons" => ribbons(130, 128, 133), "stickiness" => "very", "shine" => "strong"))
    ).to be_empty
  end

  it "speaks of the curve that is chosen" do
    given = B.merge("ribbons" => ribbons(26), "wet_rub" => "neither", "grittiness" => "slight")
    said = ->(curve) { assessed(given, curve: curve)["evidence"]["beside_key"] }
    expect(
      said["consensus"]["sentence"]
    ).to eq "The key's limit is 25 mm; by the curve “Consensus” that is 21 % clay, " \
            "and clay loams begin at 27."
    expect(said["cautious"]["sentence"]).to include("“Cautious” that is 10 % clay")
  end

  describe "field grades" do
    it "name no sandy grade where no sand was felt" do
      expect(grades(B.merge("ribbons" => ribbons(52, 53), "wet_rub" => "neither"))).to eq %w[LC]
      expect(grades(B.merge("ribbons" => ribbons(45), "feel_words" => ["silky"]))).to eq %w[ZCL]
    end

    it "stand one class from what they share an edge with" do
      found = assessed(B.merge("ribbons" => ribbons(30), "grittiness" => "moderate", "wet_rub" => "neither"))["keys"]
      expect(found.find do |key|
        key["key"] == "field_grades"
      end).to include("agreement" => "one_off", "outcomes" => include(include("code" => "SCL")))
    end
  end

  it "takes very fine sand for what it is" do
    given = B.merge("wet_rub" => "very_smooth", "sand_grade" => "very_fine", "decanted_sand" => "most")
    expect(contradicted(given)["very_fine_sand_feels_smooth"]).to include(
      "very fine sand feels smooth. Let the cloudy water run off"
    )
    expect(
      contradicted(B.merge("wet_rub" => "very_gritty", "decanted_sand" => "trace"))["gritty_but_nothing_left"]
    ).to include("hardly any sand stays")
  end

  it "names no organic soil “Sand”" do
    found = described_class.assess({ "ball_holds" => false, "moisture_rounds" => 1, "blind_spots" => ["organic"] })
    expect(found.to_h["keys"].flat_map { |key| key["outcomes"] }).to be_empty
    expect(found.to_h["evidence"]["sentence"]).not_to match(/sand/i)
    expect(
      found.sentence
    ).to eq "Marked as organic. Organic soil gets no texture class: call it peat, mucky peat or muck, " \
            "or give a reason for a class."
  end

  it "says percentages that add up to 100" do
    found = assessed(B.merge("ribbons" => ribbons(52, 53), "wet_rub" => "neither"))
    expect(found["keys"].first["outcomes"].sum { |one| one["percent"] }).to eq 100
    expect(found["keys"].first["sentence"]).to eq("On the limit: #{found['keys'].first['outcomes'].map do |one|
      "#{one['name']} #{one['percent']} %"
    end.join(', ')}.")
    expect(found["evidence"]["classes"].sum { |one| one["percent"] }).to eq 100
    expect(Grittle::Percents.of([0.705, 0.295])).to eq [71, 29]
    expect(Grittle::Percents.of([1 / 3.0] * 3)).to eq [34, 33, 33]
  end

  it "calls no class likely after one weak answer" do
    expect(likely(B)).to eq "No class stands out yet; sand is improbable."
    expect(likely(B.merge("wet_rub" => "neither"))).to match(/\ANo class stands out yet; sand/)
  end

  it "settles nothing while the key still asks" do
    given =
      B.merge("ribbons" => ribbons(95, 96, 97), "stickiness" => "very", "shine" => "strong", "plasticity" => "very")
    expect(assessed(given)["evidence"]["settled"]).to be false # the rub is not made
    expect(assessed(given.merge("wet_rub" => "neither"))["evidence"]["settled"]).to be true
    expect(assessed(given.merge("wet_rub" => "neither"))["rules_of_thumb"]).to be_empty
  end

  it "does not find a very smooth stub near loamy sand" do
    notes = lambda do |rub|
      assessed(B.merge("ribbons" => ribbons(12, 12), "wet_rub" => rub))["keys"].first["notes"].map do |note|
        note["rule"]
      end
    end
    expect([notes["very_smooth"], notes["very_gritty"]]).to match [not_include("near_stub"), include("near_stub")]
  end

  describe "down a profile" do
    def profile(*rows, system: "usda")
      depth = 0
      horizons = rows.map do |name, code, own|
        {
          "designation" => name,
          "upper_cm" => depth,
          "lower_cm" => depth += 30,
          "readings" => code ? [reading(code, own, system)] : []
        }
      end
      described_class.read_down("name" => "P", "naming_system" => "usda", "horizons" => horizons)
    end

    def reading(code, own, system)
      { "id" => code, "named" => { "system" => system, "code" => code },
"observations" => own ? { "clay_estimate" => { "percent" => own } } : {} }
    end

    it "keeps the surveyor's own clay in front" do
      found = profile(["A", "SL", 8], ["Bt", "CL", 30], ["C", "L", 25])
      expect(found["horizons"].map { |one| one["own_clay"] }).to eq [8, 30, 25]
      expect(found["contrasts"].map do |one|
        one["sentence"]
      end).to match [/\AClay rises by about 22 points, from 8 to 30 %, by your own figures;/,
                     /\AClay falls by about 5 points, from 30 to 25 %, by your own figures;/]
    end

    it "finds water under an organic layer, and between two finer ones" do
      found = profile(["O", nil], %w[E S], %w[Bt C])
      expect(found["perching"].map { |one| one.values_at("boundary", "kind") }).to eq [
        [1, "hangs_over_coarser"],
        [2, "stands_on_finer"]
      ]
      expect(found["sandwiches"].map { |one| one["layer"] }).to eq ["E"]
    end

    it "asks no C for the clay of a Bt, and prints no certainty" do
      found = profile(%w[A SL], %w[Bt C], %w[C HC], system: "canada")["contrasts"]
      expect(found.last["tests"].map { |one| one["test"] }).not_to include("clay_increase", "argic")
      expect(found.flat_map do |one|
        one["tests"].map do |test|
          test["sentence"]
        end
      end.join(" ")).to include("(over 95 %)").and not_include("100 %")
    end
  end

  it "does not jump between ribbons of 4.9 and 5.0 mm, nor count one answer twice" do
    sand = lambda do |mm|
      assessed(B.merge("ribbons" => ribbons(mm, mm, mm), "wet_rub" => "very_smooth"))["evidence"]["mean"]["sand"]
    end
    expect((sand[4.9] - sand[5.0]).abs).to be < 1
    felt = ->(given) { assessed(given)["evidence"]["felt"] }
    expect(felt[{ "ball_holds" => false, "cast_strength" => "none" }]).to eq 1
  end
end
