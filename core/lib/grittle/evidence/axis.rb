# frozen_string_literal: true

module Grittle
  module Evidence
    # What an answer depends on: a whole number that is +s+ sands, +z+ silts and +c+ clays, and what one of it is worth
    # in percent. So a table needs one place for each number, and not one for each composition.
    Axis = Struct.new(:name, :s, :z, :c, :worth, keyword_init: true) do
      # @return [Range] the numbers there are
      def places = 0..(100 * [s, z, c].max)

      def place(sand, silt, clay) = (s * sand) + (z * silt) + (c * clay)
      def value(place) = place * worth
      def at(sand, silt, clay) = value(place(sand, silt, clay))

      # @return [Boolean] whether it is one of the three fractions: a quantity that a hand's bias shifts
      def quantity? = worth == 1 && s + z + c == 1
    end

    SAND = Axis.new(name: :sand, s: 1, z: 0, c: 0, worth: 1).freeze
    SILT = Axis.new(name: :silt, s: 0, z: 1, c: 0, worth: 1).freeze
    CLAY = Axis.new(name: :clay, s: 0, z: 0, c: 1, worth: 1).freeze
    # silt + 1.5 clay, silt + 2 clay, clay + 0.1 silt
    BALL = Axis.new(name: :ball, s: 0, z: 2, c: 3, worth: 0.5).freeze
    BAND = Axis.new(name: :band, s: 0, z: 1, c: 2, worth: 1).freeze
    CAST = Axis.new(name: :cast, s: 0, z: 1, c: 10, worth: 0.1).freeze
    AXES = [SAND, SILT, CLAY, BALL, BAND, CAST].to_h { |axis| [axis.name, axis] }.freeze
    QUANTITIES = [SAND, SILT, CLAY].freeze
  end
end
