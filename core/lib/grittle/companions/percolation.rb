# frozen_string_literal: true

module Grittle
  module Companions
    # The drops of water in one hole, each over the same time from the same level. [from memory: US Public Health
    # Service 1967; when they are steady is our own; the local code decides] Frozen.
    class Percolation
      READINGS = FIGURES["steady_readings"]
      PART = FIGURES["steady_part"]
      LEAST_MM = FIGURES["steady_mm"]
      MM_PER_INCH = FIGURES["mm_per_inch"]

      # @param drops_mm [Array<Numeric>] oldest first
      # @param interval_min [Numeric]
      def initialize(drops_mm, interval_min)
        @drops = drops_mm
        @interval = interval_min
        freeze
      end

      # @return [Boolean] whether the last three agree
      def stable?
        last = @drops.last(READINGS)
        return false if last.size < READINGS

        last.max - last.min <= [PART * last.sum / last.size, LEAST_MM].max + 1e-9
      end

      # @return [Float, nil] mm/h of the last drop
      def rate_mm_h = @drops.last && (60.0 * @drops.last / @interval)

      # @return [Float, nil] minutes for a centimetre, for an inch; nil where nothing went
      def min_per_cm = per(10.0)
      def min_per_inch = per(MM_PER_INCH)

      # How fast the soil itself takes it: walls leak as well. [from memory: Kessler & Oosterbaan 1974]
      # @param radius_cm [Numeric]
      # @param from_cm, to_cm [Numeric] of water above the bottom, no gravel in it
      # @return [Float] mm/h
      def self.ksat_mm_h(radius_cm, from_cm, to_cm, minutes)
        half = radius_cm / 2.0
        half * Math.log((from_cm + half) / (to_cm + half)) / minutes * 60 * 10
      end

      # @return [Float] mm/h at 20 °C
      def self.at_20(ksat_mm_h, temperature_c)
        ksat_mm_h * Settling.viscosity(temperature_c) / Settling.viscosity(20)
      end

      private

      def per(length_mm) = (60.0 * length_mm / rate_mm_h if rate_mm_h&.positive?)
    end

    # A rod of sticky paste that dries. [from memory: Schafer & Singer 1976]
    module Rod
      LIMITS = FIGURES["rod"]

      module_function

      # @return [Float] of the dry length
      def shrinkage(wet_mm, dry_mm) = (wet_mm - dry_mm) / dry_mm.to_f

      # @return [String] low, moderate, high, very high
      def category(wet_mm, dry_mm)
        found = shrinkage(wet_mm, dry_mm)
        LIMITS.find { |_, under| under.nil? || found < under }.first
      end
    end
  end
end
