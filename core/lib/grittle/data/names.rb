# frozen_string_literal: true

module Grittle
  module Data
    NAMES = Figures.new(
      "What names stand for",
      "sandy_over" => [
        45,
        "% sand",
        "our own",
        "“sandy” in a field grade: where the sandy classes of the USDA triangle begin, so that a sandy grade lies " \
        "beside clay loam and not apart from it; was 50"
      ],
      "silty_from" => [25, "% silt", "from memory",
                       "“silty” in a field grade: Australian Soil and Land Survey Field Handbook, 3rd ed., 2009"],
      "about" => [3, "% clay", "our own", "what “about 5” and “about 25” reach to either side"],
      "light_loams" => [
        10..22,
        "% clay",
        "our own",
        "loams that are light by their ribbon, for which the table has no clay"
      ],
      "poor_under" => [
        10,
        "% clay",
        "published",
        "poor and rich in clay: FAO Guidelines for Soil Description, 4th ed., 2006, table 25"
      ],
      "overlap" => [0.5, "of the smaller region", "our own", "two names agree from so much overlap on"],
      "touching" => [2, "cells", "our own", "more than so many beside each other are a shared edge, not a corner"],
      "far" => [2, "classes", "common practice", "two readings so far apart are hardly of one soil"],
      "fragments" => [
        { 90 => nil, 60 => "extremely", 35 => "very", 15 => "" },
        "% by volume",
        "published",
        "coarse fragments from which a modifier is added: Soil Survey Manual, USDA Handbook 18, 2017, ch. 3"
      ],
      "heavy_clay_over" => [
        60,
        "% clay",
        "from memory",
        "clay and silty clay are heavy: Canadian System of Soil Classification, 3rd ed., 1998; FAO Guidelines for " \
        "Soil Description, 4th ed., 2006, fig. 4"
      ],
      "clay_loams_from" => [27, "% clay", "published", "the USDA's clay loams: Soil Survey Manual, 2017, ch. 3"],
      "clays_from" => [40, "% clay", "published", "the USDA's clays: same"],
      "third" => [1 / 3.0, "of its clay range", "common practice", "the lower of a class is light, the upper heavy"]
    )
  end
end
