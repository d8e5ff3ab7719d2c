# frozen_string_literal: true

module Grittle
  # Companion tests: what their looks come to.
  module Companions
    FIGURES = Data::COMPANIONS

    # How grains settle in water, and what the layers of a jar come to. [published: Stokes; the viscosity from memory]
    module Settling
      A, B, C = FIGURES["viscosity"]
      WATER = FIGURES["water_density"]
      GRAVITY = FIGURES["gravity"]
      HEAVIER = FIGURES["grain_density"] - WATER
      SAND_UM = FIGURES["sand_from"]
      SILT_UM = FIGURES["silt_from"]
      NAMES = %w[sand silt clay].freeze
      KITCHEN_S = FIGURES["kitchen_min"] * 60

      module_function

      # @param temperature_c [Numeric]
      # @return [Float] Pa·s
      def viscosity(temperature_c) = A * (10**(B / (temperature_c + C)))

      # @param depth_cm [Numeric] of fall
      # @param grain_um [Numeric]
      # @return [Float] seconds
      def seconds(depth_cm, grain_um, temperature_c: 20)
        speed = HEAVIER * GRAVITY * ((grain_um * 1e-6)**2) / (18 * viscosity(temperature_c))
        depth_cm / 100.0 / speed
      end

      # @return [Float] µm: the smallest grain that has fallen so far
      def grain_um(depth_cm, seconds, temperature_c: 20)
        1e6 * Math.sqrt(18 * viscosity(temperature_c) * (depth_cm / 100.0) / (HEAVIER * GRAVITY * seconds))
      end

      # @param layers_mm [Array<Numeric>] of sand, silt and clay
      # @return [Array<Float>] percent of their height: no mass, for clay lies loose
      def percent(layers_mm) = layers_mm.map { |mm| 100.0 * mm / layers_mm.sum }
    end
  end
end
