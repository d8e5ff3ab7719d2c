# frozen_string_literal: true

module Grittle
  module Compute
    # Water through layers, and what companion tests come to. Each method is a calculation of ALL,
    # or a part of one: what goes in and comes out stands there.
    module OfLayers
      include Soils
      extend self # rubocop:disable Style/ModuleFunction -- what it includes comes with it

      # Of layers that are no soil of a texture.
      RANKS = { "gravel" => Profiles::Perching::GRAVEL, "compost" => Profiles::Perching::ORGANIC }.freeze

      def wetting(given)
        found = C::Wetting.new(given.number("amount_mm"), layers(given),
                               root_limit_mm: given.number("root_limit_mm", nil))
        { "front_mm" => found.front_mm, "surplus_mm" => found.surplus_mm,
          "says" => ("More comes than the layers take: it goes on below." if found.further) }
      end

      def irrigation(given)
        found = C::Irrigation.new(
          total_mm: given.number("total_mm", nil) || to_root_depth(given),
          share: given.number("share", 0.5, range: 0.01..1),
          daily_mm: given.number("daily_mm", nil, range: 0..100),
          adjust: given.flag("adjust_share") || false,
          efficiency: given.number("efficiency", 1.0, range: 0.01..1),
          rate_mm_h: given.number("rate_mm_h", nil, range: 0.01..10_000)
        )
        %w[total_mm share net_mm interval_days gross_mm hours].to_h { |name| [name, found.public_send(name)] }
      end

      def to_root_depth(given)
        limit = given.number("root_depth_mm", Float::INFINITY)
        depth = 0.0
        layers(given).sum(0.0) do |layer|
          part = (limit - depth).clamp(0, layer.mm)
          depth += layer.mm
          layer.per_mm * part
        end
      end

      def hydrologic_group(given)
        layers = given.objects("layers", least: 0).map do |layer|
          [layer.number("upper_cm"), layer.number("lower_cm"), layer.number("ksat_mm_h", nil)]
        end
        { "group" => C::HydrologicGroup.of(
          layers,
          seen_to_cm: given.number("seen_to_cm", layers.map { |layer| layer[1] }.max || 0),
          impermeable_cm: given.number("impermeable_cm", nil),
          seasonal_water_cm: given.number("seasonal_water_cm", nil)
        ) }
      end

      def layers_in_series(given)
        layers = given.objects("layers").map do |layer|
          [layer.number("mm", range: 0.001..100_000), layer.number("ksat_mm_h", range: 1e-9..1e6)]
        end
        { "ksat_mm_h" => C.in_series(layers) }
      end

      def perching(given)
        layers = given.list("layers").map { |name| { rank(given, name) => 1.0 } }
        found = Profiles::Perching.new(layers.each_with_index.map do |ranks, at|
          Profiles::Perching::Layer.new(name: "layer #{at + 1}", depth: at, ranks: ranks)
        end).found
        { "found" => found.map { |one| one.slice("boundary", "kind", "sentence") } }
      end

      def rank(given, name)
        return RANKS[name] if RANKS.key?(name)
        return Profiles::Perching::GROUPS.fetch(Grittle.triangle("usda")[name].group) if C::CODES.include?(name)

        given.refuse("A layer is one of #{[*C::CODES, *RANKS.keys].join(', ')}, not “#{Spoken.of(name)}”.")
      end

      def perching_odds(given)
        upper, lower = %w[upper lower].map { |name| Profiles::Perching.ranks(estimate(given, name).groups) }
        { "stands_on_finer" => Profiles::Perching.stands_on_finer(upper, lower) }
      end

      def wetness(given)
        value = given.number("value", range: 0..10)
        chroma = given.number("chroma", 0, range: 0..20)
        colour = given["hue"] == "N" ? "N #{value}/" : "#{given['hue']} #{value}/#{chroma}"
        seen = { "colour_inherited" => given.flag("inherited"),
                 "effervescence" => ("strong" if given.flag("calcareous")), **rust(given) }.compact
        horizon = Profiles::HorizonDescription.new(designation: (given["name"] || "B").to_s,
                                                   depths: Profiles::DepthRange.new(0, 1),
                                                   colour: Profiles::Munsell.new(colour), seen: seen)
        { "says" => Profiles::Wetness.new([horizon]).signs.first&.fetch("says") || "nothing" }
      end

      def rust(given)
        rusty = given["rusty"]
        rusty = rusty ? "common" : "none" if [true, false].include?(rusty)
        return {} if [nil, "none"].include?(rusty)

        { "mottle_kind" => "rusty", "mottle_abundance" => given.key?("rusty") && rusty,
          "mottle_contrast" => given["rusty_contrast"] || "distinct" }
      end

      def crumb(given)
        found = Profiles::CrumbTest.new(
          given.list("looks", least: 0),
          water: given["water"],
          suspension: given["suspension"],
          **%i[air_dry remoulded_disperses carbonate_or_gypsum swells].to_h { |name| [name, given.flag(name.to_s)] }
        )
        { "classes" => found.classes, "state" => found.state, "says" => found.advice }
      end

      def jar(given)
        settling = Companions::Settling
        depth = given.number("depth_cm", range: 0.1..200)
        warm = { temperature_c: given.number("temperature_c", 20) }
        heights = given["layers_mm"] && Given.new(given["layers_mm"], "layers_mm")
        { "sand_read_s" => settling.seconds(depth, settling::SAND_UM, **warm),
          "silt_read_h" => settling.seconds(depth, settling::SILT_UM, **warm) / 3600,
          "grain_at_2h_um" => settling.grain_um(depth, settling::KITCHEN_S, **warm),
          "percent" => heights && settling.percent(%w[sand silt clay].map do |name|
            heights.number(name, range: 0..1000)
          end) }
      end

      def percolation(given)
        found = Companions::Percolation.new(given.numbers("drops_mm"),
                                            given.number("interval_min", range: 0.01..100_000))
        { "stable" => found.stable?, "rate_mm_h" => found.rate_mm_h, "min_per_cm" => found.min_per_cm,
          "min_per_inch" => found.min_per_inch }
      end
    end
  end
end
