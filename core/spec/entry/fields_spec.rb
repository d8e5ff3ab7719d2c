# frozen_string_literal: true

RSpec.describe Grittle::Entry::Fields do
  it "has a label and a way to be read for every field, and words that are told apart" do
    described_class::ALL.each_value do |fields|
      fields.each do |name, field|
        expect([field.name, field.label.empty?, field.type == :choice ? field.words.size > 1 : true]).to eq [
          name,
          false,
          true
        ]
      end
      expect(fields.values.map(&:label).uniq.size).to eq fields.size
    end
  end

  # Limits of the words: Soil Survey Manual, USDA Handbook 18, 2017, ch. 3 (published)
  {
    ["mottle_abundance", "Common, 2 to under 20 %"] => "common",
    ["effervescence", "very slight"] => "very_slight",
    %w[structure_grade massive] => "massive",
    ["moist_colour", "10yr 4 / 3"] => "10YR 4/3",
    %w[fragments_percent 12,5] => 12.5,
    ["fragments_percent", 30] => 30,
    %w[fell_in yes] => true,
    ["root_size", "Medium, 2 to < 5 mm"] => "medium",
    %w[boundary_topography wavy] => "wavy",
    %w[fell_in no] => false,
    ["note", "  "] => nil,
    ["roots", nil] => nil
  }.each do |(name, typed), kept|
    it("keeps #{typed.inspect} as #{kept.inspect} in #{name}") do
      expect(described_class.read("horizon", name => typed)).to eq(name => kept)
    end
  end

  {
    { "roots" => "lots" } => "Roots has no “lots”. Use one of: none, few, common, many.",
    { "fragments_percent" => 101 } => /from 0 to 100 %, not “101”/,
    { "fragments_percent" => "some" } => /is a number/, { "fell_in" => "perhaps" } => /yes or no/,
    { "moist_colour" => "brown" } => /no Munsell notation/,
    { "note" => "x" * 2001 } => /at most 2000/, { "taste" => 1 } => "A horizon has no “taste”."
  }.each do |typed, sentence|
    it("refuses #{typed.to_s[0, 40]}") do
      expect { described_class.read("horizon", typed) }.to raise_error(Grittle::InvalidInput, sentence)
    end
  end

  it "names every bad field at once" do
    described_class.read("site", "aspect" => "up", "slope_percent" => -1, "date" => "2026-02-29")
  rescue Grittle::InvalidInput => e
    expect(e.problems.map(&:pointer)).to eq %w[/aspect /slope_percent /date]
  end

  { "2028-02-29" => true, "2026-12-31" => true, "2026-13-01" => false, "31.12.2026" => false }.each do |day, good|
    it("takes #{day} #{good ? 'for' : 'for no'} day") do
      read = -> { described_class.read("site", "date" => day) }
      good ? expect(read.call["date"]).to(eq(day)) : expect(&read).to(raise_error(Grittle::InvalidInput))
    end
  end

  it "takes back every word it offers, by value and by name" do
    described_class::ALL.each do |kind, fields|
      fields.values.select(&:words).each do |field|
        field.words.each do |value, name|
          expect(
            [value, name, name.upcase].map { |typed| described_class.read(kind, field.name => typed)[field.name] }.uniq
          ).to eq [value]
          expect(field.say(value)).to eq name
        end
      end
    end
  end

  { ["fell_in", true] => "yes", ["fragments_percent", 12.5] => "12.5 %", ["moist_colour", "10YR 4/3"] => "10YR 4/3",
%w[roots many] => "Many" }
    .each do |(name, value), said|
    it("says #{name} as #{said}") { expect(described_class::HORIZON[name].say(value)).to eq said }
  end

  it "knows another material by its flag or its number, and an organic layer by its letter" do
    said = lambda do |name, seen = {}|
      layer = Grittle::Profiles::HorizonDescription.new(designation: name, depths: nil, seen: seen)
      [layer.other_material?, layer.organic?]
    end
    expect([said["2C"], said["C"], said["B", { "discontinuity" => true }], said["O"], said["2Oa"], said["Bo"]])
      .to eq [[true, false], [false, false], [true, false], [false, true], [true, true], [false, false]]
  end

  # tan 45° is 1, tan 12° 0.2126 (mathematics).
  it "takes a slope in degrees as percent, and says both" do
    slope = described_class::SITE["slope_percent"]
    expect(["45°", "12 °", 8, "7,5"].map { |typed| slope.read(typed) }).to eq [100, 21.3, 8, 7.5]
    expect(slope.say(100)).to eq "100 % (45°)"
    expect { slope.read("95°") }.to raise_error(Grittle::InvalidInput)
  end
end
