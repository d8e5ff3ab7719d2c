# frozen_string_literal: true

module Grittle
  module Tests
    # Every observation a hand can make, by its name on the wire, with the kind of value it takes. States stand in
    # their natural order, least first. The one list for the command line, the API, the database and the exports.
    #
    #   states:  one of these words              flag:    true or false
    #   count:   a whole number from 0           number:  from..to, in the unit named
    #   words:   a list of these words           parts:   an object of such values
    module Vocabulary
      CLOD = %w[loose soft firm hard very_hard].freeze
      DEGREE = %w[non slightly moderately very].freeze # of stickiness and plasticity
      PERCENT = { kind: :number, range: 0..100, unit: "%" }.freeze
      FLAG = { kind: :flag }.freeze

      def self.states(*words) = { kind: :states, states: words.flatten.freeze }.freeze
      private_class_method :states

      ALL = {
        "moist_clod" => states(CLOD),
        "dry_clod" => states(CLOD),
        "water_uptake" => states(%w[soaks_in slow keeps_taking repels]),
        "moisture_rounds" => { kind: :count }.freeze,
        "mould_feel" => states(%w[crumbly soft doughy stiff]),
        "stiffens_while_worked" => FLAG,
        "working_minutes" => { kind: :number, range: 0..120, unit: "min" }.freeze,
        "coherence" => states(%w[none very_slight slight coherent strongly_coherent]),
        "ball_holds" => FLAG,
        "toss" => states(%w[breaks cracks holds]),
        "cast_strength" => states(%w[none very_weak weak moderate strong very_strong]),
        "ribbon_forms" => FLAG,
        "ribbons" => { kind: :ribbons }.freeze,
        "ribbon_character" => states(%w[none stub flakes short_thick thin very_thin]),
        "wet_rub" => states(%w[very_gritty very_smooth neither]),
        "grittiness" => states(%w[none slight moderate very extreme]),
        "grains_seen" => states(%w[none some many]),
        "sand_grade" => states(%w[coarse medium fine very_fine]),
        "sand_estimate" => { kind: :parts, required: %w[percent],
                             parts: { "percent" => PERCENT,
                                      "half_width" => { kind: :number, range: 0..50, unit: "%" }.freeze } }.freeze,
        "decanted_sand" => states(%w[none trace some most]),
        "floury_feel" => states(%w[none some strong]),
        "feel_words" => { kind: :words,
                          states: %w[spongy greasy silky soapy smooth like_modelling_clay].freeze }.freeze,
        "stickiness" => states(DEGREE),
        "finger_stain" => states(%w[clean grains_stick stained]),
        "plasticity" => states(DEGREE),
        "finest_wire_mm" => states(%w[none 7 3]),
        "ring_forms" => FLAG,
        "rods" => states(%w[cannot fracture without_fracture]),
        "squeezed_surface" => states(%w[rough_torn smooth_dull moderately_shiny shiny]),
        "shine" => states(%w[none slight moderate strong]),
        "thumbprint" => FLAG,
        "shear_resistance" => states(%w[none slight moderate firm very_firm]),
        "clay_estimate" => { kind: :parts, required: %w[percent], parts: { "percent" => PERCENT } }.freeze,
        "coarse_fragments_percent" => PERCENT,
        "blind_spots" => { kind: :words,
                           states: %w[organic calcareous sodic micaceous volcanic_ash subplastic stones_left_in
                                      moisture_doubtful].freeze }.freeze
      }.freeze
    end
  end
end
