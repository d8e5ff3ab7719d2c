# frozen_string_literal: true

module Grittle
  module Data
    CONTRADICTIONS = Figures.new(
      "Tests that speak against each other",
      "long" => [50, "mm", "our own", "a ribbon of clay"],
      "short" => [15, "mm", "our own", "hardly a ribbon"],
      "no_print_over" => [40, "mm", "our own", "a ribbon of clay loam and more takes a thumbprint"],
      "ask_thickness_over" => [
        100,
        "mm",
        "our own",
        "heavy clay makes 100 to 150 mm: only the thickness is asked; was 120, doubted"
      ],
      "too_long" => [150, "mm", "our own", "longer than heavy clay makes, unless it was measured thick enough"],
      "thick_enough" => [
        2,
        "mm",
        "from memory",
        "ribbons 2 to 3 mm thick: Australian Soil and Land Survey Field Handbook, 3rd ed., 2009"
      ],
      "sandy_over" => [60, "% sand", "our own", "mostly sand"],
      "little_sand_under" => [20, "% sand", "our own", "hardly any sand"],
      "fragments_over" => [35, "% by volume", "our own", "many fragments left in"],
      "worked_under" => [
        1,
        "min",
        "from memory",
        "a bolus is worked 1 to 2 min: Australian field handbook, 3rd ed., 2009"
      ]
    )
    RULES_OF_THUMB = Figures.new(
      "Rules of thumb",
      "three_inches" => [75, "mm", "common practice", "a longer ribbon: over 40 % clay"],
      "half_inch" => [12.7, "mm", "common practice", "a ribbon of so much or more: a sandy loam or finer"],
      "rounds" => [3, "rounds", "common practice", "of drying and wetting, and still no ball: sand"],
      "narrowest" => [12.5, "% sand", "common practice", "an eighth: the narrowest part that halving tells"],
      "working_minutes" => [
        10,
        "min",
        "from memory",
        "of working bring out a subplastic clay: Australian Soil and Land Survey Field Handbook, 3rd ed., 2009"
      ]
    )
    PHOTOGRAPHS = Figures.new(
      "A ribbon on a photograph",
      "click" => [2.0, "px", "our own", "that a mark is off by, one standard deviation, by mouse or finger"],
      "points" => [2..200, "marks", "our own", "along a ribbon"],
      "even_scale" => [0.03, "of the scale", "our own", "two rulers that differ by more lie aslant to the camera"],
      "short_ruler" => [0.5, "of the ribbon", "our own", "a shorter ruler multiplies its own error"],
      "far_ruler" => [1.5, "ruler lengths", "our own", "a ruler farther off may lie in another plane"],
      "ruler" => [5..1000, "mm", "our own", "between the marks on the ruler"],
      "outside" => [
        0.1,
        "of the picture's sides",
        "our own",
        "by which a mark may miss it: an end that the frame cuts off is guessed at"
      ]
    )
    RIBBONS = Figures.new(
      "Ribbons",
      "length" => [0..300, "mm", "our own", "a length outside is a slip of the finger"],
      "slip_near" => [
        1.6,
        "times",
        "our own",
        "the others' mean, within which a length lies once its point is moved by one place"
      ],
      "thickness" => [0.5..20, "mm", "our own", "a ribbon can plausibly be so thick"],
      "width" => [1..60, "mm", "our own", "a ribbon can plausibly be so wide"],
      "minute" => [0..120, "min", "our own", "a bolus is plausibly worked so long"],
      "reading_error_range" => [0..50, "mm", "our own", "what a measured length may be off by, one standard deviation"],
      "count" => [1..10, "ribbons", "our own", "in one set"],
      "hand_cv" => [0.12, "of the mean", "our own", "the spread of few ribbons is shrunk toward it"],
      "hand_weight" => [2, "ribbons", "our own", "what that spread weighs"],
      "reading_error" => [2.0, "mm", "our own", "a length read by eye on a ruler, one standard deviation"],
      "consistent_cv" => [0.15, "of the mean", "our own", "a set that spreads no more agrees"],
      "consistent_sd" => [4.0, "mm", "our own", "the same, for short ribbons"],
      "even_thickness" => [
        1.0,
        "mm",
        "our own",
        "thicknesses that differ by more make lengths that cannot be compared"
      ],
      "drift_ratio" => [1.2, "times", "our own", "the last of rising lengths over the first"],
      "drift_count" => [3, "ribbons", "our own", "two cannot show an order"],
      "near_stub" => [5.0...13.0, "mm", "our own", "hardly a ribbon: near the limit between loamy sand and sandy loam"],
      "near_stub_divisor" => [16.0, "mm", "our own", "loamy sand is named beside sandy loam with weight (13 - L)/16"],
      "width_off" => [2, "mm", "our own", "wider or narrower than the school's before it is marked"],
      "stub" => [5.0, "mm", "our own", "no longer than this is no ribbon, for keys that leave it open"]
    )
  end
end
