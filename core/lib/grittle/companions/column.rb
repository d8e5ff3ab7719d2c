# frozen_string_literal: true

module Grittle
  module Companions
    # One tube of a set: a layer alone, or the layers stacked, all watered alike. They show why, not how much.
    class Column < AtPlace
      READ = %w[front_mm pond_mm].freeze
      BAD = { "wall_flow" => [:doubt, "Water ran down the wall: press the soil to the glass and begin anew."] }.freeze

      # mm of soil in a tube, usually. [common practice]
      TUBE_MM = 300

      def due = FIGURES["column_looks"].map { |at| fixed(at, "Front and pond") }
      def done? = (minutes.max || 0) >= FIGURES["column_looks"].last * (1 - FIGURES["look_within"])

      def curve
        looks.filter_map { |look| look.values_at("minutes", "front_mm") if look["front_mm"] && look["minutes"] }
      end

      def said
        return super if curve.empty?

        minute, front = curve.last
        ["wet to #{Units.number(front)} mm after #{Companions.minutes(minute)}",
         (if entered then "into the next layer after #{Companions.minutes(entered)}" elsif self["boundary_mm"]
                                                                                       "not into the next layer"
          end),
         ("water standing on it" if ponded?)].compact.join(", ")
      end

      def figures
        { "front_mm" => curve.last&.last, "entered_min" => entered&.round(1), "ponded" => ponded? }.compact
      end

      def scales = { "front_mm" => [0, [2 * (self["boundary_mm"] || 0), TUBE_MM].max, 1], "pond_mm" => [0, 100, 1] }

      # Straight between two looks.
      # @return [Float, nil] minute at which the front reached the next layer
      def entered
        at = self["boundary_mm"] or return
        (curve.first&.first&.positive? ? [[0, 0], *curve] : curve).each_cons(2) do |(from, above), (to, below)|
          return from + ((to - from) * (at - above).to_f / (below - above)) if above < at && below >= at
        end
        nil
      end

      def ponded? = looks.any? { |look| look["pond_mm"].to_f.positive? }

      def self.together(tubes)
        read = tubes.select { |tube| tube.curve.any? }
        return [] if read.size < 2

        time = read.map { |tube| tube.curve.last.first }.min
        said = read.map { |tube| "#{tube.where['name']} #{Units.number(tube.wet_at(time).round)} mm" }
        ["After #{Companions.minutes(time)} wet: #{said.join(', ')}. Tubes show why, not how much."]
      end

      # @return [Float] mm wet after that time, straight between two looks
      def wet_at(minute)
        [[0, 0], *curve].each_cons(2) do |(from, above), (to, below)|
          return above + ((below - above) * (minute - from).to_f / (to - from)) if to > from && minute <= to
        end
        curve.last.last
      end
    end
  end
end
