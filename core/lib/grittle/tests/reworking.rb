# frozen_string_literal: true

module Grittle
  # The bolus worked for ten minutes. If the field grade rises by one or more, the soil is subplastic: its clay holds
  # together in grains that give way slowly, and the first grade reads too light.
  # [from memory: Australian Soil and Land Survey Field Handbook, 3rd ed., 2009]
  module Reworking
    MINUTES = Data::RULES_OF_THUMB["working_minutes"]
    # Grades from light to heavy, as the ribbon rises with the feel unchanged; the table's own order, qualified grades
    # between [Grittle's own choice].
    ORDER = %w[S LS CS SL L- ZL- L ZL SCL L+ ZL+ CL- ZCL- CL CLS ZCL SC LCS ZC LCZ LC LMC MC MHC HC].freeze

    module_function

    # @param observations [Observations]
    # @param method [FieldMethod]
    # @return [Hash, nil] "ribbon_set" of the ribbons made after ten minutes, the grades "before" and "after" (nil where
    #   the field grades still ask), "subplastic" and a "sentence"; nil where nothing was worked so long
    def of(observations, method)
      set = observations.reworked_set
      return if set.nil? || set.empty?

      before, after = [observations, observations.reworked].map { |given| grade(given, method) }
      rises = before && after && ORDER.index(after) > ORDER.index(before)
      { "ribbon_set" => set.to_h, "before" => before && name(before), "after" => after && name(after),
        "subplastic" => rises ? true : false, "sentence" => sentence(observations, before, after, rises, method.unit) }
    end

    def grade(observations, method) = method.walk(observations, by: Keys::FieldGrades).result.outcomes.first&.first
    def name(code) = Keys::FieldGrades::GRADES.fetch(code).first

    def sentence(observations, before, after, rises, unit)
      lengths = [observations.ribbon_set, observations.reworked_set].map do |set|
        set.nil? || set.empty? ? "no ribbon" : Keys::RibbonNotes.say(set.mean, unit)
      end
      grown = "Worked ten minutes, #{lengths.first} became #{lengths.last}"
      unless before && after
        return "#{grown}. Feel for grit, so that the field grade can tell whether it is subplastic."
      end
      return "#{grown}: #{name(before)} became #{name(after)}. That is subplastic." if rises

      "#{grown}: still #{name(after)}, so it is not subplastic."
    end

    private_class_method :grade, :name, :sentence
  end
end
