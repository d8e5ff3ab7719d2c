# frozen_string_literal: true

require_relative "../spec_helper"

RSpec.describe Grittle::NamedClass do
  def named(system, code, **more) = described_class.new(system: system, code: code, **more)

  {
    [%w[usda CL], %w[canada CL]] => :agree,
    [%w[usda SICL], %w[usda SICL]] => :agree,
    [%w[usda CL], %w[usda SICL]] => :one_off,
    [%w[usda C], %w[usda SICL]] => :two_off,
    [%w[usda S], %w[usda C]] => :two_off,
    [%w[usda C], %w[canada HC]] => :agree, # heavy clay lies wholly within the clay of the USDA
    [%w[fao_wrb SL/poor], %w[usda SL]] => :agree,
    [%w[australia MC], %w[usda C]] => :agree,
    [%w[australia SCL], %w[usda CL]] => :one_off, # they share the edge at 45 % sand
    [%w[australia LC], %w[usda C]] => :one_off,
    [%w[usda moderately_fine], %w[usda CL]] => :agree
  }.each do |(one, other), verdict|
    it("finds #{one.join(' ')} and #{other.join(' ')} #{verdict}") do
      pair = [named(*one), named(*other)]
      expect([pair.first.agreement(pair.last), pair.last.agreement(pair.first)]).to eq [verdict, verdict]
    end
  end

  # 35 sand, 45 silt, 20 clay is a clay loam in one system and a loam in the other, whose clay loam begins at 27 % clay.
  it "does not compare words: the clay loam of 35, 45, 20 in the UK is a loam of the USDA" do
    uk, usda = %w[uk usda].map { |system| Grittle.classify(sand: 35, clay: 20, system: system) }
    expect([uk.name, usda.name]).to eq ["clay loam", "loam"]
    expect(named("uk", "SC").agreement(named("usda", "SC"))).to eq :agree
    expect(named("australia", "SL").agreement(named("usda", "S"))).not_to eq :agree
  end

  it "counts the classes between two names by the boundaries of the triangle, and otherwise by their regions" do
    {
      [%w[usda CL], %w[usda CL]] => 0,
      [%w[usda CL], %w[usda L]] => 1,
      [%w[usda L], %w[usda C]] => 2,
      [%w[usda S], %w[usda C]] => 5,
      [%w[usda C], %w[australia S]] => 2,
      [%w[fao_wrb SL/poor], %w[fao_wrb SL/rich]] => 1,
      [%w[usda medium], %w[usda fine]] => 2,
      [%w[usda medium], %w[usda moderately_fine]] => 1,
      [%w[organic peat], %w[usda L]] => nil
    }.each { |(one, other), count| expect(named(*one).apart(named(*other))).to eq(count), "#{one} #{other}" }
  end

  it "takes any two names that any key gives, and is far from none that it cannot say" do
    all = Grittle.keys.flat_map do |key|
      systems = key == Grittle::Keys::TwoNumbers ? Grittle::TRIANGLES.keys : [key::SYSTEM]
      systems.flat_map do |system|
        key.codes(system).map { |code| described_class.new(key: key::ID, system: system, code: code) }
      end
    end
    kinds = all.group_by(&:kind).transform_values(&:size)
    expect(kinds.keys).to contain_exactly(:region, :grade, :group)
    some = all.each_slice(3).map(&:first)
    expect(some.product(some).map { |one, other| one.apart(other) }).to all(be_between(0, 6))
    expect(all.map(&:full_name)).to all(be_a(String))
    expect(all.map { |one| described_class.from(one.to_h) }).to eq all
  end

  # Soil Survey Manual, USDA Handbook 18, 2017, ch. 3; for grades: Australian field handbook, 3rd ed., 2009 (from
  # memory).
  {
    ["usda", "SL", { sand_grade: "fine", fragments: 20 }] => ["gravelly fine sandy loam", "GR-FSL"],
    ["usda", "CL", { position: "light" }] => ["light clay loam", "CL-"],
    ["usda", "SIC", { clay: 45 }] => ["silty clay, 45 % clay", "SIC"],
    ["canada", "HC", {}] => ["heavy clay", "HC"],
    ["australia", "SCL", { sand_grade: "fine" }] => ["fine sandy clay loam", "FSCL"],
    ["australia", "CLS", { sand_grade: "coarse" }] => ["clay loam, coarse sandy", "CLCOS"],
    ["australia", "MC", { position: "heavy" }] => ["heavy medium clay", "MC+"],
    ["fao_wrb", "SL/poor", {}] => ["sandy loam, poor in clay", "SL/poor"],
    ["organic", "muck", { fragments: 40 }] => %w[muck muck]
  }.each do |(system, code, more), words|
    it("says #{words.first}") do
      expect([named(system, code, **more).full_name, named(system, code, **more).full_code]).to eq words
    end
  end

  it "knows its kind, its neighbours, its clay, and where in its class a clay lies" do
    expect([%w[usda CL], %w[australia MC], %w[usda coarse], %w[organic peat]].map do |name|
      named(*name).kind
    end).to eq(%i[region grade group no_texture])
    expect(named("usda", "S").neighbours.map(&:code)).to eq %w[LS]
    expect(named("usda", "moderately_fine").neighbours.map(&:code)).to include("medium", "fine").and not_include(
      "sandy",
      "coarse"
    )
    expect([named("usda", "CL").clay_range, named("australia", "MC").clay_range]).to eq [[27, 40], [45, 55]]
    expect([28, 33, 39, 45].map { |clay| named("usda", "CL").position_of(clay) }).to eq ["light", nil, "heavy", nil]
    expect(named("organic", "peat")).to have_attributes(cells: [], polygons: [], middle: nil, texture?: false)
  end

  it "refuses what nobody is called" do
    expect { named("uk", "SICL") }.to refuse_with(Grittle::UnknownName, /no class “SICL”/)
    expect { named("moon", "CL") }.to refuse_with(Grittle::UnknownName, /no system “moon”/)
    expect { named("usda", "CL", fragments: 101) }.to refuse_with(Grittle::InvalidInput, /0 to 100 %/)
    expect { named("usda", "SL", sand_grade: "huge") }.to refuse_with(Grittle::UnknownName, /coarse, medium, fine/)
    expect(described_class.find("system" => "usda", "code" => "XX")).to be_nil
  end
end
