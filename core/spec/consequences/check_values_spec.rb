# frozen_string_literal: true

require_relative "../spec_helper"

# What calculations must give for compositions and figures that others have worked out.
RSpec.describe Grittle::Compute do
  def run(name, document) = described_class.run(name, document.transform_keys(&:to_s))

  loam = { "sand" => 40, "clay" => 20 }
  felt = { "ball_holds" => true, "ribbons" => [41, 44, 39].map { |mm| { "length_mm" => mm } }, "wet_rub" => "neither" }

  # Saxton & Rawls 2006, Soil Sci. Soc. Am. J. 70, table 3: a typical composition of each class at 2.5 % organic matter:
  # sand, clay, available water (printed as percent; mm in 10 cm).
  {
    "S" => [88, 5, 5], "LS" => [80, 5, 7], "SL" => [65, 10, 10], "L" => [40, 20, 14], "SIL" => [20, 15, 20],
    "SI" => [10, 5, 25], "SCL" => [60, 25, 10], "CL" => [30, 35, 14], "SICL" => [10, 35, 17], "SC" => [50, 40, 11],
    "SIC" => [10, 45, 14], "C" => [25, 50, 12]
  }.each do |code, (sand, clay, printed)|
    it "finds the printed water of #{code}" do
      found = run("water", sand: sand, clay: clay)
      expect(found["available_water_mm_per_10cm"]).to be_within(0.5).of(printed)
      expect(Grittle.classify(sand: sand, clay: clay).code).to eq code
    end
  end

  # The same table: wilting point, field capacity, saturation (%), Ksat (mm/h).
  {
    [65, 10] => [8, 18, 45, 50.3], [40, 20] => [14, 28, 46, 15.5], [20, 15] => [11, 31, 48, 16.1],
    [60, 25] => [17, 27, 43, 11.3], [30, 35] => [22, 36, 48, 4.3], [25, 50] => [30, 42, 50, 1.1],
    [88, 5] => [5, 10, 46, 108], [80, 5] => [5, 12, 46, 96.7], [10, 5] => [6, 30, 48, 22.0],
    [10, 35] => [22, 38, 51, 5.7], [50, 40] => [25, 36, 44, 1.4], [10, 45] => [27, 41, 52, 3.7]
  }.each do |(sand, clay), (wilting, capacity, saturation, ksat)|
    it "finds the printed pores and Ksat at #{sand} % sand, #{clay} % clay" do
      found = run("water", sand: sand, clay: clay)
      shares = found.values_at("wilting_point", "field_capacity", "saturation").map { |share| 100 * share }
      expect(shares).to match([wilting, capacity, saturation].map { |percent| be_within(1).of(percent) })
      expect(found["ksat_mm_h"]).to be_within(0.05 * ksat).of(ksat)
    end
  end

  # Worked from the equations by hand unless a source stands there: calculation, document, answers with their precision.
  [
    ["water", { **loam, fragments_percent: 20 }, { "available_water_mm_per_10cm" => [11.4, 0.05] }],
    ["fragments", { **loam, fragments_weight_percent: 50 }, { "fragments_volume_percent" => [35.1, 0.05] }],
    ["water", { **loam, density_factor: 1.1 }, { "saturation" => [0.405, 0.0005], "ksat_mm_h" => [7.1, 0.05] }],
    ["water", { sand: 95, clay: 2, organic_matter: 0.5 }, { "available_water_mm_per_10cm" => [3.4, 0.05] }],
    ["wetting", { amount_mm: 25, layers: [{ **loam, "mm" => 1000 }] }, { "front_mm" => [175, 0.5] }],
    ["wetting", { amount_mm: 25, layers: [{ "sand" => 88, "clay" => 5, "mm" => 1000 }] }, { "front_mm" => [475, 0.5] }],
    ["wetting", { amount_mm: 25, layers: [{ "sand" => 25, "clay" => 50, "mm" => 1000 }] },
     { "front_mm" => [204, 0.5] }],
    ["nutrients", { sand: 88, clay: 5 }, { "leaching_mm" => [243, 0.5], "heat_mj_m3_k" => [1.46, 0.005] }],
    ["nutrients", loam, { "leaching_mm" => [89, 0.5], "heat_mj_m3_k" => [2.21, 0.005] }],
    ["nutrients", { sand: 25, clay: 50 }, { "leaching_mm" => [59, 0.5], "heat_mj_m3_k" => [2.72, 0.005] }],
    # FAO-56, 1998, example 36 (from memory): 0.15 and 0.06 to 0.4 m; 0.32 and 0.15 to 0.8 m
    ["irrigation", { total_mm: 0.09 * 400, share: 0.3 }, { "total_mm" => [36, 0.5], "net_mm" => [11, 0.5] }],
    ["irrigation", { total_mm: 0.17 * 800, share: 0.4 }, { "total_mm" => [136, 0.5], "net_mm" => [54, 0.5] }],
    ["irrigation", { layers: [{ **loam, "mm" => 900 }], root_depth_mm: 600, share: 0.5, daily_mm: 5, efficiency: 0.75 },
     { "total_mm" => [86, 0.5], "net_mm" => [43, 0.5], "interval_days" => [8, 0], "gross_mm" => [57, 0.5] }],
    # FAO-56, 1998, table 22 (from memory)
    ["irrigation", { total_mm: 100, share: 0.5, daily_mm: 7, adjust_share: true }, { "share" => [0.42, 1e-9] }],
    ["erodibility", loam, { "k_us" => [0.263, 0.0005] }],
    ["erodibility", { sand: 20, clay: 15 }, { "k_us" => [0.348, 0.0005] }],
    ["erodibility", { sand: 88, clay: 5 }, { "k_us" => [0.090, 0.0005] }],
    # Wischmeier & Smith 1978, the nomograph's own example (from memory)
    ["erodibility", { silt_and_very_fine_sand: 65, clay: 30, organic_matter: 2.8, structure: 2, permeability: 4 },
     { "k_us" => [0.31, 0.005] }],
    ["remedy", { clay_from: 40, clay_to: 20, depth_m: 0.15, organic_matter_points: 1 },
     { "sand_kg_m2" => [195, 0.5], "organic_kg_m2" => [1.95, 0.005] }],
    ["layers_in_series", { layers: [{ "mm" => 200, "ksat_mm_h" => 15.48 }, { "mm" => 300, "ksat_mm_h" => 1.14 }] },
     { "ksat_mm_h" => [1.8, 0.05] }],
    ["jar", { depth_cm: 10, temperature_c: 10 }, { "silt_read_h" => [10.0, 0.05] }],
    ["jar", { depth_cm: 20 }, { "sand_read_s" => [89, 0.5] }],
    # Handbooks of soil physics (from memory): 44 to 45 s, 7.7 to 7.8 h
    ["jar", { depth_cm: 10 }, { "grain_at_2h_um" => [3.9, 0.05], "sand_read_s" => [44.5, 0.5],
                                "silt_read_h" => [7.75, 0.05] }],
    # An inch in half an hour: by the definition of the inch
    ["percolation", { drops_mm: [25.4], interval_min: 30 },
     { "rate_mm_h" => [50.8, 1e-6], "min_per_inch" => [30, 1e-6], "min_per_cm" => [11.8, 0.05] }],
    ["available_water", { observations: felt },
     { "mean" => [13.6, 0.06], "p10" => [11.5, 0.06], "p90" => [15.8, 0.06], "share_outside" => [0.04, 0.005] }],
    ["available_water", { observations: felt, assigned: "CL" },
     { "mean" => [13.8, 0.06], "p10" => [12.5, 0.06], "p90" => [15.2, 0.06] }]
  ].each do |name, document, answers|
    it "#{name}: #{document.to_s[0, 80]}" do
      found = run(name, document)
      answers.each { |key, (value, within)| expect(found[key]).to be_within(within).of(value), "#{key}: #{found[key]}" }
    end
  end

  it "lets less water past stones" do
    whole, some, many = [0, 20, 40].map { |percent| run("water", **loam, fragments_percent: percent)["ksat_mm_h"] }
    expect([some / whole, many / whole]).to match [be_within(0.0005).of(0.727), be_within(0.0005).of(0.5)]
  end

  # NEH 630, ch. 7, 2009, table 7-1 (from memory)
  {
    {} => "A", { seasonal_water_cm: 50 } => "A/D", { seasonal_water_cm: 80 } => "B",
    { impermeable_cm: 70, seen_to_cm: 70 } => "B", { impermeable_cm: 40, seen_to_cm: 40 } => "D",
    { seen_to_cm: 90 } => "open"
  }.each do |more, group|
    it "groups 50.3 mm/h to 150 cm with #{more} as #{group}" do
      layers = [{ "upper_cm" => 0, "lower_cm" => more[:seen_to_cm] || 150, "ksat_mm_h" => 50.3 }]
      expect(run("hydrologic_group", layers: layers, **more)).to eq("group" => group)
    end
  end

  it "mixes the error of the equation into Ksat: of loam alone" do
    shares = Array.new(Grittle::Evidence::Grid::SIZE, 0.0)
    shares[Grittle::Evidence::Grid.index(40, 20)] = 1.0
    consequences = Grittle::Consequences
    ksat = consequences::KsatSpread.new(consequences::Spread.new(consequences::Cells.figure(:ksat), shares))
    expect([ksat.p50, ksat.p10,
            ksat.p90]).to match [be_within(0.05).of(15.5), be_within(0.05).of(2), be_within(1).of(122)]
    expect(ksat.categories(consequences["ksat"].limits)["moderately high"]).to be_within(0.005).of(0.52)
    cuts = consequences::HydrologicGroup::DEEP_CUTS.values.map { |over| ksat.over(over * 3.6) }
    expect(cuts).to match([0.30, 0.52, 0.93].map { |share| be_within(0.006).of(share) })
  end

  it "reckons holes and rods" do
    percolation = Grittle::Companions::Percolation
    expect(percolation.ksat_mm_h(5, 30, 24, 30)).to be_within(0.05).of(10.2)
    expect(percolation.at_20(10, 10)).to be_within(0.05).of(13.0)
    expect(Grittle::Companions::Rod.shrinkage(105, 100)).to be_within(1e-9).of(0.05)
    expect(Grittle::Companions::Rod.category(105, 100)).to eq "moderate"
  end
end
