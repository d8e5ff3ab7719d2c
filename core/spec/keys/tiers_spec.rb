# frozen_string_literal: true

require_relative "../spec_helper"

RSpec.describe Grittle::Keys::Tiers do
  let(:tiers) do
    described_class.new(%w[short middling long], [Grittle::Keys::Limit.new(mm: 20, belongs_to: :upper),
                                                  Grittle::Keys::Limit.new(mm: 40, belongs_to: :lower)])
  end

  def set(*lengths) = Grittle::RibbonSet.new(ribbons(*lengths).map { |ribbon| Grittle::PushedRibbon.new(ribbon) })

  # A length on a limit belongs where the limit says.
  { 19.9 => "short", 20 => "middling", 40 => "middling", 40.1 => "long" }.each do |length, tier|
    it("puts #{length} mm into #{tier}") { expect(tiers.of(length)).to eq tier }
  end

  it "gives odds to the tiers the interval reaches, adding up to 1" do
    expect(tiers.odds(set(30, 30, 30))).to eq("middling" => 1.0)
    [set(20, 20), set(40), set(25, 38), set(5, 60)].each do |reaching|
      expect(tiers.odds(reaching).values.sum).to be_within(1e-12).of(1)
    end
    expect(tiers.odds(set(20, 20)).values).to all be_within(1e-9).of(0.5)
    expect(tiers.odds(set(5, 60)).keys).to eq %w[short middling long]
  end

  it "names the limits that the interval holds" do
    expect(tiers.undecided(set(39, 41)).map(&:mm)).to eq [40]
    expect(tiers.undecided(set(30, 30, 30))).to be_empty
  end

  it "hands out its scale without empty tiers" do
    expect(tiers.to_a).to eq [{ "name" => "short", "from_mm" => 0.0, "to_mm" => 20 },
                              { "name" => "middling", "from_mm" => 20, "to_mm" => 40 },
                              { "name" => "long", "from_mm" => 40, "to_mm" => nil }]
    from_zero = described_class.new(%w[none some], [Grittle::Keys::Limit.new(mm: 0.0, belongs_to: :upper)])
    expect(from_zero.to_a.map { |tier| tier["name"] }).to eq ["some"]
  end

  it "refuses limits that do not part its tiers" do
    expect do
      described_class.new(%w[a b c], [Grittle::Keys::Limit.new(mm: 1, belongs_to: :upper)])
    end.to raise_error ArgumentError
  end
end
