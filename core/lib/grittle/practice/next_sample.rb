# frozen_string_literal: true

module Grittle
  module Practice
    # What to practise next: a class drawn by weakness, and within it a composition as near its lines as the person is
    # ready for. [our own] Frozen.
    class NextSample
      CODES = Triangles::USDA.classes.keys.freeze
      # A class among the last so many is drawn for less.
      LAST, LESS = FIGURES["next_last"]
      # The thirds of a class, by distance to its boundary from the farthest, by level of skill.
      THIRDS = FIGURES["skill_levels"].keys.freeze

      # @param credits [Hash{String=>Array<Numeric>}] by class, oldest first
      # @param last [Array<String>] classes met last, newest last
      # @param codes [Array<String>] classes there are to draw from
      def initialize(credits, last, codes: CODES)
        @skills = codes.to_h { |code| [code, Skill.new(credits[code] || [])] }
        @last = last.last(LAST)
        freeze
      end

      # @return [Hash{String=>Float}] by class, adding up to 1
      def odds
        weights = @skills.to_h { |code, skill| [code, (skill.need**2) * (@last.include?(code) ? LESS : 1)] }
        total = weights.values.sum
        weights.transform_values { |weight| weight / total }
      end

      # @return [String] the class
      def draw(random)
        place = random.rand
        sum = 0.0
        odds.find { |_, share| (sum += share) > place }&.first || @skills.keys.last
      end

      # @return [String] how near the lines, of THIRDS
      def level(code) = @skills.fetch(code).level

      # @return [Composition] of whole percents, in the class
      def composition(code, random)
        sand, _, clay = NextSample.third(code, level(code)).then { |cells| cells[random.rand(cells.size)] }
        Composition.new(sand: sand, clay: clay)
      end

      @thirds = {}

      # @return [Array<Array<Integer>>] sand, silt and clay of the cells of one third of a class
      def self.third(code, level)
        all = @thirds[code] ||= begin
          codes, of_cell = Evidence::Grid.classes("usda")
          own = codes.index(code)
          cells = Evidence::Grid::CELLS.zip(of_cell).filter_map { |cell, place| cell if place == own }
          sorted = cells.sort_by do |sand, _, clay|
            -Triangles::USDA.distance_to_boundary(Composition.new(sand: sand, clay: clay))
          end
          sorted.each_slice((sorted.size / THIRDS.size.to_f).ceil).to_a
        end
        all.fetch(THIRDS.index(level), all.last)
      end
    end
  end
end
