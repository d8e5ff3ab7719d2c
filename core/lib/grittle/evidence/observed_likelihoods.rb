# frozen_string_literal: true

module Grittle
  module Evidence
    # What the observations say to the model: a table for each answer, which counts once, as itself. What the keys infer
    # (a ribbon of 30 mm means that a ribbon forms) says nothing new here; only an answer that has no likelihood of its
    # own stands in for a question that was not answered.
    class ObservedLikelihoods
      # What stands in for the ball: test => its answers that say so. The first that was given counts, once.
      BALL_BY = {
        "coherence" => ->(said) { said != "none" },
        "toss" => ->(said) { true if %w[cracks holds].include?(said) },
        "finest_wire_mm" => ->(said) { true if %w[7 3].include?(said) },
        "ring_forms" => ->(said) { true if said == true }
      }.freeze
      OPENING = %w[ball_holds ribbon_forms].freeze
      # Said of a ribbon, which there is none of without a ball.
      OF_A_RIBBON = %w[ribbon_forms ribbons ribbon_character].freeze

      attr_reader :curve, :model, :opening

      # @return [Hash{String=>Tables::Table}] by test, those that say something
      attr_reader :answers

      # @param observations [Observations]
      # @param curve [Curve]
      # @param model [Model]
      def initialize(observations, curve, model)
        @observations = observations
        @curve = curve
        @model = model
        @facts = Facts.new(observations, counts_from_mm: Keys::Opening::STUB_MM)
        @tables = model.tables(misled?)
        @opening = { "ball_holds" => ball_that_tells, "ribbon_forms" => (ribbon unless no_ball?) }.freeze
        @answers = stated.merge(measured).freeze
        freeze
      end

      # @return [Tables]
      attr_reader :tables

      # @return [Boolean] whether something misleads the hand
      def misled? = !Array(@observations["blind_spots"]).empty?

      # @return [Boolean] whether nothing that was felt holds together
      def no_ball? = ball == false || (ball.nil? && @observations["cast_strength"] == "none")

      # @return [Boolean, nil] whether the ball held, by its own question or what stands in for it
      def ball
        return @observations["ball_holds"] if @observations.given?("ball_holds")

        BALL_BY.each do |test, says|
          said = says.call(@observations[test]) if @observations.given?(test)
          return said unless said.nil?
        end
        nil
      end

      # @return [Boolean] whether there is a ball to go on with, as far as the keys know
      def ball_known? = !@facts.ball.nil? || no_ball?

      # @return [Boolean, nil] whether a ribbon formed, as the keys have it
      def ribbon_for_keys = @facts.ribbon_forms&.value

      # @return [Integer] answers that narrow anything down: a ball and a ribbon that are there hardly do
      def telling = answers.size - opening.values.count(true)

      # @return [Boolean] whether a test has been made, or the keys infer its answer
      def made?(test)
        @observations.given?(test) || (test == "ball_holds" && ball_known?) ||
          (test == "ribbon_forms" && !ribbon_for_keys.nil?)
      end

      private

      def ribbon
        return @observations["ribbon_forms"] if @observations.given?("ribbon_forms")

        false if @observations["ribbon_character"] == "none"
      end

      def stated
        @model.likelihoods.keys.select { |test| @tables.stated?(test) }.each_with_object({}) do |test, found|
          answer = OPENING.include?(test) ? opening[test] : @observations[test]
          next if answer.nil? || nothing_new?(test, answer)

          table = @tables.of(test)[answer]
          found[test] = table if table
        end
      end

      # No ball says nothing of organic soil, which holds no better than sand does.
      def ball_that_tells = (ball unless ball == false && organic?)

      # No cast is the same answer as no ball.
      def nothing_new?(test, answer) = test == "cast_strength" && answer == "none" && (ball == false || organic?)

      def organic? = Array(@observations["blind_spots"]).include?("organic")

      def measured
        set = @facts.set unless no_ball?
        {
          "ribbons" => set && @tables.length(set.mean, set.scale, curve),
          "sand_estimate" => percent("sand_estimate"), "clay_estimate" => percent("clay_estimate")
        }.compact
      end

      def percent(test)
        given = @observations[test] or return

        @tables.percent(test, given["percent"], given["half_width"] || 0)
      end
    end
  end
end
