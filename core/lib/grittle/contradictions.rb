# frozen_string_literal: true

module Grittle
  # Tests that speak against each other, each a rule with a name, a sentence, and what to repeat. Nothing is decided by
  # them: the person repeats a test, or keeps both and says why. [Grittle's own model]
  class Contradictions
    # What a rule looks at.
    #
    #   mean  mm, nil without a measured ribbon       ribbon  whether one forms, nil when unknown
    #   sand  percent as estimated, nil when not      said    the answer to an observation
    Evidence = Struct.new(:observations, :facts, :keys, keyword_init: true) do
      def said(name) = observations[name]
      def said?(name, *states) = states.include?(said(name))
      def mean = facts.set&.mean
      def ribbon = facts.ribbon_forms&.value
      def sand = said("sand_estimate")&.fetch("percent", nil)
      def blind?(spot) = Array(said("blind_spots")).include?(spot)
      def over?(millimetres) = !mean.nil? && mean > millimetres
      def at_least?(millimetres) = !mean.nil? && mean >= millimetres
    end

    # Limits in mm, % and min, each used once below.
    LONG = 50
    SHORT = 15
    NO_PRINT_OVER = 40
    TOO_LONG = 120
    SANDY_OVER = 60
    LITTLE_SAND_UNDER = 20
    FRAGMENTS_OVER = 35 # % by volume
    WORKED_UNDER = 1 # min; field grades work a bolus 1-2 min [from memory: Australian field handbook, 3rd ed., 2009]

    # name => [when it holds, what it says, what to repeat, what repeating would decide]
    RULES = {
      "ball_fails_but_ribbon" => [
        ->(e) { e.said("ball_holds") == false && !e.facts.set.nil? },
        "The ball fails, yet a ribbon is recorded.", %w[ball_holds ribbons],
        "If the ball holds now, the ribbon stands; if it fails again, it is sand."
      ],
      "long_ribbon_not_sticky" => [
        ->(e) { e.at_least?(LONG) && e.said?("stickiness", "non") },
        "A long ribbon, yet not sticky.", %w[ribbons stickiness],
        "If it sticks when wetter, it is clay; if the ribbon comes out shorter, it is not."
      ],
      "long_ribbon_no_shine" => [
        ->(e) { e.at_least?(LONG) && e.said?("shine", "none") },
        "A long ribbon, yet no shine.", %w[ribbons shine],
        "If it shines on a smooth cut, it is clay; if the ribbon comes out shorter, it is not."
      ],
      "long_ribbon_clods_shatter" => [
        ->(e) { e.at_least?(LONG) && e.said?("dry_clod", "loose") },
        "A long ribbon, yet dry clods go to single grains.", %w[ribbons dry_clod],
        "If a clod holds, the ribbon stands; if it shatters again, the ribbon was too wet or too thick."
      ],
      "short_ribbon_very_sticky" => [
        ->(e) { !e.mean.nil? && e.mean < SHORT && e.said?("stickiness", "very") },
        "Hardly a ribbon, yet very sticky.", %w[ribbons stickiness],
        "If a longer ribbon comes, it was too dry; if it sticks less, there is little clay."
      ],
      "short_ribbon_strong_shine" => [
        ->(e) { !e.mean.nil? && e.mean < SHORT && e.said?("shine", "strong") },
        "Hardly a ribbon, yet a strong shine.", %w[ribbons shine],
        "If a longer ribbon comes, it was too dry; if it shines less, there is little clay."
      ],
      "no_thumbprint_long_ribbon" => [
        ->(e) { e.said("thumbprint") == false && e.over?(NO_PRINT_OVER) },
        "It takes no thumbprint, yet the ribbon is long.", %w[thumbprint ribbons],
        "A print on a smooth face means clay; none, and the ribbon was too thick or too wet."
      ],
      "thumbprint_no_ribbon" => [
        ->(e) { e.said("thumbprint") == true && e.ribbon == false },
        "It takes a thumbprint, yet no ribbon forms.", %w[thumbprint ribbons],
        "If a ribbon forms, there is clay; if no print shows, it is sandy."
      ],
      "sandy_but_smooth" => [
        ->(e) { e.sand.to_f > SANDY_OVER && e.said?("wet_rub", "very_smooth") },
        "Mostly sand by your estimate, yet it rubs very smooth.", %w[sand_estimate wet_rub],
        "If grains are left after rubbing, the estimate stands; if not, it was too high."
      ],
      "little_sand_but_gritty" => [
        ->(e) { !e.sand.nil? && e.sand < LITTLE_SAND_UNDER && e.said?("wet_rub", "very_gritty") },
        "Little sand by your estimate, yet it rubs very gritty.", %w[sand_estimate wet_rub],
        "If grains are left after rubbing, the estimate was too low; if not, it stands."
      ],
      "gritty_and_floury" => [
        ->(e) { e.said?("wet_rub", "very_gritty") && e.said?("floury_feel", "strong") },
        "Very gritty and strongly floury: very fine sand, perhaps. Let the cloudy water run off and look.", %w[decanted_sand],
        "Grains that stay are sand; what runs off cloudy is silt."
      ],
      "smooth_but_very_sticky" => [
        lambda { |e|
          smooth = e.said?("wet_rub", "very_smooth") || Array(e.said("feel_words")).include?("silky")
          smooth && e.said?("stickiness", "very")
        },
        "Smooth, yet very sticky. Clay is smooth too: roll it thin to tell.", %w[plasticity],
        "If it holds at 2 mm, the smoothness is clay's; if not, silt's."
      ],
      "ribbon_too_long" => [
        ->(e) { e.over?(TOO_LONG) },
        "A ribbon this long was too thin, too wide or too wet.", %w[ribbons],
        "A ribbon 3 mm thick that breaks earlier is the one that counts."
      ],
      "organic" => [
        ->(e) { e.blind?("organic") },
        "Organic matter makes soil feel silky and lighter; over 17 % organic carbon it is not textured as mineral soil.", [],
        "If it is organic soil, its texture is not named at all."
      ],
      "stones_left_in" => [
        ->(e) { e.said("coarse_fragments_percent").to_f > FRAGMENTS_OVER && e.blind?("stones_left_in") },
        "Many coarse fragments were left in: texture is about grains up to 2 mm.", %w[ribbons wet_rub],
        "With the stones out, the ribbon is longer and the rub smoother."
      ],
      "worked_too_briefly" => [
        ->(e) { !e.said("working_minutes").nil? && e.said("working_minutes") < WORKED_UNDER && e.at_least?(LONG) },
        "Clay, by the ribbon, and worked under a minute: it may read too light.", %w[ribbons],
        "If the ribbons grow with working, the clay was not yet apart."
      ],
      "sand_and_clay_over_100" => [
        ->(e) { e.keys.any? { |key| key.notes.any? { |note| note["rule"] == "sand_and_clay_over_100" } } },
        "Sand and clay add up to more than 100.", %w[sand_estimate],
        "A lower estimate of sand leaves room for silt."
      ],
      "methods_two_off" => [
        ->(e) { two_off?(e.keys) },
        "Two methods name classes that are two steps apart.", [],
        "The test that both ask tells which of them was misread."
      ]
    }.each_value(&:freeze).freeze

    # Methods that are compared: field grades name a behaviour, and a grade of its own is no contradiction.
    COMPARED = (Agreement::KEYS - ["field_grades"]).freeze

    # @return [Boolean] whether the first outcomes of two keys are two steps apart
    def self.two_off?(keys)
      named = keys.select { |key| COMPARED.include?(key.key) && !key.outcomes.empty? }
                  .map { |key| [key.system, key.outcomes.first.first] }
      named.combination(2).any? { |one, other| Agreement.of(one, other) == :two_off }
    end

    # @param observations [Observations]
    # @param keys [Array<Keys::Result>] what the keys made of them
    def initialize(observations, keys)
      facts = Facts.new(observations, counts_from_mm: Keys::Opening::STUB_MM)
      @evidence = Evidence.new(observations: observations, facts: facts, keys: keys)
    end

    # @return [Array<Hash>] "rule", "sentence", "repeat" and "decides", as on the wire
    def to_a
      RULES.filter_map do |name, (holds, sentence, repeat, decides)|
        { "rule" => name, "sentence" => sentence, "repeat" => repeat, "decides" => decides } if holds.call(@evidence)
      end
    end
  end
end
