# frozen_string_literal: true

module Grittle
  module Practice
    # A hand's curve from its pairs of ribbons and a laboratory's clay; which pairs do not fit; and how it would have
    # fared on each pair without that pair. [our own] Frozen.
    class Calibration
      # One sample: mean length and scale of its ribbons in mm, percent of clay and its sd, how much it counts.
      Pair = Struct.new(:length_mm, :scale_mm, :clay, :clay_sd, :weight, keyword_init: true)
      # How a curve fares: RMSE and mean error in points of clay, and how many truths its interval holds.
      Fit = Struct.new(:rmse, :bias, :inside, keyword_init: true)
      # Of a pair more lengths are slips, and tubs mixed up, than of a ribbon by itself.
      SLIP = FIGURES["slip_share"]
      # One way a hand may be, with the logarithm of its prior.
      Node = Struct.new(:a, :b, :k, :prior)

      NODES = begin
        reach = FIGURES["own_grid"]
        steps = lambda do |name|
          most, step = reach[name]
          count = (most / step).round
          (-count..count).map { |place| place * step.to_f }
        end
        steps["a"].product(steps["b"], steps["k"]).map do |a, b, j|
          prior = -0.5 * (((a / FIGURES["own_a_sd"])**2) + ((b / FIGURES["own_b_sd"])**2) + (j**2))
          Node.new(a, b, FIGURES["own_k_middle"] * Math.exp(FIGURES["own_k_sd"] * j), prior).freeze
        end.freeze
      end
      # Nodes that differ in their noise alone.
      SHAPES = NODES.chunk_while { |one, next_one| one.a == next_one.a && one.b == next_one.b }.to_a.freeze

      # @param pairs [Array<Pair>]
      def initialize(pairs)
        @pairs = pairs
        # By pair, how well it fits each node.
        @fits = pairs.map { |pair| Calibration.fits(pair) }
        @logs = @fits.zip(pairs).map { |fits, pair| fits.map { |fit| (pair.weight || 1) * Math.log(fit) } }
        sums = NODES.each_index.map { |at| NODES[at].prior + @logs.sum { |logs| logs[at] } }
        @weights = Calibration.weights(sums)
        @sums = sums
      end

      # @return [Integer] pairs
      def size = @pairs.size

      # @param age_days [Numeric] of a pair
      # @return [Float] how much it counts
      def self.weight(age_days) = 2**(-age_days.to_f / FIGURES["own_half_life_days"])

      # @return [OwnCurve] without pairs the consensus
      def curve = @pairs.empty? ? OwnCurve.new : Calibration.curve(@weights)

      # @return [Array<Float>] by pair, how likely it is that it does not fit
      def odds_of_odd
        slip = SLIP / OwnCurve::LONGEST
        @odds_of_odd ||= @fits.map { |fits| fits.each_with_index.sum { |fit, at| @weights[at] * slip / fit } }
      end

      # @return [Array<Integer>] places of pairs that do not fit
      def odd = odds_of_odd.each_index.select { |at| odds_of_odd[at] > FIGURES["odd_from"] }

      # Each pair read by the curve of all others.
      # @return [Fit]
      def leave_one_out
        @leave_one_out ||= Calibration.fit_of(@pairs.each_with_index.map do |pair, left|
          sums = @sums.each_with_index.map { |sum, at| sum - @logs[left][at] }
          [pair, Calibration.curve(Calibration.weights(sums))]
        end)
      end

      # @return [Fit] the same pairs read by the consensus
      def consensus = Calibration.fit_of(@pairs.map { |pair| [pair, OwnCurve.new] })

      # Whether it may be used: enough samples over enough clay, and no worse than the consensus.
      # @return [String, nil] why not, for a person
      def closed
        gate = FIGURES["own_gate"]
        clays = @pairs.map(&:clay)
        return "#{@pairs.size} of #{gate['pairs']} samples." if @pairs.size < gate["pairs"]
        return "The samples span #{(clays.max - clays.min).round} of #{gate['clay_points']} points of clay." \
          if clays.max - clays.min < gate["clay_points"]

        "It fares worse than the consensus on samples it has not seen." \
          if leave_one_out.rmse > gate["rmse"] * consensus.rmse
      end

      # Each pair beside what those before it taught, in the order given; one a pair, in sd.
      # @return [Array<Float>]
      def deviations
        sums = NODES.map(&:prior)
        @pairs.each_with_index.map do |pair, at|
          z = Calibration.deviation(pair, Calibration.curve(Calibration.weights(sums)))
          sums = sums.each_with_index.map { |sum, node| sum + @logs[at][node] }
          z
        end
      end

      # @api private
      def self.deviation(pair, curve)
        clay = pair.clay.round.clamp(0, 100)
        slope = (curve.length(pair.clay + 1) - curve.length(pair.clay - 1)) / 2
        (pair.length_mm - curve.length(pair.clay)) /
          Math.sqrt(curve.noise2(clay) + (pair.scale_mm**2) + ((slope * pair.clay_sd)**2))
      end

      # What is the same whatever the noise is worked out once: a hand may have hundreds of pairs.
      # @api private
      # @return [Array<Float>] by node
      def self.fits(pair)
        base, below, above = [0, -1, 1].map { |by| OwnCurve::CONSENSUS.length(pair.clay + by) }
        SHAPES.flat_map do |nodes|
          a, b = nodes.first.to_a
          mean = OwnCurve.distorted(base, a, b)
          slope = base.positive? ? mean * (1 + b) * (above - below) / (2 * base) : 0.0
          noise = (Evidence::Model::LENGTH_SHARE * mean) + Evidence::Model::LENGTH_MM
          rest = (pair.scale_mm**2) + ((slope * pair.clay_sd)**2)
          nodes.map { |node| OwnCurve.mixed(pair.length_mm, mean, ((node.k * noise)**2) + rest, SLIP) }
        end
      end

      # @api private
      def self.weights(logs)
        most = logs.max
        raw = logs.map { |log| Math.exp(log - most) }
        total = raw.sum
        raw.map { |weight| weight / total }
      end

      # @api private
      def self.curve(weights)
        a = b = k2 = aa = ab = bb = 0.0
        NODES.each_with_index do |node, at|
          weight = weights[at]
          a += weight * node.a
          b += weight * node.b
          k2 += weight * (node.k**2)
          aa += weight * (node.a**2)
          ab += weight * node.a * node.b
          bb += weight * (node.b**2)
        end
        OwnCurve.new(a: a, b: b, k2: k2, vaa: aa - (a**2), vab: ab - (a * b), vbb: bb - (b**2))
      end

      # @api private
      def self.fit_of(read)
        said = read.map { |pair, curve| [pair, curve.said(pair.length_mm, pair.scale_mm)] }
        errors = said.map { |pair, found| found.mean - pair.clay }
        return Fit.new(rmse: nil, bias: nil, inside: 0) if errors.empty?

        Fit.new(rmse: Math.sqrt(errors.sum { |error| error**2 } / errors.size), bias: errors.sum / errors.size,
                inside: said.count { |pair, found| found.holds?(pair.clay) })
      end
    end
  end
end
