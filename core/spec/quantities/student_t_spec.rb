# frozen_string_literal: true

require_relative "../spec_helper"

RSpec.describe Grittle::StudentT do
  # Abramowitz & Stegun 1964, table 26.10 (from memory): 90 % two-sided, that is 95 % below.
  { 1 => 6.314, 2 => 2.920, 3 => 2.353, 4 => 2.132, 5 => 2.015, 8 => 1.860, 11 => 1.796 }.each do |freedom, value|
    it "has 95 % below #{value} with #{freedom} degrees of freedom" do
      expect(described_class.upper95(freedom)).to be_within(0.0006).of(value)
      expect(described_class.below(-value, freedom)).to be_within(0.0001).of(0.05)
    end
  end

  it("is symmetric") { expect(described_class.below(0, 3)).to eq 0.5 }
end
