# frozen_string_literal: true

require_relative "../spec_helper"

RSpec.describe Grittle::Region do
  def region(system, code) = Grittle::Names.fetch(system, code).region

  # What the polygon holds, by the rule that a point is inside where a ray crosses the outline an odd number of times.
  def inside?(polygon, sand, clay)
    polygon.zip(polygon.rotate).count do |(s1, c1), (s2, c2)|
      (c1 > clay) != (c2 > clay) && sand < s1 + ((s2 - s1) * (clay - c1) / (c2 - c1).to_f)
    end.odd?
  end

  # Drawn and compared the same: a cell well within the region lies in one of its polygons, and no other does.
  [
    %w[usda CL],
    %w[uk SZL],
    %w[fao_wrb SL/poor],
    %w[fao_wrb SIL/rich],
    %w[australia CLS],
    %w[australia ZCL],
    %w[australia HC],
    %w[australia L-],
    %w[usda moderately_fine],
    %w[usda sandy]
  ].each do |system, code|
    it "draws #{system} #{code} where its compositions lie" do
      cells = region(system, code).cells.to_h { |cell| [cell, true] }
      (1..98).each do |sand|
        (1..(98 - sand)).each do |clay|
          cell = (sand * described_class::STEP) + clay
          here = [cell, *described_class::BESIDE.map { |move| cell + move }].map { |near| cells.key?(near) }.uniq
          next unless here.size == 1 # on the line either is right

          drawn = region(system, code).polygons.any? { |polygon| inside?(polygon, sand + 0.01, clay + 0.01) }
          expect(drawn).to eq(here.first), "sand #{sand}, clay #{clay}"
        end
      end
    end
  end

  it "parts sandy loam in two halves at 10 % clay" do
    poor, rich = %w[SL/poor SL/rich].map { |code| region("fao_wrb", code).cells }
    expect(poor & rich).to be_empty
    expect((poor + rich).sort).to eq region("fao_wrb", "SL").cells
  end

  it "has its middle within" do
    expect(region("australia", "MC").middle.to_h).to include(clay: be_within(3).of(50))
    expect(region("australia", "CLS").middle.sand).to be > 45
  end

  {
    %w[usda XX] => /no class “XX”/,
    %w[australia XX] => /no class “XX”/,
    %w[moon CL] => /no system “moon”/
  }.each do |name, sentence|
    it("refuses #{name.join(' ')}") { expect { region(*name) }.to refuse_with(Grittle::UnknownName, sentence) }
  end
end
