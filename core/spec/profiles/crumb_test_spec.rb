# frozen_string_literal: true

require_relative "../spec_helper"

# [from memory: Emerson 1967; AS 1289.3.8.1; the times are our own]
RSpec.describe Grittle::Profiles::CrumbTest do
  rain = { water: "rain", air_dry: true }

  # looks as minutes, slaking, milkiness; then classes still possible and the state.
  {
    [[[5, "fully", "complete"]], rain] => [[1], "decided"],
    [[[5, "fully", "some"]], rain] => [[1, 2], "wait"],
    [[[5, "fully", "some"], [1200, "fully", "some"]], rain] => [[2], "decided"],
    [[[5, "a_little", "none"], [120, "fully", "none"]], rain] => [[1, 2, 3, 4, 5, 6], "wait"],
    [[[1200, "fully", "none"]], rain] => [[3, 4, 5, 6], "open"],
    [[[960, "fully", "none"]], { **rain, remoulded_disperses: true }] => [[3], "decided"],
    [[[959, "fully", "none"]], { **rain, remoulded_disperses: true }] => [[1, 2, 3, 4, 5, 6], "wait"],
    [[[1200, "fully", "none"]], { **rain, remoulded_disperses: false }] => [[4, 5, 6], "open"],
    [[[1200, "fully", "none"]], { **rain, remoulded_disperses: false, carbonate_or_gypsum: true }] => [[4], "decided"],
    [[[1200, "fully", "none"]], { **rain, remoulded_disperses: false, carbonate_or_gypsum: false }] => [[5, 6], "open"],
    [[[1200, "fully", "none"]],
     { **rain, remoulded_disperses: false, carbonate_or_gypsum: false, suspension: "disperses" }] => [[5], "decided"],
    [[[1200, "fully", "none"]],
     { **rain, remoulded_disperses: false, carbonate_or_gypsum: false, suspension: "flocculates" }] => [[6], "decided"],
    [[[5, "not", "none"]], rain] => [[7, 8], "wait"],
    [[[100, "not", "none"]], { **rain, swells: true }] => [[7], "provisional"],
    [[[1200, "not", "none"]], { **rain, swells: true }] => [[7], "decided"],
    [[[1200, "not", "none"]], { **rain, swells: false }] => [[8], "decided"],
    [[[1200, "not", "none"]], rain] => [[7, 8], "open"],
    [[[1200, "not", "none"]], { water: "rain", air_dry: false, swells: true }] => [[7, 8], "open"],
    [[[5, "not", "some"]], rain] => [[1, 2, 3, 4, 5, 6, 7, 8], "open"],
    [[[1200, "fully", "some"]], { water: "tap" }] => [[1, 2], "open"],
    [[[5, "fully", "complete"]], { water: "tap" }] => [[1], "decided"],
    [[[1200, "fully", "none"]], { water: "tap", remoulded_disperses: true }] => [[1, 2, 3], "open"],
    [[[1200, "fully", "none"]], {}] => [[1, 2, 3, 4, 5, 6], "open"],
    [[[5, "fully", "complete"]], { **rain, poured_on: true }] => [[1, 2, 3, 4, 5, 6, 7, 8], "void"],
    [[], rain] => [[1, 2, 3, 4, 5, 6, 7, 8], "wait"]
  }.each do |(looks, facts), (classes, state)|
    it("leaves #{classes.join(', ')}, #{state}, of #{looks} #{facts}") do
      expect(described_class.new(looks, **facts)).to have_attributes(classes: classes, state: state)
    end
  end

  it "warns where clay disperses, and where a crumb holds and clouds the water from two hours on" do
    warns = ->(*looks) { described_class.new(looks, **rain).dispersive? }
    expect(
      [
        warns[[5, "fully", "some"]],
        warns[[5, "not", "some"]],
        warns[[120, "not", "some"]],
        warns[[1200, "fully", "none"]]
      ]
    ).to eq [true, false, true, false]
    expect(described_class.new([[5, "not", "some"]], **rain).sentence).to eq "crumb in water, still open"
    expect(
      described_class.new([[5, "fully", "complete"]], **rain).sentence
    ).to eq "crumb class 1, dispersive: a warning for dams, tunnels and effluent"
  end

  it "keeps the greatest, and asks to look again where it was more before" do
    test = described_class.new([[5, "fully", "some"], [1200, "a_little", "none"]], **rain)
    expect(test).to have_attributes(classes: [2], state: "decided", advice: /look again/)
  end

  it "refuses what it does not ask" do
    expect { described_class.new([[5, "melts", nil]]) }.to refuse_with(Grittle::InvalidInput, /not, a_little, fully/)
    expect { described_class.new([[5, "fully", "much"]]) }.to refuse_with(Grittle::InvalidInput, /none, some, complete/)
  end
end
