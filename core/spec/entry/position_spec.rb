# frozen_string_literal: true

RSpec.describe Grittle::Entry::Position do
  # 48°12'30" is 48 + 12/60 + 30/3600 degrees: arithmetic.
  {
    "48.2083, 16.3738" => [48.2083, 16.3738],
    "48,2083 16,3738" => [48.2083, 16.3738],
    "48,2083; 16,3738" => [48.2083, 16.3738],
    "-33.5 150.25" => [-33.5, 150.25],
    "48°12'30\"N 16°22'26\"E" => [48.208333, 16.373889],
    "N 48°12.5 W 16°30.0" => [48.208333, -16.5],
    "48° 12′ 30″ S, 16° 22′ 26″ W" => [-48.208333, -16.373889],
    "48°12'30,5\"N 16°22'26,5\"E" => [48.208472, 16.374028],
    "16.5 E 48 N" => [48, 16.5],
    "33,5S 150,25E" => [-33.5, 150.25]
  }.each do |text, place|
    it("reads “#{text}”") do
      found = described_class.parse(text)
      expect([found.latitude, found.longitude]).to eq place
    end
  end

  it "says it in degrees, minutes and seconds" do
    expect(described_class.new(47.918, -15.204).to_s).to eq "47°55'04.8\"N 15°12'14.4\"W"
  end

  {
    "somewhere" => /no position/,
    "48.2" => /no position/,
    "91 10" => /-90 to 90/,
    "48 181" => /-180 to 180/,
    "48°61'N 16°E" => /up to 60/,
    "48 N 16 N" => /two latitudes/,
    "" => /no position/,
    "1 2 3" => /no position/
  }.each do |text, sentence|
    it("refuses “#{text}”") { expect { described_class.parse(text) }.to raise_error(Grittle::InvalidInput, sentence) }
  end
end
