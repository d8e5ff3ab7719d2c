# frozen_string_literal: true

module Grittle
  module Keys
    # The texture-group chart of contest teaching: a management group at once. [common practice]
    #
    #   no stable ball               coarse
    #   no ribbon, or under 5 mm     coarse (gritty) or medium (not)
    #   5 mm to half an inch         coarse to moderately coarse (gritty) or medium (not)
    #   half an inch to an inch      moderately coarse (gritty) or medium (not)
    #   1 to 3 in, ends included     moderately fine
    #   over 3 in                    fine
    class TextureGroups
      include Opening

      ID = "texture_groups"
      NAME = "Texture groups"
      SYSTEM = "usda"
      SOURCE = "common practice, contest teaching"
      ASKS = %w[ball_holds moisture_rounds ribbon_forms ribbons wet_rub].freeze
      NO_BALL = "coarse"
      GROUPS = { "coarse" => "coarse", "moderately_coarse" => "moderately coarse", "medium" => "medium",
                 "moderately_fine" => "moderately fine", "fine" => "fine" }.freeze

      # mm; three inches are still moderately fine.
      HALF_INCH = Data::KEYS["groups_half_inch"]
      TIERS = Tiers.new(%w[none stub short long longest],
                        [Limit.new(mm: STUB_MM, belongs_to: :upper), Limit.new(mm: HALF_INCH, belongs_to: :upper),
                         Limit.new(mm: Data::KEYS["groups_inch"], belongs_to: :upper),
                         Limit.new(mm: Data::KEYS["groups_three_inches"], belongs_to: :lower)])
      RUBBED = %w[none stub short].freeze
      LEAST = Data::KEYS["groups_least"]

      # @return [Array<String>] what a person may assign by this key
      def self.codes(_system = SYSTEM) = GROUPS.keys

      # @return [Result]
      def result
        found = next_question ? [] : outcomes
        Result.new(
          key: ID,
          system: SYSTEM,
          outcomes: found,
          next_question: next_question,
          notes: [],
          details: {},
          possible: found.empty? ? possible : found.map(&:first),
          on_the_limit: !next_question && odds.size > 1,
          path: opening_path + (no_ball? ? [] : length_step + rub_step),
          disagreeing_tests: facts.overruled
        )
      end

      private

      def next_question
        opening = opening_question
        return opening if opening || no_ball?

        length_question || ("wet_rub" unless observations.given?("wet_rub") || !rubbed?)
      end

      def rubbed? = odds.keys.any? { |tier| RUBBED.include?(tier) }
      def rub_step = rubbed_and_given? ? [answer_step("wet_rub")] : []
      def rubbed_and_given? = length_mm && rubbed? && observations.given?("wet_rub")

      # Tier to probability; without a ribbon there is no interval.
      def odds
        return {} if no_ball? || length_mm.nil?

        facts.set ? TIERS.odds(facts.set) : { "none" => 1.0 }
      end

      def outcomes
        return [[NO_BALL, 1.0]] if no_ball?

        shares = Hash.new(0.0)
        odds.each { |tier, odd| groups(tier).each { |group, share| shares[group] += odd * share } }
        kept = shares.reject { |_, share| share < LEAST }
        kept
          .map { |group, share| [group, share / kept.values.sum] }
          .sort_by { |group, share| [-share.round(6), order(group)] }
      end

      def order(group) = GROUPS.keys.index(group)

      # @return [Hash{String=>Float}] what a tier stands for
      def groups(tier)
        return { { "long" => "moderately_fine", "longest" => "fine" }.fetch(tier) => 1.0 } unless RUBBED.include?(tier)
        return { "medium" => 1.0 } unless observations["wet_rub"] == "very_gritty"
        return { { "none" => "coarse", "short" => "moderately_coarse" }.fetch(tier) => 1.0 } unless tier == "stub"

        coarse = ((HALF_INCH - length_mm) / (HALF_INCH - STUB_MM)).clamp(0.0, 1.0)
        { "coarse" => coarse, "moderately_coarse" => 1 - coarse }
      end

      def possible
        return GROUPS.keys if odds.empty?

        (rubbed? ? %w[coarse moderately_coarse medium] : []) + odds.keys.filter_map do |tier|
          { "long" => "moderately_fine", "longest" => "fine" }[tier]
        end
      end
    end
  end
end
