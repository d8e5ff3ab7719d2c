# frozen_string_literal: true

require_relative "../spec_helper"

RSpec.describe Grittle::Practice::TeacherWord do
  # By the rules of the triangle: at 30 % clay, clay loam has 20 to 45 % sand; at 60 %, clay up to 40.
  { ["CL", 30] => 33.0, ["cl ", 30] => 33.0, ["C", 60] => 20.0, ["S", 3] => 93.0 }.each do |(code, clay), sand|
    it "puts #{code} with #{clay} % clay in the middle of its class" do
      found = described_class.composition(code, clay)
      expect(found.sand).to be_within(1).of(sand)
      expect(Grittle.classify(sand: found.sand, clay: clay).code).to eq code.strip.upcase
    end
  end

  { ["CL", 60] => "Clay loam has no soil with 60 % clay.", ["MUD", 30] => /There is no class “MUD”/ }
    .each do |(code, clay), sentence|
    it("refuses #{code} with #{clay} % clay") do
      expect { described_class.composition(code, clay) }.to raise_error(Grittle::InvalidInput, sentence)
    end
  end
end
