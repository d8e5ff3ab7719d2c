# frozen_string_literal: true

module Grittle
  # Hands that get better: what is known of one person's hand, scores, what to practise.
  module Practice
    FIGURES = Data::PRACTICE

    # One person's curve from ribbon to clay: the consensus, distorted. +a+ ribbons too long or short, +b+ gain, +k2+
    # own noise against the model's, squared; +vaa+, +vab+, +vbb+ how surely a and b are known. [our own] Frozen;
    # without any pair it is the consensus as the model has it.
    class OwnCurve
      MIDDLE = FIGURES["own_middle_mm"]
      LONGEST = Evidence::Model::LONGEST_MM
      DIGITS = 4
      CONSENSUS = Curves["consensus"]
      # mm that the consensus gives each percent of clay.
      LENGTHS = (-1..101).to_h { |clay| [clay, CONSENSUS.length(clay)] }.freeze
      # Shares of all compositions by percent of clay.
      EVEN = (0..100).map { |clay| 101 - clay }.freeze

      attr_reader :a, :b, :k2, :vaa, :vab, :vbb

      # What clay a ribbon set speaks of: mean and sd in percent, and the whole percents that hold 80 %.
      Said = Struct.new(:mean, :sd, :low, :high, keyword_init: true) do
        # @param clay [Numeric] percent
        # @return [Boolean] whether the interval holds its whole percent
        def holds?(clay) = clay.round.between?(low, high)
      end

      def initialize(a: 0.0, b: 0.0, k2: 1.0, vaa: 0.0, vab: 0.0, vbb: 0.0)
        @a, @b, @k2, @vaa, @vab, @vbb = [a, b, k2, vaa, vab, vbb].map { |number| number.round(DIGITS) }
        freeze
      end

      def id = "own"
      def name = "your own"

      # Hash of its six numbers, for the wire and the record.
      def to_h = { "a" => a, "b" => b, "k2" => k2, "vaa" => vaa, "vab" => vab, "vbb" => vbb }

      # @param hash [Hash] as #to_h gives it
      # @return [OwnCurve]
      def self.from(hash) = new(**hash.transform_keys(&:to_sym).slice(:a, :b, :k2, :vaa, :vab, :vbb))

      # @param length_mm [Numeric]
      # @return [Float] percent of clay
      def clay(length_mm) = CONSENSUS.clay(consensus_mm(length_mm))

      # @param length_mm [Numeric] of this hand
      # @return [Float] mm: what it would be by the consensus
      def consensus_mm(length_mm) = MIDDLE * ((length_mm / MIDDLE * Math.exp(-a))**(1 / (1 + b)))

      # @param clay [Numeric] percent
      # @return [Float] mm that this hand makes of it
      def length(clay) = OwnCurve.distorted(CONSENSUS.length(clay), a, b)

      # @api private
      def self.distorted(mm, a, b) = mm.positive? ? MIDDLE * Math.exp(a) * ((mm / MIDDLE)**(1 + b)) : 0.0

      # @param clay [Integer] percent
      # @return [Float] mm²: how far a set of this hand lies from #length, beside the set's own scale
      def noise2(clay)
        base = LENGTHS.fetch(clay)
        mean = OwnCurve.distorted(base, a, b)
        spread = k2 * (((Evidence::Model::LENGTH_SHARE * mean) + Evidence::Model::LENGTH_MM)**2)
        return spread unless base.positive?

        x = Math.log(base / MIDDLE)
        spread + ((mean**2) * (vaa + (2 * x * vab) + ((x**2) * vbb)))
      end

      # @return [Float] how likely such a set is of so much clay
      def likelihood(length_mm, scale_mm, clay)
        mean = OwnCurve.distorted(LENGTHS.fetch(clay), a, b)
        OwnCurve.mixed(length_mm, mean, noise2(clay) + (scale_mm**2), Evidence::Model::ERROR)
      end

      # Normal, and with a share of slips anywhere up to the longest.
      # @api private
      def self.mixed(length_mm, mean, variance, slips)
        ((1 - slips) * Math.exp(-0.5 * ((length_mm - mean)**2) / variance) / Math.sqrt(2 * Math::PI * variance)) +
          (slips / LONGEST)
      end

      # From ribbons alone.
      # @return [Said]
      def said(length_mm, scale_mm)
        weights = (0..100).map { |clay| EVEN[clay] * likelihood(length_mm, scale_mm, clay) }
        total = weights.sum
        mean = weights.each_with_index.sum { |weight, clay| weight * clay } / total
        square = weights.each_with_index.sum { |weight, clay| weight * (clay**2) } / total
        sum = 0.0
        running = weights.map { |weight| sum += weight / total }
        low, high = [0.1, 0.9].map { |part| running.index { |so_far| so_far >= part - 1e-12 } || 100 }
        Said.new(mean: mean, sd: Math.sqrt([square - (mean**2), 0].max), low: low, high: high)
      end
    end
  end
end
