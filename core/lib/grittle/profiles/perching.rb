# frozen_string_literal: true

module Grittle
  module Profiles
    # Where water perches: it stands on a finer layer, and it hangs above a coarser one until the finer is nearly full.
    # Every layer takes part, organic ones too: they hold water like a medium texture. [common practice; ranks are our
    # own model]
    class Perching
      # From coarse to fine.
      GROUPS = { "coarse" => 1, "moderately coarse" => 2, "medium" => 3, "moderately fine" => 4, "fine" => 5 }.freeze
      GRAVEL = 0
      ORGANIC = 3
      FROM = Data::PROFILE["perches_from"]
      # How sure a thing is said to be, by its odds.
      CLAIMS = [[0.9, ""], [0.7, "probably "], [0.5, "more likely than not "]].freeze

      # One layer: its name, the depth (cm) of its top, and the odds of each rank.
      Layer = Struct.new(:name, :depth, :ranks, keyword_init: true)

      # @param groups [Hash{String=>Float}] odds by management group
      # @return [Hash{Integer=>Float}]
      def self.ranks(groups) = groups.transform_keys { |group| GROUPS.fetch(group) }

      # @param layers [Array<Layer, nil>] from the surface down, those that touch; nil where nothing is known of one
      def initialize(layers)
        @layers = layers
        @pairs = layers.each_cons(2).with_index.filter_map { |(upper, lower), at| [at, upper, lower] if upper && lower }
        freeze
      end

      # @return [Array<Hash>] "boundary" (from 1), "depth_cm", "kind" (stands_on_finer or hangs_over_coarser), "odds",
      #   "sentence"
      def found = @pairs.filter_map { |at, upper, lower| at_boundary(at, upper, lower) }

      # Layers under a finer and over a finer one: what lies above stays wet.
      # @return [Array<Hash>] "layer", "depth_cm" and "sentence"
      def sandwiches
        found.each_cons(2).filter_map do |above, below|
          unless above["kind"] == "hangs_over_coarser" && below["kind"] == "stands_on_finer" &&
                 below["boundary"] == above["boundary"] + 1
            next
          end

          layer = @layers[above["boundary"]]
          { "layer" => layer.name, "depth_cm" => layer.depth,
            "sentence" => "It stays wet above #{layer.name}, and #{layer.name} stays wet on what lies below: take it " \
                          "out or mix the " \
                          "layers. No gravel “for drainage”." }
        end
      end

      # @return [Float] odds that the lower of two is finer by two ranks and more
      def self.stands_on_finer(upper, lower) = odds(upper, lower) { |steps| steps >= FROM }

      # @param upper, lower [Hash{Integer=>Float}] odds by rank
      def self.odds(upper, lower)
        upper.sum { |one, share| lower.sum { |other, part| yield(other - one) ? share * part : 0.0 } }
      end

      private

      def at_boundary(at, upper, lower)
        stands = Perching.stands_on_finer(upper.ranks, lower.ranks)
        hangs = Perching.odds(upper.ranks, lower.ranks) { |steps| steps <= -FROM }
        odds = [stands, hangs].max
        _, claim = CLAIMS.find { |least, _| odds >= least }
        return unless claim

        kind = stands >= hangs ? "stands_on_finer" : "hangs_over_coarser"
        { "boundary" => at + 1, "depth_cm" => lower.depth, "upper" => upper.name, "lower" => lower.name, "kind" => kind,
          "odds" => odds.round(2), "sentence" => sentence(kind, claim, upper.name, lower.name) }
      end

      def sentence(kind, claim, upper, lower)
        if kind == "stands_on_finer"
          return "Water #{claim}stands on #{lower}: it is finer than #{upper} and takes water more slowly."
        end

        "Water #{claim}hangs in #{upper} above #{lower}: the finer layer must be nearly full before the coarser one " \
          "takes any."
      end
    end
  end
end
