# frozen_string_literal: true

module Grittle
  module Keys
    # The flow key "Ribbon and rub", to USDA names.
    # [published: Thien, S.J. 1979. A flow diagram for teaching texture-by-feel analysis. J. Agron. Educ. 8:54-55]
    #
    #   1  Does the ball hold?           no, and moisture is not the reason -> sand
    #   2  Does it form a ribbon?        no -> loamy sand
    #   3  How long?                     weak, medium or strong, by the limit set
    #   4  Rub a wet pinch.              very gritty, very smooth, or neither stands out (or both do)
    #
    # Silt is not an outcome of this key.
    class RibbonAndRub
      ID = "ribbon_and_rub"
      NAME = "Ribbon and rub"
      SYSTEM = "usda"
      SOURCE = Data::THIEN
      ASKS = %w[ball_holds moisture_rounds ribbon_forms ribbons wet_rub].freeze

      # ribbon   =>  very gritty            neither stands out    very smooth
      CLASSES = {
        "weak" => { "very_gritty" => "SL", "neither" => "L", "very_smooth" => "SIL" },
        "medium" => { "very_gritty" => "SCL", "neither" => "CL", "very_smooth" => "SICL" },
        "strong" => { "very_gritty" => "SC", "neither" => "C", "very_smooth" => "SIC" }
      }.freeze
      NO_BALL = "S"
      NO_RIBBON = "LS"
      TIERS = ["none", *CLASSES.keys].freeze

      # Where the rub is very gritty, loamy sand is named beside sandy loam for a length L that is hardly a ribbon, with
      # weight (13 - L)/16.
      NEAR_STUB_DIVISOR_MM = Data::RIBBONS["near_stub_divisor"]

      # @param observations [Observations]
      # @param limit_set [String] a name of LimitSets::ALL
      # @param ribbon_counts_from [String] a name of LimitSets::COUNTS_FROM
      # @param unit [String] unit of lengths in sentences
      # @raise [UnknownName]
      def initialize(observations, limit_set: LimitSets::DEFAULT, ribbon_counts_from: LimitSets::DEFAULT_COUNTS_FROM,
                     unit: "mm", **_others)
        @limit_set_name = limit_set
        @limit_set = LimitSets[limit_set]
        @stub_mm = LimitSets.counts_from_mm(ribbon_counts_from)
        @unit = unit
        @facts = Facts.new(observations, counts_from_mm: @stub_mm)
        @observations = observations
        @tiers = Tiers.new(TIERS, [Limit.new(mm: @stub_mm, belongs_to: :upper), @limit_set[:medium_from],
                                   @limit_set[:strong_from]])
        @rub = observations["wet_rub"]
      end

      # @return [Array<String>] what a person may assign by this key
      def self.codes(_system = SYSTEM) = Triangles::USDA.classes.keys

      # @return [Result]
      def result
        outcomes = self.outcomes
        Result.new(key: ID, system: SYSTEM, outcomes: outcomes, possible: possible(outcomes), path: path,
                   next_question: next_question, on_the_limit: on_the_limit?,
                   disagreeing_tests: @facts.overruled, notes: notes, details: details)
      end

      # @return [Tiers] the scale of lengths this key reads
      attr_reader :tiers

      private

      attr_reader :facts, :rub

      def next_question
        return "ball_holds" unless facts.ball
        return ("moisture_rounds" unless @observations.given?("moisture_rounds")) unless facts.ball.value
        return facts.ribbon_forms ? "ribbons" : "ribbon_forms" unless length_known?

        "wet_rub" unless rub || no_ribbon?
      end

      # While more than one tier can be reached without leaving the ribbon set's interval.
      def on_the_limit? = !facts.set.nil? && facts.ball.value && tier_odds.size > 1

      def length_known? = !facts.set.nil? || no_ribbon?

      # By the measure or the yes or no; the printed key then rubs nothing.
      def no_ribbon? = facts.ribbon_forms&.value == false

      def outcomes
        return [] if next_question
        return [[NO_BALL, 1.0]] unless facts.ball.value
        return [[NO_RIBBON, 1.0]] unless facts.set && (rub || !no_ribbon?)

        first = @tiers.of(facts.set.mean)
        weights = tier_odds.sort_by { |tier, odds| [-odds.round(6), tier == first ? 0 : 1] }
        weights.map { |tier, odds| [class_of(tier), odds] }
      end

      def class_of(tier, rub = @rub) = tier == "none" ? NO_RIBBON : CLASSES[tier][rub]

      # Tier to probability for the set at hand, with the rule of the stub.
      def tier_odds = @tier_odds ||= odds_with_stub

      def odds_with_stub
        odds = @tiers.odds(facts.set)
        return odds unless near_stub? && odds.keys != ["none"]
        return odds if no_ribbon?

        weight = (RibbonNotes::NEAR_STUB_MM.end - facts.set.mean) / NEAR_STUB_DIVISOR_MM
        stub = rub == "very_gritty" ? [weight, odds.fetch("none", 0)].max : 0
        longer = odds.except("none")
        rest = longer.values.sum
        longer.transform_values { |share| share * (1 - stub) / rest }.merge(stub.positive? ? { "none" => stub } : {})
      end

      def near_stub? = facts.set && RibbonNotes.near_stub?(facts.set)

      # The codes the key can still end at, in the order of the printed table.
      def possible(outcomes)
        return outcomes.map(&:first) unless outcomes.empty?

        rubs = rub ? [rub] : CLASSES["weak"].keys
        codes =
          tiers_open.flat_map { |tier| tier == "none" ? [NO_RIBBON] : rubs.map { |answer| class_of(tier, answer) } }
        [(NO_BALL unless facts.ball&.value), *codes].compact
      end

      def tiers_open
        return tier_odds.keys if facts.set

        facts.ribbon_forms ? TIERS.drop(1) : TIERS
      end

      def path
        [ball_step, moisture_step, ribbon_step, rub_step].compact
      end

      def ball_step
        ball = facts.ball or return

        step("ball_holds", ball.value, ball.value ? "The ball holds" : "No ball", ball.source_of("ball_holds"))
      end

      def moisture_step
        return if facts.ball.nil? || facts.ball.value || !@observations.given?("moisture_rounds")

        rounds = @observations["moisture_rounds"]
        step(
          "moisture_rounds",
          rounds,
          "moisture is not the reason, after #{rounds} #{rounds == 1 ? 'round' : 'rounds'}"
        )
      end

      def ribbon_step
        return unless facts.ball&.value && facts.ribbon_forms

        unless facts.set
          forms = facts.ribbon_forms.value
          text = forms ? "it forms a ribbon" : "no ribbon"
          return step("ribbon_forms", forms, text, facts.ribbon_forms.source_of("ribbon_forms"))
        end

        tier = @tiers.of(facts.set.mean)
        text = "ribbon #{say(facts.set.mean)}: #{tier == 'none' ? 'too short to count as one' : tier}"
        step("ribbons", facts.set.mean.round(1), text, "tier" => tier, "odds" => tier_odds.fetch(tier, 1.0).round(3))
      end

      def rub_step
        return unless facts.ball&.value && length_known? && rub
        return if no_ribbon? && facts.set.nil?

        step("wet_rub", rub, "rubs #{rub_word}")
      end

      def rub_word
        return "neither gritty nor smooth" if rub == "neither" && @limit_set[:rub_words].empty?

        (@limit_set[:rub_words][rub] || Tests::Catalogue.word("wet_rub", rub)).downcase
      end

      def step(question, answer, text, extra = {})
        { "question" => question, "answer" => answer, "text" => text }.merge(extra)
      end

      def notes
        ribbons =
          facts.set ? RibbonNotes.for(facts.set, unit: @unit, stub: facts.ball&.value && rub != "very_smooth") : []
        [*ribbons, RibbonNotes.geometry(facts.set, @limit_set[:thickness_mm]), silt_note, *overruled_notes].compact
      end

      def silt_note
        return unless rub == "very_smooth" && facts.set && tier_odds.key?("weak")

        nothing_left = @observations["decanted_sand"] == "none"
        note(
          "no_silt",
          nothing_left ? "Silt loam, perhaps silt: this key cannot end at silt." : "This key cannot end at silt."
        )
      end

      def overruled_notes
        sentences = {
          "ribbons" => "A ribbon is recorded, but the ball does not hold. The key goes by the ball.",
          "ribbon_forms" => "The yes or no about a ribbon and the measured length differ. The key goes by the length."
        }
        facts.overruled.map { |test| note("overruled_#{test}", sentences.fetch(test)) }
      end

      def note(rule, sentence) = { "rule" => rule, "sentence" => sentence }

      def details
        { "limit_set" => @limit_set_name, "tiers" => facts.set ? tier_list : [] }
      end

      def tier_list
        tier_odds.map { |tier, odds| { "tier" => tier, "odds" => odds.round(3) } }
      end

      def say(millimetres) = RibbonNotes.say(millimetres, @unit)
    end
  end
end
