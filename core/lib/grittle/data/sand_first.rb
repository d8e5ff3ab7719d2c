# frozen_string_literal: true

module Grittle
  module Data
    # Sand first, then five tests. The taste test of the old manuals is left out on purpose.
    SAND_FIRST = Keys::Page.new(
      title: "Sand first", mark: "from memory",
      source: "Canadian field manuals (Expert Committee on Soil Survey; provincial field manuals); " \
              "stickiness common practice",
      # As printed: the cast, the ribbon, the feel, the shine; stickiness as it is taught beside it.
      printed: {
        "S" => { "class" => "sand", "cast" => "none", "ribbon" => "none", "feel" => "grainy, little floury material",
                 "shine" => "none", "sticky" => "non" },
        "LS" => { "class" => "loamy sand", "cast" => "very weak, no handling", "ribbon" => "none",
                  "feel" => "grainy, slight floury material", "shine" => "none", "sticky" => "non" },
        "SL" => { "class" => "sandy loam", "cast" => "weak, careful handling", "ribbon" => "barely, breaks at once",
                  "feel" => "grainy, moderate floury material", "shine" => "none", "sticky" => "non to slightly" },
        "L" => { "class" => "loam", "cast" => "moderate, readily handled", "ribbon" => "barely",
                 "feel" => "fairly soft and smooth, some grains", "shine" => "none", "sticky" => "slightly" },
        "SIL" => { "class" => "silt loam", "cast" => "weak to moderate", "ribbon" => "flakes rather than ribbons",
                   "feel" => "floury, slight grains", "shine" => "none", "sticky" => "slightly" },
        "SI" => {
          "class" => "silt",
          "cast" => "weak to moderate",
          "ribbon" => "flakes rather than ribbons",
          "feel" => "very floury",
          "shine" => "none",
          "sticky" => "non to slightly"
        },
        "SCL" => { "class" => "sandy clay loam", "cast" => "moderate", "ribbon" => "short and thick, < 30 mm",
                   "feel" => "very substantial grains", "shine" => "slight", "sticky" => "slightly to moderately" },
        "CL" => {
          "class" => "clay loam",
          "cast" => "strong",
          "feel" => "moderate grains",
          "shine" => "slight",
          "sticky" => "moderately",
          "ribbon" => "fairly thin, breaks readily, barely supports its own weight"
        },
        "SICL" => {
          "class" => "silty clay loam",
          "cast" => "strong",
          "ribbon" => "as clay loam",
          "feel" => "smooth, floury",
          "shine" => "slight",
          "sticky" => "moderately"
        },
        "SC" => {
          "class" => "sandy clay",
          "cast" => "strong",
          "ribbon" => "thin, fairly long, 50-75 mm, holds its own weight",
          "feel" => "substantial grains",
          "shine" => "moderate",
          "sticky" => "moderately to very"
        },
        "SIC" => {
          "class" => "silty clay",
          "cast" => "very strong",
          "ribbon" => "thin, fairly long, 50-75 mm, holds its own weight",
          "feel" => "smooth",
          "shine" => "moderate",
          "sticky" => "very"
        },
        "C" => {
          "class" => "clay",
          "cast" => "very strong",
          "ribbon" => "very thin, very long, > 75 mm",
          "feel" => "smooth",
          "shine" => "strong",
          "sticky" => "very"
        },
        "HC" => {
          "class" => "heavy clay",
          "cast" => "very strong",
          "ribbon" => "very thin, very long, > 75 mm, hard to shear",
          "feel" => "smooth",
          "shine" => "strong",
          "sticky" => "very"
        }
      },
      # How that is read: the answers that fit. Lengths in mm stand where the page gives none, too: our own model there.
      read: {
        "S" => { "ribbons" => "0-5", "cast_strength" => "none", "ribbon_character" => "none",
                 "grittiness" => "extreme", "floury_feel" => "none", "shine" => "none", "stickiness" => "non" },
        "LS" => { "ribbons" => "0-5", "cast_strength" => "very_weak", "ribbon_character" => "none",
                  "grittiness" => "very extreme", "floury_feel" => "none some", "shine" => "none",
                  "stickiness" => "non" },
        "SL" => { "ribbons" => "0-20", "cast_strength" => "weak", "ribbon_character" => "stub flakes",
                  "grittiness" => "very", "floury_feel" => "some", "shine" => "none", "stickiness" => "non slightly" },
        "L" => { "ribbons" => "5-28", "cast_strength" => "moderate",
                 "ribbon_character" => "stub flakes short_thick", "grittiness" => "slight moderate",
                 "floury_feel" => "some", "wet_rub" => "neither", "shine" => "none", "stickiness" => "slightly" },
        "SIL" => { "ribbons" => "0-25", "cast_strength" => "weak moderate", "ribbon_character" => "flakes",
                   "grittiness" => "none slight", "floury_feel" => "some strong", "wet_rub" => "very_smooth",
                   "shine" => "none", "stickiness" => "slightly" },
        "SI" => { "ribbons" => "0-20", "cast_strength" => "weak moderate", "ribbon_character" => "flakes",
                  "grittiness" => "none", "floury_feel" => "strong", "wet_rub" => "very_smooth", "shine" => "none",
                  "stickiness" => "non slightly" },
        "SCL" => { "ribbons" => "5-30", "cast_strength" => "moderate", "ribbon_character" => "short_thick",
                   "grittiness" => "very", "shine" => "slight", "stickiness" => "slightly moderately" },
        "CL" => { "ribbons" => "25-50", "cast_strength" => "strong", "ribbon_character" => "thin",
                  "grittiness" => "slight moderate", "wet_rub" => "neither", "shine" => "slight",
                  "stickiness" => "moderately" },
        "SICL" => { "ribbons" => "25-50", "cast_strength" => "strong", "ribbon_character" => "thin",
                    "grittiness" => "none", "floury_feel" => "some strong", "wet_rub" => "very_smooth",
                    "shine" => "slight", "stickiness" => "moderately" },
        "SC" => { "ribbons" => "50-75", "cast_strength" => "strong", "ribbon_character" => "thin",
                  "grittiness" => "moderate very", "shine" => "moderate", "stickiness" => "moderately very" },
        "SIC" => { "ribbons" => "50-75", "cast_strength" => "very_strong", "ribbon_character" => "thin",
                   "grittiness" => "none", "wet_rub" => "very_smooth", "shine" => "moderate", "stickiness" => "very" },
        "C" => { "ribbons" => ">= 75", "cast_strength" => "very_strong", "ribbon_character" => "very_thin",
                 "grittiness" => "none slight", "wet_rub" => "neither very_smooth", "shine" => "strong",
                 "stickiness" => "very", "shear_resistance" => "slight moderate firm" },
        "HC" => { "ribbons" => ">= 75", "cast_strength" => "very_strong", "ribbon_character" => "very_thin",
                  "grittiness" => "none slight", "wet_rub" => "neither very_smooth", "shine" => "strong",
                  "stickiness" => "very", "shear_resistance" => "firm very_firm" }
      },
      # Our own model: the answers next to those that fit, and how far a length may be off.
      near: {
        "S" => { "ribbons" => "5-9", "cast_strength" => "very_weak", "ribbon_character" => "stub",
                 "grittiness" => "very", "floury_feel" => "some", "shine" => "slight", "stickiness" => "slightly" },
        "LS" => { "ribbons" => "5-9", "cast_strength" => "none weak", "ribbon_character" => "stub",
                  "grittiness" => "moderate", "floury_feel" => "strong", "shine" => "slight",
                  "stickiness" => "slightly" },
        "SL" => { "ribbons" => "20-24", "cast_strength" => "very_weak moderate",
                  "ribbon_character" => "none short_thick", "grittiness" => "moderate extreme",
                  "floury_feel" => "none strong", "shine" => "slight", "stickiness" => "moderately" },
        "L" => { "ribbons" => "1-5; 28-33.6", "cast_strength" => "weak strong", "ribbon_character" => "none thin",
                 "grittiness" => "none very", "floury_feel" => "none strong",
                 "wet_rub" => "very_gritty very_smooth", "shine" => "slight", "stickiness" => "non moderately" },
        "SIL" => { "ribbons" => "25-30", "cast_strength" => "very_weak strong",
                   "ribbon_character" => "stub short_thick", "grittiness" => "moderate", "floury_feel" => "none",
                   "wet_rub" => "neither", "shine" => "slight", "stickiness" => "non moderately" },
        "SI" => { "ribbons" => "20-24", "cast_strength" => "very_weak strong",
                  "ribbon_character" => "stub short_thick", "grittiness" => "slight", "floury_feel" => "some",
                  "wet_rub" => "neither", "shine" => "slight", "stickiness" => "moderately" },
        "SCL" => { "ribbons" => "1-5; 30-50", "cast_strength" => "weak strong", "ribbon_character" => "flakes thin",
                   "grittiness" => "moderate extreme", "shine" => "none moderate", "stickiness" => "non very" },
        "CL" => { "ribbons" => "20-25; 50-60", "cast_strength" => "moderate very_strong",
                  "ribbon_character" => "short_thick very_thin", "grittiness" => "none very",
                  "wet_rub" => "very_gritty very_smooth", "shine" => "none moderate",
                  "stickiness" => "slightly very" },
        "SICL" => { "ribbons" => "20-25; 50-60", "cast_strength" => "moderate very_strong",
                    "ribbon_character" => "short_thick very_thin", "grittiness" => "slight",
                    "floury_feel" => "none", "wet_rub" => "neither", "shine" => "none moderate",
                    "stickiness" => "slightly very" },
        "SC" => { "ribbons" => "30-50; 75-", "cast_strength" => "moderate very_strong",
                  "ribbon_character" => "short_thick very_thin", "grittiness" => "slight extreme",
                  "shine" => "slight strong", "stickiness" => "slightly" },
        "SIC" => { "ribbons" => "40-50; 75-90", "cast_strength" => "strong",
                   "ribbon_character" => "short_thick very_thin", "grittiness" => "slight", "wet_rub" => "neither",
                   "shine" => "slight strong", "stickiness" => "moderately" },
        "C" => { "ribbons" => "60-75", "cast_strength" => "strong", "ribbon_character" => "thin",
                 "grittiness" => "moderate", "wet_rub" => "very_gritty", "shine" => "moderate",
                 "stickiness" => "moderately", "shear_resistance" => "none very_firm" },
        "HC" => { "ribbons" => "60-75", "cast_strength" => "strong", "ribbon_character" => "thin",
                  "grittiness" => "moderate", "wet_rub" => "very_gritty", "shine" => "moderate",
                  "stickiness" => "moderately", "shear_resistance" => "moderate" }
      }
    )

    SAND_FIRST_FIGURES = Figures.new(
      "Sand first, beside the page",
      "tiers" => [
        [5.0, 25.0, 50.0, 75.0],
        "mm",
        "our own",
        "where its ribbons begin to be barely, fairly thin, long and very long"
      ]
    )
  end
end
