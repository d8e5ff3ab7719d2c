# frozen_string_literal: true

require_relative "../spec_helper"

# Reference cases of a separate prototype of the same model (our own model): class probabilities within 3 points, means
# within 1.5. "Ball and ribbon yes" unless said.
RSpec.describe Grittle::Evidence::Estimate do
  def estimate(given, **options) = described_class.new(Grittle::Observations.new(given), **options)

  let(:both) { { "ball_holds" => true, "ribbon_forms" => true } }

  [
    [{ "ball_holds" => false, "ribbon_forms" => nil }, { "S" => 69, "LS" => 19 }, [84, 9, 7]],
    [{ "ribbon_forms" => false }, { "LS" => 50, "SL" => 33, "S" => 12 }, [77, 15, 8]],
    [{ "ribbons" => [41, 44, 39], "wet_rub" => "neither" }, { "CL" => 44, "C" => 20, "L" => 11, "SCL" => 9 }, [33, 32, 35]],
    [{ "ribbons" => [52, 57, 49], "wet_rub" => "very_smooth" }, { "SICL" => 51, "SIC" => 24, "CL" => 11 }, [12, 51, 37]],
    [{ "ribbons" => [22, 24], "sand_estimate" => { "percent" => 58, "half_width" => 0 }, "thumbprint" => false },
     { "SL" => 52, "SCL" => 24, "L" => 21 }, [57, 26, 17]],
    [{ "ribbons" => [9], "wet_rub" => "very_gritty" }, { "SL" => 74, "L" => 9, "LS" => 8 }, [64, 25, 10]],
    [{ "ribbons" => [66, 71, 73], "sand_estimate" => { "percent" => 28, "half_width" => 0 }, "stickiness" => "very",
       "shine" => "moderate" }, { "C" => 78, "CL" => 13 }, [28, 26, 46]],
    [{ "ribbons" => [14, 12, 15], "wet_rub" => "very_smooth", "decanted_sand" => "trace", "floury_feel" => "strong" },
     { "SIL" => 76, "SI" => 21 }, [14, 73, 13]],
    [{ "ribbons" => [26], "wet_rub" => "neither" }, { "L" => 47, "CL" => 18 }, nil]
  ].each do |given, classes, mean|
    it "gives #{classes.map { |code, percent| "#{code} #{percent}" }.join(', ')} for #{given}" do
      felt = both.merge(given)
      felt["ribbons"] = ribbons(*felt["ribbons"]) if felt["ribbons"]
      found = estimate(felt)
      classes.each { |code, percent| expect(100 * found.classes[code]).to be_within(3).of(percent), code }
      found.mean.values.zip(mean).each { |part, wanted| expect(part).to be_within(1.5).of(wanted) } if mean
    end
  end

  describe "whatever is felt" do
    let(:given) do
      both.merge("ribbons" => ribbons(41, 44, 39), "wet_rub" => "neither", "grittiness" => "slight", "stickiness" => "moderately",
                 "cast_strength" => "strong")
    end

    it "does not depend on the order of answers" do
      expect(estimate(given.to_a.reverse.to_h).to_h).to eq estimate(given).to_h
    end

    it "keeps every composition possible, and adds up to one" do
      Grittle::Evidence::Tables::ALL.each_value do |tests|
        tests.each do |test, answers|
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

    it "takes the ball and the ribbon from whichever test says them" do
      expect(estimate({ "toss" => "holds" }).classes).to eq estimate({ "ball_holds" => true }).classes
      expect(estimate({ "ribbons" => ribbons(40) }).classes).to eq estimate(both.merge("ribbons" => ribbons(40))).classes
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
      clay = %w[cautious consensus].map { |curve| estimate({ "ribbons" => ribbons(40, 41) }, curve: curve).mean["clay"] }
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
      { "ball_holds" => true, "ribbon_forms" => false } => [true, "On the line between loamy sand and sandy loam (50 and 33 %)."],
      { "ball_holds" => true, "wet_rub" => "neither", "ribbons" => [26] } =>
        [false, "Loam, most likely (46 %); clay loam is possible (18 %)."],
      { "ball_holds" => true, "ribbons" => [52, 57, 49] } => [false, /\ANothing stands out yet: /]
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
    let(:found) { estimate(both.merge("ribbons" => ribbons(41, 44, 39), "wet_rub" => "neither")) }

    it "stays within the class" do
      given = found.given("CL")
      expect(given.to_h).to include("uniform" => false, "probability" => be_within(0.03).of(0.44))
      expect(given.to_h["clay_range"]).to all be_between(27, 39)
      expect(given.shares.sum).to be_within(1e-9).of(1)
    end

    it "is even over a class that the estimate gave almost nothing, and over one taken over from elsewhere" do
      middle = Grittle::Triangles::USDA["S"].middle
      [found.given("S"), estimate({}).given("S")].each do |given|
        expect(given.to_h["uniform"]).to be true
        expect(given.to_h["mean"]["sand"]).to be_within(1).of(middle.sand)
      end
    end

    it "stands for the clay of a field grade" do
      expect(found.given("LC", naming: "australia").to_h["clay_range"]).to all be_between(35, 40)
      expect { found.given("LC") }.to refuse_with(Grittle::UnknownName, /no class “LC”/)
    end

    it "changes what follows when the class is overridden" do
      expect(found.given("C").to_h["mean"]["clay"] - found.given("L").to_h["mean"]["clay"]).to be > 15
    end
  end
end
