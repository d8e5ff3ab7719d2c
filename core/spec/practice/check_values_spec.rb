# frozen_string_literal: true

require_relative "../spec_helper"

# Values of a separate prototype [our own] unless a source stands beside them.
RSpec.describe Grittle::Practice do
  def run(name, document) = Grittle::Compute.run(name, document)

  pairs = [[44, 27], [75, 43], [21, 12], [57, 34], [101, 55], [31, 18], [72, 38], [30, 22], [92, 48], [52, 31]]
          .map { |length, clay| { "length_mm" => length, "scale_mm" => 4, "clay" => clay, "clay_sd" => 1.5 } }
  sets = [38, 60].map { |length| { "length_mm" => length, "scale_mm" => 4 } }

  # a, b, k2; mm of 30 % clay; clay of 38 mm; mean and interval of 38 mm and of 60 mm
  {
    0 => [[0, 0, 1], 39.0, 29.4, [30.0, 21, 40], [43.5, 33, 58]],
    1 => [[0.108, -0.011, 0.600], 43.5, 27.3, [28.2, 19, 38], [41.4, 30, 56]],
    3 => [[0.142, -0.026, 0.488], 45.0, 26.6, [26.5, 19, 34], [39.4, 31, 50]],
    10 => [[0.203, -0.038, 0.239], 47.8, 25.4, [24.6, 19, 30], [36.0, 31, 42]]
  }.each do |count, (curve, length, clay, *said)|
    it "learns a hand's curve from #{count} pairs" do
      found = run("hand", { "pairs" => pairs.first(count), "sets" => sets })
      expect(found["hand"].values_at("a", "b", "k2")).to match(curve.map { |value| be_within(0.005).of(value) })
      expect(Grittle::Practice::OwnCurve.from(found["hand"]).length(30)).to be_within(0.3).of(length)
      expect(found["clay_of_length"].first).to be_within(0.3).of(clay)
      expect(found["predictions"].map { |one| one.values_at("mean", "lo", "hi") })
        .to match(said.map { |mean, low, high| [be_within(0.3).of(mean), low, high] })
    end
  end

  it "knows how surely, what does not fit, and how it fares on what it has not seen" do
    found = run("hand", { "pairs" => pairs })
    expect(found["hand"].values_at("vaa", "vab", "vbb")).to eq [0.0028, -0.0019, 0.0078]
    missed = found["leave_one_out"].transform_values { |one| one["rmse"].round(2) }
    expect(missed).to eq("own" => 2.54, "consensus" => 8.35)
    odd = run("hand", { "pairs" => [*pairs, { "length_mm" => 20, "scale_mm" => 4, "clay" => 45, "clay_sd" => 1.5 }] })
    expect([odd["odd"], odd["hand"]["a"]]).to match [[10], be_within(0.0005).of(0.202)]
    old = pairs.map { |pair| pair.merge("weight" => Grittle::Practice::Calibration.weight(730)) }
    expect(run("hand", { "pairs" => old })["hand"]["a"]).to be_within(0.0005).of(0.177)
  end

  it "closes the gate with a reason" do
    expect(run("hand", { "pairs" => pairs.first(3) })["closed"]).to eq "3 of 5 samples."
    expect(run("hand", { "pairs" => [pairs[0]] * 6 })["closed"]).to eq "The samples span 0 of 15 points of clay."
    expect(run("hand", { "pairs" => pairs })["closed"]).to be_nil
  end

  it "shifts a person's words" do
    heard = [[0, 12], [1, 22], [1, 28], [1, 31], [2, 38], [2, 42], [2, 45], [3, 52]]
            .map { |state, percent| { "state" => state, "percent" => percent, "sd" => 1.5 } }
    sticky = Grittle::Evidence::STANDARD.likelihoods["stickiness"]
    found = run("ordered_shift", { "cuts" => sticky.cuts, "scale" => sticky.scale, "pairs" => heard })
    expect(found).to match("shift" => be_within(0.01).of(6.87), "sd" => be_within(0.01).of(2.26),
                           "scale" => be_within(0.01).of(3.25), "enough" => true)
  end

  # By the formula itself: 4 variances of 36 and squares of 83.3 over 9; 1 / (1 / 5.3² + 6 / 25.3).
  it "knows how far numbers lie off" do
    found = run("number_bias", { "what" => "sand_estimate", "errors" => [12, 8, 15, 3, 9, 11] })
    expect(found).to include("bias" => be_within(0.01).of(8.41), "sd" => be_within(0.05).of(5.4))
  end

  it "knows how far a hand repeats itself" do
    found = run("repeatability", { "duplicates" => [[38, 41], [22, 25], [70, 61], [48, 47]] })
    expect(found).to match("sd" => be_within(0.0005).of(0.099), "limit_percent" => be_within(0.5).of(32))
  end

  # [published: Roberts 1959; the limit is our own]
  it "notices that a hand has moved at the sixth pair" do
    found = run("drift", { "z" => [0.5, 1.2, 0.8, 1.6, 1.1, 1.9] })
    expect(found.map { |one| one["signal"] }).to eq ([false] * 5) + [true]
    expect(found.last).to include("ewma" => be_within(0.0005).of(0.974), "limit" => be_within(0.0005).of(0.869))
  end

  it "finds the kappa of handbook tables" do
    # [from memory: Fleiss 1981; Agresti & Winner 1997]
    expect(run("kappa",
               { "table" => [[75, 1, 4], [5, 4, 1], [0, 0, 10]] })["unweighted"]).to be_within(0.0005).of(0.676)
    expect(run("kappa", { "table" => [[24, 8, 13], [8, 13, 11], [10, 9, 64]] }))
      .to include("unweighted" => be_within(0.0005).of(0.389), "weighted" => be_within(0.0005).of(0.427))
  end

  # [published: Bland & Altman 1986, peak expiratory flow, L/min]
  it "finds the limits of agreement of the peak flow example" do
    large = [494, 395, 516, 434, 476, 557, 413, 442, 650, 433, 417, 656, 267, 478, 178, 423, 427]
    mini = [512, 430, 520, 428, 500, 600, 364, 380, 658, 445, 432, 626, 260, 477, 259, 350, 451]
    expect(run("bland_altman", { "one" => large, "other" => mini }))
      .to include("bias" => be_within(0.05).of(-2.1), "sd" => be_within(0.05).of(38.8),
                  "se_limit" => be_within(0.05).of(16.4))
  end

  # scheme, sand, clay, call, credit [common practice and our own]
  [
    ["class_half", 40, 20, { "class" => "CL" }, 0.5], ["class_half", 40, 20, { "class" => "SC" }, 0],
    ["class_half", 65, 20, { "class" => "SL" }, 1], ["class_half", 66, 19, { "classes" => %w[SL SCL] }, 0.75],
    ["practice", 66, 19, { "class" => "SCL" }, 1], ["class_half", 30, 45, { "class" => "SICL" }, 0],
    ["class_and_numbers", 40, 20, { "class" => "CL", "clay" => 28, "sand" => 44 }, 0.625],
    ["odds", 66, 19, { "odds" => { "SL" => 0.6, "SCL" => 0.4 } }, 0.84], ["group", 40, 20, { "class" => "SIL" }, 1],
    ["numbers", 40, 20, { "clay" => 24, "sand" => 45 }, 1],
    ["numbers", 40, 20, { "clay" => 24.1, "sand" => 50.1 }, 0.25]
  ].each do |scheme, sand, clay, call, credit|
    it "gives #{credit} for #{call} of sand #{sand} clay #{clay} by #{scheme}" do
      found = run("credits", { "scheme" => scheme, "sand" => sand, "clay" => clay, "call" => call })
      expect(found["credit"]).to be_within(1e-6).of(credit)
    end
  end

  it "counts steps, the pull of a guess, and what is known of a class" do
    expect([%w[S C], %w[C SICL]].map { |pair| Grittle::Practice::Credits.steps(*pair) }).to eq [5, 2]
    expect(run("pull", { "rows" => [["C", "SCL", "CL", ["CL"]]] })["pull"]).to eq 0.5
    expect(Grittle::Practice::Pull.sign_test(1, 5)).to be_within(0.0005).of(0.219)
    expect(run("skill", { "credits" => [0, 0, 0] })).to include("mean" => be_within(0.0005).of(0.206),
                                                                "need" => be_within(0.0005).of(0.878))
    expect(run("skill", { "credits" => [1, 1, 0.5] })).to include("mean" => be_within(0.0005).of(0.691),
                                                                  "need" => be_within(0.0005).of(0.405))
  end

  it "keeps charts and intervals" do
    # [published: Wilson 1927] 16 of 20
    expect(Grittle::Practice::Agreement.wilson(16, 20).map { |value| value.round(2) }).to eq [0.58, 0.92]
    expect(Grittle::Practice::Charts.least(20, 0.9)).to eq 13
    chart = Grittle::Practice::Charts.differences([2, -3, 5, 0, -1, 4, -2, 1])
    expect(chart.values_at("mean", "low", "high")).to match [0.75, be_within(0.05).of(-11.8), be_within(0.05).of(13.3)]
  end

  it "reads a laboratory's row, and refuses one that does not add up" do
    expect(run("laboratory_row", { "sand" => "90.2", "silt" => "8.1", "clay" => "<2" })["percents"])
      .to eq("sand" => 90.8, "silt" => 8.2, "clay" => 1.0)
    expect(run("laboratory_row", { "sand" => "412", "silt" => "388", "clay" => "200" })["percents"])
      .to eq("sand" => 41.2, "silt" => 38.8, "clay" => 20.0)
    expect(run("laboratory_row", { "sand" => 0.41, "silt" => 0.39, "clay" => "" })).to include(
      "percents" => { "sand" => 41.0, "silt" => 39.0, "clay" => 20.0 }, "done" => include("clay by difference")
    )
    expect { run("laboratory_row", { "sand" => 40, "silt" => 40, "clay" => 23.1 }) }
      .to raise_error(Grittle::InvalidInput, "Sand, silt and clay add up to 103.1, not to 100.")
  end

  it "asks a map with the warning of its scale" do
    textures = { "SIL" => 60, "L" => 25, "SICL" => 10 }
    square = [[0, 0], [10, 0], [10, 10], [0, 10], [0, 0]]
    components = textures.map do |code, percent|
      { "percent" => percent, "layers" => [{ "upper_cm" => 0, "lower_cm" => 30, "textures" => [code] }] }
    end
    map = Grittle::Practice::SurveyMap.new(
      { "features" => [{ "geometry" => { "type" => "Polygon", "coordinates" => [square] },
                         "properties" => { "unit" => "A", "scale" => 24_000, "components" => components } }] }
    )
    expected = Grittle::Practice::SurveyMap.expected(map.at(5, 10), 0, 30)
    ratios = %w[SIL L CL C].map { |code| Grittle::Practice::SurveyMap.ratio(expected, code).round(2) }
    expect(ratios).to eq [4.72, 2.30, 0.83, 0.23]
    expect(expected.values.sum).to be_within(1e-9).of(1)
    expect([Grittle::Practice::SurveyMap.metres_a_mm(24_000), Grittle::Practice::SurveyMap.least_ha(24_000).round(1)])
      .to eq [24, 2.3]
    expect(map.at(11, 5)).to be_nil
  end
end
