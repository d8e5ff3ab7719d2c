# frozen_string_literal: true

require_relative "../spec_helper"

RSpec.describe Grittle::Practice::Scores do
  def scored(called, sand, clay, **more)
    Grittle::Practice::Scored.new({ "class" => called, **more.transform_keys(&:to_s) },
                                  Grittle::Composition.new(sand: sand, clay: clay))
  end

  it "tells own call, key and guess side by side with their intervals" do
    all = Array.new(16) { scored("L", 40, 18, key: "CL", guess: "S") } + Array.new(4) { scored("CL", 40, 18, key: "L") }
    found = described_class.of(all)
    calls = found["calls"].to_h { |one| [one["name"], one.values_at("count", "exact", "within_one")] }
    expect(calls).to eq "own call" => [20, 16, 20], "key" => [20, 4, 20], "guess before water" => [16, 0, 0]
    expect(found["calls"].first["interval"]).to eq [0.584, 0.919] # Wilson, 16 of 20
    expect(found["credit"]).to be_within(1e-9).of(0.9)
  end

  it "counts a streak to the newest that was missed" do
    expect([[], [1, 0.5, 0.4], [0, 1, 0.5, 1]].map { |credits| described_class.streak(credits) }).to eq [0, 0, 3]
  end

  it "marks calls two steps off, and tells no kappa of fewer than ten" do
    few = described_class.matrix([scored("L", 40, 18), scored("S", 40, 18)])
    expect(few).to include("codes" => %w[S L], "rows" => [[0, 0], [1, 1]], "kappa" => nil)
    expect(few["far"]).to eq [[false, true], [true, false]]
    expect(described_class.matrix(Array.new(9) { scored("L", 40, 18) } + [scored("C", 20, 60)])["kappa"]).to eq 1.0
  end
end
