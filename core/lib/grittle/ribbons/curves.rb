# frozen_string_literal: true

module Grittle
  # What schools make of a ribbon's length: mm to clay percent and back. Straight between the points, extended with the
  # slope at either end, clay held to 0-80 and lengths never below 0.
  class Curve
    CLAY = Data::CURVES["read_to"]

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
    # Name, and what it says in a few words.
    SAID = {
      "twenty_forty" => ["Twenty-forty", "an inch is 20 %, two and a half are 40 %"],
      "cautious" => ["Cautious", "an inch is 10 %, an inch and a half 15 %"],
      "flow_tiers" => ["Flow-key tiers", "the flow key's tiers, in clay"],
      "field_grades" => ["Field grades", "the clay beside each field grade"],
      "consensus" => ["Consensus", "between the methods"]
    }.freeze
    ALL = SAID.map do |id, (name, says)|
      figure = Data::CURVES.all.fetch(id)
      Curve.new(id: id, name: name, says: says, source: figure.cited, points: figure.value)
    end.freeze
    DEFAULT = "consensus"

    # @raise [UnknownName]
    def self.[](id) = ALL.find { |curve| curve.id == id.to_s } || raise(UnknownName.new("curve", id, ALL.map(&:id)))

    # What each school makes of one length.
    # @return [Array<Hash>] "curve", "name" and "clay_percent" to a tenth
    def self.of(length_mm)
      ALL.map do |curve|
        { "curve" => curve.id, "name" => curve.name, "clay_percent" => curve.clay(length_mm).round(1) }
      end
    end

    # @return [Float] percentage points between the schools' highest and lowest clay for one length
    def self.spread(length_mm)
      clays = ALL.map { |curve| curve.clay(length_mm) }
      clays.max - clays.min
    end
  end
end
