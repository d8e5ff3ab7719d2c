# frozen_string_literal: true

module Grittle
  module Data
    # The numbers of the second opinion. None is a published accuracy; they are placed between the published class
    # limits and wait to be fitted to laboratory data.
    EVIDENCE = Figures.new(
      "The second opinion",
      "error" => [0.02, "share", "our own", "of all answers are slips: every composition stays possible"],
      "length_share" => [0.2, "of the length", "our own", "a ribbon's spread about the curve, with the next"],
      "length_mm" => [3.0, "mm", "our own", "a ribbon's spread about the curve, beside the share of its length"],
      "longest" => [120.0, "mm", "our own", "a slip of a length lies anywhere up to here"],
      "wider" => [1.5, "times", "our own", "every scale and sd where something misleads the hand"],
      "group" => [0.5, "of an answer", "our own",
                  "each further test of a group adds so much: k tests count (1 + 0.5 (k - 1)) / k each"],
      "hand_clay" => [
        4.0,
        "% clay",
        "our own",
        "sd of an uncalibrated hand's bias; with 6 for sand and silt the smallest regions among 45 rules simulated " \
        "that hold 75 to 85 % where hands are biased"
      ],
      "hand_sand" => [6.0, "% sand", "our own", "sd of an uncalibrated hand's bias"],
      "hand_silt" => [6.0, "% silt", "our own", "sd of an uncalibrated hand's bias"],
      "region" => [0.80, "share", "our own", "the smallest set of compositions that holds so much is drawn"],
      "likely" => [0.35, "share", "our own", "the least that a class called likely has"],
      "likely_times" => [2.0, "times", "our own", "its share of the triangle, that a class called likely has at least"],
      "likely_bits" => [1.2, "bits", "our own", "the compositions must have become so much less open"],
      "likely_bits_alone" => [1.6, "bits", "our own", "the same after a single answer"],
      "settled" => [0.60, "share", "our own", "one class called likely has as much"],
      "settled_line" => [0.80, "share", "our own", "two classes that share an edge hold as much"],
      "improbable" => [0.03, "share", "our own", "less is gathered under others"],
      "improbable_part" => [
        1 / 3.0,
        "of its share",
        "our own",
        "of the triangle, under which a class has become improbable"
      ],
      "improbable_named" => [4, "classes", "our own", "are named as improbable at most"],
      "doubted" => [0.01, "share", "our own", "an assigned class that was given less counts as the class alone"],
      "least_bits" => [0.05, "bits", "our own", "under which a test is not worth making"]
    )

    # How a hand answers: for each test what it depends on, where its answers change, and how sharply. The words of
    # stickiness and plasticity are the USDA field book's: rolls of 6, 4 and 2 mm.
    LIKELIHOODS = Figures.new(
      "How likely each answer is",
      {
        "ball_holds" => [{ yes: [:ball, 13, 3, 0.002] }, "% silt + 1.5 clay", "our own",
                         "near the line of sand, at 15 (Soil Survey Manual 2017)"],
        "ribbon_forms" => [{ yes: [:band, 30, 5, 0.002] }, "% silt + 2 clay", "our own",
                           "the line of loamy sand (Soil Survey Manual 2017)"],
        "ribbons" => [{ length: :clay }, "mm", "our own", "about the length that the chosen curve gives the clay"],
        "wet_rub" => [
          { stands_out: { "very_gritty" => [:sand, 54, 0.25], "very_smooth" => [:silt, 54, 0.27] }, scale: 5 },
          "% over 54 less a share of the clay",
          "our own",
          "softmax of the two leads over 0"
        ],
        "grittiness" => [
          { degree: [:sand, [15, 35, 52, 78], 6] },
          "% sand",
          "our own",
          "between the classes' limits of sand"
        ],
        "sand_estimate" => [{ number: [:sand, 8] }, "% sand", "our own", "sd of an estimate by halving"],
        "decanted_sand" => [{ degree: [:sand, [5, 20, 50], 5] }, "% sand", "our own", "half of the pinch is 50 %"],
        "floury_feel" => [
          { degree: [:silt, [30, 55], 8] },
          "% silt",
          "our own",
          "about the lines of loam and silt loam"
        ],
        "stickiness" => [
          { degree: [:clay, [10, 25, 40], 4] },
          "% clay",
          "our own",
          "between the classes' limits of clay"
        ],
        "plasticity" => [
          { degree: [:clay, [8, 18, 32], 4] },
          "% clay",
          "our own",
          "between the classes' limits of clay"
        ],
        "shine" => [{ degree: [:clay, [20, 33, 45], 5] }, "% clay", "our own", "between the classes' limits of clay"],
        "cast_strength" => [
          { degree: [:cast, [5, 10, 22, 31, 47], 4] },
          "% clay + 0.1 silt",
          "our own",
          "as sand first has it"
        ],
        "thumbprint" => [
          { yes: [:clay, 20, 4, 0.01] },
          "% clay",
          "common practice",
          "a thumbprint is taken from about 20 % clay"
        ],
        "dry_clod" => [
          { degree: [:clay, [5, 15, 27, 40], 6] },
          "% clay",
          "our own",
          "between the classes' limits of clay"
        ],
        "shear_resistance" => [
          { degree: [:clay, [33, 41, 47, 58], 4] },
          "% clay",
          "our own",
          "between the clays of the field grades"
        ],
        "mould_feel" => [{ degree: [:clay, [8, 18, 32], 6] }, "% clay", "our own", "as plasticity, less sharply"],
        "water_uptake" => [{ degree: [:clay, [22, 38], 8] }, "% clay", "our own", "repelled water says nothing"],
        "stiffens_while_worked" => [{ yes: [:clay, 30, 8, 0.03] }, "% clay", "our own", "about where clay loams begin"],
        "moist_clod" => [
          { degree: [:clay, [8, 20, 32, 45], 6] },
          "% clay",
          "our own",
          "between the classes' limits of clay"
        ],
        "clay_estimate" => [{ number: [:clay, 6] }, "% clay", "our own", "sd of an experienced hand"]
      }
    )
  end
end
