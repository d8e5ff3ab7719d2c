# frozen_string_literal: true

# What is told of a person's hand, by how many samples with a laboratory's clay it has had, as a ratio to one
# assessment with suggestions in the same run:
#   ruby --yjit bench/hand.rb
#
# Samples even over 5 to 60 % clay; three ribbons about the consensus (12 % and 2 mm apart) and the feel of the demo's
# kind of soil. [our own]

require_relative "../core/lib/grittle"
require_relative "median"

RUNS = 5
SAMPLES = [10, 50, 200].freeze
FELT = { "ball_holds" => true, "wet_rub" => "neither", "grittiness" => "moderate", "stickiness" => "moderately",
         "mould_feel" => "doughy" }.freeze
random = Random.new(20_261_128)

ribbons = lambda do |clay|
  mm = Grittle::Curves["consensus"].length(clay)
  Array.new(3) { { "length_mm" => [(mm * (1 + random.rand(-0.12..0.12))) + random.rand(-2.0..2.0), 1].max.round } }
end
row = lambda do |number|
  clay = random.rand(5.0..60.0).round(1)
  result = Grittle::Practice::LaboratoryResult.new({ "clay" => clay, "silt" => 20 })
  Grittle::Practice::TaughtHand::Row.new(
    sample: "sample/#{number}", observations: Grittle::Observations.new(FELT.merge("ribbons" => ribbons.call(clay))),
    result: result, blind: true, age_days: number
  )
end

assess = median(RUNS * 5) { Grittle.assess(FELT.merge("ribbons" => ribbons.call(25))).to_h }
SAMPLES.each do |count|
  rows = Array.new(count, &row)
  took = median(RUNS) { Grittle::Practice::TaughtHand.new(rows).then { |hand| [hand.to_h, hand.further] } }
  puts format("%<count>4d samples %<took>6.0f ms, %<ratio>.1f times an assessment of %<assess>.0f ms",
              count: count, took: took, ratio: took / assess, assess: assess)
end
