# frozen_string_literal: true

module Grittle
  # The part of the texture triangle that a name stands for: drawn as polygons, compared and averaged as whole-percent
  # compositions. Frozen but for what it has worked out.
  class Region
    WHOLE = [[100, 0], [0, 0], [0, 100]].freeze
    # A cell is numbered sand * STEP + clay, both in whole percent.
    STEP = 1000
    # What lies beside a cell along an edge.
    BESIDE = [1, -1, STEP, -STEP, STEP - 1, 1 - STEP].freeze
    FIGURES = Data::NAMES

    # @return [Array<Array<Array<Numeric>>>] polygons of vertices [sand, clay] in percent
    attr_reader :polygons

    # @param polygons [Array] convex, of vertices [sand, clay]
    # @yield [sand, silt, clay] in percent
    # @yieldreturn [Boolean] whether a composition lies within
    def initialize(polygons, &holds)
      @polygons = polygons.freeze
      @holds = holds
    end

    # @return [Region] of all together
    def self.union(regions) = new(regions.flat_map(&:polygons)) { |*cell| regions.any? { |one| one.hold?(*cell) } }

    # @return [Boolean]
    def hold?(sand, silt, clay) = @holds.call(sand, silt, clay)

    # The part where a linear function of sand and clay is not negative.
    # @param strict [Boolean] whether the line itself is left out of the compositions
    # @yield [sand, clay]
    # @return [Region]
    def where(strict: false, &line)
      Region.new(polygons.map { |polygon| cut(polygon, &line) }) do |sand, silt, clay|
        side = line.call(sand, clay)
        hold?(sand, silt, clay) && (strict ? side.positive? : side >= 0)
      end
    end

    # @return [Array<Integer>] the whole-percent compositions within, numbered, in rising order
    def cells
      @cells ||= (0..100).flat_map do |sand|
        (0..(100 - sand)).filter_map { |clay| (sand * STEP) + clay if hold?(sand, 100 - sand - clay, clay) }
      end.freeze
    end

    # @return [Composition] the middle: what a drawing takes its grain from. No estimate of any sample.
    def middle
      @middle ||= Composition.new(sand: cells.sum { |cell| cell.div(STEP) } / cells.size.to_f,
                                  clay: cells.sum { |cell| cell % STEP } / cells.size.to_f)
    end

    # Whether two regions stand for the same soil: they agree where they overlap by half of the smaller, are one off
    # where they overlap less or share an edge, else two off.
    # @return [Symbol] :agree, :one_off or :two_off
    def agreement(other)
      overlap = (cells & other.cells).size
      return :agree if overlap.positive? && overlap >= FIGURES["overlap"] * [cells.size, other.cells.size].min

      overlap.positive? || touch?(other) ? :one_off : :two_off
    end

    # @return [Boolean] whether they share an edge: cells of one lie beside cells of the other
    def touch?(other) = cells.count { |cell| other.beside.key?(cell) } > FIGURES["touching"]

    # @return [Hash{Integer=>true}] the cells that lie beside one of its own
    def beside
      @beside ||= cells.each_with_object({}) { |cell, found| BESIDE.each { |move| found[cell + move] = true } }.freeze
    end

    private

    # The part of a convex polygon where a linear function is not negative (Sutherland and Hodgman 1974).
    def cut(polygon)
      polygon.zip(polygon.rotate).flat_map do |from, to|
        here = yield(*from)
        there = yield(*to)
        crossing = from.zip(to).map { |a, b| a + ((b - a) * here / (here - there).to_f) } if (here * there).negative?
        [(from if here >= 0), crossing].compact
      end
    end
  end
end
