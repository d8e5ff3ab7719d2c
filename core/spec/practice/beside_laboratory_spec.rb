# frozen_string_literal: true

require_relative "../spec_helper"

RSpec.describe Grittle::Practice::BesideLaboratory do
  let(:estimate) do
    felt = { "ball_holds" => true, "ribbons" => [41, 44, 39].map do |mm|
      { "length_mm" => mm }
    end, "wet_rub" => "neither" }
    Grittle::Evidence::Estimate.new(Grittle::Observations.new(felt))
  end
  let(:assigned) { Grittle::NamedClass.new(system: "usda", code: "CL") }

  def beside(sand, clay, sds = {})
    percents = { "sand" => sand, "silt" => 100 - sand - clay, "clay" => clay }
    described_class.new(estimate, assigned, percents, sds).to_h
  end

  # The estimate: sand 33, silt 32, clay 35 (cases of the model).
  it "tells errors, their size beside what was to be expected, and where the truth lies" do
    found = beside(30, 32, "clay" => 1.6)
    expect(found).to include("class" => "CL", "steps" => 0, "where" => "inside")
    expect(found["errors"]["clay"]).to be_within(1.5).of(3)
    expect(found["z"]["clay"]).to be_within(0.01).of(found["errors"]["clay"] / Math.hypot(estimate.sd["clay"], 1.6))
    expect(found["sentence"]).to match(/\AThe laboratory: clay loam\. .* points more clay; the truth lies inside/)
  end

  # [our own] steps to either class within two points of a line; a cell of the region within two points is its edge
  { [43, 28] => ["CL", 0], [40, 20] => ["L", 1], [10, 10] => ["SI", 1], [95, 2] => ["S", 4], [42, 26] => ["L", 0] }
    .each do |(sand, clay), (code, steps)|
      it("is #{steps} steps from sand #{sand} clay #{clay}") do
        expect(beside(sand, clay)).to include("class" => code, "steps" => steps)
      end
    end

  it "tells inside, edge and outside apart along one line" do
    where = (0..60).map { |clay| beside(20, clay)["where"] }
    expect(where.chunk_while { |one, other| one == other }.map(&:first)).to eq %w[outside edge inside edge outside]
    expect(where.count("edge")).to be_between(3, 6)
  end
end
