# frozen_string_literal: true

module Grittle
  module Profiles
    # A crumb in still water: whether it slakes, and whether its clay goes into the water by itself. Ends in a class
    # from 1 (disperses) to 8 (does nothing), in the manner of Emerson; until then it says which are still possible, and
    # what to wait for. [from memory: Emerson 1967; AS 1289.3.8.1; the times from which a look counts are our own]
    class CrumbTest
      SLAKES = %w[not a_little fully].freeze
      MILKY = %w[none some complete].freeze
      SUSPENSIONS = %w[disperses flocculates].freeze
      # Waters that let a clay disperse as rain does.
      SOFT = %w[rain distilled].freeze
      # Classes whose clay disperses in still water; class 3 does so when it is worked wet.
      DISPERSIVE = [1, 2].freeze
      WHEN_WORKED = 3
      PROVISIONAL_MIN = Data::PROFILE["crumb_provisional"]
      FINAL_MIN = Data::PROFILE["crumb_final"]
      STATES = %w[wait provisional decided open void].freeze

      # @return [Array<Integer>] classes that are still possible, 1 to 8
      attr_reader :classes

      # @return [String] one of STATES
      attr_reader :state

      # @return [String, nil] what to do next, for a person
      attr_reader :advice

      # @param looks [Array<Array>] minutes (nil: not written down), one of SLAKES, one of MILKY; either may be nil
      # @param water [String, nil] "rain", "distilled", "tap" or nil
      # @param air_dry [Boolean, nil]
      # @param remoulded_disperses, carbonate_or_gypsum, swells [Boolean, nil]
      # @param suspension [String, nil] of SUSPENSIONS: shaken 1 to 5
      # @param poured_on [Boolean, nil] whether water was poured on it
      # @raise [InvalidInput] for an unknown answer
      def initialize(
        looks,
        water: nil,
        air_dry: nil,
        remoulded_disperses: nil,
        carbonate_or_gypsum: nil,
        suspension: nil,
        swells: nil,
        poured_on: nil
      )
        check("slaking", looks.map { |look| look[1] }, SLAKES)
        check("dispersion", looks.map { |look| look[2] }, MILKY)
        check("suspension", [suspension], SUSPENSIONS)
        @looks = looks
        @soft = SOFT.include?(water)
        @air_dry = air_dry
        @remoulded = remoulded_disperses
        @lime = carbonate_or_gypsum
        @suspension = suspension
        @swells = swells
        @classes, @state, @advice =
          poured_on ? [(1..8).to_a, "void", "Water was poured on it: take another crumb."] : decide
        freeze
      end

      # @return [Integer, nil] the class, once it is decided
      def number = (classes.first if state == "decided" && classes.size == 1)

      # @return [Boolean] a warning for dams, tunnels and effluent: its clay disperses, or holds and clouds the water
      #   from two hours on
      def dispersive?
        (classes - DISPERSIVE).empty? || (state == "open" && slaked == "not" && minutes >= PROVISIONAL_MIN)
      end

      # @return [String] for a person
      def sentence
        said = classes.size > 1 && classes.each_cons(2).all? do |one, other|
          other == one + 1
        end ? "#{classes.first} to #{classes.last}" : classes.join(", ")
        opening =
          {
            "decided" => "crumb class #{said}",
            "provisional" => "crumb class #{said} so far",
            "void" => "crumb test void"
          }.fetch(state) { classes.size == 8 ? "crumb in water, still open" : "crumb class #{said} still possible" }
        [opening, ("dispersive: a warning for dams, tunnels and effluent" if dispersive?),
         ("disperses when worked wet" if classes == [WHEN_WORKED])].compact.join(", ")
      end

      private

      # The greatest slaking and milkiness stand.
      def slaked = @looks.filter_map { |look| look[1] }.max_by { |state| SLAKES.index(state) }
      def milky = @looks.filter_map { |look| look[2] }.max_by { |state| MILKY.index(state) }

      # Minutes of the latest look that counts; a look without its time is taken as the first.
      def minutes = @looks.filter_map(&:first).max || 0
      def final? = minutes >= FINAL_MIN

      def decide
        return [(1..8).to_a, "wait", "Lay a crumb in and look at 5 and 10 min, 2 and 20 h."] if slaked.nil?

        found = slaked == "not" ? held : fell_apart
        lessened? ? found[0..1] + ["It was more at an earlier look: look again."] : found
      end

      def lessened?
        last = @looks.reverse.find { |look| look[2] }
        !last.nil? && MILKY.index(last[2]) < MILKY.index(milky)
      end

      def held
        unless [nil, "none"].include?(milky)
          return [(1..8).to_a, "open", "It holds, yet the water clouds: was it touched, or dusty? Take another crumb."]
        end
        return [[7, 8], "open", "It must be air-dry: dry it and repeat."] if @air_dry == false

        classes = { true => [7], false => [8] }.fetch(@swells, [7, 8])
        return [classes, "wait", "Look again at 2 and 20 h."] if minutes < PROVISIONAL_MIN
        return [classes, "provisional", "Look again at 20 h."] unless final?

        classes.size == 1 ? [classes, "decided", nil] : [classes, "open", "Does it swell?"]
      end

      def fell_apart
        case milky
        when "complete" then [[1], "decided", nil]
        when "some" then some_milky
        when "none" then final? ? clear : [(1..6).to_a, "wait", "Clear so far: look again at 20 h."]
        else [(1..6).to_a, "wait", "Is the water milky?"]
        end
      end

      def some_milky
        return [[1, 2], "wait", "It may still disperse wholly: look again at 20 h."] unless final?

        @soft ? [[2], "decided", nil] : [[1, 2], "open", "In tap water clay disperses less: repeat in rain water."]
      end

      # Slaked and clear after twenty hours.
      def clear
        return hard_water unless @soft
        return [[3], "decided", nil] if @remoulded
        if @remoulded.nil?
          return [
            [3, 4, 5, 6],
            "open",
            "Remould a crumb to a 5 mm ball and lay it in: does it disperse?"
          ]
        end
        return [[4], "decided", nil] if @lime
        return [[4, 5, 6], "open", "Is there lime or gypsum?"] if @lime.nil?
        return [[5, 6], "open", "Shake it 1 to 5 in water: does it disperse or flocculate?"] if @suspension.nil?

        [[@suspension == "disperses" ? 5 : 6], "decided", nil]
      end

      def hard_water
        [(1..(@remoulded ? 3 : 6)).to_a, "open", "In tap or unknown water clay disperses less: repeat in rain water."]
      end

      def check(field, answers, allowed)
        bad = answers.compact.find { |answer| !allowed.include?(answer) } or return

        raise InvalidInput,
              [
                Problem.new(
                  pointer: "/#{field}",
                  sentence: "“#{bad}” is no answer to #{field}. Use one of: #{allowed.join(', ')}."
                )
              ]
      end
    end
  end
end
