# frozen_string_literal: true

require_relative "../spec_helper"

RSpec.describe Grittle::Curves do
  # Common practice: an inch and two and a half by one school; an inch and a half, and two to three, by another. The
  # rest worked by hand for 38 mm.
  {
    ["twenty_forty", 25.4] => 20.0,
    ["twenty_forty", 63.5] => 40.0,
    ["cautious", 38.1] => 15.0,
    ["twenty_forty", 38] => 26.6,
    ["cautious", 38] => 15.0,
    ["flow_tiers", 38] => 31.0,
    ["field_grades", 38] => 28.9,
    ["consensus", 38] => 29.4
  }.each do |(curve, length), clay|
    it("reads #{length} mm as #{clay} % by #{curve}") do
      expect(described_class[curve].clay(length).round(1)).to eq clay
    end
  end

  it "goes both ways, and never to a negative length" do
    described_class::ALL.each do |curve|
      (0..75).step(5) { |clay| expect(curve.length(clay)).to be >= 0 }
      (20..100).step(10) { |mm| expect(curve.length(curve.clay(mm))).to be_within(1e-9).of(mm) if curve.clay(mm) < 80 }
      expect([curve.clay(0), curve.clay(300)]).to all(be_between(0, 80))
    end
  end

  it "gives the spread between the schools" do
    expect(described_class.spread(38)).to be_within(0.1).of(31.0 - 15.0)
    expect(described_class.of(38).map { |row| row["clay_percent"] }).to eq [26.6, 15.0, 31.0, 28.9, 29.4]
  end

  it("names a source for every curve") { expect(described_class::ALL.map(&:source)).to all be_a(String) }
end
