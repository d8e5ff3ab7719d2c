# frozen_string_literal: true

require_relative "../spec_helper"

# Places on and beside the lines of a map. [our own; distances by the length of a degree]
RSpec.describe Grittle::Practice::SurveyMap do
  def feature(name, ring, scale: 24_000, components: [{ "percent" => 100, "layers" => [layer] }], **geometry)
    { "type" => "Feature", "geometry" => { "type" => "Polygon", "coordinates" => [ring] }.merge(geometry),
      "properties" => { "unit" => name, "scale" => scale, "components" => components } }
  end

  def layer(upper = 0, lower = 100, textures = ["L"])
    { "upper_cm" => upper, "lower_cm" => lower, "textures" => textures }
  end

  def square(west, east) = [[west, 47.0], [east, 47.0], [east, 47.1], [west, 47.1], [west, 47.0]]

  let(:map) { described_class.new("features" => [feature("W", square(15.0, 15.1)), feature("E", square(15.1, 15.2))]) }

  { 15.05 => "W", 15.15 => "E", 15.1 => "W", 15.0 => "W", 15.3 => nil }.each do |longitude, unit|
    it("finds #{unit || 'nothing'} at #{longitude}") { expect(map.at(longitude, 47.05)&.name).to eq unit }
  end

  it "leaves a hole out, and takes in both parts of a unit" do
    hole = [[15.04, 47.04], [15.06, 47.04], [15.06, 47.06], [15.04, 47.06], [15.04, 47.04]]
    holed = described_class.new("features" => [feature("H", nil, "coordinates" => [square(15.0, 15.1), hole])])
    expect([holed.at(15.05, 47.05), holed.at(15.02, 47.05)&.name]).to eq [nil, "H"]
    parts = { "type" => "MultiPolygon", "coordinates" => [[square(15.0, 15.1)], [square(15.5, 15.6)]] }
    two = described_class.new("features" => [feature("M", nil, **parts)])
    expect([15.05, 15.55, 15.3].map { |longitude| two.at(longitude, 47.05)&.name }).to eq ["M", "M", nil]
  end

  # A degree of longitude is 76 km at 47° N: 0.0003° are 23 m.
  { [15.0997, 0] => %w[W E], [15.0996, 0] => %w[W], [15.0996, 20] => %w[W E], [15.1003, 0] => %w[E W] }
    .each do |(longitude, accuracy), names|
    it "names #{names.join(' and ')} at #{longitude}, sure to #{accuracy} m" do
      expect(map.about(longitude, 47.05, accuracy).map(&:name)).to eq names
    end
  end

  it "shares layers out by their overlap, and what is uncovered evenly" do
    both = [{ "percent" => 50, "layers" => [layer(0, 20, ["S"]), layer(20, 40, ["C"])] }]
    unit = described_class.new("features" => [feature("W", square(15.0, 15.1), components: both)]).units.first
    found = described_class.expected(unit, 10, 30)
    expect(found.values.sum).to be_within(1e-9).of(1)
    expect(found["S"]).to be_within(0.01).of(found["C"]) # half of each, with what their neighbours are given
    # 0.25 of S: 0.6 named, 0.1 over the nine others for the quarter of C, and half a twelfth of the rest.
    sand = (0.25 * 0.6) + (0.25 * 0.1 / 9) + (0.5 / 12)
    expect(described_class.ratio(found, "S")).to be_within(0.1).of(12 * sand)
  end

  {
    "no features" => {}, "a point" => { "features" => [{ "geometry" => { "type" => "Point" }, "properties" => {} }] },
    "an unknown texture" => { "features" => :texture }, "no scale" => { "features" => :scale }
  }.each do |what, document|
    it "refuses #{what}" do
      ring = square(15.0, 15.1)
      bad = [{ "percent" => 100, "layers" => [layer(0, 10, ["MUD"])] }]
      made = { texture: [feature("W", ring, components: bad)], scale: [feature("W", ring, scale: nil)] }
      given = document["features"].is_a?(Symbol) ? { "features" => made[document["features"]] } : document
      expect { described_class.new(given) }.to raise_error(Grittle::InvalidInput, /GeoJSON|Feature 1/)
    end
  end
end
