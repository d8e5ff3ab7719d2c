# frozen_string_literal: true

module Grittle
  # What the observations say about the ball and the ribbon, whichever test said it: a ribbon of 30 mm means that a
  # ribbon forms, a toss that holds means that the ball holds. These implications stand here and nowhere else.
  class Facts
    # A fact and the observation it was read from.
    Fact = Struct.new(:value, :from, keyword_init: true) do
      # @return [Hash] for a path: where the answer came from, when it was not the question itself
      def source_of(question) = from == question ? {} : { "from" => from }
    end

    attr_reader :observations

    # @param observations [Observations]
    # @param counts_from_mm [Numeric] a shorter mean length is no ribbon
    def initialize(observations, counts_from_mm:)
      @observations = observations
      @counts_from_mm = counts_from_mm
    end

    # @return [Fact, nil] a recorded ball_holds always wins over what other tests imply
    def ball
      return fact("ball_holds", self["ball_holds"]) if given?("ball_holds")

      name = %w[cast_strength coherence].find { |test| given?(test) }
      return fact(name, self[name] != "none") if name

      implied = { "toss" => %w[cracks holds], "finest_wire_mm" => %w[7 3], "ring_forms" => [true],
                  "ribbon_forms" => [true, false] }.find { |test, states| states.include?(self[test]) }
      return fact(implied.first, true) if implied

      fact("ribbons", true) if observations.ribbon_set
    end

    # @return [Fact, nil] the measure wins over a recorded yes or no
    def ribbon_forms
      return fact("ribbons", set.mean >= @counts_from_mm) if set
      return fact("ribbon_character", false) if self["ribbon_character"] == "none"

      fact("ribbon_forms", self["ribbon_forms"]) if given?("ribbon_forms")
    end

    # @return [RibbonSet, nil] the ribbons that have a length
    def set
      made = observations.ribbon_set
      made unless made.nil? || made.empty?
    end

    # @return [Array<String>] observations that say something else than the one that won
    def overruled
      [
        ("ribbon_forms" if set && given?("ribbon_forms") && self["ribbon_forms"] != ribbon_forms.value),
        ("ribbons" if set && ball && !ball.value)
      ].compact
    end

    private

    def [](name) = observations[name]
    def given?(name) = observations.given?(name)
    def fact(name, value) = Fact.new(value: value, from: name)
  end
end
