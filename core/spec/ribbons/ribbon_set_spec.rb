# frozen_string_literal: true

require_relative "../spec_helper"

RSpec.describe Grittle::RibbonSet do
  def set(*lengths, **fields)
    described_class.new(ribbons(*lengths, **fields).map { |ribbon| Grittle::PushedRibbon.new(ribbon) })
  end

  # Worked by hand from the formulas: scale, and the 90 % interval where it was worked out.
  { [48, 48, 48] => [3.09, 41.4, 54.6], [70, 70, 70] => [3.97, 61.5, 78.5], [46, 53, 61] => [4.50, 43.7, 62.9],
    [38] => [4.98] }.each do |lengths, (scale, *ends)|
    it "works out #{lengths.join(', ')} mm" do
      expect(set(*lengths).scale).to be_within(0.005).of(scale)
      expect(set(*lengths).to_h["interval_mm"]).to eq ends unless ends.empty?
    end
  end

  # Lengths typed after others, and what the others make likely that was meant; nil takes it as it is.
  {
    [5.4, 52] => 54,
    [540, 52, 49] => 54,
    [12, 150] => 120,
    [0] => :nothing,
    [0, 52] => :nothing,
    [54, 52] => nil,
    [54] => nil,
    [15, 52] => nil,
    [10, 52] => nil,
    [8.5, 52] => nil
  }.each do |(typed, *others), meant|
    it "#{meant ? 'asks about' : 'takes'} #{typed} mm after #{others.empty? ? 'none' : others.join(', ')}" do
      found =
        described_class
        .slips(others.empty? ? nil : set(*others))
        .find { |slip| typed.between?(slip["from_mm"], slip["to_mm"]) }
      said = found && (found["times"] ? (typed * found["times"]).round(6) : :nothing)
      expect(said).to eq meant
    end
  end

  it "gives the odds above a limit" do
    expect(set(48, 48, 48).probability_above(50)).to be_within(0.005).of(0.28)
  end

  it "keeps torn ribbons and leaves them out" do
    torn = described_class.new([*set(50, 52).ribbons, Grittle::PushedRibbon.new("length_mm" => 20, "ended" => "torn")])
    expect(torn.mean).to eq 51
    expect(torn.flags).to eq ["torn_left_out"]
    expect(set(20, ended: "torn").to_h).to include("count" => 0, "verdict" => "all_torn", "flags" => ["torn_left_out"])
  end

  # Just inside and just outside each limit.
  { [[40, 40], "consistent"] => [], [[20, 25.6], "consistent"] => [], [[20, 26], "inconsistent"] => [],
    [[50], "single"] => [], [[50, 55, 60], "consistent"] => ["drifting"], [[50, 55, 59], "consistent"] => [],
    [[50, 61, 60], "consistent"] => [] }.each do |(lengths, verdict), flags|
    it("finds #{lengths.join(', ')} mm #{[verdict, *flags].join(', ')}") do
      expect(set(*lengths).to_h).to include("verdict" => verdict, "flags" => flags)
    end
  end

  it "finds thicknesses more than 1 mm apart uneven" do
    thick = ->(*mm) { mm.map { |t| Grittle::PushedRibbon.new("length_mm" => 40, "thickness_mm" => t) } }
    expect(described_class.new(thick[2, 3])).not_to be_uneven
    expect(described_class.new(thick[2, 3.5])).to be_uneven
  end

  it "refuses an eleventh ribbon and none" do
    expect { set(*[40] * 11) }.to refuse_with(Grittle::InvalidObservations, /1 to 10 ribbons, not 11/)
    expect { described_class.new([]) }.to refuse_with(Grittle::InvalidObservations, /not 0/)
  end
end
