# frozen_string_literal: true

require_relative "../spec_helper"

# The keys that need two answers or one.
RSpec.describe "The short keys" do
  def outcomes(key, given, **options)
    key.new(Grittle::Observations.new(given), **options).result.outcomes.to_h { |code, weight| [code, weight.round(2)] }
  end

  # Ten equal ribbons come as near a bare length as a set can.
  def of_length(length, wet_rub = nil) = { "ribbons" => ribbons(*[length] * 10), "wet_rub" => wet_rub }.compact

  # Common practice, contest teaching.
  describe Grittle::Keys::TextureGroups do
    {
      [18, "very_gritty"] => "moderately_coarse", [18, "neither"] => "medium", [50, nil] => "moderately_fine",
      [100, nil] => "fine", [3, "neither"] => "medium"
    }.each do |(length, rub), group|
      it("calls #{length} mm #{rub} #{group}") do
        expect(outcomes(described_class, of_length(length, rub)).keys.first).to eq group
      end
    end

    it "shares a gritty stub between coarse and moderately coarse, and ends at coarse without a ball" do
      # (12.7 - 9)/7.7 = 0.48
      expect(outcomes(described_class, of_length(9, "very_gritty"))["coarse"]).to be_within(0.02).of(0.48)
      expect(outcomes(described_class, { "ball_holds" => false, "moisture_rounds" => 0 })).to eq("coarse" => 1.0)
    end

    it "counts three inches in, and more out" do
      at_three, over = [76.2, 76.3].map { |mm| outcomes(described_class, of_length(mm)).keys.first }
      expect([at_three, over]).to eq %w[moderately_fine fine]
    end
  end

  # Common practice, growers' teaching: no ribbon is sandy, about an inch is loam, 3-4 in are clay.
  describe Grittle::Keys::LengthAlone do
    {
      25.4 => { "loam" => 1.0 }, 76.2 => { "clay" => 1.0 }, 101.6 => { "clay" => 1.0 }, 4 => { "sandy" => 1.0 },
      13.5 => { "sandy" => 0.5, "loam" => 0.5 }, 52.1 => { "loam" => 0.5, "clay" => 0.5 }, 6 => { "sandy" => 1.0 }
    }.each do |length, shares|
      it("calls #{length} mm #{shares}") { expect(outcomes(described_class, of_length(length))).to eq shares }
    end
  end

  describe Grittle::Keys::TwoNumbers do
    def numbers(sand, clay) = { "sand_estimate" => { "percent" => sand }, "clay_estimate" => { "percent" => clay } }

    # Common practice: 65 sand with 20 clay lies on the line between sandy loam and sandy clay loam.
    it "names both classes on the line, alike, and one alone away from it" do
      expect(outcomes(described_class, numbers(65, 20))).to eq("SCL" => 0.5, "SL" => 0.5)
      expect(outcomes(described_class, numbers(40, 20))).to eq("L" => 1.0)
      expect(outcomes(described_class, numbers(40, 26))).to eq("L" => 0.67, "CL" => 0.33) # 1 - 1/2 against 1
    end

    it "reads clay from the ribbon by the chosen curve, unless a hand has said it" do
      given = { "sand_estimate" => { "percent" => 40 }, "ribbons" => ribbons(38, 38, 38) }
      clays =
        %w[twenty_forty cautious].map do |curve|
          described_class.new(Grittle::Observations.new(given), curve: curve).result.path.last["answer"]
        end
      expect(clays).to eq [26.6, 15.0]
      path =
        described_class.new(Grittle::Observations.new(given.merge("clay_estimate" => { "percent" => 50 }))).result.path
      expect(path.last["answer"]).to eq 50
    end

    it "takes both down where they exceed 100, and says so" do
      result = described_class.new(Grittle::Observations.new(numbers(70, 40))).result
      expect([result.disagreeing_tests, result.notes.first["rule"]]).to eq [["sand_estimate"], "sand_and_clay_over_100"]
      expect(result.details["composition"]["silt"]).to eq 0.0
    end
  end
end
