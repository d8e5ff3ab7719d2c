# frozen_string_literal: true

require_relative "../spec_helper"

# [our own] simulated hands, after Evidence::Simulator
RSpec.describe Grittle::Practice::HandBias do
  tests = %w[stickiness plasticity shine mould_feel]

  def samples(count, bias, tests)
    (1..count).map do |seed|
      clay = 12 + ((seed * 7) % 40)
      soil = Grittle::Composition.new(sand: 35, clay: clay)
      felt = Grittle::Evidence::Simulator.new(seed, bias: { clay: bias }).feel(soil, tests: tests)
      likely = Grittle::Evidence::ObservedLikelihoods.new(Grittle::Observations.new(felt), Grittle::Curves["consensus"],
                                                          Grittle::Evidence::STANDARD)
      described_class::Sample.new(felt: likely, percents: { clay: clay }, sds: { clay: 1.5 })
    end
  end

  it "leaves a hand without samples as it is" do
    hand = described_class.new([]).hand
    expect(Grittle::Evidence::QUANTITIES.map { |axis| [hand.shift(axis), hand.sd(axis)] })
      .to eq(Grittle::Evidence::QUANTITIES.map { |axis| [0.0, Grittle::Evidence::Hand::SDS.fetch(axis.name)] })
  end

  it "finds a bias, and is surer of the hand the more samples it has" do
    few, many, none = [[4, 6], [24, 6], [24, 0]].map do |count, bias|
      described_class.new(samples(count, bias, tests)).of(Grittle::Evidence::CLAY)
    end
    # 6 points of clay are 4 of a soil whose parts are shared out anew; chance is about 1.1 points each
    expect(many.first - none.first).to be_between(2, 6)
    expect(none.first).to be_between(-3, 3)
    expect([few.last, many.last]).to match [be < 4, be < few.last]
  end

  it "is never surer than a hand differs from day to day" do
    expect(described_class.new(samples(60, 0, tests)).of(Grittle::Evidence::CLAY).last).to be > 2
  end
end
