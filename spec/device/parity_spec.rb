# frozen_string_literal: true

require_relative "../support/parity"

# The same Ruby natively and in the page. bench/parity.rb takes ten times as many sets.
RSpec.describe Parity do
  it "comes to the same in the page for 500 sets of observations" do
    expect(described_class.new(500, seed: 20_261_127).run.differences.first(5)).to be_empty
  end

  it "notices a number that is off, a text that is another and a name that is missing" do
    parity = described_class.new(0, seed: 1)
    parity.compare({ "a" => 1.0, "b" => "x", "c" => [1] }, { "a" => 1.0 + 2e-9, "b" => "y", "c" => [1, 2] }, "here")
    parity.compare({ "a" => 1 }, { "a" => nil }, "there")
    parity.compare({ "a" => 1 }, {}, "nowhere")
    expect(parity.differences.size).to eq 5
  end
end
