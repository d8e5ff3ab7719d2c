# frozen_string_literal: true

# What is read down a profile: wetness, what a change is consistent with, the Australian form, and questions.
RSpec.describe Grittle::Profiles do
  def layer(designation, upper, lower, colour: nil, boundary: nil, clay: nil, grade: nil, **seen)
    described_class::HorizonDescription.new(
      designation: designation,
      depths: described_class::DepthRange.new(upper, lower),
      boundary: boundary,
      clay: clay,
      named: grade && Grittle::NamedClass.new(system: "australia", code: grade),
      colour: colour && described_class::Munsell.new(colour),
      seen: seen.transform_keys(&:to_s)
    )
  end

  # Field Indicators of Hydric Soils, glossary (from memory).
  {
    ["B", "N 5/"] => "sure",
    ["B", "10Y 4/1"] => "sure",
    ["A", "5PB 5/2"] => "sure",
    ["B", "N 3/"] => "nothing",
    ["B", "10YR 5/1"] => "sure",
    ["B", "10YR 6/2"] => "sure",
    ["B", "10YR 5/2"] => "possible",
    ["B", "10YR 4/1"] => "possible",
    ["B", "10YR 4/2", { rusty: true }] => "sure",
    ["E", "10YR 6/2"] => "possible",
    ["Ae", "10YR 6/1", { rusty: true }] => "sure",
    ["Ck", "10YR 7/1"] => "possible",
    ["B", "10YR 7/1", { calcareous: true }] => "possible",
    ["A", "10YR 4/2"] => "nothing",
    ["Ap", "10YR 6/1"] => "nothing",
    ["Ap", "10YR 4/1", { rusty: true }] => "sure",
    ["B", "10YR 3/1"] => "nothing",
    ["O", "10YR 6/1"] => "nothing",
    ["C", "10YR 6/1", { inherited: true }] => "nothing",
    ["B", "10YR 5/3"] => "nothing"
  }.each do |(name, colour, more), says|
    it "reads #{says} from #{name} #{colour} #{more}" do
      expect(described_class::Wetness.matrix(name, described_class::Munsell.new(colour), **(more || {}))).to eq says
    end
  end

  {
    [["Ap", "10YR 3/2", {}], ["Bg", "10YR 6/2", {}]] => [
      30,
      nil,
      %r{Seasonal wetness from about 30 cm: Bg is 10YR 6/2}
    ],
    [["A", "10YR 4/2", {}], ["C", "2.5Y 5/2", {}]] => [nil, 30, %r{from 30 cm is possible: C is 2.5Y 5/2}],
    [["A", "10YR 3/3", {}],
     ["B", "7.5YR 4/4", { mottle_abundance: "common", mottle_kind: "grey" }]] => [30, nil, /has common grey mottles/],
    [["A", "10YR 3/3", {}], ["B", "7.5YR 4/4", { mottle_abundance: "few", mottle_kind: "grey" }]] => [
      nil,
      30,
      /has few grey mottles/
    ],
    [["A", "10YR 3/3", {}],
     ["B", "7.5YR 4/4", { mottle_abundance: "many", mottle_colour: "5GY 6/1" }]] => [30, nil, %r{many 5GY 6/1 mottles}],
    [["A", "10YR 3/3", {}], ["B", "7.5YR 4/4", { mottle_abundance: "common", mottle_kind: "yellow" }]] => [
      nil,
      nil,
      /not the same as dry/
    ],
    [["A", "10YR 3/3", {}], ["B", "7.5YR 4/4", { mottle_abundance: "common", mottle_kind: "rusty" }]] => [
      nil,
      nil,
      /water comes and goes/
    ],
    [
      ["A", "10YR 3/3", {}],
      ["B", "10YR 5/2", { mottle_abundance: "common", mottle_kind: "rusty", mottle_contrast: "distinct" }]
    ] => [30, nil, /with rusty mottles/],
    [["A", nil, {}], ["B", nil, {}]] => [nil, nil, nil]
  }.each do |rows, (sure, possible, sentence)|
    it "reads the wetness of #{rows.map { |row| row.first(2).join(' ') }.join(', ')} #{rows.last.last}" do
      wetness = described_class::Wetness.new(rows.each_with_index.map do |(name, colour, seen), at|
        layer(name, at * 30, (at + 1) * 30, colour: colour, **seen)
      end)
      expect([wetness.depth_cm, wetness.possible_cm]).to eq [sure, possible]
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
    [["SL", [0, 0.5]], ["MC", nil]] => "duplex",
    [["SL", [5, 10]], ["MC", nil]] => "duplex",
    [["SL", [10, nil]], ["CL", [5, 10]], ["LC", nil]] => "gradational",
    [["CL", nil], ["CL", nil]] => "uniform",
    [["L", [0, 2]], ["SCL", nil]] => "uniform",
    [["MC", [0, 2]], ["S", nil]] => nil,
    [["L", nil]] => nil
  }.each do |rows, form|
    it "calls #{rows.map(&:first).join(', ')} #{form || 'nothing'}" do
      layers =
        rows.each_with_index.map do |(grade, boundary), at|
          layer("B#{at}", at * 20, (at + 1) * 20, grade: grade, boundary: boundary)
        end
      found = described_class::Form.new(layers).to_h
      expect(found && found["form"]).to eq form
    end
  end

  describe "questions" do
    def contrast(upper, lower)
      shares = [upper, lower].map { |clay| Array.new(101) { |percent| percent == clay ? 1.0 : 0.0 } }
      layers = shares.zip([["A", 0, 30], ["Bt", 30, 60]]).map do |share, (name, from, to)|
        described_class::Contrast::Layer.new(
          designation: name,
          depths: described_class::DepthRange.new(from, to),
          clay: share
        )
      end
      described_class::Contrast.new(*layers).to_h
    end

    def asked(*layers, contrasts: [])
      described_class::Questions.between(layers, contrasts).map { |one| one["question"] }
    end

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

    def usda(code) = Grittle::NamedClass.new(system: "usda", code: code)

    it "asks of readings two classes apart, and of clay outside the class" do
      apart =
        described_class::Questions.readings_apart(
          "B",
          30,
          [%w[C Ines], %w[L Olm], %w[CL Ada]].map { |code, who| [usda(code), who] }
        )
      expect(apart.map { |one| one["sentence"] }).to match [/2 classes apart \(Ines; Olm\)/]
      outside = ->(percent) { described_class::Questions.clay_outside("B", 30, usda("CL"), percent) }
      expect([outside[33], outside[44], outside[50]].map { |one| one && one["question"] }).to eq [
        nil,
        nil,
        "clay_outside"
      ]
      expect(described_class::Questions.clay_outside("B", 30, Grittle::NamedClass.new(system: "australia", code: "MC"),
                                                     20)["sentence"]).to include "45 to 55 % clay"
    end
  end

  it "leaves open what a boundary or another material leave open of a clay increase" do
    layers = lambda { |boundary, other|
      [[20, boundary, nil], [35, nil, other]].each_with_index.map do |(clay, cm, material), at|
        shares = Array.new(101) { |percent| percent == clay ? 1.0 : 0.0 }
        depths = described_class::DepthRange.new(at * 30, (at + 1) * 30)
        described_class::Contrast::Layer.new(
          designation: %w[A B][at],
          depths: depths,
          boundary: cm,
          clay: shares,
          other_material: material
        )
      end
    }
    said = ->(*facts) { described_class::Contrast.new(*layers[*facts]).tests.first["sentence"] }
    expect(said[[2, 5], false]).to end_with "(over 95 %)."
    expect(said[[15, nil], false]).to include "leaves open whether it is reached within 30 cm"
    expect(said[[2, 5], true]).to include "noted as another material"
  end
end
