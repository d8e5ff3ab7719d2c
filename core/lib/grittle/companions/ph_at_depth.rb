# frozen_string_literal: true

module Grittle
  module Companions
    # pH by colour kit at one depth of a series. Distilled water, one kit.
    class PhAtDepth < AtPlace
      READ = %w[value].freeze
      # What cards of colour kits usually show. [common practice]
      CARD = (3.0..10.0)
      ACID, SUITS_FROM, SUITS_TO, ALKALINE = FIGURES["ph_limits"]
      BAD = {
        "colours_drop" => [:doubt, "The soil colours the drop: let it settle, or use a paste in a white dish."],
        "off_card" => [:doubt, "Off the card: another kit, or a meter."],
        "old_kit" => [:doubt, "An old reagent reads wrong: try it on a sample that is known."]
      }.freeze

      def due = [fixed(self["kit_minutes"] || FIGURES["kit_min"], "Read the card")]
      def said = read? ? Profiles::Findings.say("ph", looks) : super
      def done? = read?
      def figures = { "ph" => middle }.compact

      def advice
        return if middle.nil?
        return "Too acid for many plants." if middle < ACID
        return "Suits most plants." if middle.between?(SUITS_FROM, SUITS_TO)

        "Strongly alkaline: lay a crumb into water as well, sodium may disperse it." if middle > ALKALINE
      end

      def scales = { "value" => [CARD.begin, CARD.end, (self["step"] || Profiles::Findings::KIT_STEP).to_f] }

      # @return [Float, nil] of two colours of the card the middle
      def middle = (colours.sum / colours.size.to_f if colours.any?)

      def self.together(places)
        places.select(&:middle).sort_by { |one| one.where["depth_cm"] || 0 }.each_cons(2).filter_map do |upper, lower|
          more = lower.middle - upper.middle
          next if more.abs < FIGURES["ph_step"] - 1e-9

          "pH #{more.positive? ? 'rises' : 'falls'} by #{Units.number(more.abs.round(1))} from " \
            "#{upper.where['name']} to #{lower.where['name']}."
        end
      end

      private

      def colours = [self["value"], self["upper"]].compact
    end
  end
end
