# frozen_string_literal: true

module Grittle
  module Profiles
    # At what depth the soil is wet for part of the year, from its colours and mottles.
    # [from memory: Field Indicators of Hydric Soils, glossary] Frozen.
    class Wetness
      LIMITS = Data::PROFILE
      # Mottles of these kinds mean long wetness; rusty ones mean that water comes and goes; yellow ones say nothing.
      WET_KINDS = { "grey" => "grey", "blue_green" => "blue-green" }.freeze
      # A pale E may be leached and not wet, and a limy one is pale by itself.
      LEACHED = /\A\d?(E|AE|Ae|A2)/
      LIMY = /\A\d?[A-Z]+[a-z0-9]*k/
      TOPSOIL = /\A\d?A/
      LIMY_FIZZ = %w[strong violent].freeze
      MANY = %w[common many].freeze
      CLEAR = %w[distinct prominent].freeze
      SAYS = %w[nothing possible sure comes_and_goes].freeze

      class << self
        # What a matrix says.
        # @param designation [String]
        # @param colour [Munsell, nil]
        # @param rusty [Boolean] rusty mottles, common or many and distinct or prominent
        # @param calcareous [Boolean] strong fizz
        # @param inherited [Boolean] the colour is the rock's
        # @return [String] "sure", "possible" or "nothing"
        def matrix(designation, colour, rusty: false, calcareous: false, inherited: false)
          return "nothing" if colour.nil? || inherited || designation.match?(/\A\d?O/) || !colour.wet?
          return "sure" if colour.gley? || rusty
          return "possible" if designation.match?(LEACHED) || designation.match?(LIMY) || calcareous
          return "nothing" if designation.match?(TOPSOIL)

          depleted?(colour) ? "sure" : "possible"
        end

        # Grey enough to speak without mottles.
        def depleted?(colour)
          (colour.value >= LIMITS["grey_value"] && colour.chroma <= LIMITS["grey_chroma"]) ||
            (colour.value >= LIMITS["pale_value"] && colour.chroma <= LIMITS["wet_chroma"])
        end
      end

      # @param horizons [Array<HorizonDescription>] from the surface down
      def initialize(horizons)
        @signs = horizons.filter_map { |horizon| sign(horizon) }.freeze
        @seen = horizons.any? { |horizon| horizon.colour || horizon.seen["mottle_abundance"] }
        freeze
      end

      # @return [Array<Hash>] "designation", "depth_cm", "says", "sure" and "sentence", from the surface down
      attr_reader :signs

      # @return [Numeric, nil] cm to the first sure sign
      def depth_cm = first("sure")&.fetch("depth_cm")

      # @return [Numeric, nil] cm to the first sign that may mean wetness
      def possible_cm = first("possible")&.fetch("depth_cm")

      # @return [String, nil] nil where no colour was written down
      def sentence
        return unless @seen
        return "No colour that speaks of long wetness was written down; that is not the same as dry." if signs.empty?

        [sure_sentence, possible_sentence, comes_and_goes].compact.join(" ")
      end

      # @return [Hash] as on the wire
      def to_h = { "depth_cm" => depth_cm, "possible_cm" => possible_cm, "signs" => signs, "sentence" => sentence }

      private

      def first(says) = signs.find { |sign| sign["says"] == says }

      def sure_sentence
        sign = first("sure")
        sign && "Seasonal wetness from about #{Units.number(sign['depth_cm'])} cm: #{sign['sentence']}. Drained land " \
                "keeps its colours."
      end

      # Above the sure one, what is only possible is worth a word.
      def possible_sentence
        sign = first("possible")
        return if sign.nil? || (depth_cm && depth_cm <= sign["depth_cm"])

        "Wet for part of the year from #{Units.number(sign['depth_cm'])} cm is possible: #{sign['sentence']}. Look " \
          "for mottles."
      end

      def comes_and_goes
        sign = first("comes_and_goes")
        sign && "#{sign['sentence']}: water comes and goes there; rust alone gives no depth, and ironstone may be old."
      end

      def sign(horizon)
        says, sentence = [mottled(horizon), pale(horizon), rusty_alone(horizon)].compact
                                                                                .min_by do |one, _|
          %w[sure possible
             comes_and_goes].index(one)
        end
        says &&
          {
            "designation" => horizon.designation,
            "depth_cm" => horizon.depths.upper,
            "says" => says,
            "sure" => says == "sure",
            "sentence" => "#{horizon.designation} #{sentence}"
          }
      end

      def pale(horizon)
        says =
          Wetness.matrix(
            horizon.designation,
            horizon.colour,
            rusty: rusty?(horizon),
            inherited: horizon.seen["colour_inherited"],
            calcareous: LIMY_FIZZ.include?(horizon.seen["effervescence"])
          )
        [says, "is #{horizon.colour}#{' with rusty mottles' if rusty?(horizon)}"] unless says == "nothing"
      end

      def rusty?(horizon)
        abundance, kind, contrast = horizon.seen.values_at("mottle_abundance", "mottle_kind", "mottle_contrast")
        kind == "rusty" && MANY.include?(abundance) && CLEAR.include?(contrast)
      end

      def rusty_alone(horizon)
        abundance, kind = horizon.seen.values_at("mottle_abundance", "mottle_kind")
        ["comes_and_goes", "has #{abundance} rusty mottles"] if kind == "rusty" && abundance && abundance != "none"
      end

      def mottled(horizon)
        abundance, kind, colour = horizon.seen.values_at("mottle_abundance", "mottle_kind", "mottle_colour")
        return if abundance.nil? || abundance == "none"

        said = WET_KINDS[kind]
        said ||= colour if colour && kind != "rusty" && Munsell.new(colour).wet?
        [MANY.include?(abundance) ? "sure" : "possible", "has #{abundance} #{said} mottles"] if said
      end
    end
  end
end
