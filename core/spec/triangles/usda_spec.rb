# frozen_string_literal: true

require_relative "../spec_helper"
require "csv"

RSpec.describe "Grittle::Triangles::USDA" do
  subject(:usda) { Grittle::Triangles::USDA }

  # Saxton & Rawls 2006, Soil Sci. Soc. Am. J. 70:1569-1578, table 3: sand and clay that stand for a class.
  { "S" => [88, 5], "LS" => [80, 5], "SL" => [65, 10], "L" => [40, 20], "SIL" => [20, 15], "SI" => [10, 5],
    "SCL" => [60, 25], "CL" => [30, 35], "SICL" => [10, 35], "SIC" => [10, 45], "SC" => [50, 40], "C" => [25, 50] }
    .each do |code, (sand, clay)|
    it("calls the typical #{code} so: #{sand} sand, #{clay} clay") do
      expect(usda.classify(composition(sand, clay)).code).to eq code
    end
  end

  # Common practice, no source.
  it "calls 70 sand with 10 clay a sandy loam and 20 sand with 45 clay a clay" do
    expect(usda.classify(composition(70, 10)).name).to eq "sandy loam"
    expect(usda.classify(composition(20, 45)).name).to eq "clay"
  end

  # Common practice, no source.
  it "finds 65 sand with 20 clay on the line between sandy loam and sandy clay loam" do
    expect(usda.distance_to_boundary(composition(65, 20))).to eq 0
    expect(usda.near(composition(65, 20)).map(&:code)).to contain_exactly("SL", "SCL")
  end

  # Both sides of each limit [Soil Survey Manual, USDA Handbook 18, 2017, ch. 3].
  {
    [85.1, 0] => "S", [85, 0] => "LS", [70.1, 0] => "LS", [70, 0] => "SL", [52.1, 7] => "SL", [52, 7] => "L",
    [40, 27] => "CL", [40, 26.9] => "L", [20.1, 27] => "CL", [20, 27] => "SICL", [23, 27] => "CL", [45.1, 35] => "SC",
    [45, 35] => "CL", [46, 34.9] => "SCL", [30, 40] => "C", [20, 40] => "SIC", [20.1, 40] => "C", [20, 0] => "SI",
    [20.1, 0] => "SIL", [8, 12] => "SIL", [50, 0] => "SIL", [50.1, 0] => "SL"
  }.each do |(sand, clay), code|
    it("puts #{sand} sand, #{clay} clay into #{code}") do
      expect(usda.classify(composition(sand, clay)).code).to eq code
    end
  end

  it "gives every whole-percent composition exactly one class, in whose polygon it lies" do
    parts = (0..100).flat_map { |clay| (0..(100 - clay)).map { |sand| [sand, 100 - clay - sand, clay] } }
    expect(parts.size).to eq 5151
    expect(parts.reject { |part| usda.rules.one? { |_, rule| rule.call(*part) } }).to be_empty
    outside = parts.reject do |sand, _, clay|
      inside?(usda.classify(composition(sand, clay)).polygon, sand, clay)
    end
    expect(outside).to be_empty
  end

  # Even-odd rule; a point on an edge is inside.
  def inside?(polygon, sand, clay)
    inside = false
    polygon.zip(polygon.rotate).each do |(ax, ay), (bx, by)|
      turn = ((bx - ax) * (clay - ay)) - ((by - ay) * (sand - ax))
      return true if turn.zero? && sand.between?(*[ax, bx].sort) && clay.between?(*[ay, by].sort)

      inside = !inside if (ay > clay) != (by > clay) && sand < ((bx - ax) * (clay - ay) / (by - ay).to_f) + ax
    end
    inside
  end

  it "covers the whole triangle with its polygons" do
    doubled = usda.classes.values.sum { |c| c.edges.sum { |(ax, ay), (bx, by)| (ax * by) - (bx * ay) }.abs }
    expect(doubled).to eq 100 * 100
  end

  # Measured soils (see fixtures/README.md); a point on a boundary decides nothing.
  it "agrees with a general-purpose GIS on 60 laboratory analyses" do
    rows = CSV.read(File.expand_path("../fixtures/measured_soils.csv", __dir__), headers: true)
    compared = rows.filter_map do |row|
      soil = Grittle::Composition.new(sand: row["sand"].to_f, silt: row["silt"].to_f, clay: row["clay"].to_f)
      next if usda.distance_to_boundary(soil).zero?

      [usda.classify(soil).name, row["usda_by_gis"].downcase]
    end
    expect(compared.size).to be > 50
    expect(compared.reject { |ours, theirs| ours == theirs }).to be_empty
  end

  it "knows neighbours by a shared boundary, not by a shared corner" do
    expect(usda.neighbours("CL")).to include("SICL", "C", "L", "SIL", "SCL")
    expect(usda.neighbours("C")).to contain_exactly("CL", "SC", "SIC")
    expect(usda.neighbours("SICL")).to contain_exactly("CL", "SIL", "SIC")
    usda.classes.each_key do |code|
      usda.neighbours(code).each { |other| expect(usda.neighbours(other)).to include code }
    end
  end

  # By hand: the nearest line to 40 sand, 20 clay is clay 27; to 30, 35 it is clay 40. 88, 5 has silt + 1.5 clay = 14.5,
  # and a third of a point from sand to clay makes it 15.
  { [40, 20] => 7.0, [30, 35] => 5.0, [10, 45] => 5.0, [88, 5] => 1 / 3.0 }.each do |(sand, clay), distance|
    it "measures #{distance.round(2)} points from #{sand} sand, #{clay} clay to the nearest line" do
      expect(usda.distance_to_boundary(composition(sand, clay))).to be_within(1e-9).of(distance)
    end
  end

  it "takes the middle of a class from its region" do
    usda.classes.each_value { |texture_class| expect(usda.classify(texture_class.middle)).to eq texture_class }
  end
end
