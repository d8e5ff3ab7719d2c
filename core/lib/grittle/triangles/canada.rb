# frozen_string_literal: true

module Grittle
  module Triangles
    # Heavy clay is what two systems split off the clays of the USDA triangle.
    module HeavyClay
      # Clay percent above which clay and silty clay are heavy [published: Canadian System of Soil Classification, 3rd
      # ed., 1998; FAO Guidelines for Soil Description, 4th ed., 2006, fig. 4; both written from memory].
      ABOVE = 60

      module_function

      # @return [Hash{String=>Proc}] the rules of the USDA triangle with heavy clay first
      def rules
        split = USDA.rules.to_h { |code, rule| [code, ->(s, z, c) { c <= ABOVE && rule.call(s, z, c) }] }
        { "HC" => ->(_, _, c) { c > ABOVE } }.merge(split)
      end

      # @return [Array<TextureClass>] the classes of the USDA triangle, clay cut at the line
      def classes
        heavy = TextureClass.new(code: "HC", name: "heavy clay", group: "fine", polygon: [[40, 60], [0, 60], [0, 100]].freeze)
        cut = [[45, 40], [20, 40], [0, 60], [40, 60], [45, 55]].freeze
        clay = USDA["C"]
        [*(USDA.classes.values - [clay]).map(&:dup),
         TextureClass.new(code: clay.code, name: clay.name, group: clay.group, polygon: cut), heavy]
      end
    end

    # Canada, 13 classes; limits of the fractions 2 / 50 / 2000 µm.
    CANADA = Triangle.new(id: "canada", name: "Canada", rules: HeavyClay.rules, classes: HeavyClay.classes,
                          source: "Canadian System of Soil Classification, 3rd ed., 1998 (detail from memory)")
  end
end
