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
      triangle.classes.each_value do |texture_class|
        expect(triangle.classify(texture_class.middle)).to eq texture_class
      end
    end
  end

  # Whole percents, and a net of decimals that floats do not hold exactly, the slanted lines among them.
  it "decide as their rules say" do
    net = [0.1, 7.3, 12.7].product([0.3, 1.9]).flat_map do |offset, step|
      (0..((100 - offset) / step)).flat_map do |at|
        clay = (offset + (at * step)).round(9)
        [clay * 1.5, clay * 2].zip([15, 30])
                              .map { |part, line| (line - part).round(9) }
                              .grep(0..(100 - clay))
                              .map { |silt| [(100 - clay - silt).round(9), silt, clay] } +
          (0..9)
          .map { |tenth| [((100 - clay) * tenth / 10.0).round(9), clay] }
          .map { |sand, c| [sand, (100 - c - sand).round(9), c] }
      end
    end
    whole = (0..100).flat_map { |clay| (0..(100 - clay)).map { |sand| [sand, 100 - clay - sand, clay] } }
    Grittle::TRIANGLES.each_value do |triangle|
      differ =
        (net + whole).reject do |part|
          triangle.rules.select { |_, rule| rule.call(*part) }.keys == [triangle.code(*part)]
        end
      expect([triangle.id, differ]).to eq [triangle.id, []]
    end
  end

  # A sum that is 15 or 30 in decimals is on the line, though floats say 14.999999999999998 or 30.000000000000004.
  it "put decimals on a slanted line where whole numbers on it are" do
    {
      [87.7, 7.5 - 0.2, 5.0] => [14.8, "S"],
      [87.5, 7.5, 5.0] => [15, "LS"],
      [76.65, 16.7, 6.65] => [30, "SL"]
    }.each { |part, (sum, code)| expect(Grittle::Triangles::USDA.code(*part)).to eq(code), "#{part} (#{sum})" }
    tenths = (1..99).map { |at| at / 10.0 }
    on = tenths.map { |clay| [(100 - clay - (15 - (1.5 * clay))).round(9), (15 - (1.5 * clay)).round(9), clay] }
    expect(on.map { |part| Grittle.classify(**%i[sand silt clay].zip(part).to_h).code }.uniq).to eq ["LS"]
    expect(on.map { |part| Grittle.classify(**%i[sand silt clay].zip(part).to_h, system: "canada").code }.uniq).to eq [
      "S"
    ]
  end

  # Canadian System of Soil Classification, 3rd ed., 1998; FAO Guidelines, 4th ed., 2006, fig. 4 (from memory); Hodgson,
  # Soil Survey Field Handbook (from memory, provisional). Both sides of a limit, as sand and clay.
  {
    ["canada", 10, 60] => "C",
    ["canada", 10, 60.1] => "HC",
    ["canada", 0, 60] => "SIC",
    ["fao_wrb", 20, 61] => "HC",
    ["canada", 52, 10] => "SL",
    ["canada", 51.9, 10] => "L",
    ["canada", 70, 20] => "SL",
    ["canada", 70, 20.1] => "SCL",
    ["canada", 45, 30] => "SCL",
    ["canada", 44.9, 30] => "CL",
    ["canada", 20, 30] => "CL",
    ["canada", 19.9, 30] => "SICL",
    ["canada", 45, 35] => "SC",
    ["canada", 45, 50] => "SC",
    ["canada", 85, 0] => "S",
    ["canada", 70, 0] => "LS",
    ["uk", 50, 17.9] => "SZL",
    ["uk", 50.1, 17.9] => "SL",
    ["uk", 19.9, 10] => "ZL",
    ["uk", 20, 10] => "SZL",
    ["uk", 50, 18] => "SCL",
    ["uk", 49.9, 18] => "CL",
    ["uk", 19.9, 34.9] => "ZCL",
    ["uk", 45, 30] => "SC",
    ["uk", 44.9, 30] => "CL",
    ["uk", 15, 40] => "ZC",
    ["uk", 15.1, 40] => "C",
    ["uk", 45, 54.9] => "SC",
    ["uk", 20, 60] => "C"
  }.each do |(system, sand, clay), code|
    it("call #{sand} sand, #{clay} clay #{code} in #{system}") do
      expect(Grittle.classify(sand: sand, clay: clay, system: system).code).to eq code
    end
  end

  it "know their silt limits, neighbours and what is provisional" do
    expect(Grittle::TRIANGLES.transform_values(&:silt_limit)).to eq(
      "usda" => 50,
      "canada" => 50,
      "fao_wrb" => 63,
      "uk" => 60
    )
    expect(Grittle::TRIANGLES.select { |_, triangle| triangle.provisional? }.keys).to eq ["uk"]
    expect(Grittle.triangle("canada").neighbours("HC")).to eq ["C"] # silty clay touches it in a point
  end
end
