# frozen_string_literal: true

module Grittle
  module Data
    # Field texture grades. SC and ZC stand in the key of 1979; the handbook of 2009 may not list them.
    FIELD_GRADES = Keys::Page.new(
      title: "Field texture grades", mark: "from memory",
      source: "Northcote 1979, A Factual Key; National Committee on Soil and Terrain 2009, Australian Soil and Land " \
              "Survey Field " \
              "Handbook, 3rd ed.",
      # As printed: the grade, the behaviour of the bolus, its ribbon in mm, and about how much clay in percent.
      printed: {
        "S" => { "grade" => "sand", "ribbon" => "0", "clay" => "< 5",
                 "bolus" => "nil to very slight coherence, cannot be moulded, single grains stick to fingers" },
        "LS" => { "grade" => "loamy sand", "ribbon" => "about 5", "clay" => "about 5",
                  "bolus" => "slight coherence; can be sheared to give a minimal ribbon" },
        "CS" => { "grade" => "clayey sand", "ribbon" => "5-15", "clay" => "5-10",
                  "bolus" => "slight coherence, sticky when wet, many grains stick to fingers, stains them" },
        "SL" => { "grade" => "sandy loam", "ribbon" => "15-25", "clay" => "10-20",
                  "bolus" => "coherent but very sandy; grains visible" },
        "L" => { "grade" => "loam", "ribbon" => "about 25", "clay" => "about 25",
                 "bolus" =>
                   "coherent, rather spongy, smooth with no obvious sandiness or silkiness; greasy if organic" },
        "ZL" => { "grade" => "silty loam", "ribbon" => "about 25", "clay" => "about 25",
                  "bolus" => "coherent, very smooth to silky" },
        "SCL" => { "grade" => "sandy clay loam", "ribbon" => "25-40", "clay" => "20-30",
                   "bolus" => "strongly coherent, sandy to touch; grains visible in a finer matrix" },
        "CL" => {
          "grade" => "clay loam",
          "ribbon" => "40-50",
          "clay" => "30-35",
          "bolus" => "coherent, plastic, smooth"
        },
        "CLS" => { "grade" => "clay loam, sandy", "ribbon" => "40-50", "clay" => "30-35",
                   "bolus" => "coherent, plastic, grains visible in a finer matrix" },
        "ZCL" => { "grade" => "silty clay loam", "ribbon" => "40-50", "clay" => "30-35",
                   "bolus" => "coherent, plastic, smooth and often silky" },
        "SC" => { "grade" => "sandy clay", "ribbon" => "50-75", "clay" => "35-40",
                  "bolus" => "plastic; fine to medium sand seen, felt or heard in a clayey matrix" },
        "ZC" => {
          "grade" => "silty clay",
          "ribbon" => "50-75",
          "clay" => "35-40",
          "bolus" => "plastic, smooth, silky"
        },
        "LC" => { "grade" => "light clay", "ribbon" => "50-75", "clay" => "35-40",
                  "bolus" => "plastic, smooth; slight resistance to shearing" },
        "LMC" => { "grade" => "light medium clay", "ribbon" => "about 75", "clay" => "40-45",
                   "bolus" => "plastic, smooth; slight to moderate resistance" },
        "MC" => { "grade" => "medium clay", "ribbon" => ">= 75", "clay" => "45-55",
                  "bolus" =>
                    "smooth, handles like modelling clay, moulds into rods without fracture; moderate resistance" },
        "MHC" => { "grade" => "medium heavy clay", "ribbon" => ">= 75", "clay" => ">= 50",
                   "bolus" => "as medium clay; moderate to firm resistance" },
        "HC" => { "grade" => "heavy clay", "ribbon" => ">= 75", "clay" => ">= 50",
                  "bolus" => "as medium clay, stiff; firm resistance" }
      },
      # How that is read: the answers that fit, and lengths as a ruler shows them.
      read: {
        "S" => { "ribbons" => "0-2", "coherence" => "none very_slight", "grittiness" => "extreme",
                 "grains_seen" => "many", "wet_rub" => "very_gritty", "finger_stain" => "grains_stick" },
        "LS" => { "ribbons" => "2-8", "coherence" => "slight", "grittiness" => "very extreme",
                  "grains_seen" => "many", "wet_rub" => "very_gritty" },
        "CS" => { "ribbons" => "5-15", "coherence" => "slight", "grittiness" => "very extreme",
                  "grains_seen" => "many", "wet_rub" => "very_gritty", "stickiness" => "slightly moderately",
                  "finger_stain" => "stained" },
        "SL" => { "ribbons" => "15-25", "coherence" => "coherent", "grittiness" => "very extreme",
                  "grains_seen" => "many", "wet_rub" => "very_gritty" },
        "L" => { "ribbons" => "22-28", "coherence" => "coherent", "grittiness" => "none slight",
                 "grains_seen" => "none", "wet_rub" => "neither", "floury_feel" => "none some",
                 "feel_words" => "spongy greasy smooth" },
        "ZL" => { "ribbons" => "22-28", "coherence" => "coherent", "grittiness" => "none slight",
                  "grains_seen" => "none", "wet_rub" => "very_smooth", "floury_feel" => "strong",
                  "feel_words" => "silky smooth soapy" },
        "SCL" => { "ribbons" => "25-40", "coherence" => "strongly_coherent", "grittiness" => "moderate very",
                   "grains_seen" => "some many", "wet_rub" => "very_gritty" },
        "CL" => { "ribbons" => "40-50", "coherence" => "coherent strongly_coherent", "grittiness" => "none slight",
                  "grains_seen" => "none", "wet_rub" => "neither", "floury_feel" => "none some",
                  "feel_words" => "smooth", "plasticity" => "moderately very" },
        "CLS" => { "ribbons" => "40-50", "coherence" => "coherent strongly_coherent",
                   "grittiness" => "moderate very", "grains_seen" => "some many",
                   "wet_rub" => "very_gritty neither", "plasticity" => "moderately very" },
        "ZCL" => { "ribbons" => "40-50", "coherence" => "coherent strongly_coherent", "grittiness" => "none slight",
                   "grains_seen" => "none", "wet_rub" => "very_smooth", "floury_feel" => "some strong",
                   "feel_words" => "silky smooth soapy", "plasticity" => "moderately very" },
        "SC" => { "ribbons" => "50-75", "coherence" => "coherent strongly_coherent",
                  "grittiness" => "moderate very", "grains_seen" => "some many", "wet_rub" => "very_gritty neither",
                  "plasticity" => "very" },
        "ZC" => { "ribbons" => "50-75", "coherence" => "coherent strongly_coherent", "grittiness" => "none slight",
                  "grains_seen" => "none", "wet_rub" => "very_smooth", "floury_feel" => "some strong",
                  "feel_words" => "silky smooth soapy", "plasticity" => "very" },
        "LC" => { "ribbons" => "50-75", "coherence" => "coherent strongly_coherent", "grittiness" => "none slight",
                  "grains_seen" => "none", "wet_rub" => "neither", "floury_feel" => "none some",
                  "feel_words" => "smooth", "plasticity" => "very", "shear_resistance" => "slight" },
        "LMC" => { "ribbons" => "70-80", "coherence" => "coherent strongly_coherent", "grittiness" => "none slight",
                   "grains_seen" => "none", "wet_rub" => "neither", "floury_feel" => "none some",
                   "feel_words" => "smooth", "plasticity" => "very", "shear_resistance" => "slight moderate" },
        "MC" => { "ribbons" => ">= 75", "coherence" => "coherent strongly_coherent", "grittiness" => "none slight",
                  "grains_seen" => "none", "wet_rub" => "neither", "floury_feel" => "none some",
                  "feel_words" => "smooth like_modelling_clay", "plasticity" => "very",
                  "rods" => "without_fracture", "shear_resistance" => "moderate" },
        "MHC" => { "ribbons" => ">= 75", "coherence" => "coherent strongly_coherent", "grittiness" => "none slight",
                   "grains_seen" => "none", "wet_rub" => "neither", "floury_feel" => "none some",
                   "feel_words" => "smooth like_modelling_clay", "plasticity" => "very",
                   "rods" => "without_fracture", "shear_resistance" => "moderate firm" },
        "HC" => { "ribbons" => ">= 75", "coherence" => "coherent strongly_coherent", "grittiness" => "none slight",
                  "grains_seen" => "none", "wet_rub" => "neither", "floury_feel" => "none some",
                  "feel_words" => "smooth like_modelling_clay", "plasticity" => "very",
                  "rods" => "without_fracture", "shear_resistance" => "firm very_firm" }
      },
      # Our own model: the answers next to those that fit, and how far a length may be off.
      near: {
        "S" => { "ribbons" => "2-6", "coherence" => "slight", "grittiness" => "very", "grains_seen" => "some",
                 "wet_rub" => "neither", "finger_stain" => "clean stained" },
        "LS" => { "ribbons" => "0-2; 8-12", "coherence" => "very_slight coherent", "grittiness" => "moderate",
                  "grains_seen" => "some", "wet_rub" => "neither" },
        "CS" => { "ribbons" => "1-5; 15-19", "coherence" => "very_slight coherent", "grittiness" => "moderate",
                  "grains_seen" => "some", "wet_rub" => "neither", "stickiness" => "non very",
                  "finger_stain" => "grains_stick" },
        "SL" => { "ribbons" => "11-15; 25-30", "coherence" => "slight strongly_coherent",
                  "grittiness" => "moderate", "grains_seen" => "some", "wet_rub" => "neither" },
        "L" => { "ribbons" => "5-22; 28-40", "coherence" => "slight strongly_coherent", "grittiness" => "moderate",
                 "grains_seen" => "some", "wet_rub" => "very_gritty very_smooth", "floury_feel" => "strong",
                 "feel_words" => "soapy" },
        "ZL" => { "ribbons" => "5-22; 28-40", "coherence" => "slight strongly_coherent", "grittiness" => "moderate",
                  "grains_seen" => "some", "wet_rub" => "neither", "floury_feel" => "some", "feel_words" => "greasy" },
        "SCL" => { "ribbons" => "20-25; 40-48", "coherence" => "coherent", "grittiness" => "slight extreme",
                   "grains_seen" => "none", "wet_rub" => "neither" },
        "CL" => { "ribbons" => "28-40; 50-60", "coherence" => "slight", "grittiness" => "moderate",
                  "grains_seen" => "some", "wet_rub" => "very_gritty very_smooth", "floury_feel" => "strong",
                  "feel_words" => "silky soapy like_modelling_clay", "plasticity" => "slightly" },
        "CLS" => { "ribbons" => "32-40; 50-60", "coherence" => "slight", "grittiness" => "slight extreme",
                   "grains_seen" => "none", "wet_rub" => "very_smooth", "plasticity" => "slightly" },
        "ZCL" => { "ribbons" => "28-40; 50-60", "coherence" => "slight", "grittiness" => "moderate",
                   "grains_seen" => "some", "wet_rub" => "neither", "floury_feel" => "none",
                   "feel_words" => "like_modelling_clay", "plasticity" => "slightly" },
        "SC" => { "ribbons" => "40-50; 75-90", "coherence" => "slight", "grittiness" => "slight extreme",
                  "grains_seen" => "none", "wet_rub" => "very_smooth", "plasticity" => "moderately" },
        "ZC" => { "ribbons" => "40-50; 75-90", "coherence" => "slight", "grittiness" => "moderate",
                  "grains_seen" => "some", "wet_rub" => "neither", "floury_feel" => "none",
                  "feel_words" => "like_modelling_clay", "plasticity" => "moderately" },
        "LC" => { "ribbons" => "40-50; 75-90", "coherence" => "slight", "grittiness" => "moderate",
                  "grains_seen" => "some", "wet_rub" => "very_gritty very_smooth", "floury_feel" => "strong",
                  "feel_words" => "silky soapy like_modelling_clay", "plasticity" => "moderately",
                  "shear_resistance" => "none moderate" },
        "LMC" => { "ribbons" => "56-70; 80-96", "coherence" => "slight", "grittiness" => "moderate",
                   "grains_seen" => "some", "wet_rub" => "very_gritty very_smooth", "floury_feel" => "strong",
                   "feel_words" => "silky soapy like_modelling_clay", "plasticity" => "moderately",
                   "shear_resistance" => "none firm" },
        "MC" => { "ribbons" => "60-75", "coherence" => "slight", "grittiness" => "moderate",
                  "grains_seen" => "some", "wet_rub" => "very_gritty very_smooth", "floury_feel" => "strong",
                  "feel_words" => "soapy", "plasticity" => "moderately", "rods" => "fracture",
                  "shear_resistance" => "slight firm" },
        "MHC" => { "ribbons" => "60-75", "coherence" => "slight", "grittiness" => "moderate",
                   "grains_seen" => "some", "wet_rub" => "very_gritty very_smooth", "floury_feel" => "strong",
                   "feel_words" => "soapy", "plasticity" => "moderately", "rods" => "fracture",
                   "shear_resistance" => "very_firm" },
        "HC" => { "ribbons" => "60-75", "coherence" => "slight", "grittiness" => "moderate",
                  "grains_seen" => "some", "wet_rub" => "very_gritty very_smooth", "floury_feel" => "strong",
                  "feel_words" => "soapy", "plasticity" => "moderately", "rods" => "fracture",
                  "shear_resistance" => "moderate" }
      }
    )

    FIELD_GRADE_FIGURES = Figures.new(
      "Field texture grades, beside the page",
      "thickness" => [
        2..3,
        "mm",
        "from memory",
        "ribbon: Australian Soil and Land Survey Field Handbook, 3rd ed., 2009"
      ],
      "width" => [10, "mm", "from memory", "ribbon: same"],
      "working" => [1..2, "min", "from memory", "bolus: same"],
      "about" => [{ "about 5" => "2-8", "about 25" => "22-28", "about 75" => "70-80", "0" => "0-2" }, "mm", "our own",
                  "how the page's lengths are read"],
      "tiers" => [
        [5.0, 15.0, 25.0, 40.0, 50.0, 75.0],
        "mm",
        "from memory",
        "where its ribbon ranges begin: same handbook"
      ],
      "clay" => [
        {
          "S" => 0..5,
          "LS" => 5..5,
          "CS" => 5..10,
          "SL" => 10..20,
          "L" => 25..25,
          "ZL" => 25..25,
          "SCL" => 20..30,
          "CL" => 30..35,
          "CLS" => 30..35,
          "ZCL" => 30..35,
          "SC" => 35..40,
          "ZC" => 35..40,
          "LC" => 35..40,
          "LMC" => 40..45,
          "MC" => 45..55,
          "MHC" => 50..100,
          "HC" => 50..100
        },
        "% clay",
        "from memory",
        "written beside the grades: same handbook"
      ],
      "qualified_clay" => [
        { "LCS" => 35..40, "LCZ" => 35..40, "L+" => 25..30, "CL-" => 25..30, "ZL+" => 25..30, "ZCL-" => 25..30 },
        "% clay",
        "our own",
        "of grades with a qualifier: those of the handbook of 2009, and between two grades"
      ],
      "gap" => [
        28.0..40.0,
        "mm",
        "from memory",
        "the page leaves ribbons between these without a grade where they are not sandy"
      ],
      "light_under" => [
        22.0,
        "mm",
        "our own",
        "shorter ribbons of loam and silty loam are light, and their clay no longer holds"
      ]
    )
  end
end
