# frozen_string_literal: true

require_relative "../spec_helper"

# Common practice, no source.
RSpec.describe Grittle::RulesOfThumb do
  {
    { "thumbprint" => true } => ["thumbprint"],
    { "toss" => "breaks" } => ["toss_breaks"],
    { "dry_clod" => "loose" } => ["clods_shatter"],
    { "ribbons" => ribbons(76) } => %w[over_three_inches half_inch],
    { "ribbons" => ribbons(12.6) } => [],
    { "wet_rub" => "very_gritty", "stickiness" => "very" } => %w[gritty_guess sticky_guess],
    {} => [],
    # Quiet beside a clear result.
    { "ball_holds" => true, "ribbons" => ribbons(70, 71, 69), "wet_rub" => "very_smooth" } => []
  }.each do |given, applying|
    it "says #{applying.join(', ')} of #{given.keys.join(', ')}" do
      expect(Grittle.assess(given).to_h["rules_of_thumb"].map { |found| found["rule"] }).to eq applying
    end
  end
end
