# frozen_string_literal: true

module Grittle
  module Tests
    # The bench's steps, and the path that each key takes through them. A test belongs to one step of a path; whatever
    # the path leaves out stands at the step More, so that every test can be made by every key.
    module Steps
      # `tests` in a step marked optional may be left unanswered. What is `noticed` on the way stands at More as well,
      # where it can be made by itself.
      ALL = [
        { id: "prepare", name: "Prepare", title: "Ready the sample",
          how:
            "Take a palmful. Pick out roots, twigs and everything over 2 mm: texture is about mineral grains up to " \
            "2 mm.",
          tests: %w[dry_clod moist_clod], noticed: %w[coarse_fragments_percent blind_spots], optional: true,
          cautions: %w[sampling dust] },
        {
          id: "moisten",
          name: "Moisten",
          title: "Wet it and knead",
          how: "Add water a little at a time and knead, until no crumb is left and the moisture is even.",
          tests: %w[mould_feel working_minutes],
          noticed: %w[water_uptake stiffens_while_worked stickiness],
          optional: true,
          cautions: []
        },
        { id: "ball", name: "Ball", title: "Squeeze a ball", how: Catalogue::TESTS["ball_holds"][:how],
          tests: %w[ball_holds moisture_rounds], noticed: %w[cast_strength toss], optional: false, cautions: [] },
        { id: "wire", name: "Wire", title: "Roll a wire", how: "Between the palms, without more water.",
          tests: %w[finest_wire_mm ring_forms], optional: false, cautions: [] },
        { id: "ribbon", name: "Ribbon", title: "Push ribbons", how: Catalogue::TESTS["ribbons"][:how],
          tests: %w[ribbons ribbon_forms], optional: false, cautions: [] },
        { id: "rub", name: "Rub", title: "Rub a pinch", how: Catalogue::TESTS["wet_rub"][:how],
          tests: %w[wet_rub grittiness], optional: false, cautions: %w[tasting] },
        { id: "sand", name: "Sand", title: "Narrow the sand", how: "Sand, and clay from the ribbon, decide together.",
          tests: %w[sand_estimate], optional: false, cautions: %w[tasting] },
        { id: "more", name: "More", title: "More tests",
          how:
            "Your key may do without these; other methods ask for them, and they tell clay's smoothness from silt's.",
          tests: [], optional: true, cautions: [] },
        { id: "assign", name: "Assign", title: "Assign the class", how: "The key proposes, you decide.",
          tests: [], optional: false, cautions: %w[results] }
      ].to_h { |step| [step[:id], { noticed: [], **step }.freeze] }.freeze

      USUAL = %w[prepare moisten ball ribbon rub more assign].freeze
      PATHS = {
        "sand_first" => %w[prepare moisten ball rub ribbon more assign],
        "rolling" => %w[prepare moisten ball wire rub ribbon more assign],
        "two_numbers" => %w[prepare moisten ball sand ribbon more assign],
        "length_alone" => %w[prepare moisten ball ribbon more assign]
      }.freeze
      # Tests of a step where a key rubs for something else.
      INSTEAD = { "rolling" => { "rub" => %w[floury_feel grittiness] } }.freeze

      # The order of the tests at More.
      MORE = %w[
        sand_estimate
        plasticity
        stickiness
        shine
        thumbprint
        toss
        cast_strength
        coherence
        shear_resistance
        wet_rub
        grittiness
        floury_feel
        feel_words
        grains_seen
        decanted_sand
        sand_grade
        ribbon_character
        rods
        finest_wire_mm
        ring_forms
        squeezed_surface
        finger_stain
        water_uptake
        stiffens_while_worked
        clay_estimate
        coarse_fragments_percent
        blind_spots
      ].freeze

      module_function

      # @param key [String] a key's ID
      # @return [Array<Hash>] the steps of its path in order, each with its tests
      def of(key)
        path = PATHS.fetch(key, USUAL)
        steps = path.map { |id| ALL[id].merge(tests: INSTEAD.dig(key, id) || ALL[id][:tests]) }
        taken = steps.flat_map { |step| step[:tests] }
        steps.map { |step| step[:id] == "more" ? step.merge(tests: MORE - taken) : step }
      end
    end
  end
end
