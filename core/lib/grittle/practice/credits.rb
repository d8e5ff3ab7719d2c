# frozen_string_literal: true

module Grittle
  module Practice
    # What a call is worth beside the truth, by a scheme. [common practice and our own: see the figures]
    class Credits
      SCHEMES = FIGURES["schemes"]
      TOLERANCES = FIGURES["tolerances"]
      # For a person who chooses one.
      NAMES = { "practice" => "Class; half for a neighbour; both classes at a line",
                "class_half" => "Class; half for a neighbour", "class_only" => "Class alone",
                "group" => "Management group; half for the next", "numbers" => "Sand and clay in numbers",
                "class_and_numbers" => "Class twice, sand and clay once", "odds" => "Odds of the estimate" }.freeze
      # Schemes that ask the person for sand and clay.
      NUMBERS = SCHEMES.select { |_, scheme| scheme[:parts].keys.intersect?(%w[numbers clay sand]) }.keys.freeze
      GROUPS = Profiles::Perching::GROUPS

      # @param scheme [String] one of SCHEMES
      # @param sand, clay [Numeric] percent, the truth
      # @raise [UnknownName, InvalidComposition]
      def initialize(scheme, sand:, clay:)
        @scheme = SCHEMES[scheme] || raise(UnknownName.new("scheme", scheme, SCHEMES.keys))
        @truth = Composition.new(sand: sand, clay: clay)
        @classes = Credits.classes(@truth, @scheme[:line])
        freeze
      end

      # Both classes of a line are right; within +within+ points of it too.
      # @return [Array<String>] USDA codes
      def self.classes(composition, within)
        own = Triangles::USDA.classify(composition).code
        near = Triangles::USDA.near(composition, within: [within, 1e-9].max).map(&:code)
        [own, *near].uniq
      end

      # @return [Integer] boundaries to cross between two classes of the USDA
      def self.steps(one, other)
        @steps ||= {}
        @steps[[one,
                other]] ||= NamedClass.new(system: "usda", code: one).apart(NamedClass.new(system: "usda", code: other))
      end

      # @return [Array<String>] classes that are right
      attr_reader :classes

      # @param call [Hash] "classes" (one code or several), or "class"; "clay" and "sand"; "odds" by code
      # @return [Float] 0 to 1
      def of(call)
        parts = @scheme[:parts]
        parts.sum { |part, weight| weight * part(part, call) } / parts.values.sum.to_f
      end

      private

      def part(part, call)
        case part
        when "class_half", "class_only", "group" then named(part, call)
        when "numbers" then (number("clay", call) + number("sand", call)) / 2.0
        when "odds" then odds(call["odds"] || {})
        else number(part, call)
        end
      end

      # Of two classes that were named, the mean.
      def named(part, call)
        codes = Array(call["classes"] || call["class"])
        return 0.0 if codes.empty?

        codes.sum { |code| worth(part, code) } / codes.size.to_f
      end

      def worth(part, code)
        return group(code) if part == "group"

        steps = @classes.map { |own| Credits.steps(own, code) }.min
        return 1.0 if steps.zero?

        part == "class_half" && steps == 1 ? 0.5 : 0.0
      end

      def group(code)
        apart = @classes.map { |own| (rank(own) - rank(code)).abs }.min
        { 0 => 1.0, 1 => 0.5 }.fetch(apart, 0.0)
      end

      def rank(code) = GROUPS.fetch(Triangles::USDA[code].group)

      def number(name, call)
        return 0.0 unless call[name]

        full, half = TOLERANCES.fetch(name)
        off = (call[name] - @truth.public_send(name)).abs
        return 1.0 if off <= full + 1e-9

        off <= half + 1e-9 ? 0.5 : 0.0
      end

      # Honest odds pay best. [published: Brier 1950]
      def odds(odds)
        own = 1.0 / @classes.size
        codes = odds.keys | @classes
        1 - (codes.sum { |code| ((odds[code] || 0) - (@classes.include?(code) ? own : 0))**2 } / 2.0)
      end
    end

    # Whether a guess before any water pulls the class towards it.
    module Pull
      LEAST = 6
      DRAWS = FIGURES["asking_draws"]

      module_function

      # @param rows [Array<Array>] guess, key's class, final class, classes that are right
      # @return [Hash{String=>Object}] "apart" (rows where guess and key differ), "pull" (mean way from the key, 0, to
      #   the guess, 1), "moved" (ended nearer the guess), "better" and "worse" of those, "p" of the sign test from
      #   LEAST on
      def of(rows)
        apart = rows.reject { |guess, key, *| guess == key }
        ways = apart.map { |guess, key, final, _| way(guess, key, final) }
        moved = apart.zip(ways).select { |_, way| way > 0.5 }.map(&:first)
        better = moved.count { |guess, key, _, right| nearest(guess, right) < nearest(key, right) }
        worse = moved.count { |guess, key, _, right| nearest(guess, right) > nearest(key, right) }
        { "apart" => apart.size, "pull" => (ways.sum / ways.size unless ways.empty?), "moved" => moved.size,
          "better" => better, "worse" => worse, "p" => (sign_test(better, worse) if better + worse >= LEAST) }
      end

      # @param rows [Array<Array>] as {of} takes them
      # @return [String, nil] for a person
      def say(rows)
        found = of(rows)
        return if found["apart"].zero?
        return "You never went with your guess against the key." if found["moved"].zero?

        "#{found['moved']} of #{found['apart']} times you went with your guess: nearer #{times(found['better'])}, " \
          "the key #{times(found['worse'])}."
      end

      def times(count) = { 0 => "never", 1 => "once", 2 => "twice" }.fetch(count) { "#{count} times" }

      # Whether asking for a guess changes the credit, by a permutation of who was asked.
      # @param asked, unasked [Array<Numeric>] credits
      # @return [Float, nil] two-sided p, by DRAWS permutations of a fixed seed; nil under LEAST a side
      def asking(asked, unasked)
        return if [asked.size, unasked.size].min < LEAST

        random = Random.new(1)
        apart = ->(one, other) { ((one.sum / one.size.to_f) - (other.sum / other.size.to_f)).abs }
        seen = apart[asked, unasked]
        all = asked + unasked
        as_far = DRAWS.times.count do
          one = SessionOrder.shuffled(all, random)
          apart[one.first(asked.size), one.drop(asked.size)] >= seen - 1e-9
        end
        (as_far + 1) / (DRAWS + 1.0)
      end

      # @return [Float] 0 at the key, 1 at the guess
      def way(guess, key, final)
        steps = Credits.method(:steps)
        (steps[final, key] - steps[final, guess] + steps[guess, key]) / (2.0 * steps[guess, key])
      end

      # Exact, two-sided.
      def sign_test(better, worse)
        count = better + worse
        tail = (0..[better, worse].min).sum { |hits| Pull.choose(count, hits) } / (2.0**count)
        [2 * tail, 1.0].min
      end

      def choose(count, hits) = (1..hits).reduce(1) { |product, i| product * (count - hits + i) / i }
      def nearest(code, right) = right.map { |own| Credits.steps(own, code) }.min
    end

    # How well a class is known, from the credits of its samples: what to practise next. [our own] Frozen.
    class Skill
      KEEP = FIGURES["skill_keep"]
      STEADY = FIGURES["skill_steady"]
      LEVELS = FIGURES["skill_levels"]

      attr_reader :alpha, :beta

      # @param credits [Array<Numeric>] 0 to 1, oldest first
      def initialize(credits)
        @alpha = @beta = 1.0
        credits.each do |credit|
          @alpha = 1 + (KEEP * (@alpha - 1)) + credit
          @beta = 1 + (KEEP * (@beta - 1)) + 1 - credit
        end
        freeze
      end

      def mean = alpha / (alpha + beta)
      def sd = Math.sqrt(alpha * beta / (((alpha + beta)**2) * (alpha + beta + 1)))
      def need = 1 - mean + (0.5 * sd)
      def steady? = mean - sd >= STEADY

      # @return [String] of LEVELS: how near the lines its samples are drawn
      def level = LEVELS.find { |_, under| under.nil? || mean < under }.first
    end
  end
end
