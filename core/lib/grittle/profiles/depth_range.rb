# frozen_string_literal: true

module Grittle
  module Profiles
    # From an upper to a lower depth below the surface, in cm. Frozen.
    class DepthRange
      # cm; deeper is no hand-dug or augered profile [Grittle's own choice].
      DEEPEST_CM = 1000
      DEPTHS_CM = (0..DEEPEST_CM)

      attr_reader :upper, :lower

      # @param upper, lower [Numeric] cm
      # @raise [InvalidDepths] with every bad field
      def initialize(upper, lower)
        problems = [check(:upper_cm, "Upper depth", upper), check(:lower_cm, "Lower depth", lower)].compact
        if problems.empty? && upper >= lower
          problems << Problem.new(pointer: "/lower_cm", sentence: "The lower depth must be below the upper one: " \
                                                                  "#{say(upper)} to #{say(lower)} cm runs upwards.")
        end
        raise InvalidDepths, problems unless problems.empty?

        @upper = upper
        @lower = lower
        freeze
      end

      # @return [Numeric] cm
      def thickness = lower - upper

      # Touching at a boundary is no overlap.
      def overlap?(other) = upper < other.lower && other.upper < lower

      def to_s = "#{say(upper)} to #{say(lower)} cm"

      private

      def check(field, name, value)
        return if value.is_a?(Numeric) && DEPTHS_CM.cover?(value)

        Problem.new(pointer: "/#{field}", sentence: "#{name} is a number of cm from 0 to #{DEEPEST_CM}" \
                                                    "#{value.nil? ? '.' : ", not #{Spoken.of(value)}."}")
      end

      def say(depth) = depth == depth.to_i ? depth.to_i : depth.to_f.round(1)
    end
  end
end
