# frozen_string_literal: true

module Grittle
  module Practice
    # How far a hand feels every soil as richer in clay, sand or silt than it is, from samples whose laboratory result
    # is known; what was felt is read with the curve, cuts and numbers in force, so that nothing is corrected twice.
    # [our own] Frozen.
    class HandBias
      E = Evidence
      REACH = FIGURES["bias_reach"]
      BETWEEN_DAYS = FIGURES["bias_between_days"]

      # One sample: what was felt of it (Evidence::ObservedLikelihoods), the laboratory's percent and sd by quantity.
      Sample = Struct.new(:felt, :percents, :sds, keyword_init: true)

      # @param samples [Array<Sample>]
      def initialize(samples)
        @samples = samples
        freeze
      end

      # @return [Evidence::Hand] without samples an uncalibrated one
      def hand
        found = E::QUANTITIES.to_h { |axis| [axis.name, of(axis)] }
        E::Hand.new(shifts: found.transform_values(&:first), sds: found.transform_values(&:last))
      end

      # @param axis [Evidence::Axis]
      # @return [Array<Float>] shift and sd, percent
      def of(axis)
        usual = E::Hand::SDS.fetch(axis.name)
        told = telling(axis)
        return [0.0, usual] if told.empty?

        mean, variance = moments(told, Math.sqrt((usual**2) - (BETWEEN_DAYS**2)))
        [mean, Math.sqrt(variance + (BETWEEN_DAYS**2))]
      end

      private

      # What each sample says of every percentage, seen through a hand without bias.
      def telling(axis)
        @samples.filter_map do |sample|
          logs = E::Posterior.logs(sample.felt, axis, E::Posterior.weights(sample.felt))
          percent = sample.percents[axis.name]
          next unless logs && percent

          sd = Math.sqrt((BETWEEN_DAYS**2) + ((sample.sds[axis.name] || 0)**2))
          plain = E::Hand.new(sds: { axis.name => sd })
          [percent, plain.through(axis, logs.map { |log| Math.exp(log) }, 1.0)]
        end
      end

      def moments(told, spread)
        weights = (-REACH..REACH).to_h do |shift|
          log = -0.5 * ((shift / spread)**2)
          log += told.sum { |percent, likely| Math.log([likely[(percent + shift).round.clamp(0, 100)], 1e-300].max) }
          [shift, log]
        end
        most = weights.values.max
        weights.transform_values! { |log| Math.exp(log - most) }
        total = weights.values.sum
        mean = weights.sum { |shift, weight| shift * weight } / total
        [mean, weights.sum { |shift, weight| ((shift - mean)**2) * weight } / total]
      end
    end
  end
end
