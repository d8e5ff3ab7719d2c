# frozen_string_literal: true

module Grittle
  module Evidence
    # How likely each answer is for a composition, all in one place so that it can be fitted anew when laboratory data come
    # in. Every number is a modelling choice of Grittle's own, placed between the published class limits; none is a published
    # accuracy. s, z, c = sand, silt, clay in percent. [Grittle's own model]
    module Model
      # What an answer depends on: a whole number that is +s+ sands, +z+ silts and +c+ clays, and what one of it is worth in
      # percent. So a table needs one place for each number, and not one for each composition.
      Axis = Struct.new(:name, :s, :z, :c, :worth, keyword_init: true) do
        # @return [Range] the numbers there are
        def places = 0..(100 * [s, z, c].max)

        def place(sand, silt, clay) = (s * sand) + (z * silt) + (c * clay)
        def value(place) = place * worth
        def at(sand, silt, clay) = value(place(sand, silt, clay))
      end

      # An answer that is a degree of +of+: state k of n has the logistic probability between its cuts, the ends open, then
      # mixed with an error: (1 - e) p + e/n. Every answer stays possible, and one wrong answer cannot rule out the truth.
      Ordered = Struct.new(:of, :cuts, :scale, keyword_init: true)
      # A yes or no: yes with the logistic probability of (of - cut) / scale, mistaken with +error+ each way.
      Flag = Struct.new(:of, :cut, :scale, :error, keyword_init: true)
      # Gritty, smooth, or neither: the softmax of two leads over 0.
      Choice = Struct.new(:leads, :scale, keyword_init: true)
      # A number in percent: normal about +of+, mixed with a uniform over 0-100.
      Number = Struct.new(:of, :sd, keyword_init: true)
      # The mean of a ribbon set: normal about the curve's length for c, mixed with a uniform over 0-120 mm.
      Length = Struct.new(:of, keyword_init: true)

      ERROR = 0.02
      # Standard deviation of a ribbon's length about the curve: 0.2 m + 3 mm.
      LENGTH_SHARE = 0.2
      LENGTH_MM = 3.0
      LONGEST_MM = 120.0
      # Every scale and sd where the hand is misled.
      WIDER = 1.5

      SAND = Axis.new(name: :sand, s: 1, z: 0, c: 0, worth: 1).freeze
      SILT = Axis.new(name: :silt, s: 0, z: 1, c: 0, worth: 1).freeze
      CLAY = Axis.new(name: :clay, s: 0, z: 0, c: 1, worth: 1).freeze
      BALL = Axis.new(name: :ball, s: 0, z: 2, c: 3, worth: 0.5).freeze # z + 1.5c
      BAND = Axis.new(name: :band, s: 0, z: 1, c: 2, worth: 1).freeze # z + 2c
      CAST = Axis.new(name: :cast, s: 0, z: 1, c: 10, worth: 0.1).freeze # c + 0.1z
      AXES = [SAND, SILT, CLAY, BALL, BAND, CAST].freeze

      def self.ordered(of, *cuts, scale) = Ordered.new(of: of, cuts: cuts.freeze, scale: scale).freeze
      def self.flag(of, cut, scale, error) = Flag.new(of: of, cut: cut, scale: scale, error: error).freeze
      private_class_method :ordered, :flag

      # observation => likelihood; its states are those of the vocabulary, in the order that rises with +of+.
      # The words of stickiness and plasticity are the USDA field book's: rolls of 6, 4 and 2 mm.
      LIKELIHOODS = {
        "ball_holds" => flag(BALL, 13, 3, 0.002),
        "ribbon_forms" => flag(BAND, 30, 5, 0.002),
        "ribbons" => Length.new(of: CLAY).freeze,
        "wet_rub" => Choice.new(leads: { "very_gritty" => ->(s, _, c) { s - (54 - (0.25 * c)) },
                                         "very_smooth" => ->(_, z, c) { z - (54 - (0.27 * c)) } }, scale: 5).freeze,
        "grittiness" => ordered(SAND, 15, 35, 52, 78, 6),
        "sand_estimate" => Number.new(of: SAND, sd: 8).freeze,
        "decanted_sand" => ordered(SAND, 5, 20, 50, 5),
        "floury_feel" => ordered(SILT, 30, 55, 8),
        "stickiness" => ordered(CLAY, 10, 25, 40, 4),
        "plasticity" => ordered(CLAY, 8, 18, 32, 4),
        "shine" => ordered(CLAY, 20, 33, 45, 5),
        "cast_strength" => ordered(CAST, 5, 10, 22, 31, 47, 4),
        "thumbprint" => flag(CLAY, 20, 4, 0.01),
        "dry_clod" => ordered(CLAY, 5, 15, 27, 40, 6),
        "shear_resistance" => ordered(CLAY, 33, 41, 47, 58, 4),
        "mould_feel" => ordered(CLAY, 8, 18, 32, 6),
        "water_uptake" => ordered(CLAY, 22, 38, 8),
        "stiffens_while_worked" => flag(CLAY, 30, 8, 0.03),
        "moist_clod" => ordered(CLAY, 8, 20, 32, 45, 6),
        "clay_estimate" => Number.new(of: CLAY, sd: 6).freeze
      }.freeze

      # Answers that say nothing: water that is repelled comes of wax and heat, not of texture.
      SILENT = { "water_uptake" => %w[repels] }.freeze

      # @return [Array] the answers of a test, in the order that rises
      def self.states(test)
        kind = Tests::Vocabulary::ALL.fetch(test)
        return [false, true] if kind[:kind] == :flag

        (kind[:states] || []) - SILENT.fetch(test, [])
      end

      # @return [String] the group whose tests share a hand and a moisture
      def self.group(test) = Tests::Catalogue::FACTS.fetch(test)[2]

      # Tests of one group are not independent: with k of them, each counts for (1 + 0.5 (k - 1)) / k.
      def self.weight(count) = (1 + (0.5 * (count - 1))) / count

      LIKELIHOODS.each do |test, likelihood|
        next unless likelihood.is_a?(Ordered)

        raise "#{test} needs #{states(test).size - 1} cuts" unless likelihood.cuts.size == states(test).size - 1
      end
    end
  end
end
