# frozen_string_literal: true

module Grittle
  module Data
    THIEN = "Thien, S.J. 1979. A flow diagram for teaching texture-by-feel analysis. J. Agron. Educ. 8:54-55"

    # The limits of the flow key, by limit set: teachers differ. An inch is 25.4 mm.
    LIMIT_SETS = Figures.new(
      "Limits of the flow key",
      "metric_medium" => [25.0, "mm", "published", "a medium ribbon begins: #{THIEN}"],
      "metric_strong" => [50.0, "mm", "published", "a strong ribbon begins: same"],
      "inch_medium" => [25.4, "mm", "common practice", "1 in; medium is 1 to 2 in, both ends included"],
      "inch_strong_over" => [50.8, "mm", "common practice", "2 in; a strong ribbon is longer"],
      "contest_medium" => [25.4, "mm", "common practice", "1 in; medium is 1 to under 2.5 in"],
      "contest_strong" => [63.5, "mm", "common practice", "2.5 in"],
      "contest_thickness" => [1..3, "mm", "common practice", "not thicker than an eighth of an inch"],
      "counts_any" => [
        0.0,
        "mm",
        "common practice",
        "from here soil forms a ribbon at all: the printed key does not say"
      ],
      "counts_five" => [5.0, "mm", "our own", "between the two others, and the default"],
      "counts_half_inch" => [12.7, "mm", "common practice", "half an inch"]
    )

    KEYS = Figures.new(
      "How keys decide",
      "close" => [0.10, "score", "our own", "a table key names a class within so much of the best"],
      "half_answer" => [0.5, "of an answer", "our own", "and not more than so much behind it"],
      "most_named" => [3, "classes", "our own", "with more a table key asks on"],
      "open_middle" => [1.2, "times", "our own", "the middle of an open range that begins at a is 1.2 a"],
      "near_line" => [2.0, "% points", "our own", "from a line of a triangle a composition is near it"],
      "two_numbers_least" => [0.02, "share", "our own", "that a class beyond a near line has"],
      "groups_half_inch" => [12.7, "mm", "common practice", "texture groups, contest teaching: half an inch"],
      "groups_inch" => [25.4, "mm", "common practice", "same: an inch"],
      "groups_three_inches" => [76.2, "mm", "common practice", "same: three inches, itself still moderately fine"],
      "groups_least" => [0.02, "share", "our own", "smaller shares of texture groups are left out"],
      "alone_loam" => [22.0..28.0, "mm", "our own", "length alone: what “about an inch” is read as"],
      "alone_clay" => [
        76.2,
        "mm",
        "common practice",
        "length alone, growers' teaching: three inches and more are clay"
      ],
      "alone_least" => [0.10, "share", "our own", "smaller shares of length alone are left out"]
    )

    # What schools make of a ribbon's length: pairs of mm and percent clay.
    CURVES = Figures.new(
      "Ribbon and clay",
      "twenty_forty" => [[[25.4, 20], [63.5, 40]], "mm, % clay", "common practice", "taught for contests"],
      "cautious" => [[[0, 0], [25.4, 10], [38.1, 15], [50.8, 25], [76.2, 37]], "mm, % clay", "common practice",
                     "taught by an extension service; the last point is our own model"],
      "flow_tiers" => [[[0, 5], [25, 23.5], [50, 38], [75, 50]], "mm, % clay", "our own",
                       "from the tiers of the flow key and the triangle's limits"],
      "field_grades" => [
        [[0, 3], [5, 5], [15, 10], [25, 22], [40, 30], [50, 35], [75, 45]],
        "mm, % clay",
        "from memory",
        "National Committee on Soil and Terrain 2009, Australian Soil and Land Survey Field Handbook, 3rd ed."
      ],
      "consensus" => [
        [
          [0, 0],
          [5, 5],
          [13, 10],
          [19, 15],
          [24, 20],
          [30, 25],
          [39, 30],
          [48, 35],
          [58, 40],
          [68, 45],
          [78, 50],
          [95, 60],
          [130, 100]
        ],
        "mm, % clay",
        "our own",
        "between the methods"
      ],
      "read_to" => [0.0..80.0, "% clay", "our own", "beyond which no school reads a ribbon"]
    )

    ROLLING = Figures.new(
      "The rolling key",
      # Node => the observation it asks, and for each answer the next node (a number) or the outcomes: codes, where a
      # slash sets off the half of a class. Two outcomes weigh the same.
      "nodes" => [
        {
          1 => ["finest_wire_mm", { "none" => 3, "7" => 7, "3" => 2 }],
          2 => ["ring_forms", { true => 17, false => 7 }],
          # No wire of 7 mm.
          3 => ["floury_feel", { "none" => 4, "some" => %w[SL/poor], "strong" => 6 }],
          4 => ["finger_stain", { "clean" => %w[S], "grains_stick" => 5, "stained" => %w[LS] }],
          5 => ["stickiness", { "non" => %w[LS S], "slightly" => %w[LS], "moderately" => %w[LS], "very" => %w[LS] }],
          6 => ["grittiness", { "none" => %w[SI], "slight" => %w[SIL/poor], "moderate" => %w[SIL/poor],
                                "very" => %w[SL/poor], "extreme" => %w[SL/poor] }],
          # A wire of 3 to 7 mm, but no ring.
          7 => ["floury_feel", { "none" => 11, "some" => 10, "strong" => 8 }],
          8 => ["stickiness", { "non" => 6, "slightly" => 9, "moderately" => 9, "very" => 9 }],
          9 => ["grittiness", { "none" => %w[SIL/rich], "slight" => %w[SIL/rich], "moderate" => %w[L SIL/rich],
                                "very" => %w[SL/rich], "extreme" => %w[SL/rich] }],
          10 => ["grittiness", { "none" => %w[SIL/rich], "slight" => %w[L SIL/rich], "moderate" => 13, "very" => 15,
                                 "extreme" => 15 }],
          11 => ["grittiness", { "none" => 20, "slight" => 12, "moderate" => 13, "very" => 15, "extreme" => 15 }],
          12 => ["stickiness", { "non" => %w[L], "slightly" => %w[L], "moderately" => %w[CL L], "very" => %w[CL] }],
          13 => ["stickiness", { "non" => %w[L], "slightly" => %w[L], "moderately" => 14, "very" => 14 }],
          14 => ["squeezed_surface", { "rough_torn" => %w[L], "smooth_dull" => %w[L], "moderately_shiny" => %w[SCL],
                                       "shiny" => %w[SCL] }],
          15 => ["stickiness", { "non" => %w[SL/rich], "slightly" => 16, "moderately" => %w[SCL], "very" => %w[SCL] }],
          16 => ["squeezed_surface", { "rough_torn" => %w[SL/rich], "smooth_dull" => %w[SL/rich],
                                       "moderately_shiny" => %w[SCL], "shiny" => %w[SCL] }],
          # A wire of 3 mm that bends to a ring.
          # A wire of 3 mm that bends to a ring.
          17 => [
            "grittiness",
            { "none" => 20, "slight" => 18, "moderate" => 18, "very" => %w[SC], "extreme" => %w[SC] }
          ],
          18 => ["plasticity", { "non" => %w[CL], "slightly" => %w[CL], "moderately" => %w[CL], "very" => 19 }],
          19 => ["squeezed_surface", { "rough_torn" => %w[CL], "smooth_dull" => %w[CL], "moderately_shiny" => %w[CL C],
                                       "shiny" => %w[C] }],
          20 => ["plasticity", { "non" => %w[SICL], "slightly" => %w[SICL], "moderately" => 21, "very" => 22 }],
          21 => ["squeezed_surface", { "rough_torn" => %w[SICL], "smooth_dull" => %w[SICL],
                                       "moderately_shiny" => %w[SICL SIC], "shiny" => %w[SIC SICL] }],
          22 => ["squeezed_surface", { "rough_torn" => %w[SICL SIC], "smooth_dull" => %w[SICL SIC],
                                       "moderately_shiny" => %w[SIC], "shiny" => %w[HC] }]
        }, "questions and answers", "published", "FAO Guidelines for Soil Description, 4th ed., 2006, table 25; " \
                                                 "wording from memory"
      ]
    )
  end
end
