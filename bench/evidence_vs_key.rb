# frozen_string_literal: true

# Key and estimate on the same simulated answers: how often each names the class that was drawn, or one beside it; which
# classes they tell apart differently; and how many tests it takes until the estimate is settled when the suggestions are
# followed, against a fixed order. Minutes, not seconds:
#   ruby bench/evidence_vs_key.rb [samples]

require_relative "../core/lib/grittle"

SAMPLES = Integer(ARGV.first || 3000)
SEED = 20_261
USDA = Grittle::Triangles::USDA
TESTS = Grittle::Evidence::Simulator::USUAL
# Tests after ball and ribbons in the order of the bench, for those who do not look at suggestions.
FIXED = %w[wet_rub grittiness plasticity stickiness shine thumbprint cast_strength shear_resistance floury_feel decanted_sand
           sand_estimate dry_clod stiffens_while_worked].freeze
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
codes.each { |key| puts "| **#{key}** | #{codes.map { |code| table[[key, code]].zero? ? '' : table[[key, code]] }.join(' | ')} |" }

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
puts "", "| after ball and ribbons, by | settled at once | settled within #{MOST_TESTS} tests | tests, mean | seconds, mean |",
     "|---|---|---|---|---|"
ways.each do |name, way|
  taken = []
  results = samples.map do |composition, _, seed|
    made = []
    result = tests_until_settled(composition, seed) { |estimate, felt| way.call(estimate, felt).tap { |test| made << test if test } }
    taken << seconds[made]
    result
  end
  settled = results.select(&:last)
  puts "| #{name} | #{percent(settled.count { |count, _| count.zero? }, SAMPLES)} | #{percent(settled.size, SAMPLES)} | " \
       "#{(results.sum(&:first).to_f / SAMPLES).round(1)} | #{(taken.sum.to_f / SAMPLES).round} |"
end
