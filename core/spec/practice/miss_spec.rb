# frozen_string_literal: true

require_relative "../spec_helper"

RSpec.describe Grittle::Practice::Miss do
  def miss(called, sand, clay, length, rub, **more)
    felt = { "ball_holds" => true, "ribbons" => Array.new(3) { { "length_mm" => length } }, "wet_rub" => rub,
             **more.transform_keys(&:to_s) }
    described_class.new(felt, called: called, truth: Grittle::Composition.new(sand: sand, clay: clay))
  end

  it "weighs every answer by how surprising it is for the truth" do
    # [our own] at 27 % clay "non" sticky: 4.9 bits; 58 mm with a scale of 4: 3.9
    found = miss("C", 40, 27, 58, "neither", stickiness: "non").surprises
    expect(found.map { |one| [one.test, one.bits] })
      .to match [["stickiness", be_within(0.05).of(4.94)], ["ribbons", be_within(0.2).of(3.9)]]
    expect(found.last.sentence).to eq "at 27 % clay expect 34 mm; you had 58."
  end

  {
    ["L", 40, 26, 30, "neither"] => %w[line truth], ["C", 33, 34, 40, "neither"] => %w[decision call],
    ["C", 40, 33, 70, "neither"] => %w[one_answer expect], ["C", 15, 20, 70, "very_gritty"] => %w[several Several]
  }.each do |(called, sand, clay, length, rub), (reason, word)|
    it "explains #{called} at sand #{sand} clay #{clay} by #{reason}" do
      expect(miss(called, sand, clay, length, rub).why).to include("reason" => reason, "sentence" => /#{word}/)
    end
  end
end
