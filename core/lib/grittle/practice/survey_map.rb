# frozen_string_literal: true

module Grittle
  module Practice
    # What a survey map expects where a sample was taken, looked up after the class was assigned: a likelihood of a
    # polygon, never the truth of a pit. It enters no estimate. Frozen.
    class SurveyMap
      NAMED = FIGURES["map_named"]
      BESIDE = FIGURES["map_beside"]
      REST = FIGURES["map_rest"]
      EXPECTS = FIGURES["map_expects"]
      OTHERWISE = FIGURES["map_otherwise"]
      LEAST_CM2 = FIGURES["map_least_cm2"]
      CODES = Triangles::USDA.classes.keys.freeze
      METRES_A_DEGREE = Entry::Nmea::METRES_PER_DEGREE
      # One unit of the map with its rings of [longitude, latitude].
      Unit = Struct.new(:name, :scale, :components, :rings, keyword_init: true)

      # @param document [Hash] GeoJSON: polygons with "unit", "scale" and "components", each with "percent" and "layers"
      #   of "upper_cm", "lower_cm" and "textures" (codes of the USDA)
      # @raise [InvalidInput] naming the feature that is not so
      def initialize(document)
        features = document.is_a?(Hash) ? document["features"] : nil
        refuse("This is no GeoJSON with features.") unless features.is_a?(Array)
        @units = features.each_with_index.map { |feature, at| unit(feature, at + 1) }
        freeze
      end

      # @return [Unit, nil] whose polygon holds the place, its edge included
      def at(longitude, latitude) = @units.find { |unit| SurveyMap.inside?(unit.rings, longitude, latitude) }

      # @return [Array<Unit>]
      attr_reader :units

      # The unit of a place, and those whose line lies nearer than the place and the map are sure.
      # @param accuracy_m [Numeric] of the place
      # @return [Array<Unit>] its own first
      def about(longitude, latitude, accuracy_m = 0)
        own = at(longitude, latitude)
        near = @units.select do |unit|
          reach = Math.sqrt((accuracy_m**2) + (SurveyMap.metres_a_mm(unit.scale)**2))
          SurveyMap.distance_m(unit, longitude, latitude) < reach
        end
        [own, *near].compact.uniq
      end

      # @return [Float] m from a place to the unit's line
      def self.distance_m(unit, longitude, latitude)
        drawn(unit, longitude, latitude).flat_map { |ring| ring.each_cons(2).map { |from, to| to_line(from, to) } }.min
      end

      # @return [Array<Array<Array<Float>>>] its rings as m east and north of a place
      def self.drawn(unit, longitude, latitude)
        unit.rings.map do |ring|
          ring.map do |x, y|
            [(x - longitude) * METRES_A_DEGREE * Math.cos(latitude * Math::PI / 180), (y - latitude) * METRES_A_DEGREE]
          end
        end
      end

      # From 0, 0.
      def self.to_line((x1, y1), (x2, y2))
        dx = x2 - x1
        dy = y2 - y1
        length2 = (dx**2) + (dy**2)
        along = length2.zero? ? 0.0 : (-((x1 * dx) + (y1 * dy)) / length2).clamp(0.0, 1.0)
        Math.hypot(x1 + (along * dx), y1 + (along * dy))
      end
      private_class_method :to_line

      # @param unit [Unit]
      # @return [Hash{String=>Float}] what it expects between two depths, by class; adding up to 1
      def self.expected(unit, upper_cm, lower_cm)
        sums = Hash.new(0.0)
        covered = 0.0
        unit.components.each do |component|
          share = component["percent"] / 100.0
          component["layers"].each do |layer|
            part = overlap(layer, upper_cm, lower_cm) * share
            next if part.zero?

            covered += part
            named(layer["textures"]).each { |code, weight| sums[code] += part * weight }
          end
        end
        left = [1 - covered, 0.0].max / CODES.size
        CODES.to_h { |code| [code, sums[code] + left] }
      end

      # @return [Float] how much likelier the map makes the class than an even chance
      def self.ratio(expected, code) = CODES.size * expected.fetch(code)

      # @return [String] for a person
      def self.say(ratio)
        return "The map expects this." if ratio >= EXPECTS

        ratio < OTHERWISE ? "The map expects otherwise." : "The map says little."
      end

      # What the scale leaves open.
      # @param units [Array<Unit>] as #about gives them
      # @return [String] for a person
      def self.warn(units)
        scale = units.first.scale
        least = Units.number(least_ha(scale).round(1))
        text = "At 1:#{scale.round.to_s.gsub(/(?<=\d)(?=(\d{3})+\z)/, ' ')} a millimetre of the map is " \
               "#{Units.number(metres_a_mm(scale))} m, and bodies under #{least} ha hide in other units."
        return text if units.size == 1

        "#{text} The line between #{units.map(&:name).join(' and ')} lies within that: either may be true."
      end

      # @return [Float] m on the ground for a mm on the map
      def self.metres_a_mm(scale) = scale / 1000.0

      # @return [Float] ha of the smallest body that the map can draw
      def self.least_ha(scale) = LEAST_CM2 * (scale**2) * 1e-8

      # @param textures [Array<String>]
      # @return [Hash{String=>Float}]
      def self.named(textures)
        textures.each_with_object(Hash.new(0.0)) do |code, found|
          own = 1.0 / textures.size
          beside = Triangles::USDA.neighbours(code)
          rest = CODES - [code] - beside
          found[code] += own * NAMED
          beside.each { |one| found[one] += own * BESIDE / beside.size }
          rest.each { |one| found[one] += own * REST / rest.size }
        end
      end

      def self.overlap(layer, upper_cm, lower_cm)
        if lower_cm.nil? || lower_cm <= upper_cm
          return layer["upper_cm"] <= upper_cm && layer["lower_cm"] > upper_cm ? 1.0 : 0.0
        end

        common = [layer["lower_cm"], lower_cm].min - [layer["upper_cm"], upper_cm].max
        [common, 0].max / (lower_cm - upper_cm).to_f
      end

      # By the even-odd rule; an edge is inside.
      def self.inside?(rings, x, y)
        crossings = 0
        rings.each do |ring|
          ring.each_cons(2) do |(x1, y1), (x2, y2)|
            return true if on?(x, y, x1, y1, x2, y2)

            crossings += 1 if (y1 > y) != (y2 > y) && x < ((x2 - x1) * (y - y1) / (y2 - y1).to_f) + x1
          end
        end
        crossings.odd?
      end

      def self.on?(x, y, x1, y1, x2, y2)
        cross = ((x2 - x1) * (y - y1)) - ((y2 - y1) * (x - x1))
        cross.abs < 1e-12 && x.between?(*[x1, x2].minmax) && y.between?(*[y1, y2].minmax)
      end
      private_class_method :named, :overlap, :on?

      private

      def unit(feature, number)
        given = feature.is_a?(Hash) ? feature["properties"] : nil
        rings = rings(feature.is_a?(Hash) ? feature["geometry"] : nil)
        fine = given.is_a?(Hash) && given["unit"].is_a?(String) && given["scale"].is_a?(Numeric) &&
               given["scale"].positive? && rings && components?(given["components"])
        refuse("Feature #{number} has no polygon with unit, scale and components.") unless fine
        Unit.new(name: given["unit"], scale: given["scale"], components: given["components"], rings: rings).freeze
      end

      def rings(geometry)
        return unless geometry.is_a?(Hash)

        case geometry["type"]
        when "Polygon" then geometry["coordinates"]
        when "MultiPolygon" then geometry["coordinates"]&.flatten(1)
        end
      end

      def components?(components)
        components.is_a?(Array) && components.all? do |one|
          one.is_a?(Hash) && one["percent"].is_a?(Numeric) && one["layers"].is_a?(Array) &&
            one["layers"].all? { |layer| layer?(layer) }
        end
      end

      def layer?(layer)
        layer.is_a?(Hash) && layer.values_at("upper_cm", "lower_cm").all?(Numeric) && layer["textures"].is_a?(Array) &&
          layer["textures"].any? && (layer["textures"] - CODES).empty?
      end

      def refuse(sentence) = raise(InvalidInput, [Problem.new(pointer: "", sentence: sentence)])
    end
  end
end
