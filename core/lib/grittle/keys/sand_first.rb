# frozen_string_literal: true

module Grittle
  module Keys
    # Sand first, then five tests, to Canadian names. The wet rub picks the page: sandy or not.
    # Its page is Data::SAND_FIRST.
    class SandFirst < TableKey
      ID = "sand_first"
      NAME = "Sand first"
      SYSTEM = "canada"
      SOURCE = "Canadian field manuals (Expert Committee on Soil Survey; provincial field manuals), not checked " \
               "against the source"

      THICKNESS_MM = WIDTH_MM = nil # the manuals do not say
      TIERS = Tiers.new(["none", "barely", "fairly thin", "long", "very long"],
                        Data::SAND_FIRST_FIGURES["tiers"].map { |mm| Limit.new(mm: mm, belongs_to: :upper) })
      CURVE = "consensus"
      NO_BALL = "S"
      BALL_TEST = "cast_strength"
      SANDY_PAGE = %w[S LS SL SCL SC].freeze
      FIRST = %w[cast_strength wet_rub].freeze
      FEEL = %w[grittiness floury_feel].freeze
      SPLITTING = %w[grittiness cast_strength shine stickiness floury_feel shear_resistance ribbon_character].freeze
      TESTS = %w[cast_strength ribbon_character grittiness floury_feel wet_rub shine stickiness
                 shear_resistance].freeze
      ASKS = ["ball_holds", "moisture_rounds", "wet_rub", "ribbon_forms", "ribbons", *SPLITTING].freeze
      BY_RESISTANCE = %w[C HC].freeze

      CLASSES = Data::SAND_FIRST.cells

      # @return [Array<String>] what a person may assign by this key
      def self.codes(_system = SYSTEM) = Triangles::CANADA.classes.keys

      private

      def page_question = ("wet_rub" unless observations.given?("wet_rub"))

      def page
        return CLASSES.keys if page_question

        observations["wet_rub"] == "very_gritty" ? SANDY_PAGE : CLASSES.keys - SANDY_PAGE
      end
    end
  end
end
