# frozen_string_literal: true

module Grittle
  module Tests
    # How each test is asked at the bench: the question, how to perform it in a sentence, and the words of its answers.
    # Every observation of Vocabulary is here (checked as it loads).
    module Catalogue
      # Rupture resistance of a block of 2 to 3 cm. [published: Soil Survey Manual, USDA Handbook 18, 2017, ch. 3; our
      # five take some of its classes together]
      DRY_CLOD = {
        "loose" => ["Loose", "single grains at once"],
        "soft" => ["Soft", "crumbles at a touch"],
        "firm" => ["Moderately hard", "breaks between finger and thumb"],
        "hard" => ["Very hard", "breaks between two hands"],
        "very_hard" => ["Extremely hard", "does not break by hand"]
      }.freeze
      MOIST_CLOD = {
        "loose" => ["Loose", "single grains at once"],
        "soft" => ["Very friable", "crumbles at a touch"],
        "firm" => ["Friable", "a slight press of finger and thumb"],
        "hard" => ["Firm", "a hard press of finger and thumb"],
        "very_hard" => ["Very firm", "takes both hands, or more"]
      }.freeze

      # observation => question, how to perform it, answers as state => [word, what it looks like]. A test that is no
      # choice of one answer has a control: halving, percent, words (any number of them) or timer.
      TESTS = {
        "dry_clod" => {
          ask: "Crush a dry clod. How hard is it?",
          how: "Take a clod of about 2 cm and press it between finger and thumb, then between both hands.",
          answers: DRY_CLOD
        },
        "moist_clod" => {
          ask: "Crush a moist clod. How hard is it?",
          how: "Take a clod of about 2 cm and press it between finger and thumb, then between both hands.",
          answers: MOIST_CLOD
        },
        "mould_feel" => {
          ask: "How does it feel while you knead?",
          how: "Knead about 25 g, a palmful, until no crumb is left and the moisture is even.",
          answers: {
            "crumbly" => ["Crumbly", "falls apart, hardly moulds"],
            "soft" => ["Soft", "moulds, gives way at once"],
            "doughy" => ["Like dough", "moulds, keeps its shape"],
            "stiff" => ["Stiff", "like modelling clay"]
          }
        },
        "ball_holds" => {
          ask: "Squeeze it. Does it stay a ball?",
          how: "Close your hand firmly around the palmful, then open it.",
          answers: {
            true => ["Yes", "it stays in one piece"],
            false => ["No", "it falls apart"]
          }
        },
        "ribbon_forms" => {
          ask: "Does it form a ribbon at all?",
          how:
            "Push the soil with the thumb over the bent forefinger, let go, push again, so that an even band rises " \
            "and hangs.",
          answers: {
            true => ["Yes", "a band rises and hangs"],
            false => ["No", "it breaks before there is one"]
          }
        },
        "ribbons" => {
          ask: "How long was it when it broke?",
          how: "Push the soil with the thumb over the bent forefinger, let go, push again: an even band, about 3 mm " \
               "thick, measured when it breaks or folds under its own weight.",
          answers: {
            "broke" => ["Broke", "under its own weight"],
            "folded" => ["Folded", "bent over and hung"],
            "never_broke" => ["Never broke", "push the next one thinner"],
            "torn" => ["Not counted (tore)", "sticky hand"]
          }
        },
        "wet_rub" => {
          ask: "Rub a pinch with plenty of water. What stands out?",
          how: "Put a pinch in your palm, add plenty of water, and rub it with the forefinger.",
          answers: {
            "very_gritty" => ["Very gritty", "grains stand out"],
            "neither" => ["Neither gritty nor smooth", "or both: nothing stands out"],
            "very_smooth" => ["Very smooth", "like flour or silk"]
          }
        },
        "grittiness" => {
          ask: "How much grit do you feel?",
          how: "Single grains that you feel are sand; silt and clay are too fine.",
          answers: {
            "none" => ["None", "no grain at all"],
            "slight" => ["Slight", "a grain now and then"],
            "moderate" => ["Moderate", "grains in a finer paste"],
            "very" => ["Very", "mostly grains"],
            "extreme" => ["Extreme", "nothing but grains"]
          }
        },
        "plasticity" => {
          ask: "Roll it. What is the thinnest roll that holds itself?",
          how: "Roll 4 cm on the palm, thinner and thinner, and hold it up by one end.",
          answers: {
            "non" => ["Non-plastic", "not even 6 mm holds"],
            "slightly" => ["6 mm", "holds; 4 mm breaks"],
            "moderately" => ["4 mm", "holds; 2 mm breaks"],
            "very" => ["2 mm", "holds itself"]
          }
        },
        "stickiness" => {
          ask: "Press it between thumb and finger, then pull apart. How sticky is it?",
          how: "Wet it until it sticks most, press, and pull slowly.",
          answers: {
            "non" => ["Non-sticky", "comes off clean"],
            "slightly" => ["Slightly", "clings to one finger"],
            "moderately" => ["Moderately", "stretches a little"],
            "very" => ["Very", "stretches, both fingers"]
          }
        },
        "toss" => {
          ask: "Toss the ball a foot high and catch it. What happens?",
          how: "About 30 cm, into the open hand.",
          answers: {
            "breaks" => ["Breaks", "falls to pieces"],
            "cracks" => ["Cracks", "in one piece, with cracks"],
            "holds" => ["Holds", "as it was"]
          }
        },
        "cast_strength" => {
          ask: "Poke the ball with one finger. How strong is it?",
          how: "Lightly first, then hard.",
          answers: {
            "none" => ["None", "no ball at all"],
            "very_weak" => ["Very weak", "falls apart when handled"],
            "weak" => ["Weak", "falls apart at a light poke"],
            "moderate" => ["Moderate", "stands a light poke"],
            "strong" => ["Strong", "falls apart only at a hard poke"],
            "very_strong" => ["Very strong", "stands a hard poke"]
          }
        },
        "coherence" => {
          ask: "Work it for a minute or two. How well does it hang together?",
          how: "The bolus as a whole, when no more change is felt.",
          answers: {
            "none" => ["Not at all", "single grains"],
            "very_slight" => ["Very slight", "cannot be moulded"],
            "slight" => ["Slight", "can be sheared between the fingers"],
            "coherent" => ["Coherent", "hangs together"],
            "strongly_coherent" => ["Strongly", "hard to part"]
          }
        },
        "ribbon_character" => {
          ask: "What is the ribbon like?",
          how: "As it rises from the finger, before it breaks.",
          answers: {
            "none" => ["None", "no ribbon"],
            "stub" => ["A stub", "barely, breaks at once"],
            "flakes" => ["Flakes", "rather than a ribbon"],
            "short_thick" => ["Short and thick", "breaks early"],
            "thin" => ["Thin", "fairly long"],
            "very_thin" => ["Very thin", "very long"]
          }
        },
        "grains_seen" => {
          ask: "Look at it closely. Do you see grains?",
          how: "In a finer matrix, against the light.",
          answers: {
            "none" => ["None", "no grain to be seen"],
            "some" => ["Some", "here and there"],
            "many" => %w[Many everywhere]
          }
        },
        "decanted_sand" => {
          ask: "Let the cloudy water run off. How much sand stays?",
          how: "Against the pinch that you took.",
          answers: {
            "none" => ["None", "nothing stays"],
            "trace" => ["A trace", "a few grains"],
            "some" => ["Some", "less than half of the pinch"],
            "most" => ["Most", "more than half of the pinch"]
          }
        },
        "floury_feel" => {
          ask: "Rub a pinch until it is gone. Does it feel like flour?",
          how: "Between finger and thumb, moist, then drying.",
          answers: {
            "none" => ["Not floury", "nothing like flour"],
            "some" => ["Somewhat", "floury under the rest"],
            "strong" => ["Strongly", "like flour, or silk"]
          }
        },
        "finger_stain" => {
          ask: "Look at your fingers. What stays on them?",
          how: "Into the rills of the fingertips.",
          answers: {
            "clean" => ["Clean", "nothing in the rills"],
            "grains_stick" => ["Grains", "single grains stick"],
            "stained" => ["Stained", "fine material in the rills"]
          }
        },
        "finest_wire_mm" => {
          ask: "Roll a wire between the palms. What is the finest that holds?",
          how: "About 7 mm first, a pencil; then about 3 mm, a straw.",
          answers: {
            "none" => ["None", "not even 7 mm"],
            "7" => ["7 mm", "no finer"],
            "3" => ["3 mm", "or finer"]
          }
        },
        "ring_forms" => {
          ask: "Bend the 3 mm wire to a ring of 2 to 3 cm. Does it hold?",
          how: "Slowly, around a fingertip.",
          answers: {
            true => ["Yes", "it bends to a ring"],
            false => ["No", "it breaks"]
          }
        },
        "rods" => {
          ask: "Mould it into a rod. Does it fracture?",
          how: "Like modelling clay, finger thick.",
          answers: {
            "cannot" => ["Cannot", "makes no rod"],
            "fracture" => ["It fractures", "cracks as it is bent"],
            "without_fracture" => ["Without fracture", "bends like modelling clay"]
          }
        },
        "squeezed_surface" => {
          ask: "Squeeze it between finger and thumb. How does the surface look?",
          how: "At the face that was pressed.",
          answers: {
            "rough_torn" => ["Rough, torn", "a torn face"],
            "smooth_dull" => ["Smooth, dull", "no gloss"],
            "moderately_shiny" => ["Some shine", "a faint gloss"],
            "shiny" => ["Shiny", "a clear gloss"]
          }
        },
        "shine" => {
          ask: "Drag a smooth blade over the ball. How does it shine?",
          how: "With the back of the knife, once, lightly.", caution: "shine",
          answers: {
            "none" => ["No shine", "dull"],
            "slight" => ["Slight", "a faint gloss"],
            "moderate" => ["Moderate", "a gloss"],
            "strong" => ["Strong", "like polish"]
          }
        },
        "thumbprint" => {
          ask: "Press your thumb on it. Does it take the print?",
          how: "On a smooth face, firmly.",
          answers: {
            true => ["Yes", "the lines can be seen"],
            false => ["No", "no lines"]
          }
        },
        "shear_resistance" => {
          ask: "Shear it between thumb and forefinger. How much does it resist?",
          how: "Push a thick ribbon sideways.",
          answers: {
            "none" => ["None", "gives way"],
            "slight" => ["Slight", "a little push"],
            "moderate" => ["Moderate", "a real push"],
            "firm" => ["Firm", "hard to push"],
            "very_firm" => ["Very firm", "can hardly be pushed"]
          }
        },
        "water_uptake" => {
          ask: "How did it take the water?",
          how: "While you wetted and kneaded it.",
          answers: {
            "soaks_in" => ["At once", "soaks in like sand"],
            "slow" => ["Slowly", "bit by bit"],
            "keeps_taking" => ["Goes on taking", "slowly, and always more"],
            "repels" => ["Repels", "drops stay on top"]
          }
        },
        "stiffens_while_worked" => {
          ask: "Does it stiffen as you work it?",
          how: "Without more water, for a minute.",
          answers: {
            true => ["Yes", "heavier and stiffer"],
            false => ["No", "stays as it is"]
          }
        },
        "sand_grade" => {
          ask: "Which grains prevail among the sand?",
          how: "Lay a pinch on the card of grain sizes, or beside the one on the screen, and compare.",
          answers: {
            "coarse" => ["Coarse", "over 0.5 mm"],
            "medium" => ["Medium", "0.25 to 0.5 mm"],
            "fine" => ["Fine", "0.1 to 0.25 mm"],
            "very_fine" => ["Very fine", "under 0.1 mm, just felt"]
          }
        },
        "feel_words" => {
          ask: "Which words fit its feel?", control: "words",
          how: "Rub the moist bolus between thumb and finger, and tick every word that fits.",
          answers: {
            "spongy" => ["Spongy", "gives and comes back"],
            "greasy" => ["Greasy", "organic, like fat"],
            "silky" => ["Silky", "slides like silk"],
            "soapy" => ["Soapy", "slides like wet soap"],
            "smooth" => ["Smooth", "no grain, no drag"],
            "like_modelling_clay" => ["Like modelling clay", "holds any shape"]
          }
        },
        "sand_estimate" => {
          ask: "How much of it is sand?", control: "halving",
          how:
            "Wash the fines out of a pinch in your palm, and halve what is left to doubt until you can no longer tell.",
          answers: {}
        },
        "clay_estimate" => {
          ask: "How much clay, by your own hand?", control: "percent",
          how: "Give a number only if laboratory results have taught your hand to.",
          answers: {}
        },
        "coarse_fragments_percent" => {
          ask: "How much of the whole soil is over 2 mm?", control: "percent",
          how: "Judge the share of gravel and stones by volume, on the face or in the spoil.",
          answers: {}
        },
        "working_minutes" => {
          ask: "How long was it worked?", control: "timer",
          how: "Knead until no more change is felt; a clay that comes apart slowly shows only after ten minutes.",
          answers: {}
        },
        "moisture_rounds" => {
          ask: "How often was it wetted or dried, and the ball made again?", control: "loop",
          how: "A ball that fails may only be too dry or too wet, so it is made again before the key calls it sand.",
          answers: {}
        },
        "blind_spots" => {
          ask: "Is there anything that misleads the hand?", control: "words",
          how: "Tick what applies, and every estimate gets a wider uncertainty.",
          answers: {
            "organic" => ["Organic", "dark and spongy"],
            "calcareous" => ["Calcareous", "effervesces with acid"],
            "sodic" => ["Sodic", "disperses, slick when wet"],
            "micaceous" => ["Micaceous", "flakes glint and slide"],
            "volcanic_ash" => ["Volcanic ash", "light, greasy, fluffy"],
            "subplastic" => ["Subplastic", "clay that gives way slowly"],
            "stones_left_in" => ["Stones left in", "over 2 mm"],
            "moisture_doubtful" => ["Moisture doubtful", "too dry or too wet"]
          }
        }
      }.freeze

      # observation => what it is called in a sentence, the seconds it takes, and the group whose tests share the same
      # moisture and the same hand ("keys": it serves the keys and the contradictions only; "sample": it says something
      # of the sample). [seconds and groups: Grittle's own model]
      FACTS = {
        "dry_clod" => ["dry clod", 15, "clay"],
        "moist_clod" => ["moist clod", 15, "clay"],
        "mould_feel" => ["feel while kneading", 5, "clay"],
        "water_uptake" => ["uptake of water", 5, "clay"],
        "stiffens_while_worked" => ["stiffening", 60, "clay"],
        "working_minutes" => ["working time", 120, "sample"],
        "ball_holds" => ["ball", 10, "ball"],
        "moisture_rounds" => ["moisture", 60, "sample"],
        "ribbon_forms" => ["ribbon", 20, "ribbon"],
        "ribbons" => ["ribbon length", 40, "clay"],
        "wet_rub" => ["wet rub", 20, "grain"],
        "grittiness" => ["grit", 15, "grain"],
        "plasticity" => ["plasticity", 90, "clay"],
        "stickiness" => ["stickiness", 10, "clay"],
        "toss" => ["toss", 10, "keys"],
        "cast_strength" => ["ball strength", 15, "clay"],
        "coherence" => ["coherence", 10, "keys"],
        "ribbon_character" => ["ribbon look", 5, "keys"],
        "grains_seen" => ["grains seen", 10, "keys"],
        "decanted_sand" => ["sand left over", 60, "grain"],
        "floury_feel" => ["floury feel", 10, "silt"],
        "finger_stain" => ["finger stain", 5, "keys"],
        "finest_wire_mm" => ["finest wire", 60, "keys"],
        "ring_forms" => ["ring", 15, "keys"],
        "rods" => ["rod", 60, "keys"],
        "squeezed_surface" => ["squeezed face", 10, "keys"],
        "shine" => ["shine", 20, "clay"],
        "thumbprint" => ["thumbprint", 5, "clay"],
        "shear_resistance" => ["resistance", 15, "clay"],
        "sand_grade" => ["grade of the sand", 20, "sample"],
        "feel_words" => ["words for the feel", 10, "keys"],
        "sand_estimate" => ["sand by bisection", 30, "grain"],
        "clay_estimate" => ["clay by hand", 5, "clay"],
        "coarse_fragments_percent" => ["coarse fragments", 30, "sample"],
        "blind_spots" => ["what may mislead the hand", 10, "sample"]
      }.each_value(&:freeze).freeze
      FACTS.each do |name, (short, seconds, group)|
        TESTS.fetch(name).update(short: short, seconds: seconds, group: group).freeze
      end
      raise "an observation stands in no catalogue" unless (Vocabulary::ALL.keys - TESTS.keys).empty?

      # mm: grains from and to, largest first; gravel goes on to 75 mm. [published: Soil Survey Manual, USDA Handbook
      # 18, 2017, ch. 3]
      GRAIN_SIZES_MM = { "gravel" => [2, 75], "very coarse" => [1, 2], "coarse" => [0.5, 1], "medium" => [0.25, 0.5],
                         "fine" => [0.1, 0.25], "very fine" => [0.05, 0.1] }.freeze

      # What comes before the ball holds, and again whenever it does not: the loop of MoistureLoop.
      MOISTURE = {
        ask: "Is it ready?",
        how:
          "Add water a little at a time. It is ready when it holds to itself more than to the hand, like moist putty.",
        answers: {
          "too_dry" => ["Too dry", "cracks and crumbles: add water, knead on"],
          "too_wet" => ["Too wet", "glistens, clings, drips: add dry soil, or let it dry"],
          "neither" => ["Neither", "the moisture is right"]
        }
      }.freeze

      # @return [Array] the states a test may be answered with: words, true and false, or how a ribbon ended
      def self.states_of(name)
        kind = Vocabulary::ALL.fetch(name)
        { flag: [true, false], ribbons: PushedRibbon::ENDINGS }.fetch(kind[:kind]) { kind[:states] }
      end

      # @return [String] the word for a state, or an estimate in percent, in the middle of a sentence
      def self.word(test, state)
        return "#{state['percent'].round} %" if state.is_a?(Hash) && state.key?("percent")

        return state.map { |one| word(test, one) }.join(", ") if state.is_a?(Array)

        TESTS.dig(test, :answers, state, 0)&.downcase || state.to_s.tr("_", " ")
      end

      # @return [String] what a test is called in the middle of a sentence
      def self.short(test) = FACTS.dig(test, 0) || test.tr("_", " ")
    end
  end
end
