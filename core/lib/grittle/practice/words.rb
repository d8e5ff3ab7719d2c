# frozen_string_literal: true

module Grittle
  module Practice
    # How far one person's words are shifted on a test whose answers rise with a percentage: +shift+ over 0 says the
    # next word later. [our own] Frozen.
    class WordShift
      OWN = FIGURES["shift_own"]
      LEAST = FIGURES["shift_pairs"]
      ERROR = Evidence::Model::ERROR

      # One answer: its place among the words from 0, the percentage that was there, and its sd.
      Heard = Struct.new(:state, :percent, :sd, keyword_init: true)

      # @return [Float] percent
      attr_reader :shift, :sd

      # @param cuts [Array<Numeric>] percent, between each two words
      # @param scale [Numeric] percent
      # @param heard [Array<Heard>]
      def initialize(cuts, scale, heard)
        @cuts = cuts
        @scale = scale
        @heard = heard
        weights = nodes.map { |d| [d, Math.exp((-0.5 * ((d / (FIGURES["shift_sd"] * scale))**2)) + log(d))] }
        total = weights.sum(&:last)
        @shift = weights.sum { |d, weight| d * weight } / total
        @sd = Math.sqrt([(weights.sum { |d, weight| (d**2) * weight } / total) - (@shift**2), 0.0].max)
        freeze
      end

      # @return [Float] percent, of the cuts moved by the shift; without data the usual one
      def scale
        return @scale.to_f if @heard.empty?

        Math.sqrt(((OWN * @scale)**2) + (3 * (sd**2) / (Math::PI**2)))
      end

      # @return [Boolean] whether there is enough to use it
      def enough? = @heard.size >= LEAST && @heard.map(&:state).uniq.size > 1

      private

      def nodes
        reach, step = FIGURES["shift_grid"]
        count = (reach / step).round
        (-count..count).map { |place| place * step * @scale }
      end

      def log(shift) = @heard.sum { |one| Math.log(likelihood(one, shift)) }

      def likelihood(one, shift)
        width = Math.sqrt(((OWN * @scale)**2) + (3 * (one.sd**2) / (Math::PI**2)))
        over = [1.0, *@cuts.map { |cut| 1 / (1 + Math.exp(-(one.percent - cut - shift) / width)) }, 0.0]
        ((1 - ERROR) * (over[one.state] - over[one.state + 1])) + (ERROR / (@cuts.size + 1))
      end
    end

    # How far one person's numbers lie from the laboratory's: sand by halving, or clay by the hand's own figure. [our
    # own] Frozen.
    class NumberBias
      KINDS = FIGURES["number_bias"]
      CLIP = FIGURES["number_clip"]
      PRIOR = FIGURES["number_prior"]
      LEAST = 3

      # @param what [String] one of KINDS
      # @param errors [Array<Numeric>] given minus laboratory, points
      # @raise [UnknownName]
      def initialize(what, errors)
        kind = KINDS[what] || raise(UnknownName.new("what", what, KINDS.keys))
        @errors = errors.map { |error| error.clamp(-CLIP, CLIP).to_f }
        @own, @between = kind.values_at("own", "between")
        freeze
      end

      # @return [Float] points that a number is too high
      def bias = @errors.empty? ? 0.0 : known * @errors.size * mean / noise

      # @return [Float] points: of a number about what was there, the width of its word aside
      def sd = Math.sqrt(noise + known)

      # @return [Boolean]
      def enough? = @errors.size >= LEAST

      private

      def mean = @errors.empty? ? 0.0 : @errors.sum / @errors.size

      # Variance of one number; the usual one counts for PRIOR errors.
      def noise
        squares = @errors.sum { |error| (error - mean)**2 }
        ((PRIOR * (@own**2)) + squares) / (@errors.size + PRIOR - 1)
      end

      # Variance that is left of the bias.
      def known = 1 / ((1 / (@between**2)) + (@errors.size / noise))
    end
  end
end
