# frozen_string_literal: true

module Grittle
  module Compute
    # What follows from the texture of one soil, or of several one by one. Each method is a calculation of ALL,
    # or a part of one: what goes in and comes out stands there.
    module OfTexture
      include Soils
      extend self # rubocop:disable Style/ModuleFunction -- what it includes comes with it

      def water(given)
        soil = soil(given)
        names = %w[available_water_mm_per_10cm wilting_point field_capacity saturation ksat_mm_h ksat_class]
        return { **nothing(*names), "says" => soil.problem } if soil.problem

        ksat = soil.ksat_mm_h
        found = [soil.available_mm, soil.wilting_point, soil.field_capacity, soil.saturation, ksat,
                 (C["ksat"].category(ksat) if ksat)]
        names.zip(found).to_h.merge("says" => soil.ksat_problem)
      end

      def fragments(given)
        soil = soil(given, fragments: 0)
        weight = given.number("fragments_weight_percent") / 100.0
        { "fragments_volume_percent" => 100 * soil.fragments_by_volume(weight) }
      end

      def organic_matter(given)
        before, after = %w[from to].map do |name|
          C::SoilWater.new(*composition(given), organic_matter: given.number(name, range: 0..100))
        end
        problem = before.problem || after.problem
        { "change_mm_per_10cm" => (after.available_mm - before.available_mm unless problem), "says" => problem }
      end

      def available_water(given)
        found = horizon(given).spread(C["available_water"])
        points(found).merge("mean" => (found.mean if found.shown?), "share_outside" => found.outside,
                            "figure_shown" => found.shown?, "says" => (C::SoilWater::HEAVY unless found.shown?))
      end

      def points(found, shown: found.shown?)
        %w[p10 p50 p90].to_h { |name| [name, (found.public_send(name) if shown)] }
      end

      def ksat(given)
        found = horizon(given).ksat
        return { **nothing("p10", "p50", "p90", *over.values), "says" => C::SoilWater::STONY } unless found

        points(found, shown: true).merge(over.to_h { |rate, name| [name, found.over(rate)] })
      end

      def over = { 3.6 => "probability_over_3_6", 36 => "probability_over_36" }

      def nothing(*names) = names.to_h { |name| [name, nil] }

      def one_class_off(given)
        consequence = C[given.word("consequence", C::ALL.keys)]
        C::HorizonFigures.new(estimate(given, "observations"), organic_matter: organic(given))
                         .one_class_off(consequence).to_h
      end

      def erodibility(given)
        k = given.key?("silt_and_very_fine_sand") ? nomograph(given) : epic(given)
        { "k_us" => k, "k_si" => k * C::Erodibility::SI, "category" => C["erodibility"].category(k) }
      end

      def epic(given)
        sand, clay = composition(given)
        C::Erodibility.k(sand, 100 - sand - clay, clay, organic_matter: organic(given))
      end

      def nomograph(given)
        C::Erodibility.nomograph(
          given.number("silt_and_very_fine_sand", range: 0..100),
          given.number("clay", range: 0..100),
          organic_matter: organic(given),
          structure: given.number("structure", range: 1..4),
          permeability: given.number("permeability", range: 1..6)
        )
      end

      def nutrients(given)
        sand, clay = composition(given)
        organic = organic(given)
        soil = C::SoilWater.new(sand, clay, organic_matter: organic)
        low, middle, high = %w[low middle high].map { |of| C::Store.cec(clay, organic, of: of) }
        carbon = C::Store.carbon_to_clay(clay, organic)
        { "cec_low" => low, "cec" => middle, "cec_high" => high, "cec_category" => C["nutrients"].category(middle),
          "heat_mj_m3_k" => (soil.heat unless soil.problem), "carbon_class" => carbon && C["carbon"].category(carbon),
          "leaching_mm" => (soil.leaching_mm unless soil.problem), "says" => soil.problem }
      end

      def remedy(given)
        from = given.number("clay_from", nil, range: 0..100)
        to = given.number("clay_to", nil, range: 1..100)
        points = given.number("organic_matter_points", nil, range: 0..100)
        depth = given.number("depth_m", range: 0..10)
        given.refuse("Sand thins clay: clay_to must be less than clay_from.") if from && to && to > from
        { "sand_kg_m2" => (C::Store.sand_kg_m2(from, to, depth) if from && to),
          "organic_kg_m2" => (C::Store.organic_kg_m2(points, depth) if points) }
      end

      def profile_water(given)
        limit = given.number("root_limit_cm", 10_000)
        parts = given.objects("horizons").map { |one| part(one, limit) }
        whole = C::ProfileWater.new(parts.map(&:first), same_hand: given.flag("same_hand_and_day") || false)
        found = whole.over(parts.map(&:last))
        %w[mean p10 p50 p90].to_h { |name| [name, found.public_send(name)] }
      end

      def part(given, limit)
        upper = given.number("upper_cm")
        lower = given.number("lower_cm")
        given.refuse("#{upper} to #{lower} cm runs upwards.") unless upper < lower
        organic = given.number("organic_matter", C.assumed_organic_matter(upper, lower), range: 0..100)
        whole = estimate(given, "observations")
        named = assigned(given)
        fine = 1 - (given.number("fragments_percent", 0) / 100.0)
        [
          C::WaterPart.new(
            named ? whole.given(named).shares : whole.shares,
            C::Cells.figure(:available_water, organic_matter: organic)
          ),
          [[lower, limit].min - upper, 0].max / 10.0 * fine
        ]
      end
    end
  end
end
