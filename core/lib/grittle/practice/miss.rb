# frozen_string_literal: true

module Grittle
  module Practice
    # Why a call missed the truth: answers that are surprising for it, and the first reason that holds. [our own]
    # Frozen.
    class Miss
      M = Evidence::Model
      T = Evidence::Tables
      BITS = FIGURES["surprise_bits"]
      NEAR = FIGURES["near_line"]
      REASONS = { "line" => "On a line", "decision" => "The call", "one_answer" => "One answer", "key" => "The key",
                  "several" => "Several answers" }.freeze

      # One answer that is less likely of the truth than another.
      Surprise = Struct.new(:test, :bits, :sentence, keyword_init: true)

      # @param observations [Hash{String=>Object}] what was felt
      # @param called [String] class of the USDA
      # @param truth [Composition]
      # @param method [FieldMethod] with a key that names classes of the USDA
      def initialize(observations, called:, truth:, method: FieldMethod.new, model: Evidence::STANDARD)
        @felt = Observations.new(observations)
        @called = called
        @truth = truth
        @method = method
        @model = model
        @curve = Curves[method.curve]
        @cell = [truth.sand, truth.silt, truth.clay]
        @own = Triangles::USDA.classify(truth).code
        freeze
      end

      # @return [Array<Surprise>] over a bit, the largest first
      def surprises
        given.filter_map { |test| surprise(test) }.select { |one| one.bits > BITS }.sort_by { |one| -one.bits }
      end

      # @return [Hash{String=>String}] "reason", one of REASONS, its "name", and "sentence" for a person
      def why
        return said("line", "The truth lies within #{NEAR.round} points of #{name(@called)}.") if near?
        if key(@felt.to_h) == @own
          return said("decision",
                      "The key says #{name(@own)} of these answers: the answers were right, the call was not.")
        end

        one = given.find { |test| key(@felt.to_h.merge(test => likeliest(test))) == @own }
        return said("one_answer", "One answer decided: #{expected(one)}") if one
        return said("several", "Several answers together led elsewhere.") if key(all) == @own

        said("key", "The key does not reach #{name(@own)} even with the answers to be expected.")
      end

      # @return [Hash{String=>Object}] for the wire
      def to_h
        told = surprises.map { |one| one.to_h.transform_keys(&:to_s) }
        { "called" => @called, "truth" => @own, "surprises" => told, **why }
      end

      private

      def said(reason, sentence) = { "reason" => reason, "name" => REASONS.fetch(reason), "sentence" => sentence }
      def name(code) = Triangles::USDA[code].name
      def near? = Credits.classes(@truth, NEAR).include?(@called)

      # Tests that were answered and that the model knows.
      def given
        @model.likelihoods.keys.select do |test|
          @felt.given?(test) && (test == "ribbons" || stated?(test)) && !(test == "ribbons" && set.nil?)
        end
      end

      def stated?(test) = [M::Ordered, M::Flag, M::Choice].include?(@model.likelihoods[test].class)
      def set = Facts.new(@felt, counts_from_mm: Keys::Opening::STUB_MM).set

      def shares(test)
        likelihood = @model.likelihoods.fetch(test)
        states = M.states(test)
        found = case likelihood
                when M::Ordered then T.ordered(likelihood, likelihood.of.at(*@cell), 1.0)
                when M::Flag then T.flag(likelihood, likelihood.of.at(*@cell), 1.0)
                else T.choice(likelihood, states, @cell, 1.0)
                end
        states.zip(found).to_h
      end

      def surprise(test)
        return of_ribbons if test == "ribbons"

        all = shares(test)
        own = all[@felt[test]] or return
        Surprise.new(test: test, bits: Math.log2(all.values.max / own), sentence: expected(test))
      end

      def of_ribbons
        about = @curve.length(@truth.clay)
        variance = (((M::LENGTH_SHARE * about) + M::LENGTH_MM)**2) + (set.scale**2)
        Surprise.new(test: "ribbons", bits: ((set.mean - about)**2) / variance / (2 * Math.log(2)),
                     sentence: expected("ribbons"))
      end

      # What is to be expected at the truth, beside what was given.
      def expected(test)
        if test == "ribbons"
          clay = @truth.clay
          return "at #{clay.round} % clay expect #{@curve.length(clay).round} mm; you had #{set.mean.round}."
        end

        short = Tests::Catalogue::TESTS[test][:short] || test.tr("_", " ")
        "#{short}: of such soil expect #{word(test, likeliest(test))}; you had #{word(test, @felt[test])}."
      end

      def word(test, state)
        answers = Tests::Catalogue::TESTS[test][:answers]
        said = answers.is_a?(Hash) ? Array(answers[state]).first : nil
        (said || state).to_s.downcase.tr("_", " ")
      end

      def likeliest(test)
        return [{ "length_mm" => @curve.length(@truth.clay).round(1) }] if test == "ribbons"

        shares(test).max_by(&:last).first
      end

      def all = given.reduce(@felt.to_h) { |sum, test| sum.merge(test => likeliest(test)) }

      # The first class of the key on these answers.
      def key(observations)
        Grittle.assess(observations, method: @method, evidence: "none").key.outcomes.max_by(&:last)&.first
      rescue InvalidInput
        nil
      end
    end
  end
end
