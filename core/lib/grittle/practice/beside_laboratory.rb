# frozen_string_literal: true

module Grittle
  module Practice
    # A laboratory's result beside what the hand made of the sample. [our own] Frozen.
    class BesideLaboratory
      NEAR = FIGURES["near_line"]
      PARTS = %w[sand silt clay].freeze
      WHERE = %w[inside edge outside].freeze

      # @param estimate [Evidence::Estimate]
      # @param named [NamedClass, nil] that was assigned
      # @param percents [Hash{String=>Numeric}] of sand, silt and clay
      # @param sds [Hash{String=>Numeric}] percent, by part; none where nothing is known
      def initialize(estimate, named, percents, sds = {})
        @estimate = estimate
        @named = named
        @percents = percents
        @sds = sds
        freeze
      end

      # @return [Hash{String=>Object}] "errors" (estimate less laboratory, points), "z", "steps" to the laboratory's
      #   class (nil where the assigned name is none of the USDA's), "class", "where" (one of WHERE), "sentence"
      def to_h
        {
          "errors" => errors.transform_values { |error| error.round(1) },
          "z" => z.transform_values { |one| one.round(2) },
          "class" => own.code,
          "steps" => steps,
          "where" => where,
          "sentence" => sentence
        }
      end

      private

      def truth = Composition.new(sand: @percents["sand"], clay: @percents["clay"])
      def own = Triangles::USDA.classify(truth)
      def errors = PARTS.to_h { |part| [part, @estimate.mean[part] - @percents[part]] }

      def z
        errors.to_h do |part, error|
          [part, error / Math.sqrt((@estimate.sd[part]**2) + ((@sds[part] || 0)**2))]
        end
      end

      # To whichever class lies within two points of the truth.
      def steps
        return unless @named&.system == "usda" && Triangles::USDA.classes.key?(@named.code)

        Credits.classes(truth, NEAR).map { |code| Credits.steps(code, @named.code) }.min
      end

      def where
        cells = Evidence::Grid::CELLS.each_index.select { |at| close?(Evidence::Grid::CELLS[at], NEAR) }
        nearest = cells.min_by { |at| off(Evidence::Grid::CELLS[at]) }
        return "inside" if nearest && @estimate.holds?(nearest)

        cells.any? { |at| @estimate.holds?(at) } ? "edge" : "outside"
      end

      def off(cell) = PARTS.zip(cell).map { |part, value| (value - @percents[part]).abs }.max
      def close?(cell, points) = off(cell) <= points + 1e-9

      def sentence
        clay = errors["clay"]
        said = if clay.abs < 0.5
                 "the same clay"
               else
                 "#{clay.abs.round} points #{clay.positive? ? 'more' : 'less'} clay"
               end
        place = { "inside" => "inside the 80 % region", "edge" => "at the edge of the region",
                  "outside" => "outside the region" }.fetch(where)
        "The laboratory: #{own.name}. The hand's estimate has #{said}; the truth lies #{place}."
      end
    end
  end
end
