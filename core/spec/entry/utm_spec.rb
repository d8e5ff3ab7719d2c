# frozen_string_literal: true

require_relative "../spec_helper"

RSpec.describe Grittle::Entry::Utm do
  # Snyder 1987, Map Projections: a Working Manual, USGS Professional Paper 1395, p. 269: Clarke 1866, 40°30' N
  # 73°30' W. He gives x from the central meridian.
  it "comes to Snyder's example, there and back" do
    clarke = described_class.new(described_class::Ellipsoid.new(6_378_206.4, 294.978698))
    east, north = clarke.to_metres(40.5, -73.5, zone: 18)
    expect([east - 500_000, north]).to match [be_within(0.1).of(127_106.5), be_within(0.1).of(4_484_124.4)]
    expect(clarke.to_degrees(east, north, zone: 18, south: false)).to match [be_within(1e-8).of(40.5),
                                                                             be_within(1e-8).of(-73.5)]
  end

  # DMA Technical Manual 8358.2, 1989: zones, bands, and the zones of south-west Norway and Svalbard.
  {
    [0, 3] => "31N 500000 0000000",
    [60.4, 5.3] => /\A32V /,
    [78.2, 15.6] => /\A33X /,
    [-33.9, 18.4] => /\A34H \d{6} 62\d{5}\z/,
    [83.9, 179.99] => /\A60X /,
    [85, 10] => nil
  }.each do |(latitude, longitude), said|
    it "says #{said.inspect} of #{latitude}, #{longitude}" do
      expect(said).to(satisfy { |wanted| wanted === described_class.say(latitude, longitude) })
    end
  end

  it "reads what it writes, on both sides of the equator" do
    [[48.2082, 16.3738], [-33.9249, 18.4241], [5.1, -73.2], [-0.2, 36.9], [71.2, 25.8]].each do |latitude, longitude|
      read = described_class.parse(described_class.say(latitude, longitude))
      expect(read).to match [be_within(1e-5).of(latitude), be_within(2e-5).of(longitude)]
    end
    ["48.2082, 16.3738", "61N 500000 1000000", "33O 500000 1000000", ""].each do |text|
      expect(described_class.parse(text)).to be_nil
    end
  end
end
