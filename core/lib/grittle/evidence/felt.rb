# frozen_string_literal: true

module Grittle
  module Evidence
    # What the observations say to the model: a table for each, by its group. The ball and the ribbon count also where another
    # test says them.
    class Felt
      attr_reader :curve

      # @return [Hash{String=>Tables::Table}] by test, those that say something
      attr_reader :tables

      # @param observations [Observations]
      # @param curve [Curve]
      def initialize(observations, curve)
        @observations = observations
        @curve = curve
        @facts = Facts.new(observations, counts_from_mm: Keys::Opening::STUB_MM)
        @tables = stated.merge(measured).freeze
        freeze
      end

      # @return [Boolean] whether something misleads the hand
      def misled? = !Array(@observations["blind_spots"]).empty?

      def wider = misled? ? Model::WIDER : 1.0

      # @return [Array] whether the ball held and whether a ribbon formed, as far as they count; nil where unknown
      def opening = [ball, (ribbon unless ball == false)]

      # @return [Boolean, nil]
      def ball = @facts.ball&.value

      # @return [Boolean, nil]
      def ribbon = @facts.ribbon_forms&.value

      # @return [Boolean] whether a test has been made, or its fact is known from another
      def made?(test) = @observations.given?(test) || (test == "ball_holds" && !ball.nil?) || (test == "ribbon_forms" && !ribbon.nil?)

      private

      def stated
        said = Posterior::OWN.zip(opening).to_h
        Tables::STATED.each_with_object({}) do |test, found|
          answer = said.key?(test) ? said[test] : @observations[test]
          table = Tables::ALL[misled?][test][answer] unless answer.nil?
          found[test] = table if table
        end
      end

      def measured
        set = @facts.set
        {
          "ribbons" => set && Tables.length(set.mean, set.scale, curve, wider),
          "sand_estimate" => percent("sand_estimate"), "clay_estimate" => percent("clay_estimate")
        }.compact
      end

      def percent(test)
        given = @observations[test] or return

        Tables.percent(test, given["percent"], given["half_width"] || 0, wider)
      end
    end
  end
end
