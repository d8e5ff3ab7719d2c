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
      def under?(millimetres) = !mean.nil? && mean < millimetres

      # Nothing holds together, by the ball itself or by its strength.
      def no_ball? = facts.ball&.value == false || (said("ball_holds").nil? && said?("cast_strength", "none"))

      # A ribbon that somebody says there is.
      def ribbon_said? = !facts.set.nil? || said("ribbon_forms") == true || !said?("ribbon_character", nil, "none")

      # Measured, and no thinner than a school's.
      def thick_enough? = facts.set.counted.filter_map(&:thickness_mm).any? { |mm| mm >= LIMITS["thick_enough"] }
    end

    LIMITS = Data::CONTRADICTIONS
    LONG = LIMITS["long"]
    SHORT = LIMITS["short"]
    PUSH_AGAIN = "Let it dry a little and push again: if a ribbon comes, there is clay; if none does, and it sticks " \
                 "less, there is little."

    # name => [when it holds, what it says, what to repeat, what repeating would decide]
    RULES = {
      "ball_fails_but_ribbon" => [
        ->(e) { e.no_ball? && e.ribbon_said? },
        "The ball fails, yet a ribbon is recorded.", %w[ball_holds ribbons],
        "If the ball holds now, the ribbon stands; if it fails again, it is sand."
      ],
      "no_ribbon_but_sticky" => [
        ->(e) { !e.no_ball? && e.ribbon == false && e.said?("stickiness", "moderately", "very") },
        "No ribbon forms, yet it is sticky: soil too wet, or a hand too sticky, pushes none.",
        %w[ribbons stickiness],
        PUSH_AGAIN
      ],
      "no_ribbon_but_plastic" => [
        ->(e) { !e.no_ball? && e.ribbon == false && e.said?("plasticity", "very") },
        "No ribbon forms, yet a roll of 2 mm holds: the soil was too wet or too dry to push.",
        %w[ribbons plasticity],
        PUSH_AGAIN
      ],
      "no_ribbon_but_shine" => [
        ->(e) { !e.no_ball? && e.ribbon == false && e.said?("shine", "moderate", "strong") },
        "No ribbon forms, yet it shines: the soil was too wet or too dry to push.", %w[ribbons shine], PUSH_AGAIN
      ],
      "long_ribbon_not_sticky" => [
        ->(e) { e.at_least?(LONG) && e.said?("stickiness", "non", "slightly") },
        "A long ribbon, yet hardly sticky.", %w[ribbons stickiness],
        "If it sticks when wetter, it is clay; if the ribbon comes out shorter, it is not."
      ],
      "long_ribbon_no_shine" => [
        ->(e) { e.at_least?(LONG) && e.said?("shine", "none") },
        "A long ribbon, yet no shine.", %w[ribbons shine],
        "If it shines on a smooth cut, it is clay; if the ribbon comes out shorter, it is not."
      ],
      "long_ribbon_not_plastic" => [
        ->(e) { e.at_least?(LONG) && e.said?("plasticity", "non") },
        "A long ribbon, yet not even a roll of 6 mm holds.", %w[ribbons plasticity],
        "If a thinner roll holds when wetter, it is clay; if the ribbon comes out shorter, it is not."
      ],
      "long_ribbon_clods_shatter" => [
        ->(e) { e.at_least?(LONG) && e.said?("dry_clod", "loose") },
        "A long ribbon, yet dry clods go to single grains.", %w[ribbons dry_clod],
        "If a clod holds, the ribbon stands; if it shatters again, the ribbon was too wet or too thick."
      ],
      "short_ribbon_very_sticky" => [
        ->(e) { e.under?(LONG) && e.ribbon && e.said?("stickiness", "very") },
        "A short ribbon, yet very sticky: soil too wet, or a hand too sticky, tears it early.", %w[ribbons stickiness],
        "Let it dry a little and push again: if longer ribbons come, there is more clay; if it sticks less, there is " \
        "less."
      ],
      "short_ribbon_strong_shine" => [
        ->(e) { e.under?(SHORT) && e.ribbon && e.said?("shine", "strong") },
        "Hardly a ribbon, yet a strong shine.", %w[ribbons shine],
        "If a longer ribbon comes, it was too dry; if it shines less, there is little clay."
      ],
      "no_thumbprint_long_ribbon" => [
        ->(e) { e.said("thumbprint") == false && e.over?(LIMITS["no_print_over"]) },
        "It takes no thumbprint, yet the ribbon is long.", %w[thumbprint ribbons],
        "A print on a smooth face means clay; none, and the ribbon was too thick or too wet."
      ],
      "thumbprint_no_ribbon" => [
        ->(e) { e.said("thumbprint") == true && e.ribbon == false },
        "It takes a thumbprint, yet no ribbon forms.", %w[thumbprint ribbons],
        "If a ribbon forms, there is clay; if no print shows, it is sandy."
      ],
      "very_fine_sand_feels_smooth" => [
        lambda { |e|
          very_fine = e.said?("sand_grade", "very_fine") && e.said?("decanted_sand", "some", nil)
          e.said?("wet_rub", "very_smooth") && (very_fine || e.said?("decanted_sand", "most"))
        },
        "It rubs very smooth, yet it is sand: very fine sand feels smooth. Let the cloudy water run off and look.",
        %w[decanted_sand wet_rub], "What stays is very fine sand; what runs off cloudy is silt."
      ],
      "gritty_but_nothing_left" => [
        ->(e) { e.said?("wet_rub", "very_gritty") && e.said?("decanted_sand", "none", "trace") },
        "It rubs very gritty, yet hardly any sand stays: soft crumbs of silt or clay feel gritty until they are " \
        "worked apart.",
        %w[wet_rub decanted_sand], "If the grit goes with rubbing, it was crumbs; if grains stay, it is sand."
      ],
      "sandy_but_smooth" => [
        ->(e) { e.sand.to_f > LIMITS["sandy_over"] && e.said?("wet_rub", "very_smooth") },
        "Mostly sand by your estimate, yet it rubs very smooth.", %w[sand_estimate wet_rub],
        "If grains are left after rubbing, the estimate stands; if not, it was too high."
      ],
      "little_sand_but_gritty" => [
        ->(e) { !e.sand.nil? && e.sand < LIMITS["little_sand_under"] && e.said?("wet_rub", "very_gritty") },
        "Little sand by your estimate, yet it rubs very gritty.", %w[sand_estimate wet_rub],
        "If grains are left after rubbing, the estimate was too low; if not, it stands."
      ],
      "gritty_and_floury" => [
        ->(e) { e.said?("wet_rub", "very_gritty") && e.said?("floury_feel", "strong") },
        "Very gritty and strongly floury: very fine sand, perhaps. Let the cloudy water run off and look.",
        %w[decanted_sand],
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
        ->(e) { e.over?(LIMITS["too_long"]) && !e.thick_enough? },
        "Longer than heavy clay makes them: thinner than two to three mm, perhaps, or wider than the thumb.",
        %w[ribbons],
        "A ribbon 2 to 3 mm thick that breaks earlier is the one that counts."
      ],
      "organic" => [
        ->(e) { e.blind?("organic") },
        "Organic matter makes soil feel silky and lighter; over 17 % organic carbon it gets no texture class.", [],
        "If it is organic soil, call it peat, mucky peat or muck."
      ],
      "stones_left_in" => [
        ->(e) { e.said("coarse_fragments_percent").to_f > LIMITS["fragments_over"] && e.blind?("stones_left_in") },
        "Many coarse fragments were left in: texture is about grains up to 2 mm.", %w[ribbons wet_rub],
        "With the stones out, the ribbon is longer and the rub smoother."
      ],
      "worked_too_briefly" => [
        lambda do |e|
          !e.said("working_minutes").nil? && e.said("working_minutes") < LIMITS["worked_under"] && e.at_least?(LONG)
        end,
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

    # Methods that are compared: those that name regions. A field grade is a behaviour of its own and no contradiction.
    COMPARED = :region

    # @return [Boolean] whether the first outcomes of two keys are two steps apart
    def self.two_off?(keys)
      named = keys.filter_map(&:first).select { |one| one.kind == COMPARED }
      named.combination(2).any? { |one, other| one.agreement(other) == :two_off }
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
