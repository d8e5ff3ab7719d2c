# frozen_string_literal: true

module Grittle
  module Compute
    C = Consequences

    # What calculations read of a soil: its composition, what was felt of it, its layers.
    module Soils
      FIGURES_LEFT = C::FIGURES["left"]

      def composition(given)
        sand = given.number("sand", range: 0..100)
        clay = given.number("clay", range: 0..100)
        given.refuse("sand and clay add up to more than 100.") if sand + clay > 100
        [sand, clay]
      end

      def soil(given, fragments: given.number("fragments_percent", 0) / 100.0)
        C::SoilWater.new(
          *composition(given),
          organic_matter: organic(given),
          fragments: fragments,
          density_factor: given.number("density_factor", 1.0, range: 0.5..2.0)
        )
      end

      def organic(given, name = "organic_matter") = given.number(name, 2.5, range: 0..100)

      # @return [Consequences::HorizonFigures]
      def horizon(given)
        C::HorizonFigures.new(
          estimate(given, "observations"),
          assigned: assigned(given),
          organic_matter: organic(given),
          fragments: given.number("fragments_percent", 0) / 100.0
        )
      end

      def estimate(given, name) = Grittle.assess(given.object(name), evidence: "none").estimate

      def assigned(given)
        given["assigned"] && NamedClass.new(system: "usda", code: given.word("assigned", C::CODES))
      end

      def layers(given)
        given.objects("layers").map do |layer|
          soil = soil(layer)
          layer.refuse(soil.problem) if soil.problem
          C::WaterLayer.new(mm: layer.number("mm"), per_mm: soil.available_mm / 100, left: left(layer))
        end
      end

      # A share, or how moist it is.
      def left(layer)
        return FIGURES_LEFT.fetch(layer.word("left", FIGURES_LEFT.keys)) if layer["left"].is_a?(String)

        layer.number("left", 0.0, range: 0..1)
      end
    end
  end
end
