# frozen_string_literal: true

require_relative "../spec_helper"

RSpec.describe Grittle::Practice::MeasuredEstimate do
  it "lies about the result, as wide as it is sure" do
    sure, vague = [1.0, 5.0].map do |sd|
      described_class.new({ "sand" => 40, "silt" => 40, "clay" => 20 }, %w[sand silt clay].to_h { |part| [part, sd] })
    end
    expect(sure.mean.transform_values(&:round)).to eq "sand" => 40, "silt" => 40, "clay" => 20
    expect(sure.classes.first).to match ["L", be > 0.99]
    expect(sure.sd["clay"]).to be < vague.sd["clay"] / 2
    expect(vague.shares.sum).to be_within(1e-9).of(1)
  end

  it "stands in an interpretation in place of what was felt, and says so" do
    reading = { "named" => { "system" => "usda", "code" => "S" }, "observations" => { "ball_holds" => false },
                "laboratory" => { "percents" => { "sand" => 20, "silt" => 60, "clay" => 20 }, "sds" => {} } }
    horizon = { "designation" => "A", "upper_cm" => 0, "lower_cm" => 20 }
    found = [reading, reading.except("laboratory")].map do |one|
      Grittle.interpret({ "horizons" => [horizon.merge("readings" => [one])] })["horizons"].first
    end
    expect(found.map { |one| one["from"] }).to eq %w[laboratory hand]
    held = found.map { |one| one["figures"].find { |figure| figure["id"] == "available_water" } }
    expect(held.first).not_to eq held.last
  end
end
