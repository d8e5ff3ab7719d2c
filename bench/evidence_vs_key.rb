# frozen_string_literal: true

# Key and estimate on the same simulated answers: how often each names the class that was drawn, or one beside it; which
# classes they tell apart differently; and how many tests it takes until the estimate is settled when the suggestions
# are followed, against a fixed order. Then both on hands that are not as the model thinks: how often the 80 % region
# holds the truth, how often the first class is right, and what the shares are worth by Brier and by log score. Minutes,
# not seconds:
#   ruby bench/evidence_vs_key.rb [samples] [samples a hand]

require_relative "../core/lib/grittle"

SAMPLES = Integer(ARGV.first || 3000)
A_HAND = Integer(ARGV[1] || 750)
SEED = 20_261
USDA = Grittle::Triangles::USDA
TESTS = Grittle::Evidence::Simulator::USUAL
# Tests after ball and ribbons in the order of the bench, for those who do not look at suggestions.
FIXED = %w[
  wet_rub
  grittiness
  plasticity
  stickiness
  shine
  thumbprint
  cast_strength
  shear_resistance
  floury_feel
  decanted_sand
  sand_estimate
  dry_clod
  stiffens_while_worked
].freeze
MOST_TESTS = 8

def distance(one, other)
  return 0 if one == other

  USDA.neighbours(one).include?(other) ? 1 : 2
end

def percent(part, whole) = whole.zero? ? "-" : "#{(100.0 * part / whole).round} %"

random = Random.new(SEED)
cells = Array.new(SAMPLES) { Grittle::Evidence::Grid::CELLS[random.rand(Grittle::Evidence::Grid::SIZE)] }
samples = cells.each_with_index.map do |(sand, _, clay), number|
  composition = Grittle::Composition.new(sand: sand, clay: clay)
  [composition, USDA.classify(composition).code, SEED + number]
end

table = Hash.new(0)
off = { key: [0, 0, 0], estimate: [0, 0, 0] }
samples.each do |composition, truth, seed|
  felt = Grittle::Evidence::Simulator.new(seed).feel(composition, tests: TESTS)
  found = Grittle.assess(felt, evidence: "none")
  named = found.key.outcomes.first&.first or next
  likely = found.estimate.classes.keys.first
  table[[named, likely]] += 1
  off[:key][distance(named, truth)] += 1
  off[:estimate][distance(likely, truth)] += 1
end

felt = TESTS.map { |test| Grittle::Tests::Catalogue.short(test) }
puts "#{SAMPLES} samples, even over the triangle; ball, three ribbons, #{felt.join(', ')}"
puts "", "| | right | one off | two off |", "|---|---|---|---|"
off.each { |who, counts| puts "| #{who} | #{counts.map { |count| percent(count, counts.sum) }.join(' | ')} |" }

codes = USDA.classes.keys
puts "", "Key by estimate, samples:", "", "| key \\ estimate | #{codes.join(' | ')} |", "|---#{'|---' * codes.size}|"
codes.each do |key|
  puts "| **#{key}** | #{codes.map { |code| table[[key, code]].zero? ? '' : table[[key, code]] }.join(' | ')} |"
end

# One answer at a time, each drawn when it is asked for.
def tests_until_settled(composition, seed)
  hand = Grittle::Evidence::Simulator.new(seed)
  felt = hand.feel(composition, tests: [])
  count = 0
  loop do
    estimate = Grittle::Evidence::Estimate.new(Grittle::Observations.new(felt))
    return [count, estimate.settled?] if estimate.settled? || count == MOST_TESTS

    test = yield(estimate, felt)
    return [count, false] unless test

    felt = felt.merge(test => hand.answer(test))
    count += 1
  end
end

