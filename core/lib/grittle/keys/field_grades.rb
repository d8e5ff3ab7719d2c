# frozen_string_literal: true

module Grittle
  module Keys
    # Field texture grades, to Australian names: a grade of behaviour, not a region of a triangle.
    # [from memory: Northcote 1979, A Factual Key; National Committee on Soil and Terrain 2009, Australian Soil and Land
    # Survey Field Handbook, 3rd ed. The states next to a fitting one are Grittle's own model.]
    class FieldGrades < TableKey
      ID = "field_grades"
      NAME = "Field texture grades"
      SYSTEM = "australia"
      SOURCE = "Northcote 1979, A Factual Key; Australian Soil and Land Survey Field Handbook, 3rd ed., 2009 (from memory)"
      # Ribbon 2-3 mm thick (and 10 mm wide), bolus worked 1-2 min [from memory: same].
      THICKNESS_MM = (2..3)
      WIDTH_MM = 10
      WORKING_MINUTES = (1..2)
      # mm: where the printed ribbon ranges begin, as a ruler shows them [from memory: same].
      TIERS = Tiers.new(["sand", "clayey sand", "sandy loam", "loam", "clay loam", "light clay", "heavier clay"],
                        [5.0, 15.0, 25.0, 40.0, 50.0, 75.0].map { |mm| Limit.new(mm: mm, belongs_to: :upper) })

      CURVE = "field_grades"
      NO_BALL = "S"
      BALL_TEST = "coherence"
      FIRST = ["coherence"].freeze
      FEEL = %w[grittiness grains_seen wet_rub floury_feel feel_words].freeze
      SPLITTING = %w[grittiness wet_rub floury_feel plasticity shear_resistance coherence rods grains_seen finger_stain
                     stickiness].freeze
      TESTS = %w[coherence grittiness grains_seen wet_rub floury_feel feel_words stickiness finger_stain plasticity
                 rods shear_resistance].freeze
      ASKS = ["ball_holds", "moisture_rounds", "ribbon_forms", "ribbons", *SPLITTING].uniq.freeze
      BY_RESISTANCE = %w[LC LMC MC MHC HC].freeze

      # Code => name, and the clay percent written beside it [from memory: same handbook]. SC and ZC stand in the older
      # list; the handbook of 2009 has the qualified light clays instead.
      GRADES = {
        "S" => ["sand", 0..5], "LS" => ["loamy sand", 5..5], "CS" => ["clayey sand", 5..10], "SL" => ["sandy loam", 10..20],
        "L" => ["loam", 25..25], "ZL" => ["silty loam", 25..25], "SCL" => ["sandy clay loam", 20..30],
        "CL" => ["clay loam", 30..35], "CLS" => ["clay loam, sandy", 30..35], "ZCL" => ["silty clay loam", 30..35],
        "SC" => ["sandy clay", 35..40], "ZC" => ["silty clay", 35..40], "LC" => ["light clay", 35..40],
        "LMC" => ["light medium clay", 40..45], "MC" => ["medium clay", 45..55], "MHC" => ["medium heavy clay", 50..100],
        "HC" => ["heavy clay", 50..100], "LCS" => ["light clay, sandy", 35..40], "LCZ" => ["light clay, silty", 35..40],
        "L+" => ["heavy loam", 25..30], "CL-" => ["light clay loam", 25..30], "ZL+" => ["heavy silty loam", 25..30],
        "ZCL-" => ["light silty clay loam", 25..30], "L-" => ["light loam", nil], "ZL-" => ["light silty loam", nil]
      }.freeze
      NEWER = { "SC" => "LCS", "ZC" => "LCZ" }.freeze

      # mm: the printed table leaves ribbons between these without a grade where they are not sandy.
      GAP_MM = (28.0..40.0)
      GAP = { %w[L CL] => %w[L+ CL-], %w[ZL ZCL] => %w[ZL+ ZCL-] }.freeze
      QUALIFIED = GAP.flat_map { |pair, names| pair.zip(names) }.to_h.freeze
      # mm: shorter ribbons of loam and silty loam are light, and the clay beside the grade no longer holds.
      LIGHT_UNDER_MM = 22.0
      LIGHT = { "L" => "L-", "ZL" => "ZL-" }.freeze

      # Grades whose name says sandy, and what it takes to feel that it is: a sandy grade needs sand that was felt. [our own model]
      SANDY = %w[S LS CS SL SCL CLS SC].freeze
      SAND_FELT = { "grittiness" => %w[moderate very extreme], "grains_seen" => %w[some many], "wet_rub" => %w[very_gritty] }.freeze

      # ribbon (mm) and answers: those that fit, and those next to.
      CLASSES = {
        "S" => {
          "ribbons" => %w[0-2 2-6], "coherence" => ["none very_slight", "slight"],
          "grittiness" => %w[extreme very], "grains_seen" => %w[many some],
          "wet_rub" => %w[very_gritty neither], "finger_stain" => ["grains_stick", "clean stained"]
        },
        "LS" => {
          "ribbons" => ["2-8", "0-2; 8-12"], "coherence" => ["slight", "very_slight coherent"],
          "grittiness" => ["very extreme", "moderate"], "grains_seen" => %w[many some],
          "wet_rub" => %w[very_gritty neither]
        },
        "CS" => {
          "ribbons" => ["5-15", "1-5; 15-19"], "coherence" => ["slight", "very_slight coherent"],
          "grittiness" => ["very extreme", "moderate"], "grains_seen" => %w[many some],
          "wet_rub" => %w[very_gritty neither], "stickiness" => ["slightly moderately", "non very"],
          "finger_stain" => %w[stained grains_stick]
        },
        "SL" => {
          "ribbons" => ["15-25", "11-15; 25-30"], "coherence" => ["coherent", "slight strongly_coherent"],
          "grittiness" => ["very extreme", "moderate"], "grains_seen" => %w[many some],
          "wet_rub" => %w[very_gritty neither]
        },
        "L" => {
          "ribbons" => ["22-28", "5-22; 28-40"], "coherence" => ["coherent", "slight strongly_coherent"],
          "grittiness" => ["none slight", "moderate"], "grains_seen" => %w[none some],
          "wet_rub" => ["neither", "very_gritty very_smooth"], "floury_feel" => ["none some", "strong"],
          "feel_words" => ["spongy greasy smooth", "soapy"]
        },
        "ZL" => {
          "ribbons" => ["22-28", "5-22; 28-40"], "coherence" => ["coherent", "slight strongly_coherent"],
          "grittiness" => ["none slight", "moderate"], "grains_seen" => %w[none some],
          "wet_rub" => %w[very_smooth neither], "floury_feel" => %w[strong some],
          "feel_words" => ["silky smooth soapy", "greasy"]
        },
        "SCL" => {
          "ribbons" => ["25-40", "20-25; 40-48"], "coherence" => %w[strongly_coherent coherent],
          "grittiness" => ["moderate very", "slight extreme"], "grains_seen" => ["some many", "none"],
          "wet_rub" => %w[very_gritty neither]
        },
        "CL" => {
          "ribbons" => ["40-50", "28-40; 50-60"], "coherence" => ["coherent strongly_coherent", "slight"],
          "grittiness" => ["none slight", "moderate"], "grains_seen" => %w[none some],
          "wet_rub" => ["neither", "very_gritty very_smooth"], "floury_feel" => ["none some", "strong"],
          "feel_words" => ["smooth", "silky soapy like_modelling_clay"],
          "plasticity" => ["moderately very", "slightly"]
        },
        "CLS" => {
          "ribbons" => ["40-50", "32-40; 50-60"], "coherence" => ["coherent strongly_coherent", "slight"],
          "grittiness" => ["moderate very", "slight extreme"], "grains_seen" => ["some many", "none"],
          "wet_rub" => ["very_gritty neither", "very_smooth"], "plasticity" => ["moderately very", "slightly"]
        },
        "ZCL" => {
          "ribbons" => ["40-50", "28-40; 50-60"], "coherence" => ["coherent strongly_coherent", "slight"],
          "grittiness" => ["none slight", "moderate"], "grains_seen" => %w[none some],
          "wet_rub" => %w[very_smooth neither], "floury_feel" => ["some strong", "none"],
          "feel_words" => ["silky smooth soapy", "like_modelling_clay"],
          "plasticity" => ["moderately very", "slightly"]
        },
        "SC" => {
          "ribbons" => ["50-75", "40-50; 75-90"], "coherence" => ["coherent strongly_coherent", "slight"],
          "grittiness" => ["moderate very", "slight extreme"], "grains_seen" => ["some many", "none"],
          "wet_rub" => ["very_gritty neither", "very_smooth"], "plasticity" => %w[very moderately]
        },
        "ZC" => {
          "ribbons" => ["50-75", "40-50; 75-90"], "coherence" => ["coherent strongly_coherent", "slight"],
          "grittiness" => ["none slight", "moderate"], "grains_seen" => %w[none some],
          "wet_rub" => %w[very_smooth neither], "floury_feel" => ["some strong", "none"],
          "feel_words" => ["silky smooth soapy", "like_modelling_clay"], "plasticity" => %w[very moderately]
        },
        "LC" => {
          "ribbons" => ["50-75", "40-50; 75-90"], "coherence" => ["coherent strongly_coherent", "slight"],
          "grittiness" => ["none slight", "moderate"], "grains_seen" => %w[none some],
          "wet_rub" => ["neither", "very_gritty very_smooth"], "floury_feel" => ["none some", "strong"],
          "feel_words" => ["smooth", "silky soapy like_modelling_clay"], "plasticity" => %w[very moderately],
          "shear_resistance" => ["slight", "none moderate"]
        },
        "LMC" => {
          "ribbons" => ["70-80", "56-70; 80-96"], "coherence" => ["coherent strongly_coherent", "slight"],
          "grittiness" => ["none slight", "moderate"], "grains_seen" => %w[none some],
          "wet_rub" => ["neither", "very_gritty very_smooth"], "floury_feel" => ["none some", "strong"],
          "feel_words" => ["smooth", "silky soapy like_modelling_clay"], "plasticity" => %w[very moderately],
          "shear_resistance" => ["slight moderate", "none firm"]
        },
        "MC" => {
          "ribbons" => [">= 75", "60-75"], "coherence" => ["coherent strongly_coherent", "slight"],
          "grittiness" => ["none slight", "moderate"], "grains_seen" => %w[none some],
          "wet_rub" => ["neither", "very_gritty very_smooth"], "floury_feel" => ["none some", "strong"],
          "feel_words" => ["smooth like_modelling_clay", "soapy"], "plasticity" => %w[very moderately],
          "rods" => %w[without_fracture fracture], "shear_resistance" => ["moderate", "slight firm"]
        },
        "MHC" => {
          "ribbons" => [">= 75", "60-75"], "coherence" => ["coherent strongly_coherent", "slight"],
          "grittiness" => ["none slight", "moderate"], "grains_seen" => %w[none some],
          "wet_rub" => ["neither", "very_gritty very_smooth"], "floury_feel" => ["none some", "strong"],
          "feel_words" => ["smooth like_modelling_clay", "soapy"], "plasticity" => %w[very moderately],
          "rods" => %w[without_fracture fracture], "shear_resistance" => ["moderate firm", "very_firm"]
        },
        "HC" => {
          "ribbons" => [">= 75", "60-75"], "coherence" => ["coherent strongly_coherent", "slight"],
          "grittiness" => ["none slight", "moderate"], "grains_seen" => %w[none some],
          "wet_rub" => ["neither", "very_gritty very_smooth"], "floury_feel" => ["none some", "strong"],
          "feel_words" => ["smooth like_modelling_clay", "soapy"], "plasticity" => %w[very moderately],
          "rods" => %w[without_fracture fracture], "shear_resistance" => ["firm very_firm", "moderate"]
        }
      }.transform_values { |row| row.transform_values { |cell| Cell.new(*cell) }.freeze }.freeze

      # @param older_list [Boolean] whether sandy clay and silty clay are shown as such
      def initialize(observations, older_list: false, **options)
        super(observations, **options)
        @older_list = older_list
      end

      # @return [Array<String>] what a person may assign by this key
      def self.codes(_system = SYSTEM) = GRADES.keys

      private

      # Without sand that was felt no sandy grade is named, unless no other has a ribbon so short. Until anything was felt of the
      # grains all stay open.
      def candidates
        return page if length_mm.nil? || feel_question || SAND_FELT.any? { |test, states| states.include?(observations[test]) }

        others = page - SANDY
        others.all? { |code| ribbon_fit(code).zero? } ? page : others
      end

      def named
        gap? ? gap_pair : super
      end

      def gap?
        length_mm > GAP_MM.begin && length_mm < GAP_MM.end && GAP.keys.flatten.include?(rank(standing).first)
      end

      # Silty only where the silty pair scores higher.
      def gap_pair = GAP.keys.max_by.with_index { |pair, index| [pair.sum { |code| score(code) }.round(9), -index] }

      def final = gap? ? gap_pair : super

      def shown(weighted)
        in_gap = gap?
        weighted.map do |code, weight|
          qualified = QUALIFIED.fetch(code) if in_gap
          qualified ||= LIGHT[code] if length_mm < LIGHT_UNDER_MM
          qualified ||= NEWER[code] unless @older_list
          [qualified || code, weight]
        end
      end
    end
  end
end
