# frozen_string_literal: true

module Grittle
  module Triangles
    # International, 13 classes; limits of the fractions 2 / 63 / 2000 µm.
    FAO_WRB =
      Triangle.new(
        id: "fao_wrb",
        name: "International (FAO / WRB)",
        silt_limit: 63,
        rules: HeavyClay.rules(USDA.rules),
        decide: HeavyClay.decide(USDA),
        classes: HeavyClay.classes,
        source: "FAO Guidelines for Soil Description, 4th ed., 2006, fig. 4 (not checked against the source)"
      )
  end
end
