# frozen_string_literal: true

require_relative "spec_helper"

RSpec.describe Grittle::Agreement do
  {
    [%w[usda CL], %w[canada CL]] => :agree,
    [%w[usda SICL], %w[usda SICL]] => :agree,
    [%w[usda CL], %w[usda SICL]] => :one_off,
    [%w[usda C], %w[usda SICL]] => :two_off,
    [%w[usda S], %w[usda C]] => :two_off,
    [%w[usda C], %w[canada HC]] => :agree, # heavy clay lies wholly within the clay of the USDA
    [%w[fao_wrb SL/poor], %w[usda SL]] => :agree,
    [%w[australia MC], %w[usda C]] => :agree
  }.each do |(one, other), verdict|
    it("finds #{one.join(' ')} and #{other.join(' ')} #{verdict}") do
      expect([described_class.of(one, other), described_class.of(other, one)]).to eq [verdict, verdict]
    end
  end

  # 35 sand, 45 silt, 20 clay is a clay loam in one system and a loam in the other, whose clay loam begins at 27 % clay.
  it "does not compare words: the clay loam of 35, 45, 20 in the UK is a loam of the USDA" do
    uk, usda = %w[uk usda].map { |system| Grittle.classify(sand: 35, clay: 20, system: system) }
    expect([uk.name, usda.name]).to eq ["clay loam", "loam"]
    expect(described_class.of(%w[uk SC], %w[usda SC])).to eq :agree
    expect(described_class.of(%w[australia SL], %w[usda S])).not_to eq :agree
  end

  it("knows no other name") { expect { described_class.of(%w[uk SICL], %w[usda C]) }.to refuse_with(Grittle::UnknownName, /no class “SICL”/) }
end
