# frozen_string_literal: true

module Grittle
  # Down the profile: water that goes in, down and is given, and how much of it plants can take.
  module Consequences
    # A layer of known water: mm thick, mm it holds for plants in each mm, how much of that is still there.
    WaterLayer = Struct.new(:mm, :per_mm, :left, keyword_init: true) do
      # @return [Float] mm of water it takes before more goes on
      def room = mm * per_mm * (1 - left)
    end

    # How far water goes down, layer by layer: each takes what it lacks before the next gets any.
    class Wetting
      # @return [Float] mm down to which the soil is wetted; the bottom of the layers where more comes than they take
      attr_reader :front_mm

      # @return [Float] mm that pass the root limit, lost to the roots
      attr_reader :surplus_mm

      # @return [Boolean] whether water goes on below the layers that are known
      attr_reader :further

      # @param amount_mm [Numeric]
      # @param layers [Array<WaterLayer>] from the surface down
      # @param root_limit_mm [Numeric, nil] nil: the bottom of the layers
      def initialize(amount_mm, layers, root_limit_mm: nil)
        @front_mm = 0.0
        left = layers.reduce(amount_mm.to_f) { |water, layer| water - take(layer, water) }
        @further = left > 1e-9
        @surplus_mm = [amount_mm - room(layers, root_limit_mm), 0.0].max
        freeze
      end

      private

      def take(layer, water)
        return 0.0 unless water.positive?

        room = layer.room
        taken = [room, water].min
        @front_mm += room.positive? ? layer.mm * taken / room : layer.mm
        taken
      end

      def room(layers, limit)
        depth = 0.0
        layers.sum(0.0) do |layer|
          part = limit ? (limit - depth).clamp(0, layer.mm) : layer.mm
          depth += layer.mm
          layer.mm.zero? ? 0.0 : layer.room * part / layer.mm
        end
      end
    end

    # How much to water, how often and for how long. [FAO-56, from memory, where the share is adjusted]
    class Irrigation
      ADJUST, USUAL, LEAST, MOST = FIGURES["fao_adjust"]

      attr_reader :total_mm, :share, :net_mm, :interval_days, :gross_mm, :hours

      # @param share [Numeric] allowed of the available water
      # @param daily_mm [Numeric]
      # @return [Float] the share for that daily use
      def self.adjusted(share, daily_mm) = (share + (ADJUST * (USUAL - daily_mm))).clamp(LEAST, MOST)

      # @param total_mm [Numeric] available to the root depth
      # @param share [Numeric] of it that may be used
      # @param daily_mm [Numeric, nil] used a day
      # @param adjust [Boolean] the share by the daily use
      # @param efficiency [Numeric] share of what is given that reaches the roots
      # @param rate_mm_h [Numeric, nil] at which it is given
      def initialize(total_mm:, share:, daily_mm: nil, adjust: false, efficiency: 1.0, rate_mm_h: nil)
        @total_mm = total_mm.to_f
        @share = adjust && daily_mm ? Irrigation.adjusted(share, daily_mm) : share
        @net_mm = @total_mm * @share
        @interval_days = ((@net_mm / daily_mm) + 1e-9).floor if daily_mm&.positive?
        @gross_mm = @net_mm / efficiency
        @hours = @gross_mm / rate_mm_h if rate_mm_h
        freeze
      end
    end

    # The hydrologic group of a profile that was seen, by its least Ksat. [from memory: NEH 630, ch. 7, 2009, table 7-1]
    module HydrologicGroup
      SHALLOW, DEEP = FIGURES["impermeable"]
      HIGH, LOWER = FIGURES["high_water"]
      UPPER_CUTS = FIGURES["group_upper"]
      DEEP_CUTS = FIGURES["group_deep"]
      UM_S = 3.6 # mm/h in a µm/s
      OPEN = "open"

      module_function

      # To which depth the least Ksat counts, and by which limits. nil where rock or a pan is so shallow that it is D.
      # @param impermeable_cm, seasonal_water_cm [Numeric, nil] nil: none seen
      # @return [Array, nil] cm and cuts, µm/s
      def rule(impermeable_cm, seasonal_water_cm)
        return if impermeable_cm && impermeable_cm < SHALLOW
        return [high?(seasonal_water_cm) ? HIGH : SHALLOW, UPPER_CUTS] if impermeable_cm && impermeable_cm <= DEEP
        return [SHALLOW, UPPER_CUTS] if seasonal_water_cm&.between?(HIGH, LOWER)

        [DEEP, DEEP_CUTS]
      end

      # @param ksat_mm_h [Numeric] the least that counts
      # @return [String] "A" to "D"
      def letter(ksat_mm_h, cuts) = cuts.find { |_, over| ksat_mm_h / UM_S > over }&.first || "D"

      # @param layers [Array<Array>] upper cm, lower cm, Ksat in mm/h
      # @param seen_to_cm [Numeric]
      # @return [String] "A" to "D", "A/D" to "C/D" where water is high, or "open"
      def of(layers, seen_to_cm:, impermeable_cm: nil, seasonal_water_cm: nil)
        depth, cuts = rule(impermeable_cm, seasonal_water_cm)
        return "D" unless depth
        return OPEN if seen_to_cm < [impermeable_cm || DEEP, DEEP].min

        rates = layers.select { |upper, _, _| upper < depth }.map(&:last)
        return OPEN if rates.empty? || rates.include?(nil)

        dual(letter(rates.min, cuts), seasonal_water_cm)
      end

      # @return [String] what it is undrained, too, where water is high
      def dual(letter, water) = high?(water) && letter != "D" ? "#{letter}/D" : letter
      def high?(water) = !water.nil? && water < HIGH
    end

    # Water through layers one after the other. [physics]
    # @param layers [Array<Array>] mm thick, Ksat in mm/h
    # @return [Float] mm/h
    def self.in_series(layers) = layers.sum(&:first) / layers.sum { |mm, ksat| mm / ksat.to_f }

    # Water of a profile down to a depth: means add up; the range is drawn, a normal score a horizon picking its clay by
    # rank, then the sand among the cells of that clay. Frozen.
    class ProfileWater
      DRAWS = FIGURES["draws"]
      SAME_HAND = Data::PROFILE["same_hand"]
      SEED = 20_261
      POINTS = [0.1, 0.5, 0.9].freeze

      # mm: the mean, and what a tenth, half and nine tenths lie under.
      Sum = Struct.new(:mean, :p10, :p50, :p90, keyword_init: true)

      # @param parts [Array<WaterPart>]
      # @param same_hand [Boolean] all by one hand on one day
      def initialize(parts, same_hand: false)
        @means = parts.map(&:mean)
        correlation = same_hand ? SAME_HAND : 0.0
        @draws = parts.each_index.map { |at| parts[at].draws(parts.size, at, correlation) }
        freeze
      end

      # @param factors [Array<Numeric>] mm of water for a unit of each part's figure
      # @return [Sum]
      def over(factors)
        sums = Array.new(DRAWS, 0.0)
        @draws.zip(factors) { |values, factor| values.each_with_index { |value, at| sums[at] += value * factor } }
        sums.sort!
        # To nine decimals, so that a half is one whatever order a machine adds in.
        points = POINTS.map { |point| sums[(point * sums.size).ceil - 1].round(9) }
        Sum.new(mean: @means.zip(factors).sum(0.0) { |mean, factor| mean * factor }, p10: points[0], p50: points[1],
                p90: points[2])
      end

      class << self
        # The same for every profile of so many horizons: for each draw and horizon a chance of clay and one of sand.
        def chances(count, correlation)
          (@chances ||= {})[[count, correlation]] ||= begin
            random = Random.new(SEED)
            one = Math.sqrt(correlation)
            own = Math.sqrt(1 - correlation)
            Array.new(DRAWS) do
              shared = one * normal(random)
              Array.new(count) do
                [Evidence::Tables.normal_below(shared + (own * normal(random)), 1.0), random.rand].freeze
              end
            end
          end
        end

        private

        # A standard normal deviate. [published: Box & Muller 1958]
        def normal(random) = Math.sqrt(-2 * Math.log(1 - random.rand)) * Math.cos(2 * Math::PI * random.rand)
      end
    end
  end
end
