# frozen_string_literal: true

module Grittle
  module Profile
    # At what depth the soil is wet for part of the year, from its colours: grey, blue-green or yellow-green matrix or mottles.
    # [published for chroma 2: Soil Survey Manual, USDA Handbook 18, 2017] Frozen.
    class Wetness
      # Mottles of these kinds mean long wetness; rusty ones mean that water comes and goes. [common practice]
      WET_KINDS = { "grey" => "grey", "blue_green" => "blue-green", "yellow" => "yellow-green" }.freeze
      # A pale E may be leached and not wet.
      LEACHED = /\A\d?(E|AE|Ae|A2)/

      # @param horizons [Array<Described>] from the surface down
      def initialize(horizons)
        @signs = horizons.reject(&:organic?).filter_map { |horizon| sign(horizon) }.freeze
        @seen = horizons.any? { |horizon| horizon.colour || horizon.seen["mottle_abundance"] }
        freeze
      end

      # @return [Array<Hash>] "designation", "depth_cm", "sure" and "sentence", from the surface down
      attr_reader :signs

      # @return [Numeric, nil] cm to the first sure sign
      def depth_cm = signs.find { |sign| sign["sure"] }&.fetch("depth_cm")

      # @return [String, nil] nil where no colour was written down
      def sentence
        return unless @seen
        return "Seasonal wetness is likely from about #{Units.number(depth_cm)} cm: #{reason}" if depth_cm
        return "No colour that speaks of long wetness was written down." if signs.empty?

        "Pale and grey at #{Units.number(signs.first['depth_cm'])} cm: wet for part of the year, or leached. Look for mottles."
      end

      # @return [Hash] as on the wire
      def to_h = { "depth_cm" => depth_cm, "signs" => signs, "sentence" => sentence }

      private

      def reason = "#{signs.find { |sign| sign['sure'] }['sentence']}."

      def sign(horizon)
        mottles = mottled(horizon)
        return unless mottles || horizon.colour&.wet?

        sure = !mottles.nil? || !horizon.designation.match?(LEACHED)
        { "designation" => horizon.designation, "depth_cm" => horizon.depths.upper, "sure" => sure,
          "sentence" => "#{horizon.designation} #{mottles || "is #{horizon.colour}"}" }
      end

      def mottled(horizon)
        abundance, kind, colour = horizon.seen.values_at("mottle_abundance", "mottle_kind", "mottle_colour")
        return if abundance.nil? || abundance == "none"

        said = WET_KINDS[kind]
        said ||= colour if colour && Munsell.new(colour).wet?
        "has #{abundance} #{said} mottles" if said
      end
    end
  end
end
