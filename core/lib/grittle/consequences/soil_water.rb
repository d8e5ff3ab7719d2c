# frozen_string_literal: true

module Grittle
  module Consequences
    FIGURES = Data::CONSEQUENCES

    # The water that soil of one composition holds and lets through. [published: Saxton & Rawls 2006; the water past
    # coarse fragments: Peck & Watson 1979, from memory] Frozen. Shares are of the volume.
    #
    #   SoilWater.new(40, 20).available_mm  # => 14.3 in 10 cm
    class SoilWater
      WILTING, CAPACITY, DRAINED = %w[wilting capacity drained].map { |name| FIGURES["#{name}_terms"] }
      WILTING_BEND, CAPACITY_BEND, DRAINED_BEND = %w[wilting capacity drained].map { |name| FIGURES["#{name}_bend"] }
      SATURATION = FIGURES["saturation"]
      LEAST_WILTING = FIGURES["least_wilting"]
      LOG_TENSIONS = Math.log(FIGURES["tensions"].last) - Math.log(FIGURES["tensions"].first)
      KSAT = FIGURES["ksat"]
      LEAST_DRAINED = FIGURES["least_drained"]
      PACKED_CAPACITY = FIGURES["packed_capacity"]
      VALID_CLAY = FIGURES["valid_clay"]
      VALID_ORGANIC = FIGURES["valid_organic"]
      VALID_FRAGMENTS = FIGURES["valid_fragments"]
      ORGANIC = "Organic soil: the equations do not hold over #{VALID_ORGANIC} % organic matter.".freeze
      HEAVY = "Clay over #{VALID_CLAY} %: the equations do not hold; about " \
              "#{FIGURES['clay_water'].join(' to ')} mm in 10 cm.".freeze
      TIGHT = "Too little drains between saturation and field capacity to reckon how fast."
      STONY = "Over #{(100 * VALID_FRAGMENTS).round} % coarse fragments: the fine earth no longer decides.".freeze

      # @return [Float] held at 1500 kPa, at 33 kPa, and with every pore full
      attr_reader :wilting_point, :field_capacity, :saturation

      # @return [Float] coarse fragments, a share of the volume
      attr_reader :fragments

      # @param sand, clay [Numeric] percent
      # @param organic_matter [Numeric] percent by weight
      # @param fragments [Numeric] share of the volume
      # @param density_factor [Numeric] times the usual density, from 0.9 (loose) to 1.3 (hard)
      def initialize(sand, clay, organic_matter: 2.5, fragments: 0.0, density_factor: 1.0)
        @clay = clay
        @organic = organic_matter
        @fragments = fragments.to_f
        s = sand / 100.0
        c = clay / 100.0
        @wilting_point = [bent(WILTING, WILTING_BEND, s, c), LEAST_WILTING].max
        # Far outside of what the equations hold for they cross; nothing of that is shown.
        @field_capacity = [bent(CAPACITY, CAPACITY_BEND, s, c), @wilting_point].max
        @saturation = @field_capacity + bent(DRAINED, DRAINED_BEND, s, c) + (SATURATION[0] * s) + SATURATION[1]
        @slope = (Math.log(@field_capacity) - Math.log(@wilting_point)) / LOG_TENSIONS
        pack(density_factor)
        freeze
      end

      # @return [Float] mm that plants can take from 10 cm, at least 0
      def available_mm = [100 * (field_capacity - wilting_point) * (1 - fragments), 0.0].max

      # @return [Float, nil] mm/h through wet soil; nil where the equation says nothing
      def ksat_mm_h
        return if ksat_problem

        KSAT * ((saturation - field_capacity)**(3 - @slope)) * (1 - fragments) / (1 + (fragments / 2))
      end

      # @return [Float] MJ a cubic metre and kelvin at field capacity
      def heat = (FIGURES["heat"][0] * (1 - saturation)) + (FIGURES["heat"][1] * field_capacity)

      # @return [Float] mm that a solute sinks while 25 mm drain
      def leaching_mm = FIGURES["leaching_mm"] / field_capacity

      # @return [String, nil] why there is no figure for the water held
      def problem
        return ORGANIC if @organic > VALID_ORGANIC

        HEAVY if @clay > VALID_CLAY
      end

      # @return [String, nil] why there is no Ksat
      def ksat_problem
        return TIGHT if saturation - field_capacity < LEAST_DRAINED

        STONY if fragments > VALID_FRAGMENTS
      end

      # Fragments that were weighed, as a share of the volume.
      # @param weight [Numeric] share of the weight
      # @return [Float]
      def fragments_by_volume(weight)
        fine = 1 - saturation
        fine * weight / (1 - (weight * (1 - fine)))
      end

      private

      def bent(terms, bend, sand, clay)
        first = (terms[0] * sand) + (terms[1] * clay) + (terms[2] * @organic) + (terms[3] * sand * @organic) +
                (terms[4] * clay * @organic) + (terms[5] * sand * clay) + terms[6]
        first + (bend[0] * first * first) + (bend[1] * first) + bend[2]
      end

      # Pores that packing takes, and what it takes of field capacity; how the pores are shared out stays. [our own]
      def pack(factor)
        return if factor == 1

        packed = 1 - ((1 - @saturation) * factor)
        @field_capacity -= PACKED_CAPACITY * (@saturation - packed)
        @saturation = packed
      end
    end
  end
end
