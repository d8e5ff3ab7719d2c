# frozen_string_literal: true

module Grittle
  module Practice
    # In which order a person meets the tubs of a set, and under which codes: by a seed that is kept, so that it can be
    # told again. Some tubs come twice under another code. Frozen.
    class SessionOrder
      CODES = (100..999).to_a.freeze
      LEAST_AGAIN = FIGURES["again_least"]
      PART_AGAIN = FIGURES["again_part"]
      APART = FIGURES["again_apart"]

      # One tub as it comes into the hand: its place in the set, its blind code, whether it comes for the second time.
      Turn = Struct.new(:tub, :code, :again, keyword_init: true)

      # @return [Array<Turn>]
      attr_reader :turns

      # @param tubs [Integer] of the set
      # @param seed [Integer]
      # @param again [Boolean] whether some come twice
      # @param own_seed [Integer] of the order, where several people read the same tubs under the same codes
      # @param needs [Array<Numeric>, nil] by tub: those with more of it are likelier to come early
      def initialize(tubs, seed, again: true, own_seed: seed, needs: nil)
        coded = SessionOrder.coded(tubs, seed, again: again)
        @needs = needs
        met = []
        @turns = order(coded, Random.new(own_seed)).map do |tub, code|
          Turn.new(tub: tub, code: code, again: met.include?(tub)).freeze.tap { met << tub }
        end.freeze
        freeze
      end

      # @return [Array<(Integer, Integer)>] tubs with their codes; those that come twice stand twice
      def self.coded(tubs, seed, again: true)
        random = Random.new(seed)
        twice = again ? shuffled((0...tubs).to_a, random).first(duplicates(tubs)) : []
        ((0...tubs).to_a + twice).zip(shuffled(CODES, random))
      end

      # Fisher and Yates 1938, as Durstenfeld 1964 has it. [published]
      # @return [Array]
      def self.shuffled(list, random)
        found = list.dup
        (found.size - 1).downto(1) do |at|
          other = random.rand(at + 1)
          found[at], found[other] = found[other], found[at]
        end
        found
      end

      # Drawn one after the other, each by its weight among those that are left. [published: Efraimidis & Spirakis 2006]
      # @param weights [Array<Numeric>] over 0
      # @return [Array]
      def self.drawn(list, weights, random)
        list.zip(weights).sort_by { |_, weight| -(random.rand**(1.0 / weight)) }.map(&:first)
      end

      # @return [Integer] tubs that come twice; none where there are too few to come between
      def self.duplicates(tubs)
        return 0 if tubs <= APART

        (PART_AGAIN * tubs).floor.clamp(LEAST_AGAIN, nil).clamp(nil, tubs - APART)
      end

      private

      # Shuffled until the two of every pair have enough others between them, which some order always has.
      def order(coded, random)
        loop do
          found = mixed(coded, random)
          return found if apart?(found.map(&:first))
        end
      end

      def mixed(coded, random)
        return SessionOrder.shuffled(coded, random) unless @needs

        SessionOrder.drawn(coded, coded.map { |tub, _| @needs[tub] }, random)
      end

      def apart?(order)
        order.each_index.group_by { |at| order[at] }.each_value.all? do |first, second|
          second.nil? || second - first > APART
        end
      end
    end
  end
end
