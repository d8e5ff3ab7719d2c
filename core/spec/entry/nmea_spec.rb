# frozen_string_literal: true

RSpec.describe Grittle::Entry::Nmea do
  # The sentence that handbooks of receivers print, with its checksum (from memory: NMEA 0183)
  let(:printed) { "$GPGGA,123519,4807.038,N,01131.000,E,1,08,0.9,545.4,M,46.9,M,,*47\r\n" }

  it "reads a fix" do
    fix = described_class.fix(printed)
    expect(fix.latitude).to be_within(1e-9).of(48 + (7.038 / 60))
    expect(fix.longitude).to be_within(1e-9).of(11 + (31 / 60.0))
    expect(fix.elevation_m).to eq 545.4
  end

  def sentence(latitude, longitude = "01131.000,E", quality: 1)
    body = "GPGGA,1,#{latitude},#{longitude},#{quality},08,0.9,500.0,M,46.9,M,,"
    "$#{body}*#{described_class.checksum(body)}"
  end

  it "knows no fix in other sentences, and while there is none" do
    body = "GPRMC,1,A"
    expect(described_class.fix("$#{body}*#{described_class.checksum(body)}")).to be_nil
    expect(described_class.fix(sentence("4807.038,N", quality: 0))).to be_nil
  end

  ["$GPGGA,123519,4807.038,N,01131.000,E,1,08,0.9,545.4,M,46.9,M,,*48", "$GPGGA,12", "4807.038"].each do |damaged|
    it("refuses #{damaged}") { expect { described_class.fix(damaged) }.to raise_error(described_class::Damaged) }
  end

  it "averages fixes, with their spread, and counts what it refused" do
    # a tenth of a minute of latitude is 185 m: two fixes 0.01 minutes apart lie 9.3 m from their mean
    found = described_class.average([sentence("4807.030,N"), "noise", sentence("4807.040,N")])
    expect(found).to include(fixes: 2, refused: 1, elevation_m: 500.0, spread_m: be_within(0.1).of(9.3))
    expect(found[:position].latitude).to be_within(1e-6).of(48 + (7.035 / 60))
  end

  it "averages on both sides of the date line" do
    found = described_class.average([sentence("1000.000,S", "17959.990,E"), sentence("1000.000,S", "17959.980,W")])
    expect(found[:position].longitude.abs).to be_within(1e-4).of(180)
    expect(found[:position].latitude).to eq(-10)
    expect(found[:spread_m]).to be < 40
  end

  it "wants a fix" do
    expect { described_class.average(["noise"]) }.to raise_error(Grittle::InvalidInput, "The receiver has no fix yet.")
  end
end
