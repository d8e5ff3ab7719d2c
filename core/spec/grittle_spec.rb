# frozen_string_literal: true

require_relative "spec_helper"
require "open3"

RSpec.describe Grittle do
  it "loads with Ruby alone: no gem, no standard library" do
    script = "before = $LOADED_FEATURES.dup; require '#{File.expand_path('../lib/grittle', __dir__)}'; puts $LOADED_FEATURES - before"
    out, = Open3.capture2({ "RUBYOPT" => nil }, "ruby", "--disable-gems", "-e", script)
    expect(out.lines(chomp: true)).to all include("/core/lib/grittle")
  end

  it "classifies from two of three" do
    expect(described_class.classify(sand: 40, clay: 20).name).to eq "loam"
    expect { described_class.classify(sand: 40, clay: 20, system: "moon") }.to refuse_with(Grittle::UnknownName, /no system “moon”/)
  end

  it "names each key's system and source" do
    described_class.keys.each do |key|
      expect([*Grittle::TRIANGLES.keys, "australia"]).to include key::SYSTEM
      expect(key::SOURCE).not_to be_empty
    end
  end

  # A key may only ask what somebody can answer at the bench; the bench walks the flow key so far.
  it "asks at the bench for everything the bench's key asks" do
    asked = Grittle::Tests::Catalogue::STEPS.flat_map { |step| step[:tests] } + ["moisture_rounds"]
    expect(Grittle::Keys::RibbonAndRub::ASKS - asked).to be_empty
  end
end
