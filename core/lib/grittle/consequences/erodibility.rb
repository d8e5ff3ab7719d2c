# frozen_string_literal: true

module Grittle
  module Consequences
    # How easily rain carries the soil away, of the soil alone: not of slope or cover. K in US units.
    module Erodibility
      SI = FIGURES["erodibility_si"]
      # Percent by weight that the nomograph reaches to.
      MOST_ORGANIC = 4
      MOST_FINE = 70

      module_function

      # [from memory: EPIC, Sharpley & Williams 1990]
      # @param sand, silt, clay [Numeric] percent
      # @param organic_matter [Numeric] percent by weight
      # @return [Float] K, US units
      def k(sand, silt, clay, organic_matter: 2.5)
        return 0.0 if sand >= 100

        carbon = organic_matter / FIGURES["organic_per_carbon"]
        fine = 1 - (sand / 100.0)
        (0.2 + (0.3 * Math.exp(-0.0256 * sand * (1 - (silt / 100.0))))) *
          ((silt / (clay + silt).to_f)**0.3) *
          (1 - (0.25 * carbon / (carbon + Math.exp(3.72 - (2.95 * carbon))))) *
          (1 - (0.7 * fine / (fine + Math.exp(-5.51 + (22.9 * fine)))))
      end

      # Where structure and permeability are known. [from memory: Wischmeier & Smith 1978]
      # @param fine [Numeric] silt and very fine sand, percent, held at 70
      # @param clay [Numeric] percent
      # @param organic_matter [Numeric] percent by weight, held at 4
      # @param structure [Integer] 1 very fine granular, 2 fine granular, 3 coarser granular, 4 blocky, platy or massive
      # @param permeability [Integer] 1 rapid to 6 very slow
      # @return [Float] K, US units
      def nomograph(fine, clay, organic_matter:, structure:, permeability:)
        grains = ([fine, MOST_FINE].min * (100 - clay))**1.14
        ((2.1e-4 * grains * (12 - [organic_matter, MOST_ORGANIC].min)) + (3.25 * (structure - 2)) +
          (2.5 * (permeability - 3))) / 100
      end
    end
  end
end