ways = {
  "suggestions" => ->(estimate, _) { Grittle::Evidence::NextTests.new(estimate).to_a.first&.fetch("test") },
  "fixed order" => ->(_, felt) { FIXED.find { |test| !felt.key?(test) } }
}
seconds = ->(tests) { tests.sum { |test| Grittle::Tests::Catalogue::FACTS[test][1] } }
puts "", "| after ball and ribbons, by | settled at once | settled within #{MOST_TESTS} tests | tests, mean | " \
         "seconds, mean |",
     "|---|---|---|---|---|"
ways.each do |name, way|
  taken = []
  results = samples.map do |composition, _, seed|
    made = []
    result =
      tests_until_settled(composition, seed) do |estimate, felt|
        way.call(estimate, felt).tap { |test| made << test if test }
      end
    taken << seconds[made]
    result
  end
  settled = results.select(&:last)
  puts "| #{name} | #{percent(settled.count do |count, _|
    count.zero?
  end, SAMPLES)} | #{percent(settled.size, SAMPLES)} | " \
       "#{(results.sum(&:first).to_f / SAMPLES).round(1)} | #{(taken.sum.to_f / SAMPLES).round} |"
end

# Hands by what they do otherwise than the model thinks; a bias drawn anew for every sample is a person of its own. [our
# own]
own_bias = ->(draw) { { clay: 4 * draw.call, sand: 5 * draw.call } }
HANDS = {
  "as the model, answers independent" => { shared: 0.0 },
  "tests of a group correlated 1/3" => {},
  "a bias of its own (sd 4 clay, 5 sand), noise x 1.3" => { bias: own_bias, noise: 1.3 },
  "correlated, 10 % of the answers wrong" => { wrong: 0.1 },
  "clay + 6 %, noise x 2" => { shared: 0.0, bias: { clay: 6 }, noise: 2.0 },
  "clay + 6 %, noise x 2, correlated" => { bias: { clay: 6 }, noise: 2.0 }
}.freeze
# The least share that a log score counts with: a key says nothing of the classes that it leaves out.
LEAST = 0.01

# Shares of the classes => what they are worth where +truth+ is the class: Brier's score, and the log in bits, less is
# better.
def worth(shares, truth)
  brier = USDA.classes.keys.sum { |code| (shares.fetch(code, 0.0) - (code == truth ? 1 : 0))**2 }
  [shares.max_by(&:last)&.first == truth ? 1 : 0, brier, -Math.log2([shares.fetch(truth, 0.0), LEAST].max)]
end

puts "",
     "#{A_HAND} samples a hand, even over the triangle:",
     "",
     "| hand | region holds | key: right | Brier | log score | estimate: right | Brier | log score |",
     "|---#{'|---' * 7}|"
HANDS.each do |name, how|
  draws = Random.new(SEED + 1)
  deviate = -> { Math.sqrt(-2 * Math.log(1 - draws.rand)) * Math.cos(2 * Math::PI * draws.rand) }
  held = 0
  sums = Array.new(2) { [0, 0, 0] }
  count = 0
  A_HAND.times do |number|
    cell = draws.rand(Grittle::Evidence::Grid::SIZE)
    sand, silt, clay = Grittle::Evidence::Grid::CELLS[cell]
    truth = USDA.code(sand, silt, clay)
    bias = how[:bias].respond_to?(:call) ? how[:bias].call(deviate) : how.fetch(:bias, {})
    hand = Grittle::Evidence::Simulator.new(SEED + number, **how, bias: bias)
    found = Grittle.assess(hand.feel(Grittle::Composition.new(sand: sand, clay: clay), tests: TESTS), evidence: "none")
    next if found.key.outcomes.empty?

    count += 1
    held += 1 if found.estimate.holds?(cell)
    [found.key.outcomes.to_h, found.estimate.classes].each_with_index do |shares, who|
      sums[who] = sums[who].zip(worth(shares, truth)).map(&:sum)
    end
  end
  means = sums.map { |right, brier, bits| [percent(right, count), (brier / count).round(2), (bits / count).round(2)] }
  puts "| #{name} | #{percent(held, count)} | #{means.flatten.join(' | ')} |"
end
