# frozen_string_literal: true

module Grittle
  # What schools make of a ribbon's length: mm to clay percent and back. Straight between the points, extended with the
  # slope at either end, clay held to 0-80 and lengths never below 0.
  class Curve
    # Percent clay beyond which no school reads a ribbon [Grittle's own choice].
    CLAY = (0.0..80.0)

    attr_reader :id, :name, :says, :source

    # @param points [Array<Array<Numeric>>] pairs of mm and clay percent, both rising
    def initialize(id:, name:, says:, source:, points:)
      rising = points.each_cons(2).all? { |(mm, clay), (next_mm, next_clay)| next_mm > mm && next_clay > clay }
      raise ArgumentError, "the points of #{id} do not rise" unless rising

      @id = id
      @name = name
      @says = says
      @source = source
      @points = points.map { |point| point.map(&:to_f).freeze }.freeze
      freeze
    end

    # @param length_mm [Numeric]
    # @return [Float] clay percent
    def clay(length_mm) = along(@points, length_mm).clamp(CLAY)

    # @param clay [Numeric] percent
    # @return [Float] mm
    def length(clay) = [along(@points.map(&:reverse), clay), 0.0].max

    private

    def along(points, value)
      (x0, y0), (x1, y1) = points.each_cons(2).find { |_, (upper, _)| value <= upper } || points.last(2)
      y0 + ((y1 - y0) * (value - x0) / (x1 - x0))
    end
  end

  # The curves of the schools, in the order they are shown.
  module Curves
    ALL = [
      Curve.new(id: "twenty_forty", name: "Twenty-forty", says: "an inch is 20 %, two and a half are 40 %",
                source: "common practice, taught for contests",
                points: [[25.4, 20], [63.5, 40]]),
      Curve.new(id: "cautious", name: "Cautious", says: "an inch is 10 %, an inch and a half 15 %",
                source: "common practice, taught by an extension service; the last point is our own model",
                points: [[0, 0], [25.4, 10], [38.1, 15], [50.8, 25], [76.2, 37]]),
      Curve.new(id: "flow_tiers", name: "Flow-key tiers", says: "the flow key's tiers, in clay",
                source: "our own model, from the tiers of the flow key and the triangle's limits",
                points: [[0, 5], [25, 23.5], [50, 38], [75, 50]]),
      Curve.new(id: "field_grades", name: "Field grades", says: "the clay beside each field grade",
                source: "from memory: National Committee on Soil and Terrain 2009, Australian Soil and Land Survey Field Handbook, 3rd ed.",
                points: [[0, 3], [5, 5], [15, 10], [25, 22], [40, 30], [50, 35], [75, 45]]),
      Curve.new(id: "consensus", name: "Consensus", says: "between the schools",
                source: "our own model, between the schools",
                points: [[0, 0], [5, 5], [13, 10], [19, 15], [24, 20], [30, 25], [39, 30], [48, 35], [58, 40], [68, 45],
                         [78, 50], [95, 60], [130, 100]])
    ].freeze
    DEFAULT = "consensus"

    # @raise [UnknownName]
    def self.[](id) = ALL.find { |curve| curve.id == id.to_s } || raise(UnknownName.new("curve", id, ALL.map(&:id)))

    # What each school makes of one length.
    # @return [Array<Hash>] "curve", "name" and "clay_percent" to a tenth
    def self.of(length_mm)
      ALL.map { |curve| { "curve" => curve.id, "name" => curve.name, "clay_percent" => curve.clay(length_mm).round(1) } }
    end

    # @return [Float] percentage points between the schools' highest and lowest clay for one length
    def self.spread(length_mm)
      clays = ALL.map { |curve| curve.clay(length_mm) }
      clays.max - clays.min
    end
  end
end
