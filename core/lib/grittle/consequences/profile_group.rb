# frozen_string_literal: true

module Grittle
  module Consequences
    # The hydrologic group of a described profile, two ways: TR-55's, of disturbed soil, and by the least Ksat, whose
    # layer speaks, with its odds. What was not seen stays open.
    class ProfileGroup
      SHALLOW = "Rock or a pan lies above #{HydrologicGroup::SHALLOW} cm.".freeze

      # @param layers [Array<Interpretation::Layer>] from the surface down
      # @param rock_cm, water_cm [Numeric, nil] where rock or a pan, and high water, were met
      def initialize(layers, rock_cm:, water_cm:)
        @layers = layers
        @rock = rock_cm
        @water = water_cm
        @depth, @cuts = HydrologicGroup.rule(rock_cm, water_cm)
        @seen_to = layers.map { |layer| layer.described.depths.lower }.max || 0
      end

      # @return [Hash{String=>Object}] "tr55" ("odds", "claim"; nil without a texture) and "by_ksat" ("group", "odds",
      #   "sentence")
      def to_h = { "tr55" => tr55, "by_ksat" => by_ksat }

      private

      def tr55
        figures = @layers.find(&:figures)&.figures or return
        odds = figures.categories(Consequences["hydrologic_group_tr55"])
        { "odds" => odds.transform_values { |share| share.round(3) }, "claim" => Claim.say(Claim.of(odds)) }
      end

      def by_ksat
        return { "group" => "D", "odds" => { "D" => 1.0 }, "sentence" => SHALLOW } unless @depth

        reach = @layers.select { |layer| layer.described.depths.upper < @depth }
        enough = @seen_to >= [@rock || HydrologicGroup::DEEP, HydrologicGroup::DEEP].min
        return not_seen unless enough && reach.all? { |layer| layer.figures&.ksat }

        speaks = reach.min_by { |layer| layer.figures.ksat.p50 }
        said(speaks.described.designation, letters(speaks.figures.ksat))
      end

      def not_seen
        { "group" => HydrologicGroup::OPEN, "odds" => {},
          "sentence" => "Open: not all was seen, or not all has a texture, to #{Units.number(@depth)} cm." }
      end

      def letters(ksat)
        above = 0.0
        found = @cuts.to_h do |letter, over|
          part = ksat.over(over * HydrologicGroup::UM_S) - above
          above += part
          [letter, part]
        end
        found.merge("D" => 1 - above)
      end

      def said(name, odds)
        letter, share = odds.max_by(&:last)
        more = share < Claim::LEAST.values.last ? " Texture cannot say: measure." : ""
        { "group" => HydrologicGroup.dual(letter, @water), "odds" => odds.transform_values { |part| part.round(3) },
          "sentence" => "By #{name}, which lets least through: #{Claim.say(Claim.of(odds))}.#{more}" }
      end
    end
  end
end
