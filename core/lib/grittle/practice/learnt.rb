# frozen_string_literal: true

module Grittle
  module Practice
    # What samples with a laboratory's result teach of a hand beside its curve: shifts of its words, biases of its
    # numbers, and the bias that is left of all that it feels. [our own]
    class Learnt
      M = Evidence::Model
      # Questions that are no matter of degree, or open every key.
      NEVER = %w[ball_holds ribbon_forms].freeze
      PARTS = LaboratoryRow::PARTS
      # Points under which a shift or a bias is none, for a person.
      TOLD = FIGURES["told_from"]

      # @param samples [Array<Array<TaughtHand::Row>>] readings of each sample
      # @param curve [OwnCurve]
      def initialize(samples, curve)
        @samples = samples
        @curve = curve
      end

      # @return [OwnHand]
      def own_hand
        @own_hand ||= begin
          plain = OwnHand.new("curve" => @curve.to_h, "words" => used(words), "numbers" => used(numbers))
          plain.with_bias(HandBias.new(felt_by(plain)).hand)
        end
      end

      # @return [Hash{String=>Object}] "words" and "numbers", each a list with "test", "name", "count", "used" and a
      #   "sentence"; "bias", a list by quantity with "shift", "sd" and "usual_sd"
      def to_h
        found = own_hand
        { "words" => words.map { |test, one| told_word(test, one) },
          "numbers" => numbers.map { |test, one| told_number(test, one) },
          "bias" => Evidence::QUANTITIES.map do |axis|
            { "of" => axis.name.to_s, "shift" => found.model.hand.shift(axis).round(1),
              "sd" => found.model.hand.sd(axis).round(1), "usual_sd" => Evidence::Hand::SDS.fetch(axis.name) }
          end }
      end

      private

      # One shift with how many answers it comes of.
      Found = Struct.new(:answers, :learnt, :figures, keyword_init: true)

      def used(found) = found.select { |_, one| one.learnt.enough? }.transform_values(&:figures)

      def words
        @words ||= Evidence::STANDARD.likelihoods.except(*NEVER).filter_map do |test, likelihood|
          cuts = cuts(likelihood) or next
          heard = heard(test, likelihood)
          next if heard.empty?

          shift = WordShift.new(cuts, likelihood.scale, heard)
          figures = { "shift" => shift.shift.round(2), "scale" => shift.scale.round(2) }
          [test, Found.new(answers: heard.size, learnt: shift, figures: figures)]
        end.to_h
      end

      def cuts(likelihood)
        case likelihood
        when M::Ordered then likelihood.cuts
        when M::Flag then [likelihood.cut]
        end
      end

      def heard(test, likelihood)
        states = M.states(test)
        first_of_each(likelihood.of).filter_map do |row|
          state = states.index(row.observations[test]) or next
          cell = cell(row)
          WordShift::Heard.new(state: state, percent: likelihood.of.at(*cell), sd: sd(likelihood.of, row))
        end
      end

      # Silt by another limit says something of clay alone.
      def first_of_each(axis)
        rows = @samples.map(&:first)
        axis == Evidence::CLAY ? rows : rows.select { |row| row.result.comparable? }
      end

      def cell(row) = row.result.percents.values_at(*PARTS)

      # Of a sum of fractions, as sure as each of them is.
      def sd(axis, row)
        cell = cell(row)
        whole = axis.at(*cell)
        Math.sqrt(PARTS.each_with_index.sum do |part, at|
          more = cell.dup.tap { |one| one[at] += 1 }
          ((axis.at(*more) - whole) * row.result.sds[part])**2
        end)
      end

      def numbers
        @numbers ||= NumberBias::KINDS.keys.filter_map do |test|
          axis = Evidence::STANDARD.likelihoods.fetch(test).of
          errors = first_of_each(axis).filter_map do |row|
            row.observations[test]&.then { |given| given["percent"] - axis.at(*cell(row)) }
          end
          next if errors.empty?

          bias = NumberBias.new(test, errors)
          [test, Found.new(answers: errors.size, learnt: bias,
                           figures: { "bias" => bias.bias.round(2), "sd" => bias.sd.round(2) })]
        end.to_h
      end

      def felt_by(hand)
        @samples.map(&:first).select { |row| row.result.comparable? }.map do |row|
          felt = Evidence::ObservedLikelihoods.new(row.observations, hand.curve, hand.model)
          HandBias::Sample.new(felt: felt, percents: row.result.percents.transform_keys(&:to_sym),
                               sds: row.result.sds.transform_keys(&:to_sym))
        end
      end

      def told_word(test, found)
        told(test, found, off(found.figures["shift"], "as others do", "you say the next word %s later",
                              "you say the next word %s earlier"))
      end

      def told_number(test, found)
        told(test, found, off(found.figures["bias"], "right on average", "%s too high", "%s too low"))
      end

      def off(points, none, over, under)
        return none if points.abs < TOLD

        said = Units.number(points.abs.round(1))
        format(points.positive? ? over : under, "#{said} #{said == '1' ? 'point' : 'points'}")
      end

      def told(test, found, said)
        sentence = "#{name(test)}: #{said}"
        enough = found.learnt.enough?
        { "test" => test, "name" => name(test), "count" => found.answers, "used" => enough, **found.figures,
          "sentence" => enough ? "#{sentence}." : "#{sentence}, from too few samples to be used." }
      end

      def name(test) = Tests::Catalogue.short(test).then { |said| said[0].upcase + said[1..] }
    end
  end
end
