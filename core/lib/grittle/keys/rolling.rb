# frozen_string_literal: true

module Grittle
  module Keys
    # The rolling key, international, to FAO / WRB names: wires and a ring instead of ribbons.
    # [published: FAO Guidelines for Soil Description, 4th ed., 2006, table 25; wording from memory. The printed key also
    # grinds soil between the teeth; left out on purpose.]
    class Rolling
      include Opening

      ID = "rolling"
      NAME = "Rolling"
      SYSTEM = "fao_wrb"
      SOURCE = "FAO Guidelines for Soil Description, 4th ed., 2006, table 25 (wording from memory)"
      NO_BALL = "S"
      POOR = "poor in clay"
      RICH = "rich in clay"

      # Outcomes that stand for half of a class: code => the class, which side of the line of clay, and what is said of it.
      HALVES = %w[SL SIL].flat_map { |code| [["#{code}/poor", [code, -1, POOR]], ["#{code}/rich", [code, 1, RICH]]] }.to_h.freeze

      # node => the observation it asks, and for each answer the next node (a number) or the outcomes: codes, where a
      # slash sets off the variant. Two outcomes weigh the same.
      NODES = {
        1 => ["finest_wire_mm", { "none" => 3, "7" => 7, "3" => 2 }],
        2 => ["ring_forms", { true => 17, false => 7 }],
        # No wire of 7 mm.
        3 => ["floury_feel", { "none" => 4, "some" => %w[SL/poor], "strong" => 6 }],
        4 => ["finger_stain", { "clean" => %w[S], "grains_stick" => 5, "stained" => %w[LS] }],
        5 => ["stickiness", { "non" => %w[LS S], "slightly" => %w[LS], "moderately" => %w[LS], "very" => %w[LS] }],
        6 => ["grittiness", { "none" => %w[SI], "slight" => %w[SIL/poor], "moderate" => %w[SIL/poor],
                              "very" => %w[SL/poor], "extreme" => %w[SL/poor] }],
        # A wire of 3 to 7 mm, but no ring.
        7 => ["floury_feel", { "none" => 11, "some" => 10, "strong" => 8 }],
        8 => ["stickiness", { "non" => 6, "slightly" => 9, "moderately" => 9, "very" => 9 }],
        9 => ["grittiness", { "none" => %w[SIL/rich], "slight" => %w[SIL/rich], "moderate" => %w[L SIL/rich],
                              "very" => %w[SL/rich], "extreme" => %w[SL/rich] }],
        10 => ["grittiness", { "none" => %w[SIL/rich], "slight" => %w[L SIL/rich], "moderate" => 13, "very" => 15,
                               "extreme" => 15 }],
        11 => ["grittiness", { "none" => 20, "slight" => 12, "moderate" => 13, "very" => 15, "extreme" => 15 }],
        12 => ["stickiness", { "non" => %w[L], "slightly" => %w[L], "moderately" => %w[CL L], "very" => %w[CL] }],
        13 => ["stickiness", { "non" => %w[L], "slightly" => %w[L], "moderately" => 14, "very" => 14 }],
        14 => ["squeezed_surface", { "rough_torn" => %w[L], "smooth_dull" => %w[L], "moderately_shiny" => %w[SCL],
                                     "shiny" => %w[SCL] }],
        15 => ["stickiness", { "non" => %w[SL/rich], "slightly" => 16, "moderately" => %w[SCL], "very" => %w[SCL] }],
        16 => ["squeezed_surface", { "rough_torn" => %w[SL/rich], "smooth_dull" => %w[SL/rich],
                                     "moderately_shiny" => %w[SCL], "shiny" => %w[SCL] }],
        # A wire of 3 mm that bends to a ring.
        17 => ["grittiness", { "none" => 20, "slight" => 18, "moderate" => 18, "very" => %w[SC], "extreme" => %w[SC] }],
        18 => ["plasticity", { "non" => %w[CL], "slightly" => %w[CL], "moderately" => %w[CL], "very" => 19 }],
        19 => ["squeezed_surface", { "rough_torn" => %w[CL], "smooth_dull" => %w[CL], "moderately_shiny" => %w[CL C],
                                     "shiny" => %w[C] }],
        20 => ["plasticity", { "non" => %w[SICL], "slightly" => %w[SICL], "moderately" => 21, "very" => 22 }],
        21 => ["squeezed_surface", { "rough_torn" => %w[SICL], "smooth_dull" => %w[SICL],
                                     "moderately_shiny" => %w[SICL SIC], "shiny" => %w[SIC SICL] }],
        22 => ["squeezed_surface", { "rough_torn" => %w[SICL SIC], "smooth_dull" => %w[SICL SIC],
                                     "moderately_shiny" => %w[SIC], "shiny" => %w[HC] }]
      }.freeze
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
        Triangles::FAO_WRB.classes.keys.flat_map { |code| (halves = HALVES.keys.select { |half| HALVES[half].first == code }).empty? ? [code] : halves }
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

        [SURFACE_OF_SHINE[observations["shine"]], "shine"] if question == "squeezed_surface" && observations.given?("shine")
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
