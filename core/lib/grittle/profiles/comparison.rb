# frozen_string_literal: true

module Grittle
  module Profiles
    # Two profiles on one depth scale: at every depth where both have a horizon, what differs. [the amounts are our own
    # model]
    class Comparison
      CLAY, COLOUR, STONES = %w[clay colour stones].map { |name| Data::PROFILE["beside_#{name}"] }
      DEPTH_CM = Data::PROFILE["beside_depth"]

      # @param one, other [Array] a name and its horizons, as HorizonDescription
      def initialize(one, other)
        @names = [one.first, other.first]
        @layers = [one.last, other.last]
        freeze
      end

      # @return [Array<Hash>] "upper_cm", "lower_cm" and "sentence", from the surface down
      def differences
        (overlaps.flat_map { |upper, lower, pair| at(upper, lower, pair) } + [wetness, reach].compact).sort_by do |one|
          one["upper_cm"]
        end
      end

      private

      # Every stretch of depth on which the pair of horizons stays the same.
      def overlaps
        depths = @layers.flatten.flat_map { |layer| [layer.depths.upper, layer.depths.lower] }.uniq.sort
        depths.each_cons(2).filter_map do |upper, lower|
          pair = @layers.map do |layers|
            layers.find { |layer| layer.depths.upper <= upper && layer.depths.lower >= lower }
          end
          [upper, lower, pair] if pair.all?
        end
      end

      def at(upper, lower, pair)
        said = [texture(pair), clay(pair), colour(pair), stones(pair)].compact
        return [] if said.empty?

        names = pair.map(&:designation)
        [difference(upper, lower, "#{span(upper, lower)}, #{names.join(' beside ')}: #{said.join('; ')}.")]
      end

      def texture(pair)
        named = pair.map(&:named)
        return unless named.all?

        count = named.first.apart(named.last)
        return if count.nil? ? named.map(&:name).uniq.size == 1 : count.zero?

        [named.join(" against "), (NamedClass.say_apart(count) if count)].compact.join(", ")
      end

      def clay(pair)
        clays = pair.map(&:clay)
        "clay about #{clays.map(&:round).join(' against ')} %" if clays.all? && (clays.first - clays.last).abs >= CLAY
      end

      def colour(pair)
        colours = pair.map(&:colour)
        return unless colours.all?

        apart =
          %i[value chroma].map { |part| (colours.first.public_send(part) - colours.last.public_send(part)).abs }.max
        "colour #{colours.join(' against ')}" if apart >= COLOUR || colours.map(&:wet?).uniq.size > 1
      end

      def stones(pair)
        amounts = pair.map { |layer| layer.seen["fragments_percent"] }
        return unless amounts.all? && (amounts.first - amounts.last).abs >= STONES

        "coarse fragments #{amounts.join(' against ')} %"
      end

      def wetness
        depths = @layers.map { |layers| Wetness.new(layers).depth_cm }
        return if depths.none? || (depths.all? && (depths.first - depths.last).abs < DEPTH_CM)

        said = depths.map { |depth| depth ? "from about #{Units.number(depth)} cm" : "no sure sign" }
        difference(depths.compact.min, depths.compact.max, "Seasonal wetness: #{said.join(' against ')}.")
      end

      def reach
        deepest = @layers.map { |layers| layers.map { |layer| layer.depths.lower }.max }
        return if deepest.any?(&:nil?) || deepest.uniq.size == 1

        lacking = @names[deepest.index(deepest.min)]
        difference(*deepest.minmax, "Below #{Units.number(deepest.min)} cm #{lacking} has no horizon to compare.")
      end

      def span(upper, lower) = "#{Units.number(upper)} to #{Units.number(lower)} cm"
      def difference(upper, lower, sentence) = { "upper_cm" => upper, "lower_cm" => lower, "sentence" => sentence }
    end
  end
end
