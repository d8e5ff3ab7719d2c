# frozen_string_literal: true

require_relative "../spec_helper"

RSpec.describe Grittle::SiltLimit do
  let(:loam) { composition(40, 20) }

  # By hand, 40 sand, 40 silt, 20 clay at 50 µm. To 63: 60 + 40 ln(63/50)/ln(2000/50) = 62.51. To 20: 20 + 40
  # ln(10)/ln(25) = 48.61.
  { 63 => [62.51, 37.49], 60 => [61.98, 38.02], 20 => [48.61, 51.39] }.each do |limit, (finer, sand)|
    it "moves the line between silt and sand from 50 to #{limit} µm" do
      moved = described_class.convert(loam, from: 50, to: limit)
      expect(moved.clay).to eq 20
      expect(moved.silt + moved.clay).to be_within(0.01).of(finer)
      expect(moved.sand).to be_within(0.01).of(sand)
    end
  end

  it "leaves a composition alone at its own limit" do
    expect(described_class.convert(loam, from: 50, to: 50)).to eq loam
  end

  it "refuses a limit that is none" do
    [2, 2000].each do |limit|
      expect { described_class.convert(loam, from: 50, to: limit) }.to refuse_with(Grittle::UnknownName, /over 2/)
    end
  end
end
