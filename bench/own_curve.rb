# frozen_string_literal: true

# What learning a hand's curve is worth, on simulated hands: RMSE of clay in points, and how many truths in a hundred
# the 80 % interval holds, by how many samples with a laboratory's clay the hand has had. The gate closes where it must.
#
#   ruby --yjit bench/own_curve.rb [HANDS]      (200 take some minutes on two cores)
#
# Hands: ribbons too long or short by a (sd 0.22), gain b (sd 0.17), noise of their own (0.7 of the model's, sd 0.35 in
# ln; 0.7 alone where they are as the consensus); three ribbons a set, 2 % slips; pairs even over 5 to 60 % clay by
# pipette; tried on measured soils. [our own]

require "csv"
require_relative "../core/lib/grittle"

module OwnCurveBench
  HANDS = Integer(ARGV.fetch(0, "200"))
  PAIRS = [0, 5, 10, 20, 40].freeze
  TRIED = 40
  MEASURED = File.expand_path("../core/spec/fixtures/measured_soils.csv", __dir__)
  SOILS = CSV.read(MEASURED, headers: true, converters: :numeric)["clay"].select { |clay| clay >= 5 }.freeze
  P = Grittle::Practice
  M = Grittle::Evidence::Model
  # sd of a, of b, and the schools' curves that a hand may follow.
  KINDS = {
    "a sd 0.22, b 0.17" => ->(random) { [0.22 * random.call, 0.17 * random.call, Grittle::Curves["consensus"]] },
    "a school's curve ± 10 %" => lambda do |random, pick|
      [0.10 * random.call, 0.0, Grittle::Curves::ALL[pick.rand(Grittle::Curves::ALL.size)]]
    end,
    "as the consensus" => ->(_random) { [0.0, 0.0, Grittle::Curves["consensus"]] }
  }.freeze

  # One hand with its own random numbers.
  class Hand
    def initialize(kind, seed)
      @random = Random.new(seed)
      made = KINDS.fetch(kind)
      @a, @b, @curve = made.arity == 2 ? made.call(method(:deviate), @random) : made.call(method(:deviate))
      @b = [@b, -0.4].max
      @k = 0.7 * (kind == "as the consensus" ? 1 : Math.exp(0.35 * deviate))
    end

    # @return [Array<Float>] mean and scale of three ribbons, mm
    def set(clay)
      mean = P::OwnCurve.distorted(@curve.length(clay), @a, @b)
      own = mean + (@k * ((M::LENGTH_SHARE * mean) + M::LENGTH_MM) * deviate)
      own = @random.rand * M::LONGEST_MM if @random.rand < M::ERROR
      own = [own, 1.0].max
      lengths = Array.new(3) { ((own * (1 + (0.12 * deviate))) + (2 * deviate)).clamp(1, M::LONGEST_MM).round }
      ribbons = lengths.map { |mm| Grittle::PushedRibbon.new("length_mm" => mm) }
      found = Grittle::RibbonSet.new(ribbons)
      [found.mean, found.scale]
    end

    def pair(clay)
      sd = 1 + (0.02 * clay)
      length, scale = set(clay)
      P::Calibration::Pair.new(length_mm: length, scale_mm: scale, clay: (clay + (sd * deviate)).clamp(0.5, 95),
                               clay_sd: sd, weight: 1)
    end

    def even = 5 + (55 * @random.rand)
    def soil = SOILS[@random.rand(SOILS.size)]

    # The curve as it is: what no number of samples can better.
    def known = P::OwnCurve.new(a: @a, b: @b, k2: @k**2)

    private

    # Box and Muller 1958.
    def deviate = Math.sqrt(-2 * Math.log(1 - @random.rand)) * Math.cos(2 * Math::PI * @random.rand)
  end

  module_function

  # @return [Hash{Object=>Array}] by pairs (and :known): squared errors, and whether the interval held
  def try(kind, seed)
    hand = Hand.new(kind, seed)
    pairs = Array.new(PAIRS.max) { hand.pair(hand.even) }.select { |pair| pair.length_mm >= 5 }
    soils = Array.new(TRIED) { hand.soil }.map { |clay| [clay, *hand.set(clay)] }
    curves = PAIRS.to_h { |count| [count, learnt(pairs.first(count))] }
    curves[:known] = hand.known unless kind.start_with?("a school")
    curves.transform_values do |curve|
      soils.map do |clay, length, scale|
        said = curve.said(length, scale)
        [(said.mean - clay)**2, said.holds?(clay)]
      end
    end
  end

  def learnt(pairs)
    made = P::Calibration.new(pairs)
    made.closed ? P::OwnCurve.new : made.curve
  end

  def line(kind)
    pipes = [0, 1].map { |half| child { run(kind, half) } }
    all = pipes.map { |pipe| Marshal.load(pipe.read) } # rubocop:disable Security/MarshalLoad -- from our own child
    all.first.keys.to_h { |count| [count, all.flat_map { |half| half[count] }] }.map do |count, tried|
      rmse = Math.sqrt(tried.sum(&:first) / tried.size)
      format("%-6s %.1f (%.0f)", count, rmse, 100.0 * tried.count(&:last) / tried.size)
    end.join("   ")
  end

  # @return [IO] what a process of its own makes of the block, as it will be read
  def child
    IO.popen("-") || begin
      $stdout.binmode.write(Marshal.dump(yield))
      $stdout.flush
      exit!
    end
  end

  def run(kind, half)
    seeds = (0...HANDS).select { |seed| seed % 2 == half }
    seeds.map { |seed| try(kind, seed + 1) }.reduce { |one, other| one.merge(other) { |_, a, b| a + b } }
  end

  def call
    puts "#{HANDS} hands; RMSE of clay (truths inside the 80 % interval, %) by pairs"
    KINDS.each_key { |kind| puts "#{kind.ljust(26)} #{line(kind)}" }
  end
end

OwnCurveBench.call
