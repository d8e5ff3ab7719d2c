# frozen_string_literal: true

require_relative "../spec_helper"

# What holds of every soil, over random compositions and hands.
RSpec.describe Grittle::Consequences do
  soils = Random.new(7)
  compositions = Array.new(200) do
    clay = soils.rand(0..60)
    [soils.rand(0..(100 - clay)), clay]
  end

  it "never gives more water with more stones, nor lets it through faster" do
    compositions.each do |sand, clay|
      found = [0, 0.1, 0.3, 0.6].map { |part| described_class::SoilWater.new(sand, clay, fragments: part) }
      water = found.map(&:available_mm)
      expect(water).to eq(water.sort.reverse)
      rates = found.map(&:ksat_mm_h)
      expect(rates).to eq(rates.sort.reverse) unless rates.include?(nil)
    end
  end

  it "keeps wilting point, field capacity and saturation in order" do
    compositions.each do |sand, clay|
      soil = described_class::SoilWater.new(sand, clay)
      expect([soil.wilting_point, soil.field_capacity, soil.saturation].each_cons(2)).to all(satisfy { |a, b| a < b })
    end
  end

  it "shares out every category to 1, and every share to a category" do
    6.times do |seed|
      felt = Grittle::Evidence::Simulator.new(seed).feel(
        Grittle::Composition.new(sand: 20 + (8 * seed), clay: 10 + (5 * seed)), tests: %w[wet_rub stickiness]
      )
      horizon = described_class::HorizonFigures.new(Grittle.assess(felt).estimate, fragments: 0.1)
      described_class::ALL.each_value do |consequence|
        odds = horizon.categories(consequence)
        expect(odds.values.sum).to be_within(1e-9).of(1), consequence.id
        expect(odds.values).to all(be >= -1e-12)
      end
    end
  end

  it "wets no less with more rain, and loses only what the roots cannot reach" do
    layers = compositions.first(4).map do |sand, clay|
      described_class::WaterLayer.new(
        mm: 250, left: 0.5, per_mm: described_class::SoilWater.new(sand, clay).available_mm / 100
      )
    end
    found = (0..120).step(5).map { |mm| described_class::Wetting.new(mm, layers, root_limit_mm: 600) }
    expect(found.map(&:front_mm)).to eq(found.map(&:front_mm).sort)
    expect(found.map(&:front_mm).max).to be <= 1000
    room = layers[0].room + layers[1].room + (layers[2].room * 0.4)
    found.each_with_index { |one, at| expect(one.surplus_mm).to be_within(1e-9).of([(5 * at) - room, 0].max) }
  end

  # Of a sandy soil, whose water rises with its clay.
  it "adds up horizons: means exactly, and a wider range where one hand did all" do
    felt = { "ball_holds" => true, "ribbons" => [{ "length_mm" => 12 }], "wet_rub" => "very_gritty" }
    estimate = Grittle.assess(felt).estimate
    parts = Array.new(3) do
      described_class::WaterPart.new(
        estimate.shares, described_class::Cells.figure(:available_water)
      )
    end
    apart, same = [false, true].map { |hand| described_class::ProfileWater.new(parts, same_hand: hand).over([3] * 3) }
    expect(apart.mean).to be_within(1e-6).of(3 * described_class::ProfileWater.new(parts.first(1)).over([3]).mean)
    expect(same.p90 - same.p10).to be > apart.p90 - apart.p10
  end

  it "says how surely, and whether a class off matters" do
    claim = described_class::Claim
    expect([{ "low" => 0.95, "high" => 0.05 }, { "low" => 0.7, "high" => 0.3 }, { "low" => 0.5, "high" => 0.5 },
            { "low" => 0.3, "medium" => 0.4, "high" => 0.3 }].map { |odds| claim.say(claim.of(odds)) }).to eq [
              "low", "probably low", "more likely than not low", "either medium or low"
            ]
    verdicts = {
      ["available_water", %w[L CL]] => "no", ["ksat", %w[L C]] => "a little", ["working", %w[L C]] => "yes",
      ["hydrologic_group_tr55", %w[SIL SI]] => "open"
    }.to_h { |(id, codes), verdict| [described_class::OneClassOff.new(described_class[id], codes).verdict, verdict] }
    expect(verdicts.keys).to eq verdicts.values
  end

  it "says with an assessment what hangs on the class, in whatever triangle" do
    felt = { "ball_holds" => true, "ribbons" => [41, 44, 39].map do |mm|
      { "length_mm" => mm }
    end, "wet_rub" => "neither" }
    usda, canada = [{}, { key: "sand_first" }].map { |by| Grittle.assess(felt, **by).to_h["evidence"]["one_class_off"] }
    expect(usda.first(3).map { |one| one["id"] }).to eq %w[intake working hydrologic_group_tr55]
    expect(usda.map { |one| one["verdict"] }.uniq).to eq ["yes", "a little", "no"]
    expect(canada).to eq usda
    organic = Grittle.assess({ **felt, "blind_spots" => ["organic"] })
    expect([Grittle.assess({}), organic].map { |one| one.to_h["evidence"]["one_class_off"] }).to eq [nil, nil]
  end

  it "shows no figure where a fifth and more lies outside what the equation holds for" do
    heavy = Grittle.assess({ "ball_holds" => true, "ribbons" => [130, 140, 150].map { |mm| { "length_mm" => mm } } })
    spread = described_class::HorizonFigures.new(heavy.estimate).spread(described_class["available_water"])
    expect([spread.shown?, spread.outside_said?]).to eq [false, true]
  end
end
