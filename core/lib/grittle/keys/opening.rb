# frozen_string_literal: true

module Grittle
  module Keys
    # How every key but two_numbers opens: the ball, the moisture loop, then a length. Includers have `facts`,
    # `observations` and NO_BALL, the sandiest outcome.
    module Opening
      # Lengths no longer than this are no ribbon, for keys that leave it open.
      STUB_MM = Data::RIBBONS["stub"]

      # Lengths a ruler shows for a key that reads none.
      NO_TIERS = Tiers.new(["any length"], []).freeze

      # @param observations [Observations]
      # @param unit [String] unit of lengths in sentences
      def initialize(observations, unit: "mm", **_options)
        @observations = observations
        @unit = unit
        @facts = Facts.new(observations, counts_from_mm: STUB_MM)
      end

      # @return [Tiers] the scale of lengths this key reads
      def tiers = self.class.const_defined?(:TIERS) ? self.class::TIERS : NO_TIERS

      private

      attr_reader :observations, :facts

      # @return [String, nil] what the opening still asks; nil once the ball is known to hold, or to be sand
      def opening_question
        return "ball_holds" unless facts.ball

        "moisture_rounds" unless facts.ball.value || observations.given?("moisture_rounds")
      end

      # @return [Boolean] whether the key has ended at the ball
      def no_ball? = facts.ball&.value == false

      # @return [String, nil] what is asked for a length, until there is one
      def length_question
        return if length_mm

        facts.ribbon_forms ? "ribbons" : "ribbon_forms"
      end

      # @return [Float, nil] mm: the mean, or 0 where no ribbon forms
      def length_mm
        return facts.set.mean if facts.set

        0.0 if facts.ribbon_forms&.value == false
      end

      # @return [Range, nil] mm; there is none where no ribbon forms
      def interval = facts.set&.interval

      def opening_path
        ball = facts.ball or return []

        steps = [
          {
            "question" => "ball_holds",
            "answer" => ball.value,
            "text" => ball.value ? "The ball holds" : "No ball"
          }.merge(ball.source_of("ball_holds"))
        ]
        if no_ball? && observations.given?("moisture_rounds")
          steps << { "question" => "moisture_rounds", "answer" => observations["moisture_rounds"],
                     "text" => "moisture is not the reason" }
        end
        steps
      end

      def length_step
        return [] unless length_mm && !no_ball?
        return [{ "question" => "ribbon_forms", "answer" => false, "text" => "no ribbon" }] unless facts.set

        [
          {
            "question" => "ribbons",
            "answer" => facts.set.mean.round(1),
            "text" => "ribbon #{RibbonNotes.say(facts.set.mean, @unit)}"
          }
        ]
      end

      # One step of a path for an answered question.
      def answer_step(question, from: question)
        value = observations[from]
        text = "#{Tests::Catalogue.short(question)}: #{Tests::Catalogue.word(from, value)}"
        { "question" => question, "answer" => value, "text" => text }.merge(from == question ? {} : { "from" => from })
      end
    end
  end
end
