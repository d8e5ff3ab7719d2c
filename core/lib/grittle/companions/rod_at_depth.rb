# frozen_string_literal: true

module Grittle
  module Companions
    # A rod of sticky paste from one depth, measured wet and dry.
    class RodAtDepth < AtPlace
      READ = %w[dry_mm].freeze
      # mm that a rod is rolled to at most. [common practice]
      LONGEST = 150
      BAD = { "broke" => [:void, "It broke or bent: roll another."] }.freeze

      def due = self["wet_mm"] ? [fixed(FIGURES["rod_dry_h"] * 60, "Length when dry")] : []
      def done? = read?
      def scales = { "wet_mm" => [0, LONGEST, 1], "dry_mm" => [0, self["wet_mm"] || LONGEST, 1] }
      def figures = both? ? { "shrinkage" => shrinkage.round(3), "category" => category } : {}
      def advice = ("Roll a sticky paste to a rod, and measure it." unless self["wet_mm"])

      def said
        return super unless both?

        "shrinks by #{(100 * shrinkage).round(1).then { |part| Units.number(part) }} % of its dry length: #{category}"
      end

      # The rod decides about shrinking; clay alone only says what is possible.
      def beside
        hand = where["hand"] && where["hand"]["shrink_swell"]
        "By its clay alone: #{hand}. The rod decides." if hand && both? && !void?
      end

      private

      def both? = self["wet_mm"] && self["dry_mm"]
      def shrinkage = Rod.shrinkage(self["wet_mm"], self["dry_mm"])
      def category = Rod.category(self["wet_mm"], self["dry_mm"])
    end
  end
end
