# frozen_string_literal: true

module Grittle
  # Numbers as data.
  module Data
    saxton = "Saxton & Rawls 2006, Soil Sci. Soc. Am. J. 70, table 1"
    manual = "Soil Survey Manual, USDA Handbook 18, 2017, ch. 3"
    tr55 = "TR-55, 1986, appendix A; of disturbed soils"

    # What follows from a texture: coefficients, and the limits of categories. A category is a name and the least value
    # that no longer belongs to it; the last has none.
    CONSEQUENCES = Figures.new(
      "What follows from a texture",
      # Coefficients of sand, clay (parts of 1), OM (% by weight), sand · OM, clay · OM, sand · clay, and the constant.
      "wilting_terms" => [[-0.024, 0.487, 0.006, 0.005, -0.013, 0.068, 0.031], "share of volume", "published", saxton],
      "wilting_bend" => [[0.0, 0.14, -0.02], "share of volume", "published", "added, by powers from 2 down: same"],
      "capacity_terms" => [[-0.251, 0.195, 0.011, 0.006, -0.027, 0.452, 0.299], "share of volume", "published", saxton],
      "capacity_bend" => [[1.283, -0.374, -0.015], "share of volume", "published", "same"],
      "drained_terms" => [[0.278, 0.034, 0.022, -0.018, -0.027, -0.584, 0.078], "share of volume", "published", saxton],
      "drained_bend" => [[0.0, 0.636, -0.107], "share of volume", "published", "same"],
      "saturation" => [[-0.097, 0.043], "share of volume", "published", "times sand, and added: same"],
      "least_wilting" => [0.01, "share of volume", "our own", "the equation falls under it in clean sand"],
      "ksat" => [1930, "mm/h", "published", "times the drained pores to the power 3 - lambda: same"],
      "tensions" => [[33, 1500], "kPa", "published", "field capacity and wilting point: same"],
      "least_drained" => [0.02, "share of volume", "our own", "less drains too little to reckon a Ksat"],
      "valid_clay" => [60, "% clay", "published", "over which the equations do not hold: same"],
      "valid_organic" => [8, "% organic matter", "published", "same"],
      "valid_fragments" => [0.6, "share of volume", "our own", "over which the fine earth no longer decides"],
      "packing" => [[0.9, 1.3], "times the density", "published", "loose to hard: same"],
      "packed_capacity" => [0.2, "of the pores lost", "published", "comes from field capacity: same"],
      "organic_by_depth" => [[[20, 2.5], [50, 1.0], [nil, 0.5]], "% organic matter above that depth in cm", "our own",
                             "where none was told"],
      "organic_per_carbon" => [1.724, "times organic carbon", "common practice", "van Bemmelen's factor"],
      "ksat_sd" => [0.7, "log10", "from memory", "usual error of such equations: Schaap et al. 2001"],
      "outside_said" => [0.05, "share", "our own", "outside what an equation holds for: said"],
      "outside_most" => [0.20, "share", "our own", "more, and no figure is shown"],
      "claims" => [{ "plain" => 0.9, "probably" => 0.7, "more likely than not" => 0.5 }, "share", "our own",
                   "from which a thing is said so"],
      "draws" => [4000, "draws", "our own", "of a sum over horizons"],
      "likely_classes" => [0.8, "share", "our own", "that the classes hold which one may be off by"],
      "available_water" => [{ "very low" => 5, "low" => 10, "medium" => 15, "high" => 20, "very high" => nil },
                            "mm in 10 cm", "from memory", "#{manual}, root zone, a fifteenth"],
      "profile_water" => [{ "very low" => 75, "low" => 150, "moderate" => 225, "high" => 300, "very high" => nil },
                          "mm to 150 cm", "from memory", manual],
      "ksat_classes" => [{ "very low" => 0.036, "low" => 0.36, "moderately low" => 3.6, "moderately high" => 36,
                           "high" => 360, "very high" => nil }, "mm/h", "from memory", manual],
      "clay_water" => [[12, 20], "mm in 10 cm", "from memory", "of clay over 60 %: FAO-56, 1998, table 19"],
      "leaching_mm" => [25, "mm", "our own", "drained, for the depth a solute sinks"],
      "leaching" => [{ "short" => 80, "middling" => 150, "far" => nil }, "mm", "our own", "piston flow"],
      "erodibility" => [{ "low" => 0.20, "moderate" => 0.40, "high" => nil }, "K, US units", "common practice",
                        "three even steps of what soils have"],
      "erodibility_si" => [0.1317, "SI a US unit", "published", "Foster et al. 1981"],
      "carbon" => [{ "degraded" => 1 / 13.0, "moderate" => 0.1, "good" => 1 / 8.0, "very good" => nil },
                   "organic carbon to clay", "from memory", "Prout et al. 2021"],
      "carbon_clay" => [5, "% clay", "our own", "under which the ratio says nothing"],
      "cec" => [{ "low" => [0.1, 1.0], "middle" => [0.5, 2.0], "high" => [0.8, 2.5] }, "cmol/kg a % of clay, of OM",
                "common practice", "from which clay and humus: the hand does not feel it"],
      "nutrients" => [{ "very low" => 6, "low" => 12, "moderate" => 25, "high" => 40, "very high" => nil },
                      "cmol/kg", "from memory", "Metson 1961"],
      "heat" => [[1.92, 4.18], "MJ/m³ K", "from memory", "of mineral soil and of water: de Vries 1963"],
      "spring" => [{ "quick" => 1.7, "medium" => 2.4, "slow" => nil }, "MJ/m³ K", "our own", "three steps"],
      "shrink_swell" => [{ "low" => 18, "possible" => 35, "likely, if it is swelling clay" => nil }, "% clay",
                         "our own", "cracks or the rod decide"],
      "working" => [{ "nearly always" => 10, "wide window" => 27, "narrow window" => 40, "very narrow window" => nil },
                    "% clay", "our own", "plastic limit first"],
      "frost" => [{ "SI" => "much", "SIL" => "much", "S" => "little", "LS" => "little", "SC" => "little",
                    "C" => "little" }, "heave", "common practice", "else some; only with water near"],
      "frost_else" => ["some", "heave", "common practice", "same"],
      "intake" => [
        { "over 30" => %w[S LS], "20 to 30" => %w[SL], "10 to 20" => %w[L SIL SI], "5 to 10" => %w[SCL CL SICL],
          "1 to 5" => %w[SC SIC C] },
        "mm/h", "from memory",
        "basic rate: FAO, Irrigation Water Management, Training Manual 5; onto twelve classes: our own"
      ],
      "hydrologic_group_tr55" => [
        { "A" => %w[S LS SL], "B" => %w[SIL L], "C" => %w[SCL], "D" => %w[CL SICL SC SIC C] },
        "group", "published", "#{tr55}; silt is not in its list"
      ],
      "left" => [{ "dry" => 0.0, "moist" => 0.5, "wet" => 1.0 }, "share of the available water", "our own",
                 "that is still there"],
      "fao_adjust" => [[0.04, 5.0, 0.1, 0.8], "share a mm, mm, shares", "from memory",
                       "share allowed + 0.04 (5 - daily use), held between: FAO-56, 1998, table 22"],
      "impermeable" => [[50, 100], "cm", "from memory", "depths that matter: NEH 630, ch. 7, 2009, table 7-1"],
      "high_water" => [[60, 100], "cm", "from memory", "same"],
      "group_upper" => [{ "A" => 40, "B" => 10, "C" => 1 }, "µm/s", "from memory",
                        "over which, of the least Ksat to 50 cm (60 where water is higher): same"],
      "group_deep" => [{ "A" => 10, "B" => 4, "C" => 0.4 }, "µm/s", "from memory", "of the least Ksat to 100 cm: same"],
      "soil_kg_m3" => [1300, "kg/m³", "common practice", "of topsoil"],
      "slow_part" => [0.1, "of the layer above", "our own", "under which a layer slows water"],
      "slow_mm_h" => [3.6, "mm/h", "our own", "same"],
      "acid_hinders" => [[5, 9], "pH", "common practice", "under and over which roots are hindered"],
      "table_from" => [0.1, "of the estimate", "our own", "that a class needs for a row of an assessor's table"],
      "soil_category" => [{ 1 => %w[S LS], 2 => %w[SL], 3 => %w[L SIL SI], 4 => %w[SCL CL SICL] }, "classes, USDA",
                          "our own", "categories of AS/NZS 1547:2012 (from memory) put onto classes; clays: 5, 6"],
      "category_light_clay_to" => [45, "% clay", "from memory", "where light clays end: Northcote 1979"]
    )
  end
end
