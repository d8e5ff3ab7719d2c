# frozen_string_literal: true

module Grittle
  module Keys
    # A key that is a table: every test made is held against every class; the class with the most agreement is named,
    # with those close behind. Subclasses bring CLASSES (code => test => Cell), ASKS_FOR and what is theirs alone.
    # [the printed tables' own reading; how near counts is Grittle's own model]
    class TableKey
      include Opening

      # A class is named within this score of the best, and not more than half an answer behind it.
      CLOSE = Data::KEYS["close"]
      HALF_ANSWER = Data::KEYS["half_answer"]
      # More named than this, and the key asks on.
      MOST_NAMED = Data::KEYS["most_named"]
      ROUNDING = 1e-9

      # @return [Result]
      def result
        question = next_question
        found = question ? [] : outcomes
        Result.new(
          key: self.class::ID,
          system: self.class::SYSTEM,
          outcomes: found,
          next_question: question,
          possible: found.empty? ? possible : found.map(&:first),
          path: path,
          on_the_limit: !question && on_the_limit?,
          disagreeing_tests: disagreeing,
          notes: notes,
          details: {}
        )
      end

      private

      def classes = self.class::CLASSES
      def table = classes.slice(*candidates)

      # Codes of the page that the answers have led to; a key with pages overrides this.
      def page = classes.keys

      # Codes of the page that may be named at all.
      def candidates = page

      def next_question
        asked = opening_question
        return asked if asked
        return if no_ball?

        page_question || length_question || feel_question || splitting_question
      end

      def page_question = nil

      def feel_question
        self.class::FEEL.first unless self.class::FEEL.any? { |test| observations.given?(test) }
      end

      # With more classes named than a person can use, the unmade test that parts them best.
      def splitting_question
        return if named.size <= MOST_NAMED

        best = unmade.max_by.with_index { |test, index| [parting(test), -index] }
        best if best && parting(best).positive?
      end

      def unmade = self.class::SPLITTING.reject { |test| observations.given?(test) }

      def parting(test)
        named.combination(2).sum do |pair|
          one, other = pair.map { |code| classes[code][test]&.fits }
          next 0 if one.nil? || other.nil? || one.sort == other.sort

          one.intersect?(other) ? 0.5 : 1
        end
      end

      # Test => value, of the tests made that the key speaks of.
      def made
        @made ||= begin
          given =
            self.class::TESTS.select { |test| observations.given?(test) }.to_h { |test| [test, observations[test]] }
          given.delete("feel_words") if given["feel_words"] == []
          given
        end
      end

      # That the ball holds fits every class and is next to for the sandiest; it counts where the stronger test of the
      # ball was not made.
      def ball_score(code)
        return {} if made.key?(self.class::BALL_TEST) || !facts.ball&.value

        { "ball_holds" => code == self.class::NO_BALL ? 0.5 : 1.0 }
      end

      # @return [Hash{String=>Float}] the answers of one class, each scored
      def scores(code, length = length_mm)
        @scores ||= {}
        (@scores[length] ||= {})[code] ||= score_cells(code, length)
      end

      def score_cells(code, length)
        cells = classes[code]
        answered = made.filter_map { |test, value| [test, cells[test].score(value)] if cells[test] }.to_h
        answered.merge("ribbons" => cells["ribbons"].score(length), **ball_score(code))
      end

      def score(code, length = length_mm)
        all = scores(code, length).values
        all.sum / all.size
      end

      # Classes that the length does not contradict, or all where it contradicts them all.
      def standing
        @standing ||= begin
          fitting = candidates.reject { |code| ribbon_fit(code).zero? }
          fitting.empty? ? candidates : fitting
        end
      end

      def ribbon_fit(code, length = length_mm) = classes[code]["ribbons"].score(length)

      def resistance_fit(code)
        cell = classes[code]["shear_resistance"]
        cell && made.key?("shear_resistance") ? cell.score(made["shear_resistance"]) : 0.0
      end

      # Best first: by score, fit of the ribbon, fit of resistance, nearness of the length to the middle of its range,
      # and of the clay that the school reads from the length to the clay of the class.
      def rank(codes, length = length_mm)
        clay = Curves[self.class::CURVE].clay(length)
        codes.sort_by do |code|
          [-score(code, length).round(9), -ribbon_fit(code, length), -resistance_fit(code),
           (classes[code]["ribbons"].middle - length).abs, (middle_clay(code) - clay).abs, code]
        end
      end

      def ranked = @ranked ||= rank(standing)

      def middle_clay(code) = Names.fetch(self.class::SYSTEM, code).clay.sum / 2.0

      def named
        @named ||= begin
          best = score(ranked.first)
          close = ranked.select do |code|
            behind = best - score(code)
            behind <= CLOSE + ROUNDING && behind * scores(code).size <= HALF_ANSWER + ROUNDING
          end
          drop_by_resistance(close)
        end
      end

      # Of two classes that resistance to shearing decides between, the one it fits less is dropped.
      def drop_by_resistance(codes)
        return codes unless made.key?("shear_resistance")

        decided = codes & self.class::BY_RESISTANCE
        codes.reject do |code|
          decided.include?(code) && decided.any? do |other|
            resistance_fit(other) > resistance_fit(code) && ribbon_fit(other) >= ribbon_fit(code)
          end
        end
      end

      # The best few, and what the ends of the length's interval would have named.
      def final
        @final ||= begin
          first = named.first(MOST_NAMED)
          (first + at_the_ends.reject { |code| first.include?(code) }).first(MOST_NAMED)
        end
      end

      # A class that wins alone there, of all on the page; a tie wins nothing.
      def at_the_ends
        return [] unless interval

        [interval.begin, interval.end].filter_map { |length| sole_winner([length, 0.0].max) }.uniq & candidates
      end

      def sole_winner(length)
        points = page.to_h { |code| [code, score(code, length).round(9)] }
        best = points.values.max
        winners = points.select { |_, score| score == best }.keys
        winners.first if winners.size == 1
      end

      def outcomes
        return [[self.class::NO_BALL, 1.0]] if no_ball?

        total = final.sum { |code| score(code) }
        shown(final.map { |code| [code, total.zero? ? 1.0 / final.size : score(code) / total] })
      end

      # The outcomes as the key writes them.
      def shown(weighted) = weighted

      def on_the_limit?
        return false if no_ball? || interval.nil?
        return true if final.size > named.first(MOST_NAMED).size

        final.combination(2).any? do |pair|
          one, other = pair.map { |code| classes[code]["ribbons"] }
          one.fits != other.fits && (one.ends + other.ends).any? { |mm| interval.cover?(mm) }
        end
      end

      def possible
        return candidates if facts.ball.nil? || no_ball? || length_mm.nil? || page_question

        named.size > MOST_NAMED ? named : standing
      end

      def disagreeing
        if no_ball? && opening_question.nil?
          return self.class::TESTS.select { |test| observations.given?(test) && contradicts_sand?(test) }
        end
        return [] if next_question

        scores(final.first).select { |_, points| points.zero? }.keys
      end

      def contradicts_sand?(test)
        cell = classes[self.class::NO_BALL][test]
        cell&.score(observations[test])&.zero?
      end

      def path
        steps = opening_path
        return steps if no_ball? || facts.ball.nil?

        order = [*self.class::FIRST, *self.class::TESTS].uniq.select { |test| observations.given?(test) }
        steps +
          order
          .take(self.class::FIRST.size)
          .select { |test| self.class::FIRST.include?(test) }
          .map { |test| answer_step(test) } + length_step +
          (order - self.class::FIRST).map { |test| answer_step(test) }
      end

      def notes
        [tie_note, RibbonNotes.geometry(facts.set, self.class::THICKNESS_MM, self.class::WIDTH_MM)].compact
      end

      def tie_note
        return if next_question || no_ball? || named.size <= MOST_NAMED

        { "rule" => "more_tie", "sentence" => "#{named.size} classes fit equally well; the best three are named." }
      end
    end
  end
end
