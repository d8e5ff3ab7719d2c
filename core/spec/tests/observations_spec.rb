# frozen_string_literal: true

require_relative "../spec_helper"

RSpec.describe Grittle::Observations do
  {
    { "colour" => "red" } => ["/colour", /There is no observation “colour”/],
    { "wet_rub" => "silky" } => ["/wet_rub", /no answer to wet_rub. Use one of: very_gritty, very_smooth, neither/],
    { "ball_holds" => "yes" } => ["/ball_holds", /either true or false/],
    { "ribbons" => ribbons(-3) } => ["/ribbons/0/length_mm", /0 to 300 mm long, not -3/],
    { "ribbons" => ribbons(40, 301) } => ["/ribbons/1/length_mm", /0 to 300 mm long, not 301/],
    { "ribbons" => ribbons(40, ended: "snapped") } => ["/ribbons/0/ended", /no way for a ribbon to end/],
    { "ribbons" => ribbons(*[40] * 11) } => ["/ribbons", /at most 10/],
    { "moisture_rounds" => 1.5 } => ["/moisture_rounds", /whole number/],
    { "sand_estimate" => { "half_width" => 6 } } => ["/sand_estimate/percent", /needs percent/],
    { "clay_estimate" => { "percent" => 130 } } => ["/clay_estimate/percent", /from 0 to 100/],
    { "feel_words" => ["crunchy"] } => ["/feel_words/0", /no answer to feel_words/]
  }.each do |given, (pointer, sentence)|
    it "refuses #{given} at #{pointer}" do
      expect { described_class.new(given) }.to refuse_with(Grittle::InvalidObservations, sentence)
      expect { described_class.new(given) }.to(
        raise_error { |error| expect(error.problems.map(&:pointer)).to eq [pointer] }
      )
    end
  end

  it "takes 0 and 300 mm, and gathers every bad field" do
    expect(described_class.new("ribbons" => ribbons(0, 300)).ribbon_set.count).to eq 2
    expect { described_class.new("wet_rub" => 1, "shine" => 2) }.to(raise_error { |e| expect(e.problems.size).to eq 2 })
  end

  it "takes an empty list or nil as a test not made" do
    expect(described_class.new("ribbons" => [], "wet_rub" => nil).ribbon_set).to be_nil
  end
end
