# frozen_string_literal: true

RSpec.describe Exchange::Looks do
  let(:asked) { [] }
  let(:looks) { described_class.new { |value| (asked << value) && value.inspect } }

  it "works each value out once" do
    expect([looks["loam"], looks[7], looks["loam"]]).to eq ['"loam"', "7", '"loam"']
    expect(asked).to eq ["loam", 7]
  end

  it "tells false from nothing known" do
    2.times { expect(looks[false]).to eq "false" }
    expect(asked).to eq [false]
  end

  it "forgets when it knows too many, so that memory stays flat" do
    (described_class::MOST + 1).times { |number| looks[number] }
    expect(looks[described_class::MOST]).to eq described_class::MOST.to_s
    expect(looks[0]).to eq "0"
    expect(asked.count(0)).to eq 2
    expect(asked.count(described_class::MOST)).to eq 1
  end
end
