# frozen_string_literal: true

module Grittle
  module Practice
    # How far readings agree: with themselves, with a truth, with another person's.
    module Agreement
      Z95 = FIGURES["normal_95"]
      CV = FIGURES["repeat_cv"]
      PRIOR = FIGURES["repeat_prior"]

      module_function

      # Spread of one hand's lengths in blind duplicates, as a share of the length.
      # @param duplicates [Array<Array<Numeric>>] pairs of mm
      # @return [Float]
      def repeat_sd(duplicates)
        squares = duplicates.sum { |one, other| (Math.log(one / other.to_f)**2) / 2 }
        Math.sqrt((squares + (PRIOR * (CV**2))) / (duplicates.size + PRIOR))
      end

      # Two sets of one soil differ by less than so much in 19 of 20. [published: ISO 5725, 2.77 sd]
      # @return [Float] percent
      def repeat_limit(sd) = 100 * (Math.exp(Z95 * Math.sqrt(2) * sd) - 1)

      # @param successes [Integer]
      # @param count [Integer]
      # @return [Array<Float>] of a share, 95 % [published: Wilson 1927]
      def wilson(successes, count)
        share = successes / count.to_f
        z2 = Z95**2
        middle = share + (z2 / (2 * count))
        reach = Z95 * Math.sqrt(((share * (1 - share)) + (z2 / (4.0 * count))) / count)
        [(middle - reach) / (1 + (z2 / count)), (middle + reach) / (1 + (z2 / count))]
      end

      # @param table [Array<Array<Numeric>>] counts, truth by call
      # @param weights [Array<Array<Numeric>>, nil] of disagreement, 0 on the diagonal; nil takes 1 for all others
      # @return [Float, nil] nil where chance alone agrees wholly [published: Cohen 1960, 1968]
      def kappa(table, weights = nil)
        count = table.flatten.sum.to_f
        rows = table.map(&:sum)
        columns = table.transpose.map(&:sum)
        observed = expected = 0.0
        table.each_index do |i|
          table.each_index do |j|
            weight = if weights
                       weights[i][j]
                     else
                       (i == j ? 0 : 1)
                     end
            observed += weight * table[i][j] / count
            expected += weight * rows[i] * columns[j] / (count**2)
          end
        end
        expected.zero? ? nil : 1 - (observed / expected)
      end

      # @param size [Integer]
      # @return [Array<Array<Integer>>] steps between ordered categories
      def linear(size) = Array.new(size) { |i| Array.new(size) { |j| (i - j).abs } }

      # @return [Array<Float>, nil] of kappa, 95 %, by leaving out one sample at a time
      def kappa_interval(table, weights = nil)
        whole = kappa(table, weights)
        left = without_one(table).map { |less, times| [kappa(less, weights), times] }
        return if whole.nil? || left.any? { |value, _| value.nil? }

        count = left.sum(&:last)
        mean = left.sum { |value, times| value * times } / count
        sd = Math.sqrt((count - 1) / count.to_f * left.sum { |value, times| times * ((value - mean)**2) })
        [whole - (Z95 * sd), whole + (Z95 * sd)]
      end

      def without_one(table)
        table.each_index.to_a.product(table.each_index.to_a).filter_map do |i, j|
          next unless table[i][j].positive?

          less = table.map(&:dup)
          less[i][j] -= 1
          [less, table[i][j]]
        end
      end
      private_class_method :without_one
    end

    # Two people's numbers of the same samples. [published: Bland & Altman 1986, 1999] Frozen.
    class BlandAltman
      # @param one, other [Array<Numeric>]
      # @raise [InvalidInput] for lists of unequal length or fewer than two
      def initialize(one, other)
        unless one.size == other.size && one.size > 1
          raise InvalidInput, [Problem.new(pointer: "/other", sentence: "Two lists of the same samples, two or more.")]
        end

        @differences = one.zip(other).map { |a, b| a - b.to_f }
        @means = one.zip(other).map { |a, b| (a + b) / 2.0 }
        freeze
      end

      def bias = @differences.sum / @differences.size
      def sd = Math.sqrt(@differences.sum { |difference| (difference - bias)**2 } / (@differences.size - 1))
      def limits = [bias - (Agreement::Z95 * sd), bias + (Agreement::Z95 * sd)]
      def se_bias = sd / Math.sqrt(@differences.size)

      def se_limit
        count = @differences.size
        sd * Math.sqrt((1.0 / count) + ((Agreement::Z95**2) / (2 * (count - 1))))
      end

      # Of the differences on the means: not 0 where their gains differ.
      # @return [Float, nil]
      def slope
        middle = @means.sum / @means.size
        squares = @means.sum { |mean| (mean - middle)**2 }
        return if squares.zero?

        @means.zip(@differences).sum { |mean, difference| (mean - middle) * difference } / squares
      end
    end

    # Whether a hand has moved: a weighted average of how far pairs lie from what was expected. [published: Roberts
    # 1959; the limit is our own]
    class Drift
      WEIGHT = FIGURES["drift_weight"]
      LIMIT = FIGURES["drift_limit"]
      CLIP = FIGURES["drift_clip"]

      # @param deviations [Array<Numeric>] in sd, oldest first
      # @return [Array<Hash>] after each, "ewma", "limit", "signal"
      def self.of(deviations)
        ewma = 0.0
        deviations.each.with_index(1).map do |z, count|
          ewma = (WEIGHT * z.clamp(-CLIP, CLIP)) + ((1 - WEIGHT) * ewma)
          limit = LIMIT * Math.sqrt(WEIGHT / (2 - WEIGHT) * (1 - ((1 - WEIGHT)**(2 * count))))
          { "ewma" => ewma, "limit" => limit, "signal" => ewma.abs > limit }
        end
      end
    end
  end
end
