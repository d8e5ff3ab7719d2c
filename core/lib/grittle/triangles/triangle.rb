# frozen_string_literal: true

module Grittle
  # One texture class of a system: its code, name, management group, and its region as vertices [sand, clay] in
  # whole percent, in order around the region.
  TextureClass = Struct.new(:code, :name, :group, :polygon, keyword_init: true) do
    # @param rows [Array<Array>] code, name, group and polygon of each class
    # @return [Array<TextureClass>]
    def self.list(*rows)
      rows.map do |code, name, group, polygon|
        new(code: code, name: name, group: group, polygon: polygon.each(&:freeze).freeze)
      end
    end

    # Edges as pairs of vertices.
    def edges = polygon.zip(polygon.rotate)

    # @return [Composition] the centroid of the region: what a class stands for in a drawing when nothing but the
    #   class is known. It is the middle of the region and not an estimate of any sample.
    def middle
      doubled = centroid_x = centroid_y = 0
      edges.each do |(ax, ay), (bx, by)|
        cross = (ax * by) - (bx * ay)
        doubled += cross
        centroid_x += (ax + bx) * cross
        centroid_y += (ay + by) * cross
      end
      Composition.new(sand: centroid_x / (3.0 * doubled), clay: centroid_y / (3.0 * doubled))
    end
  end

  # A system of texture classes over sand, silt and clay. Holds the rules (which decide) and the polygons (which draw,
  # measure and tell neighbours); core/spec keeps the two in step over every whole-percent composition.
  class Triangle
    # Percentage points within which a composition counts as near a line.
    NEAR = Data::KEYS["near_line"]

    attr_reader :id, :name, :source, :silt_limit, :classes, :rules
    # @return [Proc] (sand, silt, clay) in percent that add up to 100, to the code of the class
    attr_reader :decide

    # A sum of fractions on a slanted line is that line's number, whatever the ninth decimal of a float says: sums count
    # as rounded to the decimals that a composition keeps, so half of the last one is the width of the line.
    LINE = 0.5 * (10**-Composition::DECIMALS)

    # @param rules [Hash{String=>Proc}] code to a predicate of (sand, silt, clay) in percent; exactly one holds
    # @param decide [Proc] the same as one decision, for speed: (sand, silt, clay) to a code; core/spec keeps the two in
    #   step
    # @param classes [Array<TextureClass>]
    # @param silt_limit [Integer] µm between silt and sand
    # @param provisional [Boolean] whether the rules still wait to be checked against their source
    # @raise [ArgumentError] when rules and classes do not name the same codes
    def initialize(id:, name:, source:, rules:, decide:, classes:, silt_limit: 50, provisional: false)
      raise ArgumentError, "rules and classes differ in #{id}" unless rules.keys.sort == classes.map(&:code).sort

      @id = id
      @name = name
      @source = source
      @silt_limit = silt_limit
      @provisional = provisional
      @rules = rules.freeze
      @decide = decide
      @classes = classes.each(&:freeze).to_h { |texture_class| [texture_class.code, texture_class] }.freeze
      @edges = @classes.transform_values { |texture_class| texture_class.edges.map { |a, b| edge(a, b) } }.freeze
      @neighbours = find_neighbours.freeze
      freeze
    end

    def provisional? = @provisional

    # @param code [String]
    # @return [TextureClass, nil]
    def find(code) = classes[code.to_s]

    # @return [TextureClass]
    # @raise [UnknownName]
    def [](code) = find(code) || raise(UnknownName.new("class", code, classes.keys))

    # @param composition [Composition]
    # @return [TextureClass] the one class whose rule holds
    def classify(composition)
      @classes.fetch(@decide.call(composition.sand, composition.silt, composition.clay))
    end

    # @param sand, silt, clay [Float] percent that add up to 100
    # @return [String] the code of the class
    def code(sand, silt, clay) = decide.call(sand, silt, clay)

    # @return [Array<String>] codes whose region shares a boundary of positive length with this one's
    def neighbours(code) = @neighbours.fetch(self[code].code)

    # @return [Float] percentage points: the largest change in any of sand, silt and clay needed to reach the nearest
    #   other class
    def distance_to_boundary(composition) = distances(composition).first.last

    # @return [Float] percentage points from the composition to the region of another class
    def distance_to(code, composition)
      @edges.fetch(self[code].code).map { |edge| gap(composition.sand, composition.clay, edge) }.min
    end

    # The class of the composition first, then every class within +within+ percentage points, nearest first.
    # @return [Array<TextureClass>]
    def near(composition, within: NEAR)
      others = distances(composition).take_while { |_, distance| distance <= within }
      [classify(composition), *others.map { |code, _| classes[code] }]
    end

    private

    # Every other class with its distance, nearest first.
    def distances(composition)
      own = classify(composition).code
      sand = composition.sand
      clay = composition.clay
      @edges.except(own).map { |code, edges| [code, edges.map { |edge| gap(sand, clay, edge) }.min] }.sort_by(&:last)
    end

    def edge(from, to) = [*from, to[0] - from[0], to[1] - from[1]].map(&:to_f).freeze

    # The largest of the three changes equals half the sum of their sizes, because they cancel. Along an edge that sum
    # is convex and bends only where one change is zero, so its least value lies there or at an end. Every class of
    # every system is measured for each answer, and in the page an array of two numbers costs more than comparing them.
    # rubocop:disable Style/MinMaxComparison
    def gap(sand, clay, edge)
      off_sand = edge[0] - sand
      off_clay = edge[1] - clay
      at_sand = change(off_sand, off_clay, edge, off_sand, edge[2])
      at_clay = change(off_sand, off_clay, edge, off_clay, edge[3])
      at_silt = change(off_sand, off_clay, edge, off_sand + off_clay, edge[2] + edge[3])
      least = at_sand < at_clay ? at_sand : at_clay
      at_silt < least ? at_silt : least
    end

    # The largest change where +off+, which grows by +slope+ along the edge, is zero, or at the end next to that.
    def change(off_sand, off_clay, edge, off, slope)
      return Float::INFINITY if slope.zero?

      place = -off / slope
      place = 0.0 if place.negative?
      place = 1.0 if place > 1
      ds = off_sand + (place * edge[2])
      dc = off_clay + (place * edge[3])
      largest = ds.abs > dc.abs ? ds.abs : dc.abs
      silt = (ds + dc).abs
      silt > largest ? silt : largest
    end
    # rubocop:enable Style/MinMaxComparison

    def find_neighbours
      classes.transform_values do |one|
        (classes.values - [one]).select { |other| share_boundary?(one, other) }.map(&:code).freeze
      end
    end

    def share_boundary?(one, other)
      one.edges.any? { |edge| other.edges.any? { |another| overlap(edge, another).positive? } }
    end

    # Length of the common part of two edges, measured along the first (0 to its own squared length); exact, because
    # vertices are whole percents.
    def overlap((from, to), (other_from, other_to))
      direction = [to[0] - from[0], to[1] - from[1]]
      offsets = [other_from, other_to].map { |point| [point[0] - from[0], point[1] - from[1]] }
      return 0 unless offsets.all? { |x, y| (direction[0] * y) == (direction[1] * x) }

      along = offsets.map { |x, y| (direction[0] * x) + (direction[1] * y) }.sort
      [along[1], (direction[0]**2) + (direction[1]**2)].min - [along[0], 0].max
    end
  end
end
