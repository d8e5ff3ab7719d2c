# frozen_string_literal: true

module Grittle
  module Practice
    # One sample that a person called beside its truth: what it is worth by a scheme, and how far off. [common practice
    # and our own: see the figures] Frozen.
    class Scored
      # @param said [Hash{String=>Object}] "class", perhaps "second"; "clay" and "sand" in percent, "odds" by class,
      #   "key" (the key's first class), "guess" (before any water)
      # @param truth [Composition]
      # @param scheme [String] one of Credits::SCHEMES
      # @raise [UnknownName]
      def initialize(said, truth, scheme: "practice")
        @said = said
        @truth = truth
        @credits = Credits.new(scheme, sand: truth.sand, clay: truth.clay)
        freeze
      end

      attr_reader :said, :truth

      # @return [Float] 0 to 1
      def credit = @credits.of(call)

      # @return [String] code of the truth's own class
      def own = Triangles::USDA.classify(truth).code

      # @return [Array<String>] classes that are right by the scheme
      def right = @credits.classes

      # @return [String, nil] of the USDA; nil where something else was called
      def called = known(said["class"])

      # @param call [String] "class", "key", "first" or "guess"
      # @return [Integer, nil] boundaries between that and the nearest right class
      def steps(call = "class") = known(said[call])&.then { |code| right.map { |one| Credits.steps(one, code) }.min }

      # @return [Float, nil] points of clay too many
      def clay_error = said["clay"] && (said["clay"] - truth.clay)

      # @return [Float, nil]
      def sand_error = said["sand"] && (said["sand"] - truth.sand)

      private

      def known(code) = (code if Triangles::USDA.classes.key?(code))
      def call = said.slice("clay", "sand", "odds").merge("classes" => [called, known(said["second"])].compact)
    end

    # What a person's samples say together.
    module Scores
      # Calls that stand side by side, and what they are called.
      CALLS = { "class" => "own call", "key" => "key", "first" => "first class of the estimate",
                "guess" => "guess before water" }.freeze

      module_function

      # @param scored [Array<Scored>]
      # @return [Hash{String=>Object}] "count", "credit" (mean), "calls" (see {call}), "clay" and "sand" ("bias" and
      #   "rmse" in points)
      def of(scored)
        { "count" => scored.size, "credit" => mean(scored.map(&:credit)),
          "calls" => CALLS.keys.filter_map { |name| call(name, scored) },
          "clay" => errors(scored.filter_map(&:clay_error)), "sand" => errors(scored.filter_map(&:sand_error)) }
      end

      # How often one kind of call was right, with its interval; nil where there is none.
      def call(name, scored)
        steps = scored.filter_map { |one| one.steps(name) }
        return if steps.empty?

        exact = steps.count(0)
        { "name" => CALLS.fetch(name), "count" => steps.size, "exact" => exact,
          "interval" => Agreement.wilson(exact, steps.size).map { |share| share.clamp(0.0, 1.0).round(3) },
          "within_one" => steps.count { |step| step <= 1 }, "mean_steps" => mean(steps) }
      end

      # @param errors [Array<Numeric>] points
      def errors(errors)
        return if errors.empty?

        { "count" => errors.size, "bias" => mean(errors).round(1),
          "rmse" => Math.sqrt(errors.sum { |one| one**2 } / errors.size).round(1) }
      end

      # Samples in a row, up to the newest, that were worth as much as FIGURES says; days off break nothing.
      # @param credits [Array<Numeric>] oldest first
      # @return [Integer]
      def streak(credits) = credits.reverse.take_while { |credit| credit >= FIGURES["streak_from"] }.size

      # @return [Hash{String=>Object}, nil] "codes" (classes in the order of the USDA that occur), "rows" (counts, truth
      #   by call), "far" (cells two steps or more apart), and from enough samples "kappa", "interval" and "weighted"
      def matrix(scored)
        pairs = scored.filter_map { |one| [one.own, one.called] if one.called }
        return if pairs.empty?

        codes = NextSample::CODES & pairs.flatten
        rows = codes.map { |own| codes.map { |call| pairs.count([own, call]) } }
        apart = codes.map { |own| codes.map { |call| Credits.steps(own, call) } }
        { "codes" => codes, "rows" => rows, "far" => apart.map { |row| row.map { |steps| steps > 1 } },
          **agreement(rows, apart, pairs.size) }
      end

      def agreement(rows, apart, count)
        return { "kappa" => nil, "interval" => nil, "weighted" => nil } if count < FIGURES["kappa_least"]

        { "kappa" => Agreement.kappa(rows), "interval" => Agreement.kappa_interval(rows),
          "weighted" => Agreement.kappa(rows, apart) }
      end

      # What others found elsewhere, so that nobody takes it for a target.
      # @return [String]
      def elsewhere
        found = FIGURES["elsewhere"].values.map { |percent, whose| "#{percent} % (#{whose})" }
        "Elsewhere the class was exactly right in about #{found.join(' and ')}: not checked against the source, " \
          "other hands, classes and laboratories; no target."
      end

      # What a set of reference samples should span.
      # @return [String]
      def good_set
        set = FIGURES["good_set"]
        "Good sets have #{set['tubs'].join(' to ')} tubs of #{set['classes']} classes or more, clay from under " \
          "#{set['clay'].first} to over #{set['clay'].last} %, some near a line, red sands and pale clays."
      end

      # @param numbers [Array<Numeric>]
      # @return [Float, nil]
      def mean(numbers) = numbers.empty? ? nil : numbers.sum.to_f / numbers.size
    end

    # Several people's calls of the same samples, beside one another. [published: Bland & Altman; our own] Frozen.
    class People
      # @param said [Hash{Object=>Hash{Object=>Hash}}] by person, by sample, "class" and "clay"
      def initialize(said)
        @said = said
        freeze
      end

      # @return [Array<Hash>] every two people: "one", "other", "count" of common samples, "exact" and "within_one" of
      #   their classes, "matrix", "clay" (see {clay})
      def pairs
        @said.keys.combination(2).filter_map do |one, other|
          common = @said[one].keys & @said[other].keys
          next if common.empty?

          { "one" => one, "other" => other, "count" => common.size, **classes(one, other, common),
            "clay" => clay(one, other, common) }
        end
      end

      # @return [Hash{Object=>Float}] by person: mean over samples of their clay less the sample's mean, points
      def effects
        clays = @said.values.flat_map(&:to_a).select { |_, said| said["clay"] }.group_by(&:first)
        means = clays.transform_values { |all| Scores.mean(all.map { |_, said| said["clay"] }) if all.size > 1 }.compact
        @said.transform_values do |samples|
          off = samples.filter_map { |sample, said| said["clay"] - means[sample] if said["clay"] && means[sample] }
          Scores.mean(off)&.round(1)
        end
      end

      private

      def classes(one, other, common)
        pairs = common.map { |sample| [@said[one][sample]["class"], @said[other][sample]["class"]] }
        known = pairs.select { |both| (both - NextSample::CODES).empty? }
        codes = NextSample::CODES & known.flatten
        rows = codes.map { |a| codes.map { |b| known.count([a, b]) } }
        apart = codes.map { |a| codes.map { |b| Credits.steps(a, b) } }
        { "exact" => known.count { |a, b| a == b }, "within_one" => known.count { |a, b| Credits.steps(a, b) <= 1 },
          "codes" => codes, "rows" => rows, **Scores.agreement(rows, apart, known.size) }
      end

      # Differences of clay: points of the drawing, bias with its se, limits with theirs, slope, and whether that is
      # told as gains that differ.
      def clay(one, other, common)
        both = common.map { |sample| [@said[one][sample]["clay"], @said[other][sample]["clay"]] }
                     .select(&:all?)
        return if both.size < 2

        found = BlandAltman.new(*both.transpose)
        { "points" => both.map { |a, b| [((a + b) / 2.0).round(1), (a - b).round(1)] }, "bias" => found.bias.round(1),
          "se_bias" => found.se_bias.round(1), "limits" => found.limits.map { |limit| limit.round(1) },
          "se_limit" => found.se_limit.round(1), "slope" => found.slope&.round(2),
          "gains_differ" => (found.slope || 0).abs >= FIGURES["slope_told"] }
      end
    end
  end
end
