# frozen_string_literal: true

require_relative "../spec_helper"

# The model against itself: what it says must come true as often as it says, on hands that feel as it assumes (our own
# model).
RSpec.describe Grittle::Evidence::Simulator do
  def soil(sand, clay) = Grittle::Composition.new(sand: sand, clay: clay)

  it "gives the same answers for the same seed, and only answers of the vocabulary" do
    one, same, other = [5, 5, 6].map { |seed| described_class.new(seed).feel(soil(34, 33)) }
    expect(one).to eq same
    expect(one).not_to eq other
    expect { Grittle::Observations.new(one) }.not_to raise_error
  end

  it "makes no ribbon of what does not hold" do
    felt = described_class.new(3).feel(soil(97, 1), tests: %w[wet_rub plasticity])
    expect(felt).to include("ball_holds" => false, "moisture_rounds" => 1)
    expect(felt.keys).not_to include("ribbons", "plasticity")
  end

  it "draws each answer as often as the model has it" do
    hands = (1..600).map { |seed| described_class.new(seed).feel(soil(30, 25), tests: %w[stickiness thumbprint]) }
    sticky = Grittle::Evidence::Tables.ordered(Grittle::Evidence::STANDARD.likelihoods["stickiness"], 25, 1.0)
    Grittle::Evidence::Model.states("stickiness").zip(sticky) do |state, share|
      expect(hands.count { |felt| felt["stickiness"] == state } / 600.0).to be_within(0.06).of(share)
    end
    mean =
      hands
      .filter_map { |felt| felt["ribbons"]&.sum { |one| one["length_mm"] } }
      .then { |sums| sums.sum / 3.0 / sums.size }
    expect(mean).to be_within(1.5).of(Grittle::Curves["consensus"].length(25))
  end

  # How often the 80 % regions hold the truth, and how often classes said at 60 to 70 % are right. The estimate allows
  # for a bias that hands share among their tests, so on hands without one it is a little too careful.
  {
    "hands that feel as the model says" => [{ shared: 0.0 }, 0.87..0.96],
    "hands whose tests go together" => [{}, 0.82..0.92],
    "hands with a bias of their own and more noise" => [{ noise: 1.3, own: true }, 0.72..0.85]
  }.each do |hands, (options, wanted)|
    it "holds the truth as often as it should for #{hands}" do
      random = Random.new(7)
      others = Grittle::Evidence::STANDARD.likelihoods.keys - %w[ball_holds ribbon_forms ribbons clay_estimate]
      said = []
      inside = (0...700).count do |seed|
        cell = random.rand(Grittle::Evidence::Grid::SIZE)
        sand, _, clay = Grittle::Evidence::Grid::CELLS[cell]
        bias = options[:own] ? { clay: deviate(random) * 4, sand: deviate(random) * 5 } : {}
        felt =
          described_class.new(seed, **options.except(:own), bias: bias).feel(
            soil(sand, clay),
            tests: others.sample(random.rand(2..7), random: random),
            ribbons: 3
          )
        found = Grittle::Evidence::Estimate.new(Grittle::Observations.new(felt))
        code, share = found.classes.first
        said << (code == Grittle::Triangles::USDA.classify(soil(sand, clay)).code) if share.between?(0.6, 0.7)
        found.holds?(cell)
      end
      expect(inside / 700.0).to be_between(wanted.begin, wanted.end)
      expect(said.count(true) / said.size.to_f).to be_between(0.5, 0.85)
    end
  end

  def deviate(random) = Math.sqrt(-2 * Math.log(1 - random.rand)) * Math.cos(2 * Math::PI * random.rand)
end
