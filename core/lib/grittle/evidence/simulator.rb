# frozen_string_literal: true

module Grittle
  module Evidence
    # A hand that feels as the model says: from a composition and a seed, the answers and ribbons it would give. It lets
    # the model be checked against itself, and makes the demo's readings; it can say nothing about who is right in the
    # field.
    #
    # The likelihoods are the model's own. What is shared within a group may be shared here too: the answers of a group
    # then come from correlated normal deviates. A hand may also have a bias of its own, more noise than the model
    # thinks, or give wrong answers: so that what the model says can be tried on hands that are not as it assumes. [our
    # own model]
    class Simulator
      # Correlation at which two tests tell as much as the group's weights allow: 2 / (1 + 1/3) = 1.5.
      SHARED = 1 / 3.0
      RIBBONS = 3
      # What is felt after the ball and the ribbons, in the order of the bench.
      USUAL = %w[mould_feel wet_rub grittiness stickiness plasticity shine].freeze

      # @param seed [Integer]
      # @param curve [String] which length the hand makes of a clay
      # @param shared [Float] correlation of the answers of one group
      # @param bias [Hash{Symbol=>Numeric}] percent by which every soil feels richer, by :clay, :sand and :silt
      # @param noise [Float] times every scale and sd
      # @param wrong [Float] share of answers drawn from all there are
      def initialize(seed, curve: Curves::DEFAULT, shared: SHARED, bias: {}, noise: 1.0, wrong: 0.0)
        @random = Random.new(seed)
        @curve = Curves[curve]
        @shared = shared
        @bias = bias
        @noise = noise
        @wrong = wrong
        @likelihoods = STANDARD.likelihoods
        @moods = Hash.new { |moods, group| moods[group] = deviate }
      end

      # @param composition [Composition]
      # @param tests [Array<String>] of the model, beside the ball and the ribbon
      # @param ribbons [Integer] how many are made, where one forms at all
      # @return [Hash{String=>Object}] observations as on the wire
      def feel(composition, tests: USUAL, ribbons: RIBBONS)
        meet(composition)
        given = { "ball_holds" => answer("ball_holds") }
        unless given["ball_holds"]
          return given.merge("moisture_rounds" => 1, **answers(tests & NextTests::WITHOUT_A_BALL))
        end

        given["ribbon_forms"] = answer("ribbon_forms")
        given["ribbons"] = made(ribbons) if given["ribbon_forms"] && ribbons.positive?
        given.merge(answers(tests))
      end

      # @return [Object] one answer of a test to the composition felt last
      def answer(test)
        likelihood = @likelihoods.fetch(test)
        states = Model.states(test)
        return states[@random.rand(states.size)] if !states.empty? && @wrong.positive? && @random.rand < @wrong

        case likelihood
        when Model::Ordered then pick(states, Tables.ordered(likelihood, likelihood.of.at(*@cell), @noise), test)
        when Model::Flag then pick([false, true], Tables.flag(likelihood, likelihood.of.at(*@cell), @noise), test)
        when Model::Choice then pick(states, Tables.choice(likelihood, states, @cell, @noise), test)
        when Model::Length then made(RIBBONS)
        else { "percent" => number(likelihood, test).round(1) }
        end
      end

      private

      # The composition as this hand feels it: its bias shifts every fraction, and what is left is shared out again.
      def meet(composition)
        parts = Composition::PARTS.map { |part| [composition.public_send(part) + @bias.fetch(part, 0), 0.0].max }
        @cell = parts.map { |part| 100.0 * part / parts.sum }
        @cell = [composition.sand, composition.silt, composition.clay] if @bias.empty?
        @moods.clear
      end

      def answers(tests) = tests.to_h { |test| [test, answer(test)] }

      # A normal deviate that shares its group's mood.
      def felt(test) = (Math.sqrt(@shared) * @moods[Model.group(test)]) + (Math.sqrt(1 - @shared) * deviate)

      def pick(states, shares, test)
        place = Tables.normal_below(felt(test), 1.0)
        sum = 0.0
        states[shares.index { |share| (sum += share) >= place } || -1]
      end

      def number(likelihood, test)
        return @random.rand * 100 if @random.rand < Model::ERROR

        (likelihood.of.at(*@cell) + (@noise * likelihood.sd * felt(test))).clamp(0.0, 100.0)
      end

      # Ribbons about a length of their own: the sample's, off the curve as the model has it, each then off as hands
      # are.
      def made(count)
        about = @curve.length(@cell.last)
        own = about + (@noise * ((Model::LENGTH_SHARE * about) + Model::LENGTH_MM) * felt("ribbons"))
        own = @random.rand * Model::LONGEST_MM if @random.rand < Model::ERROR
        own = [own, 0.0].max
        Array.new(count) do
          length = own + (@noise * RibbonSet::HAND_CV * own * deviate) + (RibbonSet::READING_ERROR_MM * deviate)
          { "length_mm" => length.clamp(0.0, 300.0).round, "ended" => "broke" }
        end
      end

      # Box and Muller 1958.
      def deviate = Math.sqrt(-2 * Math.log(1 - @random.rand)) * Math.cos(2 * Math::PI * @random.rand)
    end
  end
end
