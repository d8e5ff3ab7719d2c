# frozen_string_literal: true

require_relative "../spec_helper"

RSpec.describe Grittle::Profile::CrumbTest do
  # [from memory: Emerson 1967; AS 1289.3.8.1]
  {
    { "slakes" => false, "swells" => true } => 7, { "slakes" => false, "swells" => false } => 8,
    { "slakes" => true, "dispersion" => "complete" } => 1, { "slakes" => true, "dispersion" => "some" } => 2,
    { "slakes" => true, "dispersion" => "none", "remoulded_disperses" => true } => 3,
    { "slakes" => true, "dispersion" => "none", "remoulded_disperses" => false, "carbonate_or_gypsum" => true } => 4,
    { "slakes" => true, "dispersion" => "none", "remoulded_disperses" => false, "carbonate_or_gypsum" => false,
      "suspension" => "disperses" } => 5,
    { "slakes" => true, "dispersion" => "none", "remoulded_disperses" => false, "carbonate_or_gypsum" => false,
      "suspension" => "flocculates" } => 6
  }.each do |seen, number|
    it "ends at class #{number}" do
      expect(described_class.new(seen)).to have_attributes(number: number, next_step: nil, dispersive?: number < 3)
    end
  end

  { {} => "slakes", { "slakes" => true } => "dispersion",
    { "slakes" => true, "dispersion" => "none" } => "remoulded_disperses" }.each do |seen, step|
    it("looks at #{step} next") { expect(described_class.new(seen)).to have_attributes(number: nil, next_step: step) }
  end

  it "refuses what it does not ask" do
    expect { described_class.new("floats" => true) }.to refuse_with(Grittle::InvalidInput, /no step “floats”/)
    expect { described_class.new("dispersion" => "much") }.to refuse_with(Grittle::InvalidInput, /complete, some, none/)
  end
end
