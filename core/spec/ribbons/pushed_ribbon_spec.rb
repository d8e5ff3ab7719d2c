# frozen_string_literal: true

require_relative "../spec_helper"

RSpec.describe Grittle::PushedRibbon do
  def ribbon(**fields) = described_class.new({ "length_mm" => 40 }.merge(fields.transform_keys(&:to_s)))

  # Both ends of each range, and just beyond.
  {
    length_mm: [0, 300, -0.1, 300.1],
    thickness_mm: [0.5, 20, 0.4, 20.1],
    width_mm: [1, 60, 0.9, 60.1],
    working_minute: [0, 120, -1, 121]
  }.each do |field, (least, most, under, over)|
    it "takes #{field} from #{least} to #{most}" do
      expect([least, most].map { |value| ribbon(field => value).public_send(field) }).to eq [least, most]
      [under, over].each do |value|
        expect { ribbon(field => value) }.to refuse_with(
          Grittle::InvalidObservations,
          /#{least} to #{most} .* not #{value}\./
        )
      end
    end
  end

  it "broke, unless said otherwise" do
    expect(ribbon.ended).to eq "broke"
    expect(ribbon(ended: "torn")).to be_torn
    expect(ribbon(ended: "never_broke")).to be_never_broke
  end

  it "wants a length, and only what a ribbon has" do
    expect { described_class.new({}) }.to refuse_with(Grittle::InvalidObservations, /0 to 300 mm long, not nothing/)
    expect { ribbon(colour: "red", carried_own_weight: "yes") }.to refuse_with(
      Grittle::InvalidObservations,
      /A ribbon has no “colour”/,
      /carried_own_weight is either true or false/
    )
    expect { ribbon(length_mm: "long") }.to refuse_with(Grittle::InvalidObservations, /not long/)
  end

  it("cannot be changed") { expect(ribbon).to be_frozen }
end
