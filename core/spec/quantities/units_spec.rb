# frozen_string_literal: true

require_relative "../spec_helper"

RSpec.describe Grittle::Units do
  # 1 in = 25.4 mm exactly (international inch, 1959).
  {
    [1, "in"] => 25.4,
    [2.5, "in"] => 63.5,
    [0.5, "in"] => 12.7,
    [4.6, "cm"] => 46.0,
    [38, "mm"] => 38.0
  }.each do |(value, unit), millimetres|
    it("takes #{value} #{unit} as #{millimetres} mm") { expect(described_class.to_mm(value, unit)).to eq millimetres }
  end

  # As a ruler in the unit is read.
  {
    [50.8, "in"] => "2.00 in",
    [55, "in"] => "2.17 in",
    [53.3, "cm"] => "5.3 cm",
    [53.3, "mm"] => "53.3 mm",
    [25.0, "mm"] => "25 mm",
    [0, "in"] => "0 in"
  }.each do |(millimetres, unit), said|
    it("says #{said}") { expect(described_class.say(millimetres, unit)).to eq said }
  end

  it "knows no other unit" do
    expect { described_class.to_mm(1, "ell") }
      .to refuse_with(Grittle::UnknownName, "There is no unit “ell”. Use one of: mm, cm, in.")
  end
end
