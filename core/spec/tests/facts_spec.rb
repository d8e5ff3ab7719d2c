# frozen_string_literal: true

require_relative "../spec_helper"

RSpec.describe Grittle::Facts do
  def facts(given) = described_class.new(Grittle::Observations.new(given), counts_from_mm: 5.0)

  # Observation => the ball, and where it was read from.
  {
    { "ball_holds" => false, "toss" => "holds" } => [false, "ball_holds"],
    { "cast_strength" => "none" } => [false, "cast_strength"], { "cast_strength" => "weak" } => [true, "cast_strength"],
    { "coherence" => "none" } => [false, "coherence"], { "coherence" => "slight" } => [true, "coherence"],
    { "toss" => "cracks" } => [true, "toss"], { "toss" => "breaks" } => nil,
    { "finest_wire_mm" => "7" } => [true, "finest_wire_mm"], { "finest_wire_mm" => "none" } => nil,
    { "ring_forms" => true } => [true, "ring_forms"], { "ring_forms" => false } => nil,
    { "ribbon_forms" => false } => [true, "ribbon_forms"], { "ribbons" => ribbons(30) } => [true, "ribbons"],
    { "wet_rub" => "neither" } => nil
  }.each do |given, expected|
    it("reads the ball as #{expected.inspect} from #{given}") { expect(facts(given).ball&.to_a).to eq expected }
  end

  {
    { "ribbons" => ribbons(5) } => [true, "ribbons"], { "ribbons" => ribbons(4.9) } => [false, "ribbons"],
    { "ribbons" => ribbons(30, ended: "torn") } => nil, { "ribbon_character" => "none" } => [false, "ribbon_character"],
    { "ribbon_forms" => false, "ribbons" => ribbons(30) } => [true, "ribbons"], { "ball_holds" => true } => nil
  }.each do |given, expected|
    it("reads the ribbon as #{expected.inspect} from #{given}") do
      expect(facts(given).ribbon_forms&.to_a).to eq expected
    end
  end
end
