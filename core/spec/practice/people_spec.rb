# frozen_string_literal: true

require_relative "../spec_helper"

RSpec.describe Grittle::Practice::People do
  let(:said) do
    { "Wren" => { 1 => ["CL", 30], 2 => ["C", 50], 3 => ["L", 20] }, "Reed" => { 1 => ["CL", 34], 2 => ["SIC", 56] },
      "Sedge" => { 2 => ["C", 53] } }.transform_values do |all|
      all.transform_values { |code, clay| { "class" => code, "clay" => clay } }
    end
  end

  it "compares every two on their common samples" do
    pair = described_class.new(said).pairs.first
    expect(pair).to include("one" => "Wren", "other" => "Reed", "count" => 2, "exact" => 1, "within_one" => 2)
    expect(pair["clay"]).to include("bias" => -5.0, "points" => [[32.0, -4.0], [53.0, -6.0]], "slope" => -0.1)
  end

  it "tells each person's effect: the mean of their clay less the sample's mean" do
    # Sample 1: 32; sample 2: 53; sample 3 has one reading alone.
    expect(described_class.new(said).effects).to eq "Wren" => -2.5, "Reed" => 2.5, "Sedge" => 0.0
  end
end
