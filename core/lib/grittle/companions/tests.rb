# frozen_string_literal: true

module Grittle
  # Companion tests: what their looks come to.
  module Companions
    # What there is to know of a test before it is begun. +setup+ is written down once a place, +look+ at every look,
    # +further+ once there is reason to. [common practice, but where the test's own class says otherwise]
    Test = Struct.new(:name, :title, :noun, :place_class, :sample_kind, :fewest, :at_depth, :steps, :leave, :setup,
                      :look, :further, :started_by, keyword_init: true) do
      # @return [Integer] places on one sheet. [our own: as many as one person can look at in time]
      def most = 24

      # @return [Hash{String=>Entry::Field}]
      def fields = Profiles::Findings.fields(name)

      # @return [Array<String>] fields that say what spoils a reading
      def spoils = place_class::BAD.keys

      # @return [Array<String>] names of the cautions at its steps
      def cautions = steps.filter_map(&:last).uniq
    end

    HOLES_LEFT = "Before you leave: cover and mark the holes."
    ACID_LEFT = "Before you leave: the acid closed and upright, the plate rinsed."
    UNMOVED = "Before you leave: nobody may move it."

    # A step is what to do, and the caution that it is done with.
    TESTS = {
      "jar" => {
        title: "Jar settling", noun: "jar", place_class: Jar, sample_kind: "palmful", leave: UNMOVED,
        setup: %w[water_mm temperature_c dispersant], look: %w[sand_mm silt_mm clay_mm cloudy],
        started_by: "Shaken: start",
        steps: [
          ["Take a straight, clear plastic jar and fill a third of it with crushed soil under 2 mm.", "plastic"],
          ["Add water to 3 cm under the rim and a teaspoon of dispersant a litre; soak it overnight.", "dispersant"],
          ["Shake it for 5 minutes, stand it level out of the sun, and start the clock. Never move it again.", nil],
          ["Mark where the sand ends, then the silt, each at its time; the clay after a day and two.", nil]
        ]
      },
      "percolation" => {
        title: "Percolation", noun: "hole", place_class: Hole, sample_kind: "hole", fewest: FIGURES["holes"],
        leave: HOLES_LEFT, setup: %w[radius_mm soak gravel temperature_c from_mm], look: %w[water_mm refilled],
        started_by: "Soaking: start",
        steps: [
          ["Dig or auger three holes or more, 100 to 300 mm wide, down to the layer that is asked about.", "services"],
          ["Scratch the walls, take the loose soil out, and lay 50 mm of gravel on the bottom.", "effluent"],
          ["Fill 300 mm of water in and keep it there for 4 hours or overnight; in sand one filling will do.", nil],
          ["Fill to 150 mm over the gravel, read after 30 minutes, fill up again, for 4 hours; every 10 minutes for " \
           "an hour where it is gone within 30.", nil],
          ["Whenever you leave them, cover and mark the holes.", "holes"]
        ]
      },
      "crumb" => {
        title: "Crumb in still water", noun: "crumb", place_class: Crumb, sample_kind: "crumb", leave: UNMOVED,
        setup: %w[water air_dry size_mm remoulded], look: %w[slaking dispersion],
        further: %w[swells remoulded_disperses carbonate_or_gypsum suspension poured_on], started_by: "Laid in: start",
        steps: [
          ["Take an air-dry crumb of 5 to 10 mm from each depth.", nil],
          ["Lay each into still rain or distilled water, never pour water on it, and start the clock.", nil],
          ["Do not touch the dish. Look after 5 and 10 minutes, 2 and 20 hours: does it slake, is the water milky?",
           nil],
          ["Where it slaked and stayed clear: remould wet soil of that depth to a 5 mm ball, and lay it in beside.",
           nil]
        ]
      },
      "ph" => {
        title: "pH by colour kit", noun: "depth", place_class: PhAtDepth, sample_kind: "crumb", leave: ACID_LEFT,
        setup: %w[step kit_minutes], look: %w[value upper], started_by: "Dusted: start",
        steps: [
          ["Lay a crumb from each depth on the white plate. One kit, distilled water.", "reagent"],
          ["Wet the crumbs with the drops, mix, dust them, and start the clock.", nil],
          ["Hold the card beside the powder after the kit's time, in daylight, without sunglasses.", nil]
        ]
      },
      "fizz" => {
        title: "Effervescence (HCl)", noun: "depth", place_class: FizzAtDepth, sample_kind: "crumb", leave: ACID_LEFT,
        setup: %w[acid_tried], look: %w[effervescence], further: %w[specks only_crushed], started_by: "Dropped: start",
        steps: [
          ["Try the acid on a piece of lime first.", "acid"],
          ["One drop on a crumb from each depth, and one on pale specks; look and listen for a minute.", nil],
          ["Where it is slow, crush the crumb and try again: dolomite. Close the bottle.", nil]
        ]
      },
      "probe" => {
        title: "Penetration resistance", noun: "depth", place_class: ProbeAtDepth, sample_kind: "spot",
        leave: HOLES_LEFT, look: %w[mpa], started_by: "Start",
        steps: [
          ["The ground must be moist: a day or two after rain.", "services"],
          ["Push the cone in steadily and read it every 5 to 10 cm; five pushes at a spot, a hand apart.", nil],
          ["At a stone stop, and push again 30 cm aside.", nil]
        ]
      },
      "rod" => {
        title: "Rod shrinkage", noun: "rod", place_class: RodAtDepth, sample_kind: "palmful", setup: %w[wet_mm],
        look: %w[dry_mm], started_by: "Laid out: start",
        steps: [
          ["Wet the soil to a sticky paste and roll a smooth rod of about 10 cm.", nil],
          ["Measure it, lay it on an oiled tray, and let it dry in the air.", nil],
          ["Measure it again after two days, when it is dry right through.", nil]
        ]
      },
      "columns" => {
        title: "Layered columns", noun: "tube", place_class: Column, sample_kind: "column", fewest: 2, at_depth: false,
        leave: UNMOVED, setup: %w[water_ml boundary_mm], look: %w[front_mm pond_mm], started_by: "Poured: start",
        steps: [
          ["Take equal plastic tubes: one for each layer alone, and one with the layers stacked.", "plastic"],
          ["Fill them loosely and tap each alike; cover the soil with a piece of cloth.", "dust"],
          ["Pour the same water on each at once and start the clock.", nil],
          ["Mark how deep it is wet after 1, 2, 5, 10, 30 and 60 minutes, and whether water stands on it.", nil]
        ]
      }
    }.to_h do |name, facts|
      [name, Test.new(name: name, fewest: 1, at_depth: true, setup: [], further: [], **facts).freeze]
    end.freeze
  end
end
