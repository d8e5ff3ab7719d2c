# frozen_string_literal: true

module Grittle
  module Triangles
    # Heavy clay is what two systems split off the clays of the USDA triangle.
    module HeavyClay
      ABOVE = Data::NAMES["heavy_clay_over"]

      module_function

      # @param rules [Hash{String=>Proc}] of a triangle without heavy clay
      # @return [Hash{String=>Proc}] the same with heavy clay first
      def rules(rules)
        split = rules.to_h { |code, rule| [code, ->(s, z, c) { c <= ABOVE && rule.call(s, z, c) }] }
        { "HC" => ->(_, _, c) { c > ABOVE } }.merge(split)
      end

      # @param triangle [Triangle] without heavy clay
      # @return [Proc] its decision with heavy clay first
      def decide(triangle) = ->(s, z, c) { c > ABOVE ? "HC" : triangle.code(s, z, c) }

      # @return [Array<TextureClass>] the classes of the USDA triangle, clay cut at the line
      def classes
        heavy =
          TextureClass.new(code: "HC", name: "heavy clay", group: "fine", polygon: [[40, 60], [0, 60], [0, 100]].freeze)
        cut = [[45, 40], [20, 40], [0, 60], [40, 60], [45, 55]].freeze
        clay = USDA["C"]
        [*(USDA.classes.values - [clay]).map(&:dup),
         TextureClass.new(code: clay.code, name: clay.name, group: clay.group, polygon: cut), heavy]
      end
    end

    # Canada, 13 classes; limits of the fractions 2 / 50 / 2000 µm. The regions are those of the USDA triangle with
    # heavy clay; what stands on a line follows the manual's own words, which differ: "does not exceed 15", "20 % or
    # less clay", "52 % or more sand". Where two of its sentences claim one line, the one without a second end ("35 % or
    # more") goes before the end of a range ("20 to 35 %"). [published: Canadian System of Soil Classification, 3rd ed.,
    # 1998, definitions of the classes, from memory; which sentence goes first: our own reading]
    CANADA = Triangle.new(
      id: "canada",
      name: "Canada",
      source: "Canadian System of Soil Classification, 3rd ed., 1998 (detail not checked against the source)",
      decide: lambda { |s, z, c|
        if c > HeavyClay::ABOVE then "HC"
        elsif c <= 15 && z + (2 * c) < 30 + LINE then z + (1.5 * c) < 15 + LINE ? "S" : "LS"
        elsif c < 27
          if z >= 50 then z < 80 || c >= 12 ? "SIL" : "SI"
          elsif c < 7 then "SL"
          elsif c <= 20 then s >= 52 ? "SL" : "L"
          else z >= 28 ? "L" : "SCL"
          end
        elsif s >= 45 && (c >= 35 || z < 28) then c < 35 ? "SCL" : "SC"
        elsif c < 40 then s >= 20 ? "CL" : "SICL"
        else z >= 40 ? "SIC" : "C"
        end
      },
      rules: HeavyClay.rules(
        "S" => ->(_, z, c) { z + (1.5 * c) < 15 + LINE },
        "LS" => ->(_, z, c) { z + (1.5 * c) >= 15 + LINE && z + (2 * c) < 30 + LINE },
        "SL" => ->(s, z, c) { z + (2 * c) >= 30 + LINE && ((c.between?(7, 20) && s >= 52) || (c < 7 && z < 50)) },
        "L" => ->(s, z, c) { c >= 7 && c < 27 && z >= 28 && z < 50 && s < 52 },
        "SIL" => ->(_, z, c) { (z >= 50 && c >= 12 && c < 27) || (z >= 50 && z < 80 && c < 12) },
        "SI" => ->(_, z, c) { z >= 80 && c < 12 },
        "SCL" => ->(s, z, c) { c > 20 && c < 35 && z < 28 && s >= 45 },
        "CL" => ->(s, z, c) { c >= 27 && c < 40 && s >= 20 && (s < 45 || (c < 35 && z >= 28)) },
        "SICL" => ->(s, _, c) { c >= 27 && c < 40 && s < 20 },
        "SC" => ->(s, _, c) { c >= 35 && s >= 45 },
        "SIC" => ->(_, z, c) { c >= 40 && z >= 40 },
        "C" => ->(s, z, c) { c >= 40 && s < 45 && z < 40 }
      ),
      classes: HeavyClay.classes
    )
  end
end
