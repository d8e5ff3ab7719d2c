# frozen_string_literal: true

# What is read down a profile: wetness, what a change is consistent with, the Australian form, and questions.
RSpec.describe Grittle::Profile do
  def layer(designation, upper, lower, colour: nil, boundary: nil, clay: nil, grade: nil, **seen)
    described_class::Described.new(designation: designation, depths: described_class::DepthRange.new(upper, lower), boundary: boundary,
                                   clay: clay,
                                   grade: grade, colour: colour && described_class::Munsell.new(colour), seen: seen.transform_keys(&:to_s))
  end

  # Chroma of 2 and less with a value of 4 and more: Soil Survey Manual, USDA Handbook 18, 2017 (published); kinds of mottles:
  # common practice, no source.
  {
    [["Ap", "10YR 3/2", {}], ["Bg", "2.5Y 5/2", {}]] => [30, %r{likely from about 30 cm: Bg is 2.5Y 5/2}],
    [["A", "10YR 3/3", {}], ["B", "7.5YR 4/4", { mottle_abundance: "common", mottle_kind: "grey" }]] => [30, /Bt? has common grey mottles/],
    [["A", "10YR 3/3", {}], ["B", "7.5YR 4/4", { mottle_abundance: "many", mottle_colour: "5GY 6/1" }]] => [30, %r{many 5GY 6/1 mottles}],
    [["A", "10YR 3/3", {}], ["B", "7.5YR 4/4", { mottle_abundance: "common", mottle_kind: "rusty" }]] => [nil, /No colour/],
    [["A", "10YR 3/3", {}], ["E", "10YR 6/2", {}]] => [nil, /at 30 cm: wet for part of the year, or leached/],
    [["O", "N 5/", {}], ["B", nil, {}]] => [nil, /No colour/], [["A", nil, {}], ["B", nil, {}]] => [nil, nil]
  }.each do |rows, (depth, sentence)|
    it "reads the wetness of #{rows.map { |row| row.first(2).join(' ') }.join(', ')} #{rows.last.last}" do
      wetness = described_class::Wetness.new(rows.each_with_index.map do |(name, colour, seen), at|
        layer(name, at * 30, (at + 1) * 30, colour: colour, **seen)
      end)
      expect(wetness.depth_cm).to eq depth
      expect(wetness.sentence).to sentence ? match(sentence) : be_nil
    end
  end

  # Common practice, no source.
  {
    "moved_down" => [{ designation: "E", clay: 12 }, { designation: "Bt", clay: 35 }],
    "materials" => [{ designation: "Bw", clay: 20, seen: { fragments_percent: 2 } },
                    { designation: "2C", clay: 22, seen: { fragments_percent: 40 } }],
    "both" => [{ designation: "A", clay: 12, colour: "10YR 6/2" },
               { designation: "B", clay: 30, colour: "10YR 4/4", seen: { discontinuity: true } }],
    nil => [{ designation: "Ap", clay: 18, colour: "10YR 3/3" }, { designation: "B", clay: 30, colour: "10YR 4/4" }]
  }.each do |kind, pair|
    it "reads #{pair.map { |one| one[:designation] }.join(' over ')} as #{kind || 'nothing in particular'}" do
      upper, lower = pair.map.with_index do |one, at|
        layer(one[:designation], at * 20, (at + 1) * 20, clay: one[:clay], colour: one[:colour], **(one[:seen] || {}))
      end
      found = described_class::Origin.new(upper, lower).to_h
      expect(found && found["kind"]).to eq kind
    end
  end

  # Northcote 1979 (from memory)
  {
    [["SL", [0, 0.5]], ["MC", nil]] => "duplex", [["SL", [5, 10]], ["MC", nil]] => "duplex",
    [["SL", [10, nil]], ["CL", [5, 10]], ["LC", nil]] => "gradational",
    [["CL", nil], ["CL", nil]] => "uniform", [["L", [0, 2]], ["SCL", nil]] => "uniform", [["MC", [0, 2]], ["S", nil]] => nil,
    [["L", nil]] => nil
  }.each do |rows, form|
    it "calls #{rows.map(&:first).join(', ')} #{form || 'nothing'}" do
      layers = rows.each_with_index.map do |(grade, boundary), at|
        layer("B#{at}", at * 20, (at + 1) * 20, grade: grade, boundary: boundary)
      end
      found = described_class::Form.new(layers).to_h
      expect(found && found["form"]).to eq form
    end
  end

  it "counts the classes between two names by the boundaries of the triangle, and across systems by their regions" do
    { [%w[usda CL], %w[usda CL]] => 0, [%w[usda CL], %w[usda L]] => 1, [%w[usda L], %w[usda C]] => 2, [%w[usda S], %w[usda C]] => 5,
      [%w[usda C], %w[australia S]] => 2 }.each { |names, count| expect(described_class::ClassesApart.count(*names)).to eq count }
  end

  describe "questions" do
    def contrast(upper, lower)
      shares = [upper, lower].map { |clay| Array.new(101) { |percent| percent == clay ? 1.0 : 0.0 } }
      layers = shares.zip([["A", 0, 30], ["Bt", 30, 60]]).map do |share, (name, from, to)|
        described_class::Contrast::Layer.new(designation: name, depths: described_class::DepthRange.new(from, to), clay: share,
                                             group: "medium")
      end
      described_class::Contrast.new(*layers)
    end

    def asked(*layers, contrasts: []) = described_class::Questions.between(layers, contrasts).map { |one| one["question"] }

    it "asks of a Bt without an increase in clay, and not of one with it" do
      layers = [layer("A", 0, 30, clay: 25), layer("Bt", 30, 60, clay: 26)]
      expect(asked(*layers, contrasts: [contrast(25, 26)])).to eq ["no_increase"]
      expect(asked(*layers, contrasts: [contrast(25, 35)])).to be_empty
      expect(asked(layers.first, layer("Bw", 30, 60), contrasts: [contrast(25, 26)])).to be_empty
    end

    it "asks of a C that is finer than its B" do
      expect(asked(layer("B", 0, 30, clay: 20), layer("C", 30, 60, clay: 30))).to eq ["finer_below"]
      expect(asked(layer("B", 0, 30, clay: 20), layer("C", 30, 60, clay: 23))).to be_empty
    end

    it "asks of readings two classes apart, and of clay outside the class" do
      apart = described_class::Questions.readings_apart("B", 30, [%w[usda C Ines], %w[usda L Olm], %w[usda CL Ada]])
      expect(apart.map { |one| one["sentence"] }).to match [/2 classes apart \(Ines; Olm\)/]
      outside = ->(percent) { described_class::Questions.clay_outside("B", 30, "usda", "CL", percent) }
      expect([outside[33], outside[44], outside[50]].map { |one| one && one["question"] }).to eq [nil, nil, "clay_outside"]
      expect(described_class::Questions.clay_outside("B", 30, "australia", "MC", 20)["sentence"]).to include "45 to 55 % clay"
    end
  end

  it "leaves open what a boundary or another material leave open of a clay increase" do
    layers = lambda { |boundary, other|
      [[20, boundary, nil], [35, nil, other]].each_with_index.map do |(clay, cm, material), at|
        described_class::Contrast::Layer.new(designation: %w[A B][at], depths: described_class::DepthRange.new(at * 30, (at + 1) * 30),
                                             group: "medium", boundary: cm,
                                             clay: Array.new(101) { |percent| percent == clay ? 1.0 : 0.0 }, other_material: material)
      end
    }
    said = ->(*facts) { described_class::Contrast.new(*layers[*facts]).tests.first["sentence"] }
    expect(said[[2, 5], false]).to end_with "(100 %)."
    expect(said[[15, nil], false]).to include "leaves open whether it is reached within 30 cm"
    expect(said[[2, 5], true]).to include "noted as another material"
  end
end
