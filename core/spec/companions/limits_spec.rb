# frozen_string_literal: true

# Both sides of every limit of the companion tests; sources stand with the numbers in docs/numbers.md.
RSpec.describe "limits of companion tests" do
  def one(test, *looks, **where)
    place = { "name" => "here", "looks" => looks, **where.transform_keys(&:to_s) }
    Grittle.companion_test("test" => test, "places" => [place])["places"].first
  end

  def together(test, *places) = Grittle.companion_test("test" => test, "places" => places)["together"]

  def hole(*drops, layer: "Bt", **setup)
    looks = [{ "soak" => "sand", **setup.transform_keys(&:to_s) }, { "minutes" => 0, "refilled" => true }]
    drops.each.with_index(1) do |mm, reading|
      looks << { "minutes" => reading * 30, "water_mm" => 150 - mm, "refilled" => true }
    end
    { "name" => "hole", "layer" => layer, "looks" => looks }
  end

  # [from memory: Schafer & Singer 1976] of the dry length: 0.03, 0.06, 0.09
  { 102.9 => "low", 103 => "moderate", 105.9 => "moderate", 106 => "high", 108.9 => "high", 109 => "very high" }
    .each do |wet, category|
      it "calls a rod that dries from #{wet} to 100 mm #{category}" do
        expect(one("rod", { "wet_mm" => wet, "dry_mm" => 100 })["figures"]["category"]).to eq category
      end
    end

  # [from memory: Taylor et al. 1966] MPa: 1 and 2
  { 0.9 => "free", 1.0 => "slowed", 1.9 => "slowed", 2.0 => "stopped" }.each do |mpa, grade|
    it("says of #{mpa} MPa that roots are #{grade}") do
      expect(one("probe", { "mpa" => mpa })["figures"]["grade"]).to eq grade
    end
  end

  it "finds a pan only over 2 MPa and with ground a whole MPa softer below" do
    # [our own]
    pushes = lambda { |*all|
      all.each_with_index.map do |mpa, at|
        { "name" => at.to_s, "depth_cm" => at, "looks" => [{ "mpa" => mpa }] }
      end
    }
    expect(together("probe", *pushes[2.1, 1.1])).to eq ["A pan at 0: harder than 2 MPa, and softer below."]
    expect(together("probe", *pushes[2.1, 1.2])).to eq []
    expect(together("probe", *pushes[2.0, 0.5])).to eq []
  end

  # [common practice]
  { 5.4 => "Too acid for many plants.", 5.5 => nil, 6.0 => "Suits most plants.", 7.5 => "Suits most plants.",
    8.5 => nil,
    8.6 => "Strongly alkaline: lay a crumb into water as well, sodium may disperse it." }.each do |ph, advice|
    it("advises at pH #{ph}") { expect(one("ph", { "value" => ph })["advice"]).to eq advice }
  end

  it "takes the middle of two colours, and none of a colour that was read before" do
    expect(one("ph", { "value" => 6, "upper" => 6.5 })["figures"]).to eq("ph" => 6.25)
    expect(one("ph", { "value" => 6, "upper" => 6.5 }, { "value" => 7 })["figures"]).to eq("ph" => 7.0)
  end

  # [our own] three drops within a tenth of their mean, or 2 mm
  { [40, 40, 40] => true, [40, 42, 44] => true, [40, 42, 44.3] => false, [10, 11, 12] => true, [10, 11, 12.1] => false,
    [40, 40] => false }.each do |drops, steady|
    it "calls drops of #{drops.join(', ')} mm #{'un' unless steady}steady" do
      found = Grittle.companion_test("test" => "percolation", "places" => [hole(*drops)])["places"].first
      expect(found["figures"]["stable"]).to be steady
    end
  end

  it "counts only drops from the same level and over the same time as alike" do
    looks = hole(40, 40)["looks"]
    low = [*looks, { "minutes" => 90, "water_mm" => 100 }, { "minutes" => 120, "water_mm" => 60 }]
    expect(one("percolation", *low)["figures"]["stable"]).to be false
    late = [*looks, { "minutes" => 97, "water_mm" => 110, "refilled" => true }]
    expect(one("percolation", *late)["figures"]["stable"]).to be false
    within = [*looks, { "minutes" => 95, "water_mm" => 103.4, "refilled" => true }]
    expect(one("percolation", *within)["figures"]["stable"]).to be true
  end

  # [our own] five times
  it "tells a mean up to a fivefold difference" do
    expect(together("percolation", hole(10), hole(50), hole(30)).first).to start_with("Mean of 3 holes")
    expect(together("percolation", hole(10), hole(50.1), hole(30)).first).to start_with("No mean")
  end

  it "leaves holes out that are void, and says so of each" do
    bad = hole(40, burrow: true)
    found = Grittle.companion_test("test" => "percolation", "places" => [hole(40), bad, hole(44), hole(42)])
    expect(found["together"].first).to eq "Mean of 3 holes 84 mm/h."
    expect(found["places"][1]["problems"]).to include("A burrow or root channel leads the water away: dig another.")
  end

  it "ends after four hours though it is not steady, and after one where it is read every ten minutes" do
    # [from memory: US Public Health Service 1967]
    slow = Grittle.companion_test("test" => "percolation",
                                  "places" => [hole(10, 20, 30, 40, 50, 60, 70, 80)])["places"][0]
    expect(slow).to include("done" => true, "advice" => a_string_starting_with("Not steady after 4 h"))
    quick = [{ "soak" => "sand" }, { "minutes" => 0, "refilled" => true },
             { "minutes" => 20, "water_mm" => 0, "refilled" => true }]
    (1..6).each do |at|
      quick << { "minutes" => 20 + (at * 10), "water_mm" => 150 - (10 * at), "refilled" => true }
    end
    expect(one("percolation", *quick)).to include("done" => true)
    expect(one("percolation", *quick[0...-1])).to include("done" => false)
  end

  it "stands beside what texture suggests" do
    hand = { "ksat" => { "p10" => 30.0, "p90" => 90.0 } }
    words = [20, 60, 100].map do |rate|
      one("percolation", *hole(rate / 2.0)["looks"], hand: hand)["beside"][/slower|faster|within/]
    end
    expect(words).to eq %w[slower within faster]
  end

  it "reads a jar later in colder water, and the grain that kitchen times cut" do
    # [published: Stokes; viscosity of water from memory] 10 cm, 2 µm, 10 °C: 10.0 h; 2 h from 10 cm: 3.9 µm at 20 °C
    cold = one("jar", { "water_mm" => 100, "temperature_c" => 10 })["figures"]
    warm = one("jar", { "water_mm" => 100, "temperature_c" => 20 })["figures"]
    expect([cold["silt_read_min"] / 60,
            warm["grain_at_2h_um"]]).to match [be_within(0.05).of(10.0), be_within(0.05).of(3.9)]
  end

  { "moved" => true, "lumps" => true, "sides_differ" => false, "gravel" => false, "dark_fluff" => false }
    .each do |word, void|
      it "takes a jar with #{word} as #{void ? 'void' : 'doubtful'}" do
        found = one("jar", { "water_mm" => 100, "sand_mm" => 20, "silt_mm" => 20, "clay_mm" => 10, word => true })
        expect([found["void"], found["problems"].size]).to match [void, be >= 2]
      end
    end

  it "agrees with the hand within ten points in every part" do
    # [our own]
    hand = { "name" => "Loam", "sand" => 40.0, "silt" => 40.0, "clay" => 20.0 }
    layers = ->(sand, silt, clay) { { "water_mm" => 200, "sand_mm" => sand, "silt_mm" => silt, "clay_mm" => clay } }
    expect(one("jar", layers[50, 30, 20], hand: hand)["beside"]).to include("they agree as far as a jar can tell")
    expect(one("jar", layers[51, 29, 20],
               hand: hand)["beside"]).to include("sand more by 11 points, silt less by 11 points")
  end

  it "says of acid without effervescence to try it on lime, until that was done" do
    expect(one("fizz", { "effervescence" => "none" })["problems"]).to include(/try the acid on a piece of lime/)
    expect(one("fizz", { "acid_tried" => true, "effervescence" => "none", "specks" => true }))
      .to include("problems" => [], "advice" => "Specks that do not fizz are white clay or gypsum.")
    expect(one("fizz", { "effervescence" => "slight", "only_crushed" => true })["problems"]).to include(/dolomite/)
  end

  it "tells how deep tubes are wet after the same time" do
    tube = lambda { |name, *looks|
      { "name" => name, "looks" => looks.map do |at, mm|
        { "minutes" => at, "front_mm" => mm }
      end }
    }
    expect(together("columns", tube["A", [1, 20], [5, 60], [10, 90]], tube["Bt", [1, 5], [5, 15]]))
      .to eq ["After 5 min wet: A 60 mm, Bt 15 mm. Tubes show why, not how much."]
  end

  { 0.75 => "45 s", 2 => "2 min", 9.04 => "9 min", 119.4 => "119 min", 120 => "2 h", 463.6 => "7 h 44 min",
    2880 => "2 days" }.each do |minutes, said|
    it("says #{minutes} min as #{said}") { expect(Grittle::Companions.minutes(minutes)).to eq said }
  end
end
