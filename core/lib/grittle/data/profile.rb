# frozen_string_literal: true

module Grittle
  module Data
    PROFILE = Figures.new(
      "Down the profile",
      "increase_low_under" => [
        15,
        "% clay",
        "published",
        "clay-increase test: Keys to Soil Taxonomy; the Canadian System has the same"
      ],
      "increase_low_points" => [3, "% clay", "published", "more, where the upper has under 15 %: same"],
      "increase_ratio" => [1.2, "times", "published", "from 15 to 40 %: same"],
      "increase_high_points" => [8, "% clay", "published", "more, above 40 %: same"],
      "argic_low_under" => [10, "% clay", "from memory", "argic horizon: World Reference Base 2015"],
      "argic_low_points" => [4, "% clay", "from memory", "same"],
      "argic_ratio" => [1.4, "times", "from memory", "same"],
      "argic_high_points" => [20, "% clay", "from memory", "same"],
      "abrupt_under" => [20, "% clay", "from memory", "abrupt textural change: Keys to Soil Taxonomy"],
      "abrupt_ratio" => [2, "times", "from memory", "same"],
      "abrupt_points" => [20, "% clay", "from memory", "same"],
      "abrupt_within" => [
        7.5,
        "cm",
        "published",
        "over which the clay of an abrupt change is reached: Keys to Soil Taxonomy"
      ],
      "increase_within" => [
        30,
        "cm",
        "from memory",
        "within which the clay increase is reached: Keys to Soil Taxonomy"
      ],
      "least_odds" => [0.10, "share", "our own", "under which a test is not spoken of"],
      "met_odds" => [0.50, "share", "our own", "from which a test counts as met"],
      "hardly" => [3, "% clay", "our own", "a change by less is hardly one"],
      "same_hand" => [0.5, "correlation", "our own", "of two readings by one hand on one day"],
      "perches_from" => [2, "ranks", "common practice", "coarser to finer or back; how far is our own model"],
      "gravel_from" => [60, "% fragments", "our own", "extremely gravelly: water passes as through gravel"],
      "wet_value" => [
        4,
        "Munsell value",
        "from memory",
        "gley and depleted colours: Field Indicators of Hydric Soils, glossary"
      ],
      "wet_chroma" => [2, "Munsell chroma", "from memory", "same"],
      "pale_value" => [6, "Munsell value", "from memory", "depleted without mottles at chroma 2: same"],
      "grey_value" => [5, "Munsell value", "from memory", "depleted without mottles at chroma 1: same"],
      "grey_chroma" => [1, "Munsell chroma", "from memory", "same"],
      "form_contrast" => [
        1.5,
        "groups",
        "our own",
        "between surface soil and subsoil, from which a profile has a texture contrast; the " \
        "groups: Northcote 1979, A Factual Key (from memory)"
      ],
      "form_within" => [10, "cm", "our own", "over which that change lies"],
      "form_groups" => [{ "sands" => 10, "sandy loams" => 20, "loams" => 28, "clay loams" => 36, "light clays" => 45,
                          "medium to heavy clays" => 101 }, "% clay", "from memory",
                        "under which a group ends: Northcote 1979, A Factual Key"],
      "origin_more_clay" => [5, "% clay", "our own", "that count as more"],
      "origin_other_stones" => [15, "% fragments", "our own", "that count as another amount"],
      "origin_paler" => [1, "Munsell value", "our own", "by which a leached horizon is paler than the one below"],
      "question_finer" => [5, "% clay", "our own", "by which a C is finer than the B above it"],
      "question_outside" => [5, "% clay", "our own", "by which the clay written down lies outside the class"],
      "beside_clay" => [8, "% clay", "our own", "worth a word between two profiles"],
      "beside_colour" => [2, "Munsell value or chroma", "our own", "same"],
      "beside_stones" => [15, "% fragments", "our own", "same"],
      "beside_depth" => [10, "cm", "our own", "by which the same name, or wetness, begins elsewhere"],
      "crumb_provisional" => [96, "min", "our own", "a look within 20 % of two hours"],
      "crumb_final" => [960, "min", "our own", "a look within 20 % of twenty hours"]
    )
  end
end
