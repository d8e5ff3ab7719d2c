# frozen_string_literal: true

module Grittle
  module Consequences
    # What clay and humus hold, and what changing them would take.
    module Store
      PER_CARBON = FIGURES["organic_per_carbon"]
      CEC = FIGURES["cec"]
      LEAST_CLAY = FIGURES["carbon_clay"]
      SOIL_KG_M3 = FIGURES["soil_kg_m3"]
      PERCENT = 100.0

      module_function

      # @param clay, organic_matter [Numeric] percent
      # @param of [String] "low", "middle" or "high": how active the clay is, which the hand does not feel
      # @return [Float] cmol/kg
      def cec(clay, organic_matter, of: "middle")
        a_clay, a_humus = CEC.fetch(of)
        (a_clay * clay) + (a_humus * organic_matter)
      end

      # @return [Float, nil] organic carbon to clay; nil where there is too little clay for it
      def carbon_to_clay(clay, organic_matter) = (organic_matter / PER_CARBON / clay if clay >= LEAST_CLAY)

      # [physics]
      # @param depth_m [Numeric]
      # @return [Float] kg/m² of sand that thin clay from one percentage to another
      def sand_kg_m2(clay_from, clay_to, depth_m) = SOIL_KG_M3 * depth_m * ((clay_from / clay_to.to_f) - 1)

      # [physics]
      # @return [Float] kg/m² of dry organic matter, staying, for so many points more
      def organic_kg_m2(points, depth_m) = SOIL_KG_M3 / PERCENT * points * depth_m
    end
  end
end
