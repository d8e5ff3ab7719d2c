# frozen_string_literal: true

require_relative "demo"

module Demo
  # Two sets of tubs and who read them: Maren by herself, whose ribbons come out long, so that a curve of her own is
  # learnt; and a class of three. What is in the tubs is invented, and felt by the core's simulator. And a map of a
  # survey, invented too.
  class Practice
    # Who fills the tubs opens the demo's sets with this key.
    KEY = "0" * 32
    FILLED_BY = "Ottilie"
    MORNINGS = %w[2026-08-21T08:00:00Z 2026-09-04T12:30:00Z].freeze
    # Label, sand, clay, in percent.
    LONG = [["K1", 71, 8], ["K2", 58, 13], ["K3", 41, 17], ["K4", 22, 14], ["K5", 33, 28], ["K6", 56, 25],
            ["K7", 12, 33], ["K8", 17, 42], ["K9", 28, 47], ["K10", 9, 56]].freeze
    CLASS = [["Ash", 64, 11], ["Birch", 44, 19], ["Cherry", 25, 23], ["Damson", 36, 30], ["Elder", 14, 37],
             ["Fir", 55, 38], ["Hazel", 21, 50], ["Larch", 82, 6]].freeze
    # Made beside the ball and the ribbons. Points by which each of the class feels every soil richer in clay; times
    # the lengths of their ribbons; a seed.
    TESTS = %w[wet_rub stickiness sand_estimate].freeze
    HANDS = { "Maren" => [0, 1.25, 101], "Tobe" => [-3, 0.95, 202], "Ilka" => [4, 1.1, 303] }.freeze

    def self.load = Clock.run(*MORNINGS) { |clock| new(clock).load }

    def initialize(clock)
      @clock = clock
    end

    def load
      alone
      together
      bags
      SurveyMap.make("Invented survey of the valley", File.read(File.expand_path("demo_map.geojson", __dir__)))
      Fieldbook.current.double(true)
    end

    private

    # Labelled, to be sent; what is in them stands in demo_truth.csv, for the stand-in of a laboratory.
    def bags
      { "Tare 1" => { "T1-1" => [5, 15], "T1-3" => [40, 60] }, "Sallow 1" => { "S1-1" => [5, 15], "S1-2" => [25, 40] } }
        .each do |name, all|
          rows = all.map { |label, (upper, lower)| { kind: "bag", label: label, upper_cm: upper, lower_cm: lower } }
          Sample.make(Profile.find_by!(name: name), rows)
        end
    end

    def alone
      @clock.next_morning
      set = made("Long bench", LONG)
      read(PracticeSession.make(kind: "alone", set: set), "Maren")
      Observer.named("Maren").switch_on
      Observer.named("Maren").switch_off
    end

    def together
      @clock.next_morning
      session = PracticeSession.make(kind: "group", set: made("Hedge class", CLASS), scheme: "class_half")
      HANDS.each_key { |name| read(session, name) }
      session.close
    end

    def made(name, tubs)
      rows = tubs.map do |label, sand, clay|
        { "label" => label, "sand" => sand, "clay" => clay, "method" => "pipette" }
      end
      ReferenceSet.make(KEY, name: name, owner: FILLED_BY, tubs: rows)
    end

    def read(session, name)
      bias, times, seed = HANDS.fetch(name)
      person = session.join(name, seed.to_s.rjust(32, "0"))
      hand = Grittle::Evidence::Simulator.new(seed, bias: { clay: bias }, noise: 0.4)
      person.turns.each do |turn|
        Demo.texture_felt(turn.begin, @clock, longer(hand.feel(turn.truth, tests: TESTS), times))
        turn.close
      end
    end

    def longer(felt, times)
      made = (felt["ribbons"] || []).map { |ribbon| ribbon.merge("length_mm" => (ribbon["length_mm"] * times).round) }
      felt.merge(felt.key?("ribbons") ? { "ribbons" => made } : {})
    end
  end
end
