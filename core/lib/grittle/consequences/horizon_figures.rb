# frozen_string_literal: true

module Grittle
  module Consequences
    # All that follows from one horizon's texture: given the class that was assigned, and before it. Frozen.
    class HorizonFigures
      # What stays the same though fragments take their part of the volume.
      PER_VOLUME = %i[available_water].freeze

      # @return [Numeric] percent by weight, and whether it was assumed
      attr_reader :organic_matter

      # @param estimate [Evidence::Estimate] in the classes of the USDA
      # @param assigned [NamedClass, nil]
      # @param organic_matter [Numeric] percent by weight
      # @param fragments [Numeric] share of the volume
      # @param density_factor [Numeric]
      def initialize(estimate, assigned: nil, organic_matter: 2.5, fragments: 0.0, density_factor: 1.0)
        @estimate = estimate
        @assigned = assigned if assigned&.texture?
        @organic_matter = organic_matter
        @fragments = fragments.to_f
        @density_factor = density_factor
        @given = @assigned ? estimate.given(@assigned).shares : estimate.shares
        @spreads = {}
      end

      # @param consequence [Consequence] with a figure
      # @param before [Boolean] without the class that was assigned
      # @return [Spread, KsatSpread]
      def spread(consequence, before: false)
        @spreads[[consequence.id, before]] ||= begin
          figure = Cells.figure(consequence.figure, organic_matter: organic_matter, density_factor: @density_factor)
          Spread.new(figure, before ? @estimate.shares : @given, factor: factor(consequence.figure))
        end
      end

      # @return [KsatSpread, nil] nil where the fragments decide, or too little drains for a figure
      def ksat
        found = spread(Consequences["ksat"])
        return if @fragments > SoilWater::VALID_FRAGMENTS || found.p50.nil?

        @ksat ||= KsatSpread.new(found)
      end

      # @param consequence [Consequence]
      # @return [Hash{String=>Float}] probability by category: of the class, or, where the class alone decides, before
      #   one was assigned
      def categories(consequence)
        (@categories ||= {})[consequence.id] ||= shared_out(consequence)
      end

      # @return [String] the USDA class that has most of the estimate, given the class that was assigned
      def likeliest
        @likeliest ||= begin
          codes, class_of = Evidence::Grid.classes("usda")
          sums = Array.new(codes.size, 0.0)
          @given.each_with_index { |share, cell| sums[class_of[cell]] += share }
          codes[sums.index(sums.max)]
        end
      end

      # @return [Hash{Array=>Float}] share of the estimate by class of the USDA and soil category, the likeliest first:
      #   before a class was assigned, or the class alone where nothing was felt
      def classes_and_categories
        @classes_and_categories ||= begin
          codes, class_of = Evidence::Grid.classes("usda")
          sums = Hash.new(0.0)
          (@estimate.empty? ? @given : @estimate.shares).each_with_index do |share, cell|
            code = codes[class_of[cell]]
            sums[[code, AssessorTable.category(code, Evidence::Grid::CLAY[cell])]] += share
          end
          sums.sort_by { |_, share| -share }.to_h
        end
      end

      # @return [Hash{String=>Hash}] of sand, silt and clay mean and 80 % range, given the class that was assigned
      def parts = @parts ||= Evidence::Margins.new(@given).parts

      # @return [Float] mm in 10 cm that roots cannot take
      def out_of_reach_mm
        @out_of_reach_mm ||= begin
          figure = Cells.figure(:out_of_reach, organic_matter: organic_matter, density_factor: @density_factor)
          Spread.new(figure, @given, factor: 1 - @fragments).p50
        end
      end

      # @return [WaterPart]
      def part
        @part ||= WaterPart.new(
          @given,
          Cells.figure(:available_water, organic_matter: organic_matter, density_factor: @density_factor)
        )
      end

      # @param consequence [Consequence]
      # @return [OneClassOff]
      def one_class_off(consequence)
        @likely ||= OneClassOff.likely(@estimate)
        OneClassOff.new(consequence, @likely, organic_matter: organic_matter, density_factor: @density_factor)
      end

      # The test that is expected to tell most between the categories that the classes have.
      # @param consequence [Consequence]
      # @return [Hash, nil] see {Evidence::NextTests#telling}
      def settling(consequence)
        return if @estimate.empty?

        @next_tests ||= Evidence::NextTests.new(@estimate)
        (@settling ||= {})[consequence.id] ||= @next_tests.telling(CODES.to_h do |code|
          [code, OneClassOff.category(consequence, code, organic_matter: organic_matter,
                                                         density_factor: @density_factor)]
        end)
      end

      private

      def shared_out(consequence)
        return by_class(consequence) if consequence.by_class?
        return ksat ? ksat.categories(consequence.limits) : {} if consequence.id == "ksat"

        found = spread(consequence)
        found.p50 ? found.categories(consequence.limits) : {}
      end

      def factor(figure)
        return 1 - @fragments if PER_VOLUME.include?(figure)

        figure == :ksat ? (1 - @fragments) / (1 + (@fragments / 2)) : 1.0
      end

      def by_class(consequence)
        @estimate.classes.each_with_object(Hash.new(0.0)) do |(code, share), found|
          found[consequence.table.fetch(code, "open")] += share
        end
      end
    end
  end
end
