# frozen_string_literal: true

module Grittle
  module Keys
    # Field texture grades, to Australian names: a grade of behaviour, not a region of a triangle.
    # Its page is Data::FIELD_GRADES.
    class FieldGrades < TableKey
      ID = "field_grades"
      NAME = "Field texture grades"
      SYSTEM = "australia"
      SOURCE = "Northcote 1979, A Factual Key; Australian Soil and Land Survey Field Handbook, 3rd ed., 2009 " \
               "(not checked against the source)"
      FIGURES = Data::FIELD_GRADE_FIGURES
      THICKNESS_MM = FIGURES["thickness"]
      WIDTH_MM = FIGURES["width"]
      WORKING_MINUTES = FIGURES["working"]
      TIERS = Tiers.new(["sand", "clayey sand", "sandy loam", "loam", "clay loam", "light clay", "heavier clay"],
                        FIGURES["tiers"].map { |mm| Limit.new(mm: mm, belongs_to: :upper) })

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

      # Names that stand on no page: the handbook's of 2009, and of grades with a qualifier.
      QUALIFIED_NAMES = {
        "LCS" => "light clay, sandy",
        "LCZ" => "light clay, silty",
        "L+" => "heavy loam",
        "CL-" => "light clay loam",
        "ZL+" => "heavy silty loam",
        "ZCL-" => "light silty clay loam",
        "L-" => "light loam",
        "ZL-" => "light silty loam"
      }.freeze
      # Code => name, and the clay percent written beside it.
      GRADES =
        Data::FIELD_GRADES
        .printed
        .to_h { |code, row| [code, [row["grade"], FIGURES["clay"][code]]] }
        .merge(QUALIFIED_NAMES.to_h { |code, name| [code, [name, FIGURES["qualified_clay"][code]]] })
        .freeze
      NEWER = { "SC" => "LCS", "ZC" => "LCZ" }.freeze

      GAP_MM = FIGURES["gap"]
      GAP = { %w[L CL] => %w[L+ CL-], %w[ZL ZCL] => %w[ZL+ ZCL-] }.freeze
      QUALIFIED = GAP.flat_map { |pair, names| pair.zip(names) }.to_h.freeze
      LIGHT_UNDER_MM = FIGURES["light_under"]
      LIGHT = { "L" => "L-", "ZL" => "ZL-" }.freeze

      # Grades whose name says sandy, and what it takes to feel that it is: a sandy grade needs sand that was felt. [our
      # own model]
      SANDY = %w[S LS CS SL SCL CLS SC].freeze
      SAND_FELT = {
        "grittiness" => %w[moderate very extreme],
        "grains_seen" => %w[some many],
        "wet_rub" => %w[very_gritty]
      }.freeze

      CLASSES = Data::FIELD_GRADES.cells

      # @param older_list [Boolean] whether sandy clay and silty clay are shown as such
      def initialize(observations, older_list: false, **options)
        super(observations, **options)
        @older_list = older_list
      end

      # @return [Array<String>] what a person may assign by this key
      def self.codes(_system = SYSTEM) = GRADES.keys

      private

      # Without sand that was felt no sandy grade is named, unless no other has a ribbon so short. Until anything was
      # felt of the grains all stay open.
      def candidates
        if length_mm.nil? || feel_question || SAND_FELT.any? { |test, states| states.include?(observations[test]) }
          return page
        end

        others = page - SANDY
        others.all? { |code| ribbon_fit(code).zero? } ? page : others
      end

      def named
        gap? ? gap_pair : super
      end

      def gap?
        length_mm > GAP_MM.begin && length_mm < GAP_MM.end && GAP.keys.flatten.include?(ranked.first)
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
