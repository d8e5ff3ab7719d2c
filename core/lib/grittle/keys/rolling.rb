# frozen_string_literal: true

module Grittle
  module Keys
    # The rolling key, international, to FAO / WRB names: wires and a ring instead of ribbons.
    # [published: FAO Guidelines for Soil Description, 4th ed., 2006, table 25; wording from memory. The printed key
    # also grinds soil between the teeth; left out on purpose.]
    class Rolling
      include Opening

      ID = "rolling"
      NAME = "Rolling"
      SYSTEM = "fao_wrb"
      SOURCE = "FAO Guidelines for Soil Description, 4th ed., 2006, table 25 (wording not checked against the source)"
      NO_BALL = "S"
      POOR = "poor in clay"
      RICH = "rich in clay"

      # Outcomes that stand for half of a class: code => the class, which side of the line of clay, and what is said of
      # it.
      HALVES =
        %w[SL SIL]
        .flat_map { |code| [["#{code}/poor", [code, -1, POOR]], ["#{code}/rich", [code, 1, RICH]]] }
        .to_h
        .freeze

      NODES = Data::ROLLING["nodes"]
      ASKS = ["ball_holds", "moisture_rounds", *NODES.values.map(&:first)].uniq.freeze

      # The gloss of the cut ball stands for that of the squeezed one, in this key only.
      SURFACE_OF_SHINE = { "none" => "smooth_dull", "slight" => "smooth_dull", "moderate" => "moderately_shiny",
                           "strong" => "shiny" }.freeze
      # No ring, not floury, not grainy: only clay is left. The key goes on as if the ring had held, and lists it.
      ONLY_CLAY_LEFT = [11, 20].freeze

      def initialize(observations, **_options)
        @observations = observations
        @facts = Facts.new(observations, counts_from_mm: STUB_MM)
        @unit = "mm"
        @walked = []
        @outcomes = walk unless opening_question
      end

      # @return [Array<String>] what a person may assign by this key; a class, or half of one
      def self.codes(_system = SYSTEM)
        Triangles::FAO_WRB.classes.keys.flat_map do |code|
          (halves = HALVES.keys.select { |half| HALVES[half].first == code }).empty? ? [code] : halves
        end
      end

      # @return [Result]
      def result
        outcomes = @outcomes || []
        Result.new(key: ID, system: SYSTEM, outcomes: outcomes, next_question: opening_question || @asking,
                   possible: outcomes.empty? ? possible : outcomes.map(&:first), on_the_limit: outcomes.size > 1,
                   path: opening_path + @walked.map { |question, from| answer_step(question, from: from) },
                   disagreeing_tests: disagreeing, notes: [], details: {})
      end

      private

      attr_reader :observations, :facts

      # @return [Array, nil] the outcomes; nil where an answer is missing, which @asking then names
      def walk
        return [[NO_BALL, 1.0]] if no_ball?

        node = 1
        loop do
          @node = node
          question, answers = NODES.fetch(node)
          value, from = answer_to(question)
          if value.nil?
            @asking = question
            return
          end

          @walked << [question, from]
          node = answers.fetch(value)
          @ring_taken_for_granted = true if [@node, node] == ONLY_CLAY_LEFT
          return node.map { |code| [code, 1.0 / node.size] } if node.is_a?(Array)
        end
      end

      # @return [Array, nil] the answer and the observation it was read from
      def answer_to(question)
        return [observations[question], question] if observations.given?(question)
        return %w[3 ring_forms] if question == "finest_wire_mm" && observations["ring_forms"] == true

        return unless question == "squeezed_surface" && observations.given?("shine")

        [
          SURFACE_OF_SHINE[observations["shine"]],
          "shine"
        ]
      end

      def possible
        ends(@node || 1).uniq
      end

      # Every outcome that can be reached from a node.
      def ends(node)
        NODES.fetch(node).last.values.flat_map { |target| target.is_a?(Array) ? target : ends(target) }
      end

      def disagreeing
        return ["ring_forms"] if @ring_taken_for_granted

        no_ball? && %w[7 3].include?(observations["finest_wire_mm"]) ? ["finest_wire_mm"] : []
      end
    end
  end
end
