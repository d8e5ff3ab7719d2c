# frozen_string_literal: true

require_relative "../spec_helper"

# The same ribbons by a hand whose ribbons are long, before and after its samples. [our own]
RSpec.describe Grittle::Practice::OwnCurve do
  let(:felt) do
    Grittle::Observations.new("ball_holds" => true, "ribbons" => [60, 62, 58].map { |mm| { "length_mm" => mm } })
  end

  def estimate(curve) = Grittle::Evidence::Estimate.new(felt, curve: curve)

  it "is the model's own for a hand without pairs" do
    expect(estimate(described_class.new).mean["clay"]).to be_within(1e-9).of(estimate("consensus").mean["clay"])
  end

  it "holds less clay, and says so more surely" do
    own = estimate(described_class.new(a: 0.203, b: -0.038, k2: 0.239, vaa: 0.0028, vab: -0.0019,
                                       vbb: 0.0078))
    before = estimate("consensus")
    expect(own.mean["clay"]).to be < before.mean["clay"] - 4
    expect(own.sd["clay"]).to be < before.sd["clay"]
  end
end
