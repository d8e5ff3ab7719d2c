# frozen_string_literal: true

module Grittle
  module Consequences
    # Whether it matters that the class may be another: what follows for each of the fewest classes that hold most of
    # the estimate. [our own] Frozen.
    class OneClassOff
      HELD = FIGURES["likely_classes"]
      VERDICTS = ["no", "a little", "yes", "open"].freeze
      # Verdicts that a test is offered for.
      TOLD = ["yes", "a little"].freeze
      # Those that matter most first.
      WORST = ["yes", "a little", "open", "no"].freeze

      # The fewest classes, largest first, that hold 80 %.
      # @param estimate [Evidence::Estimate]
      # @return [Array<String>] USDA codes
      def self.likely(estimate)
        held = 0.0
        estimate.classes.take_while { |_, share| (held < HELD - 1e-9).tap { held += share } }.map(&:first)
      end

      # What hangs on the class of one reading, whatever its depth: at the organic matter that is assumed of topsoil.
      # @param estimate [Evidence::Estimate]
      # @return [Array<Hash>] "id", "label" and "verdict", those it matters most for first
      def self.of(estimate)
        organic = FIGURES["organic_by_depth"].first.last
        codes = likely(estimate)
        found = (ALL.values - [Consequences["carbon"]]).map do |one|
          { "id" => one.id, "label" => one.label, "verdict" => new(one, codes, organic_matter: organic).verdict }
        end
        found.sort_by.with_index { |one, at| [WORST.index(one["verdict"]), at] }
      end

      # What a class has: the category of the middle over its cells, or of its table.
      # @return [String, nil]
      def self.category(consequence, code, organic_matter:, density_factor: 1.0)
        return consequence.table[code] if consequence.by_class?

        figure = Cells.figure(consequence.figure, organic_matter: organic_matter, density_factor: density_factor)
        (@middles ||= {})[[consequence.id, code, organic_matter, density_factor]] ||= middle(consequence, figure, code)
      end

      def self.middle(consequence, figure, code)
        places, of_cell = Evidence::Grid.classes("usda")
        place = places.index(code)
        inside = figure.order.select { |cell| of_cell[cell] == place }
        inside.empty? ? :none : consequence.category(figure.values[inside[(inside.size - 1).div(2)]])
      end
      private_class_method :middle

      # @return [Hash{String=>String, nil}] category by class, the likeliest first; nil where a class has none
      attr_reader :classes

      # @param consequence [Consequence]
      # @param codes [Array<String>] USDA classes
      # @param organic_matter, density_factor [Numeric]
      def initialize(consequence, codes, organic_matter: 2.5, density_factor: 1.0)
        @consequence = consequence
        @classes = codes.to_h do |code|
          found = OneClassOff.category(consequence, code, organic_matter: organic_matter,
                                                          density_factor: density_factor)
          [code, (found unless found == :none)]
        end
        freeze
      end

      # @return [String] one of VERDICTS: all alike, two neighbouring categories, more, or a class without category
      def verdict
        found = classes.values.uniq
        return "open" if found.include?(nil)
        return "no" if found.size == 1

        places = found.map { |name| @consequence.categories.index(name) }.sort
        found.size == 2 && places.last - places.first == 1 ? "a little" : "yes"
      end

      # @return [Hash] as on the wire
      def to_h = { "classes" => classes, "verdict" => verdict }
    end
  end
end
