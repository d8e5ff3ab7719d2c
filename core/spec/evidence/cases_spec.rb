# frozen_string_literal: true

require_relative "../spec_helper"

# Reference cases of a separate prototype of the same model (our own model): class probabilities within 3 points, means
# within 1.5. "Ball and ribbon yes" unless said.
RSpec.describe Grittle::Evidence::Estimate do
  def estimate(given, **options) = described_class.new(Grittle::Observations.new(given), **options)

  let(:both) { { "ball_holds" => true, "ribbon_forms" => true } }

  # A hand that was calibrated against the laboratory: it reads clay 4 points too rich.
  let(:calibrated) do
    Grittle::Evidence::STANDARD.with(hand: Grittle::Evidence::Hand.new(shifts: { clay: 4 }, sds: { clay: 2.5 }))
  end

  [
    [{ "ball_holds" => false, "ribbon_forms" => nil }, { "S" => 69, "LS" => 19 }, [84, 9, 7]],
    [{ "ribbon_forms" => false }, { "LS" => 50, "SL" => 33, "S" => 12 }, [77, 15, 8]],
    [
      { "ribbons" => [41, 44, 39], "wet_rub" => "neither" },
      { "CL" => 39, "C" => 22, "L" => 13, "SCL" => 8 },
      [33, 32, 35]
    ],
    [
      { "ribbons" => [52, 57, 49], "wet_rub" => "very_smooth" },
      { "SICL" => 46, "SIC" => 25, "CL" => 10 },
      [12, 52, 36]
    ],
    [{ "ribbons" => [22, 24], "sand_estimate" => { "percent" => 58, "half_width" => 0 }, "thumbprint" => false },
     { "SL" => 47, "SCL" => 26, "L" => 23 }, [57, 26, 17]],
    [{ "ribbons" => [9], "wet_rub" => "very_gritty" }, { "SL" => 73, "L" => 9, "LS" => 8 }, [64, 25, 11]],
    [{ "ribbons" => [66, 71, 73], "sand_estimate" => { "percent" => 28, "half_width" => 0 }, "stickiness" => "very",
       "shine" => "moderate" }, { "C" => 71, "CL" => 15 }, [27, 26, 46]],
    [{ "ribbons" => [14, 12, 15], "wet_rub" => "very_smooth", "decanted_sand" => "trace", "floury_feel" => "strong" },
     { "SIL" => 71, "SI" => 26 }, [13, 75, 12]],
    [{ "ribbons" => [4.9, 4.9, 4.9], "wet_rub" => "very_smooth" }, { "SIL" => 62, "SI" => 33 }, [21, 73, 6]],
    [{ "ribbons" => [5.0, 5.0, 5.0], "wet_rub" => "very_smooth" }, { "SIL" => 62, "SI" => 33 }, [21, 73, 6]],
    [
      { "ball_holds" => nil, "ribbon_forms" => nil, "cast_strength" => "none" },
      { "SL" => 31, "SIL" => 21, "LS" => 18, "S" => 15 },
      [59, 35, 6]
    ],
    [{ "ball_holds" => false, "ribbons" => [30, 32, 29] }, { "S" => 69, "LS" => 19 }, [84, 9, 7]],
    [{ "ribbons" => [26], "wet_rub" => "neither" }, { "L" => 42, "CL" => 21 }, nil]
  ].each do |given, classes, mean|
    it "gives #{classes.map { |code, percent| "#{code} #{percent}" }.join(', ')} for #{given}" do
      felt = both.merge(given)
      felt["ribbons"] = ribbons(*felt["ribbons"]) if felt["ribbons"]
      found = estimate(felt)
      classes.each { |code, percent| expect(100 * found.classes[code]).to be_within(3).of(percent), code }
      found.mean.values.zip(mean).each { |part, wanted| expect(part).to be_within(1.5).of(wanted) } if mean
    end
  end

  it "takes a calibrated hand's own bias in place of the uncalibrated one" do
    found = estimate(both.merge("ribbons" => ribbons(41, 44, 39), "wet_rub" => "neither"), model: calibrated)
    { "CL" => 35, "L" => 24, "C" => 14, "SCL" => 11 }.each do |code, percent|
      expect(100 * found.classes[code]).to be_within(3).of(percent)
    end
    found.mean.values.zip([34, 34, 32]).each { |part, wanted| expect(part).to be_within(1.5).of(wanted) }
  end

  describe "whatever is felt" do
    let(:given) do
      both.merge(
        "ribbons" => ribbons(41, 44, 39),
        "wet_rub" => "neither",
        "grittiness" => "slight",
        "stickiness" => "moderately",
        "cast_strength" => "strong"
      )
    end

    it "does not depend on the order of answers" do
      expect(estimate(given.to_a.reverse.to_h).to_h).to eq estimate(given).to_h
    end

    it "keeps every composition possible, and adds up to one" do
      [false, true].map { |widened| Grittle::Evidence::STANDARD.tables(widened) }.each do |tables|
        Grittle::Evidence::STANDARD.likelihoods.keys.select { |test| tables.stated?(test) }.each do |test|
          answers = tables.of(test)
          expect(answers.values.flat_map { |table| table.logs.minmax }.minmax).to all(be_between(-9, 0)), test
          sums = answers.values.map { |table| table.logs.map { |log| Math.exp(log) } }.transpose.map(&:sum)
          expect(sums.minmax).to all(be_within(1e-9).of(1)), test
        end
      end
      contrary = estimate(given.merge("ribbons" => ribbons(110, 120), "wet_rub" => "very_gritty", "shine" => "none",
                                      "decanted_sand" => "none"))
      expect(contrary.shares.min).to be_positive
      expect(contrary.shares.sum).to be_within(1e-9).of(1)
    end

    # Each answer counts once, as itself.
    {
      "a toss that holds stands in for the ball" => [{ "toss" => "holds" }, { "ball_holds" => true }],
      "two stand-ins count once" => [{ "toss" => "holds", "ring_forms" => true }, { "ball_holds" => true }],
      "a ribbon's look of none stands in for no ribbon" => [
        { "ribbon_character" => "none" },
        { "ribbon_forms" => false }
      ],
      "a ball of no strength is the same answer as no ball" =>
        [{ "ball_holds" => false, "cast_strength" => "none" }, { "ball_holds" => false }],
      "without a ball nothing said of ribbons counts" =>
        [{ "ball_holds" => false, "ribbon_forms" => true, "ribbon_character" => "none" }, { "ball_holds" => false }]
    }.each do |says, (one, other)|
      it(says) { expect(estimate(one).classes).to eq estimate(other).classes }
    end

    it "does not take the ball from a ribbon's length, which says it already" do
      expect(estimate({ "ribbons" => ribbons(40) }).felt.opening).to eq("ball_holds" => nil, "ribbon_forms" => nil)
    end

    # One counts 1, two 0.75 each, four 0.625 each.
    { 1 => 1, 2 => 0.75, 4 => 0.625 }.each do |count, weight|
      it("weighs #{count} of a group #{weight} each") { expect(Grittle::Evidence::Model.weight(count)).to eq weight }
    end

    it "tells less by two tests of one group than by two of different ones" do
      lone = estimate({ "shine" => "moderate" })
      alike = estimate({ "shine" => "moderate", "stickiness" => "very" })
      expect(lone.sd["clay"] - alike.sd["clay"]).to be_between(0, 0.5 * lone.sd["clay"])
    end

    it "holds everything more loosely where the hand is misled" do
      loose = estimate(given.merge("blind_spots" => ["sodic"]))
      expect(loose.region.size).to be > estimate(given).region.size
      expect(loose.to_h["widened"]).to be true
      expect(estimate(given.merge("blind_spots" => [])).to_h["widened"]).to be false
    end

    it "goes by the curve that is chosen" do
      clay =
        %w[cautious consensus].map { |curve| estimate({ "ribbons" => ribbons(40, 41) }, curve: curve).mean["clay"] }
      expect(clay.last - clay.first).to be > 5
    end

    %w[canada fao_wrb uk].each do |system|
      it "names the classes of #{system}, over the same shares" do
        found = estimate(given, system: system)
        expect(found.shares).to eq estimate(given).shares
        expect(found.classes.values.sum).to be_within(1e-9).of(1)
        expect(found.classes.keys).to match_array(Grittle.triangle(system).classes.keys)
        expect(found.groups.values.sum).to be_within(1e-9).of(1)
      end
    end

    it "knows nothing before anything is felt" do
      expect(estimate({})).to have_attributes(empty?: true, sentence: "Nothing felt yet.")
      expect(estimate({}).classes["C"]).to be > 0.25 # as large as the class is
    end
  end

  describe "what it draws and says" do
    it "takes the smallest set that holds 80 %, and hands it out in runs" do
      found = estimate(both.merge("ribbons" => ribbons(41, 44, 39)))
      inside = found.region
      outside = Grittle::Evidence::Grid::PLACES - inside
      expect(found.shares.values_at(*inside).sum).to be_between(0.8, 0.802)
      expect(found.shares.values_at(*inside).min).to be >= found.shares.values_at(*outside).max
      expect(found.runs.sum { |_, from, to| to - from + 1 }).to eq found.region.size
    end

    {
      { "ball_holds" => false } => [true, "Sand, most likely (69 %)."],
      {
        "ball_holds" => true,
        "ribbon_forms" => false
      } => [true, "On the line between loamy sand and sandy loam (50 and 33 %)."],
      { "ball_holds" => true, "wet_rub" => "neither", "ribbons" => [26] } =>
        [false, "Loam, most likely (42 %); clay loam is possible (21 %)."],
      { "ball_holds" => true, "ribbons" => [52, 57, 49] } => [false, /\ANo class stands out yet; .+ improbable/],
      { "ball_holds" => true } => [false, "No class stands out yet; sand is improbable."],
      { "thumbprint" => true } => [false, /\ANo class stands out yet; /],
      { "ball_holds" => true, "wet_rub" => "neither" } => [false, /\ANo class stands out yet; /]
    }.each do |given, (settled, sentence)|
      it "says “#{sentence}”" do
        given = given.merge("ribbons" => ribbons(*given["ribbons"])) if given["ribbons"]
        found = estimate(given)
        expect(found.settled?).to be settled
        expect(found.sentence).to match(sentence)
        expect(found.sentence).not_to match(/\d\.\d|accura/)
      end
    end
  end

  describe "given the assigned class" do
    def named(code, system: "usda") = Grittle::NamedClass.new(system: system, code: code)

    let(:found) { estimate(both.merge("ribbons" => ribbons(41, 44, 39), "wet_rub" => "neither")) }

    it "stays within the class" do
      given = found.given(named("CL"))
      expect(given.to_h).to include("uniform" => false, "probability" => be_within(0.03).of(0.39))
      expect(given.to_h["clay_range"]).to all be_between(27, 39)
      expect(given.shares.sum).to be_within(1e-9).of(1)
    end

    it "is even over a class that the estimate gave almost nothing, and over one taken over from elsewhere" do
      middle = Grittle::Triangles::USDA["S"].middle
      [found.given(named("S")), estimate({}).given(named("S"))].each do |given|
        expect(given.to_h["uniform"]).to be true
        expect(given.to_h["mean"]["sand"]).to be_within(1).of(middle.sand)
      end
    end

    it "stands for the clay of a field grade" do
      expect(found.given(named("LC", system: "australia")).to_h["clay_range"]).to all be_between(35, 40)
    end

    it "changes what follows when the class is overridden" do
      expect(found.given(named("C")).to_h["mean"]["clay"] - found.given(named("L")).to_h["mean"]["clay"]).to be > 15
    end
  end
end
