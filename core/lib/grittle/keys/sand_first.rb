# frozen_string_literal: true

module Grittle
  module Keys
    # Sand first, then five tests, to Canadian names. The wet rub picks the page: sandy or not.
    # [from memory: Canadian field manuals (Expert Committee on Soil Survey; provincial field manuals). Ribbon lengths
    # where the table gives none, and the states next to a fitting one, are Grittle's own model. The taste test of the old
    # manuals is left out on purpose.]
    class SandFirst < TableKey
      ID = "sand_first"
      NAME = "Sand first"
      SYSTEM = "canada"
      SOURCE = "Canadian field manuals (Expert Committee on Soil Survey; provincial field manuals) (from memory)"

      THICKNESS_MM = WIDTH_MM = nil # the manuals do not say
      # mm: where the ribbon ranges begin, as a ruler shows them.
      TIERS = Tiers.new(["none", "barely", "fairly thin", "long", "very long"],
                        [5.0, 25.0, 50.0, 75.0].map { |mm| Limit.new(mm: mm, belongs_to: :upper) })
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

      # ribbon (mm) and answers: those that fit, and those next to.
      CLASSES = {
        "S" => {
          "ribbons" => %w[0-5 5-9], "cast_strength" => %w[none very_weak],
          "ribbon_character" => %w[none stub], "grittiness" => %w[extreme very],
          "floury_feel" => %w[none some], "shine" => %w[none slight], "stickiness" => %w[non slightly]
        },
        "LS" => {
          "ribbons" => %w[0-5 5-9], "cast_strength" => ["very_weak", "none weak"],
          "ribbon_character" => %w[none stub], "grittiness" => ["very extreme", "moderate"],
          "floury_feel" => ["none some", "strong"], "shine" => %w[none slight], "stickiness" => %w[non slightly]
        },
        "SL" => {
          "ribbons" => %w[0-20 20-24], "cast_strength" => ["weak", "very_weak moderate"],
          "ribbon_character" => ["stub flakes", "none short_thick"], "grittiness" => ["very", "moderate extreme"],
          "floury_feel" => ["some", "none strong"], "shine" => %w[none slight],
          "stickiness" => ["non slightly", "moderately"]
        },
        "L" => {
          "ribbons" => ["5-28", "1-5; 28-33.6"], "cast_strength" => ["moderate", "weak strong"],
          "ribbon_character" => ["stub flakes short_thick", "none thin"],
          "grittiness" => ["slight moderate", "none very"], "floury_feel" => ["some", "none strong"],
          "wet_rub" => ["neither", "very_gritty very_smooth"], "shine" => %w[none slight],
          "stickiness" => ["slightly", "non moderately"]
        },
        "SIL" => {
          "ribbons" => %w[0-25 25-30], "cast_strength" => ["weak moderate", "very_weak strong"],
          "ribbon_character" => ["flakes", "stub short_thick"], "grittiness" => ["none slight", "moderate"],
          "floury_feel" => ["some strong", "none"], "wet_rub" => %w[very_smooth neither],
          "shine" => %w[none slight], "stickiness" => ["slightly", "non moderately"]
        },
        "SI" => {
          "ribbons" => %w[0-20 20-24], "cast_strength" => ["weak moderate", "very_weak strong"],
          "ribbon_character" => ["flakes", "stub short_thick"], "grittiness" => %w[none slight],
          "floury_feel" => %w[strong some], "wet_rub" => %w[very_smooth neither], "shine" => %w[none slight],
          "stickiness" => ["non slightly", "moderately"]
        },
        "SCL" => {
          "ribbons" => ["5-30", "1-5; 30-50"], "cast_strength" => ["moderate", "weak strong"],
          "ribbon_character" => ["short_thick", "flakes thin"], "grittiness" => ["very", "moderate extreme"],
          "shine" => ["slight", "none moderate"], "stickiness" => ["slightly moderately", "non very"]
        },
        "CL" => {
          "ribbons" => ["25-50", "20-25; 50-60"], "cast_strength" => ["strong", "moderate very_strong"],
          "ribbon_character" => ["thin", "short_thick very_thin"], "grittiness" => ["slight moderate", "none very"],
          "wet_rub" => ["neither", "very_gritty very_smooth"], "shine" => ["slight", "none moderate"],
          "stickiness" => ["moderately", "slightly very"]
        },
        "SICL" => {
          "ribbons" => ["25-50", "20-25; 50-60"], "cast_strength" => ["strong", "moderate very_strong"],
          "ribbon_character" => ["thin", "short_thick very_thin"], "grittiness" => %w[none slight],
          "floury_feel" => ["some strong", "none"], "wet_rub" => %w[very_smooth neither],
          "shine" => ["slight", "none moderate"], "stickiness" => ["moderately", "slightly very"]
        },
        "SC" => {
          "ribbons" => ["50-75", "30-50; 75-"], "cast_strength" => ["strong", "moderate very_strong"],
          "ribbon_character" => ["thin", "short_thick very_thin"],
          "grittiness" => ["moderate very", "slight extreme"], "shine" => ["moderate", "slight strong"],
          "stickiness" => ["moderately very", "slightly"]
        },
        "SIC" => {
          "ribbons" => ["50-75", "40-50; 75-90"], "cast_strength" => %w[very_strong strong],
          "ribbon_character" => ["thin", "short_thick very_thin"], "grittiness" => %w[none slight],
          "wet_rub" => %w[very_smooth neither], "shine" => ["moderate", "slight strong"],
          "stickiness" => %w[very moderately]
        },
        "C" => {
          "ribbons" => [">= 75", "60-75"], "cast_strength" => %w[very_strong strong],
          "ribbon_character" => %w[very_thin thin], "grittiness" => ["none slight", "moderate"],
          "wet_rub" => ["neither very_smooth", "very_gritty"], "shine" => %w[strong moderate],
          "stickiness" => %w[very moderately], "shear_resistance" => ["slight moderate firm", "none very_firm"]
        },
        "HC" => {
          "ribbons" => [">= 75", "60-75"], "cast_strength" => %w[very_strong strong],
          "ribbon_character" => %w[very_thin thin], "grittiness" => ["none slight", "moderate"],
          "wet_rub" => ["neither very_smooth", "very_gritty"], "shine" => %w[strong moderate],
          "stickiness" => %w[very moderately], "shear_resistance" => ["firm very_firm", "moderate"]
        }
      }.transform_values { |row| row.transform_values { |cell| Cell.new(*cell) }.freeze }.freeze

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
