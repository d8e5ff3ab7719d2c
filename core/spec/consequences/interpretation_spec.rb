# frozen_string_literal: true

require_relative "../spec_helper"

RSpec.describe Grittle::Consequences::Interpretation do
  def reading(lengths, rub, code, by: "Ines")
    { "id" => 1, "by" => by, "day" => "2026-06-01", "method" => { "key" => "ribbon_and_rub" },
      "named" => { "system" => "usda", "key" => "ribbon_and_rub", "code" => code },
      "observations" => { "ball_holds" => true, "ribbons" => lengths.map { |mm| { "length_mm" => mm } },
                          "wet_rub" => rub } }
  end

  def horizon(name, upper, lower, *felt, **seen)
    { "designation" => name, "upper_cm" => upper, "lower_cm" => lower, "seen" => seen.transform_keys(&:to_s),
      "readings" => felt.empty? ? [] : [reading(*felt)] }
  end

  def profile(*horizons, seen: {}, **assumed)
    { "name" => "Pit", "naming_system" => "usda", "horizons" => horizons, "seen" => seen,
      "assumed" => assumed.transform_keys(&:to_s) }
  end

  let(:loam_over_clay) do
    [horizon("Ap", 0, 20, [30, 33], "neither", "L", roots: "many"),
     horizon("Bt", 20, 60, [70, 74], "neither", "C", structure_grade: "massive", moist_consistence: "firm"),
     horizon("2C", 60, 160, [12, 14], "very_gritty", "SL", ph: 4.5)]
  end

  it "holds what follows for every horizon, said as surely as it is" do
    found = Grittle.interpret(profile(*loam_over_clay))
    top = found["horizons"].first
    expect(top["organic_matter"]).to eq("percent" => 2.5, "assumed" => true)
    water = top["figures"].find { |one| one["id"] == "available_water" }
    expect(water).to include("p50" => be_between(13, 15), "claim" => "probably medium", "source" => /Saxton/)
    expect(water["categories"].sum { |one| one["share"] }).to be_within(0.002).of(1)
    expect(top["phrases"]).to include("water" => "holds much water", "suits" => "suits nearly all")
    expect(found["matters"].map { |one| one["verdict"] }).to all(satisfy { |one|
      Grittle::Consequences::OneClassOff::VERDICTS.include?(one)
    })
  end

  it "names limits with depth and reason, the shallowest first" do
    stopped = { "stopped_by" => "rock", "excavated_depth_cm" => 160, "water_table_cm" => 140 }
    found = Grittle.interpret(profile(*loam_over_clay, seen: stopped))
    expect(found["limits"].map { |one| one.values_at("depth_cm", "roots", "water") }).to eq [
      [20, "hinders", "slow"], [20, nil, "slow"], [60, "hinders", nil],
      [60, "open", "changes within metres: one more hole"], [140, "stops", "separation by local code"],
      [160, "stops", "stops"]
    ]
    expect(found["water"]).to include("to_cm" => 140, "why" => "Water was met.", "at_least" => false,
                                      "roots_to_cm" => 20)
    expect(found["water"]["hindered"]).to include("to_cm" => 20, "why" => "Massive and firm.")
  end

  it "takes what companion tests found into limits and figures, beside what texture suggests" do
    found_in = lambda do |test, *looks, **more|
      { "test" => test, "name" => "30 cm", "depth_cm" => 30.0, "looks" => looks, **more }
    end
    bt = loam_over_clay[1].merge(
      "tests" => [found_in["crumb", { "minutes" => 5, "slaking" => "fully", "dispersion" => "complete" }],
                  found_in["rod", { "wet_mm" => 110, "dry_mm" => 100 }],
                  found_in["probe", { "mpa" => 2.5, "stone" => false }], found_in["ph", { "value" => 9.5 }]]
    )
    found = Grittle.interpret(profile(loam_over_clay[0], bt, loam_over_clay[2]))
    expect(found["limits"].map { |one| one.values_at("depth_cm", "reason") }).to include(
      [20, "A crumb disperses in water (class 1)."], [20, "pH 9.5 by kit."],
      [30.0, "Penetration resistance 2.5 MPa, roots are stopped, but for cracks (1 push)."]
    )
    swells = found["horizons"][1]["figures"].find { |one| one["id"] == "shrink_swell" }
    expect(swells["measured"]).to eq ["Rod shrinkage, 30 cm: shrinks by 10 % of its dry length: very high."]
    expect(found["tests"].map { |one| one["title"] }).to include("Crumb in still water", "Rod shrinkage")
  end

  it "leaves open what was not seen, and names a layer without texture" do
    found = Grittle.interpret(profile(horizon("A", 0, 20, [30, 31], "neither", "L"), horizon("B", 20, 60)))
    expect(found["water"]).to include("to_cm" => 60, "at_least" => true, "without" => ["B"], "category" => nil)
    expect(found["groups"]["by_ksat"]["group"]).to eq "open"
    expect(found["downward_mm_h"]).to be_nil
    expect(found["horizons"].last["figures"]).to eq []
  end

  it "follows what is assumed: depth of roots, rain, organic matter, packing" do
    usual = Grittle.interpret(profile(*loam_over_clay, root_depth_cm: 60))
    expect(usual["irrigation"]["plans"]["mean"]).to include("total_mm" => usual["water"]["mean"])
    more = { "Ap" => { "organic_matter" => 5, "density_factor" => 1.2 } }
    assumed = { root_depth_cm: 60, amount_mm: 50, horizons: more, rate_mm_h: 40 }
    changed = Grittle.interpret(profile(*loam_over_clay, **assumed))
    expect(changed["horizons"].first["organic_matter"]).to eq("percent" => 5, "assumed" => false)
    expect(changed["wetting"]["front_cm"]).to be > usual["wetting"]["front_cm"]
    expect(changed["irrigation"]["warning"]).to include("mm/h once wet")
    ksat = ->(found) { found["horizons"].first["figures"].find { |figure| figure["id"] == "ksat" }["p50"] }
    expect(ksat[changed]).to be < ksat[usual]
  end

  it "says where packed clay drains too little for a figure, and leaves the group open" do
    hard = { "Bt" => { "density_factor" => 1.3 } }
    found = Grittle.interpret(profile(*loam_over_clay, horizons: hard))
    ksat = found["horizons"][1]["figures"].find { |figure| figure["id"] == "ksat" }
    expect(ksat).to include("p50" => nil, "problem" => /Too little drains|Clay over/)
    expect([found["groups"]["by_ksat"]["group"], found["downward_mm_h"]]).to eq ["open", nil]
  end

  it "has an answer for whatever was seen, felt and assumed" do
    random = Random.new(11)
    pick = ->(*list) { list.sample(random: random) }
    30.times do
      lengths = Array.new(pick[1, 3]) { random.rand(1..200) }
      felt = [lengths, pick["neither", "very_gritty"], pick["S", "C", "SI"]]
      seen = { fragments_percent: pick[0, 65, 100], organic_matter: pick["3 %", "40"], moisture: pick["dry", "wet"] }
      layers = [horizon("A", 0, 20, *felt, **seen), horizon(pick["O", "2R"], 25, 40, *felt)]
      assumed = { "A" => { "organic_matter" => pick[0, 8, 100, nil], "density_factor" => pick[0.9, 1.3] } }
      found = Grittle.interpret(profile(*layers, horizons: assumed, amount_mm: pick[0, 500], rate_mm_h: pick[0.1, nil]))
      expect(found.to_s).not_to match(/NaN|Infinity/)
    end
  end

  it "takes the estimates that are at hand" do
    asked = []
    estimates = lambda do |observations, curve, _hand|
      asked << curve
      Grittle::Evidence::Estimate.new(Grittle::Observations.new(observations), curve: curve)
    end
    whole = profile(*loam_over_clay)
    expect(Grittle.interpret(whole, estimates: estimates)).to eq Grittle.interpret(whole)
    expect(asked).to eq %w[consensus consensus consensus]
  end
end
