# frozen_string_literal: true

require_relative "../spec_helper"

RSpec.describe Grittle::Profiles::Munsell do
  {
    "10YR 4/3" => "10YR 4/3",
    "10yr4/3" => "10YR 4/3",
    " 7,5 YR 4 / 4" => "7.5YR 4/4",
    "2.5Y 5.5/2" => "2.5Y 5.5/2",
    "N 5/" => "N 5/",
    "n5" => "N 5/",
    "5gy 4/1" => "5GY 4/1",
    "5PB 3/10" => "5PB 3/10"
  }.each { |typed, read| it("reads “#{typed}” as #{read}") { expect(described_class.new(typed).to_s).to eq read } }

  {
    "" => /no Munsell notation/,
    "brown" => %r{such as 10YR 4/3},
    "11YR 4/3" => /hue goes from 0 to 10 YR, not 11/,
    "0YR 4/3" => /hue/,
    "10YR 11/3" => /value goes from 0 to 10, not 11/,
    "10YR 4/30" => /chroma goes from 0 to 20, not 30/,
    "10XR 4/3" => /no Munsell/,
    "10YR 4" => /no Munsell/
  }.each do |typed, sentence|
    it("refuses “#{typed}”") do
      expect { described_class.new(typed, field: "moist_colour") }.to refuse_with(Grittle::InvalidInput, sentence)
    end
  end

  # Notation and colour, from memory, to the nearest dozen of 255: what a screen makes of renotation charts.
  { "10YR 4/4" => [119, 95, 57], "2.5YR 4/6" => [139, 78, 57], "5Y 5/3" => [130, 122, 88], "N 5/" => [121, 121, 121],
    "10YR 2/1" => [56, 48, 39], "5GY 5/1" => [117, 123, 109], "5PB 4/6" => [72, 98, 142] }.each do |notation, rgb|
    it "shows #{notation} near #{rgb.join(', ')}" do
      described_class.new(notation).rgb.zip(rgb) { |shown, known| expect(shown).to be_within(14).of(known) }
    end
  end

  it "is lighter by value, stronger by chroma, redder by hue" do
    light, dark = ["10YR 7/3", "10YR 3/3"].map { |text| described_class.new(text).rgb.sum }
    expect(light).to be > dark
    strong, weak = ["10YR 5/8", "10YR 5/2"].map { |text| described_class.new(text).rgb.minmax.reduce(:-).abs }
    expect(strong).to be > weak
    red, yellow = ["10R 4/6", "2.5Y 4/6"].map { |text| described_class.new(text).rgb }
    expect(red[0] - red[1]).to be > yellow[0] - yellow[1]
    expect(described_class.new("10YR 4/3").hex).to match(/\A#\h{6}\z/)
  end

  # Grey and pale speaks of seasonal wetness [published for chroma 2: Soil Survey Manual, USDA Handbook 18, 2017].
  { "10YR 5/2" => true, "10YR 5/3" => false, "10YR 3/1" => false, "N 5/" => true }.each do |notation, wet|
    it("#{wet ? 'takes' : 'does not take'} #{notation} for wet") do
      expect(described_class.new(notation).wet?).to be wet
    end
  end
end
