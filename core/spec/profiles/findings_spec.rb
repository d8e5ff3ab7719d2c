# frozen_string_literal: true

RSpec.describe Grittle::Profiles::Findings do
  # pH classes: Soil Survey Manual, USDA Handbook 18, 2017 (published). Fizz on pale specks: common practice, no source.
  {
    ["ph", { "value" => 4.5, "method" => "kit" }] => "pH 4.5, very strongly acid",
    ["ph", { "value" => "6,6", "method" => "meter" }] => "pH 6.6, neutral",
    ["fizz", { "effervescence" => "violent" }] => "violent effervescence",
    ["fizz", { "effervescence" => "none" }] => "no effervescence",
    ["fizz", { "effervescence" => "none", "specks" => true }] =>
      "no effervescence, though on pale specks: it may be white clay"
  }.each do |(test, typed), said|
    it("says “#{said}”") { expect(described_class.say(test, [described_class.read(test, typed)])).to eq said }
  end

  # Classes after Emerson 1967 and AS 1289.3.8.1 (from memory)
  {
    [{ "slaking" => "not", "minutes" => 1200, "dispersion" => "none", "swells" => true }] => /\Acrumb class 7\z/,
    [{ "slaking" => "fully" }, { "dispersion" => "complete" }] => /class 1.*dispersive/,
    [
      { "slaking" => "a_little", "minutes" => 1200, "water" => "rain" },
      { "dispersion" => "none" },
      { "remoulded_disperses" => true }
    ] =>
      /\Acrumb class 3, disperses when worked wet\z/,
    [{ "dispersion" => "some" }] => /\Acrumb in water, still open\z/,
    [{ "slaking" => "fully", "dispersion" => "none", "minutes" => 10 }] => /\Acrumb class 1 to 6 still possible\z/
  }.each do |looks, said|
    it("gathers #{looks} to “#{said}”") { expect(described_class.say("crumb", looks)).to match said }
  end

  {
    ["ph", { "value" => 6.3, "method" => "kit" }] => /steps of 0.5 is not read to 6.3/,
    ["ph", { "value" => 6.3, "method" => "kit", "step" => "0.25" }] => /steps of 0.25/,
    ["ph", { "value" => 6.5, "upper" => 7.5, "method" => "kit" }] => /between 6.5 and 7\./,
    ["ph", { "value" => 6.5, "upper" => 6, "method" => "kit" }] => /the lower one first/,
    ["ph", { "method" => "kit" }] => "pH is needed.",
    ["ph", { "value" => 15 }] => /0 to 14/,
    ["fizz", { "specks" => true }] => "Effervescence is needed.", ["crumb", {}] => "Write what was seen.",
    ["taste", {}] => /no test “taste”/,
    ["ph", { "colour" => 1 }] => "pH has no “colour”."
  }.each do |(test, typed), sentence|
    it("refuses #{test} #{typed}") do
      expect { described_class.read(test, typed) }.to raise_error(Grittle::InvalidInput, sentence)
    end
  end
end
