# frozen_string_literal: true

# What a profile of eight horizons means: the time of its interpretation beside eight assessments, in one run; the
# estimates are at hand, as the server has them. On one core, with ruby --yjit bench/interpret.rb as bin/start serves.

require_relative "../core/lib/grittle"
require_relative "median"

COUNT = 31
# ms that an interpretation may take.
AT_MOST = 150.0
FELT = [[[30, 33], "neither", "L"], [[70, 74], "neither", "C"], [[12, 14], "very_gritty", "SL"]].freeze

horizons = Array.new(8) do |place|
  lengths, rub, code = FELT[place % FELT.size]
  felt = { "ball_holds" => true, "ribbons" => lengths.map { |mm| { "length_mm" => mm } }, "wet_rub" => rub }
  named = { "system" => "usda", "key" => "ribbon_and_rub", "code" => code }
  { "designation" => "H#{place}", "upper_cm" => place * 15, "lower_cm" => (place + 1) * 15, "observations" => felt,
    "named" => Grittle::NamedClass.from(named) }
end
profile = {
  "name" => "Pit", "naming_system" => "usda",
  "horizons" => horizons.map do |horizon|
    read = horizon.slice("named", "observations").merge("id" => 1, "method" => {}, "verdict" => Grittle::Verdict.of(
      Grittle.assess(horizon["observations"]), horizon["named"]
    ))
    horizon.slice("designation", "upper_cm", "lower_cm").merge("readings" => [read])
  end
}
kept = {}
estimates = lambda do |observations, curve|
  kept[[observations, curve]] ||= Grittle::Consequences::Interpretation.estimate(observations, curve)
end
3.times { Grittle.interpret(profile, estimates: estimates) }

found = median(COUNT) { Grittle.interpret(profile, estimates: estimates) }
assessed = median(COUNT) { horizons.each { |horizon| Grittle.assess(horizon["observations"]).to_h } }
puts format("interpretation of eight horizons: %.0f ms, %.2f times eight assessments of %.0f ms (at most %.0f ms)",
            found, found / assessed, assessed, AT_MOST)
