# frozen_string_literal: true

require_relative "../spec_helper"

RSpec.describe Grittle::Profiles::Perching do
  def layers(*ranks)
    ranks.each_with_index.map do |rank, at|
      described_class::Layer.new(name: "L#{at + 1}", depth: at * 10, ranks: { rank => 1.0 })
    end
  end

  def kinds(*ranks) = described_class.new(layers(*ranks)).found.map { |one| [one["boundary"], one["kind"]] }

  it "stands on a finer layer and hangs above a coarser one, organic layers and gravel among them" do
    expect(kinds(2, 4)).to eq [[1, "stands_on_finer"]]
    expect(kinds(5, 3)).to eq [[1, "hangs_over_coarser"]]
    expect(kinds(3, 4, 3)).to be_empty
    expect(kinds(described_class::ORGANIC, 1, 5)).to eq [[1, "hangs_over_coarser"], [2, "stands_on_finer"]]
    expect(kinds(2, described_class::GRAVEL)).to eq [[1, "hangs_over_coarser"]]
  end

  it "says what a coarse layer between two finer ones does" do
    expect(described_class.new(layers(3, 1, 5)).sandwiches.first).to include(
      "layer" => "L2",
      "sentence" => /stays wet above L2.+mix the layers/
    )
    expect(described_class.new(layers(5, 3, 1)).sandwiches).to be_empty
  end

  it "says how sure it is, and nothing where it is not" do
    unsure = lambda do |share|
      [layers(2).first, described_class::Layer.new(name: "B", depth: 10, ranks: { 4 => share, 2 => 1 - share })]
    end
    said = ->(share) { described_class.new(unsure[share]).found.first&.fetch("sentence") }
    expect([said[0.95], said[0.75], said[0.55], said[0.4]])
      .to match [/Water stands on B/, /Water probably stands/, /Water more likely than not stands/, nil]
  end
end
