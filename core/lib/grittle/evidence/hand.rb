# frozen_string_literal: true

module Grittle
  module Evidence
    # What a hand makes of every quantity alike, however many tests it takes: a soil of c % clay feels to it like one of
    # about c + shift, give or take sd. An uncalibrated hand's shift is not known, so it is 0 with all of its sd;
    # samples whose laboratory result is known bring both down. [our own model] Frozen.
    class Hand
      # Standard deviations beyond which a density is left out.
      REACH = 4
      # What is still to be felt is looked at in every other percent: half a standard deviation apart, that changes
      # nothing.
      FELT = (0..100).step(2).to_a.freeze

      # @param shifts [Hash{Symbol=>Numeric}] percent, by :clay, :sand and :silt
      # @param sds [Hash{Symbol=>Numeric}] percent; those of an uncalibrated hand where none is given
      def initialize(shifts: {}, sds: {})
        @shifts = { clay: 0.0, sand: 0.0, silt: 0.0 }.merge(shifts).freeze
        @sds = SDS.merge(sds).freeze
        @bells = {}
      end

      SDS = {
        clay: Data::EVIDENCE["hand_clay"],
        sand: Data::EVIDENCE["hand_sand"],
        silt: Data::EVIDENCE["hand_silt"]
      }.freeze

      # @return [Numeric] percent
      def shift(axis) = @shifts.fetch(axis.name)

      # @return [Numeric] percent
      def sd(axis) = @sds.fetch(axis.name)

      # What the soil's own percentage makes likely of what is felt: the felt likelihoods seen through the bias.
      # @param felt [Array<Float>] a likelihood for every percent as this hand feels it
      # @param wider [Numeric] times the sd
      # @return [Array<Float>] a likelihood for every percent there is
      def through(axis, felt, wider)
        bells(axis, wider).map do |from, bell|
          sum = 0.0
          at = 0
          while at < bell.size
            sum += bell[at] * felt[from + at]
            at += 1
          end
          sum
        end
      end

      # The other way: shares by what there is, as shares by what would be felt of it.
      # @param percents [Array<Integer>] what there is, in percent
      # @param shares [Array<Float>] one for each of them
      # @return [Array] where in FELT it begins, and the shares from there on
      def as_felt(axis, percents, shares, wider)
        all = coarse(axis, wider)
        first = all[percents.first].first
        found = Array.new(all[percents.last].then { |from, bell| from + bell.size } - first, 0.0)
        place = 0
        while place < percents.size
          share = shares[place]
          from, bell = all[percents[place]]
          to = from - first
          at = 0
          size = bell.size
          while at < size
            found[to] += share * bell[at]
            to += 1
            at += 1
          end
          place += 1
        end
        [first, found]
      end

      private

      # For every percent there is: the least percent it can feel like, and the shares from there on, adding up to 1.
      def bells(axis, wider) = @bells[[axis.name, wider, 1]] ||= made(shift(axis), sd(axis) * wider, 1)

      # The same over FELT.
      def coarse(axis, wider) = @bells[[axis.name, wider, 2]] ||= made(shift(axis), sd(axis) * wider, 2)

      def made(shift, spread, step)
        last = 100.div(step)
        (0..100).map do |percent|
          about = (percent + shift) / step.to_f
          reach = REACH * spread / step
          from = (about - reach).ceil.clamp(0, last)
          to = (about + reach).floor.clamp(from, last)
          bell = (from..to).map { |felt| Math.exp(-0.5 * (((felt - about) * step / spread)**2)) }
          total = bell.sum
          [from, bell.map { |share| share / total }.freeze].freeze
        end.freeze
      end
    end
  end
end
