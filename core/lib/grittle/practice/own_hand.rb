# frozen_string_literal: true

module Grittle
  module Practice
    # One person's hand as an assessment uses it: the curve from ribbon to clay, shifts of words, biases of numbers, and
    # what is left of the bias of all that is felt. It is learnt on a day and never changes. [our own] Frozen, but for
    # the tables of its model, which are worked out when first asked for.
    class OwnHand
      # @return [OwnCurve]
      attr_reader :curve

      # @return [Evidence::Model]
      attr_reader :model

      # @return [Hash{String=>Object}] "curve" (OwnCurve#to_h), "words" (by test "shift" and "scale"), "numbers" (by
      #   test "bias" and "sd"), "bias" (by quantity shift and sd)
      attr_reader :to_h

      # @param numbers [Hash{String=>Object}] as #to_h
      def initialize(numbers)
        @to_h = { "words" => {}, "numbers" => {}, "bias" => {} }.merge(numbers).freeze
        @curve = OwnCurve.from(@to_h.fetch("curve"))
        @model = Evidence::Model.new(figures: figures, hand: hand)
        freeze
      end

      # @return [OwnHand] the same with another bias
      def with_bias(hand)
        found = Evidence::QUANTITIES.to_h do |axis|
          [axis.name.to_s, [hand.shift(axis).round(2), hand.sd(axis).round(2)]]
        end
        OwnHand.new(to_h.merge("bias" => found))
      end

      def ==(other) = other.is_a?(OwnHand) && to_h == other.to_h
      alias eql? ==
      def hash = to_h.hash

      private

      def hand
        pairs = to_h["bias"].transform_keys(&:to_sym)
        Evidence::Hand.new(shifts: pairs.transform_values(&:first), sds: pairs.transform_values(&:last))
      end

      def figures
        plain = Data::LIKELIHOODS.all.transform_values(&:value)
        to_h["words"].each { |test, own| plain[test] = moved(plain.fetch(test), own) }
        to_h["numbers"].each do |test, own|
          axis, = plain.fetch(test)[:number]
          plain[test] = { number: [axis, own["sd"], own["bias"]] }
        end
        plain
      end

      # All cuts of a test moved by the shift.
      def moved(figure, own)
        shift, scale = own.values_at("shift", "scale")
        if figure[:yes]
          axis, cut, _, error = figure[:yes]
          return { yes: [axis, cut + shift, scale, error] }
        end

        axis, cuts, = figure[:degree]
        { degree: [axis, cuts.map { |cut| cut + shift }, scale] }
      end
    end
  end
end
