# frozen_string_literal: true

require_relative "../spec_helper"

RSpec.describe "The triangles of other systems" do
  %w[canada fao_wrb uk].each do |system|
    it "cover every whole-percent composition exactly once, and the whole triangle: #{system}" do
      triangle = Grittle.triangle(system)
      parts = (0..100).flat_map { |clay| (0..(100 - clay)).map { |sand| [sand, 100 - clay - sand, clay] } }
      expect(parts.reject { |part| triangle.rules.one? { |_, rule| rule.call(*part) } }).to be_empty
      area = triangle.classes.values.sum { |c| c.edges.sum { |(ax, ay), (bx, by)| (ax * by) - (bx * ay) }.abs }
      expect(area).to eq 100 * 100
      triangle.classes.each_value { |texture_class| expect(triangle.classify(texture_class.middle)).to eq texture_class }
    end
  end

  # Canadian System of Soil Classification, 3rd ed., 1998; FAO Guidelines, 4th ed., 2006, fig. 4 (from memory); Hodgson,
  # Soil Survey Field Handbook (from memory, provisional). Both sides of a limit, as sand and clay.
  {
    ["canada", 10, 60] => "C", ["canada", 10, 60.1] => "HC", ["canada", 0, 60] => "SIC", ["fao_wrb", 20, 61] => "HC",
    ["uk", 50, 17.9] => "SZL", ["uk", 50.1, 17.9] => "SL", ["uk", 19.9, 10] => "ZL", ["uk", 20, 10] => "SZL",
    ["uk", 50, 18] => "SCL", ["uk", 49.9, 18] => "CL", ["uk", 19.9, 34.9] => "ZCL", ["uk", 45, 30] => "SC",
    ["uk", 44.9, 30] => "CL", ["uk", 15, 40] => "ZC", ["uk", 15.1, 40] => "C", ["uk", 45, 54.9] => "SC", ["uk", 20, 60] => "C"
  }.each do |(system, sand, clay), code|
    it("call #{sand} sand, #{clay} clay #{code} in #{system}") do
      expect(Grittle.classify(sand: sand, clay: clay, system: system).code).to eq code
    end
  end

  it "know their silt limits, neighbours and what is provisional" do
    expect(Grittle::TRIANGLES.transform_values(&:silt_limit)).to eq("usda" => 50, "canada" => 50, "fao_wrb" => 63, "uk" => 60)
    expect(Grittle::TRIANGLES.select { |_, triangle| triangle.provisional? }.keys).to eq ["uk"]
    expect(Grittle.triangle("canada").neighbours("HC")).to eq ["C"] # silty clay touches it in a point
  end
end
