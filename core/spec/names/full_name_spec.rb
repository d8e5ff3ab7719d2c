# frozen_string_literal: true

require_relative "../spec_helper"

# Soil Survey Manual, USDA Handbook 18, 2017, ch. 3.
RSpec.describe Grittle::FullName do
  def name(code, **more) = described_class.new(Grittle::Triangles::USDA[code], **more)

  {
    ["SL", { sand_grade: "fine", fragments: 20 }] => ["gravelly fine sandy loam", "GR-FSL"],
    ["LS", { sand_grade: "very_fine" }] => ["loamy very fine sand", "LVFS"],
    ["S", { sand_grade: "coarse" }] => ["coarse sand", "COS"],
    ["S", { sand_grade: "medium" }] => %w[sand S],
    ["CL", { sand_grade: "fine", position: "heavy" }] => ["heavy clay loam", "CL+"],
    ["L", { fragments: 14.9 }] => %w[loam L],
    ["L", { fragments: 35, fragment_size: "cobbles" }] => ["very cobbly loam", "CBV-L"],
    ["L", { fragments: 60, fragment_size: "stones" }] => ["extremely stony loam", "STX-L"],
    ["L", { fragments: 90 }] => %w[gravel GR]
  }.each do |(code, more), (words, short)|
    it("says #{words}") { expect([name(code, **more).to_s, name(code, **more).code]).to eq [words, short] }
  end

  it("knows no other grade") do
    expect { name("S", sand_grade: "huge") }.to refuse_with(Grittle::UnknownName, /coarse, medium, fine/)
  end
end
