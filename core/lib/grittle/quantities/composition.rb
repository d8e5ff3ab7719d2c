# frozen_string_literal: true

module Grittle
  # Sand, silt and clay of the fine earth (under 2 mm) in percent, adding up to 100. Frozen.
  #
  #   Composition.new(sand: 65, clay: 20).silt   # => 15.0
  class Composition
    # Percentage points the given sum may be off 100, for rounding in reports [common practice].
    SUM_TOLERANCE = 1.5
    # Decimals kept, so that 100 - 64.9 - 25.1 is 10 and not 9.999999999999993.
    DECIMALS = 9
    PARTS = %i[sand silt clay].freeze

    attr_reader(*PARTS)

    # @param sand, silt, clay [Numeric, nil] percent; two of the three suffice, the third is the rest
    # @raise [InvalidComposition] when a part is no percentage, two are missing, or the sum is off by more than 1.5
    def initialize(sand: nil, silt: nil, clay: nil)
      parts = [sand, silt, clay]
      check(parts)
      complete(parts) if parts.include?(nil)
      sand, silt, clay = parts
      total = sand + silt + clay
      refuse_sum(total) if (total - 100).abs > SUM_TOLERANCE + 1e-9
      @silt = (silt * 100.0 / total).round(DECIMALS)
      @clay = (clay * 100.0 / total).round(DECIMALS)
      @sand = (100 - @silt - @clay).round(DECIMALS)
      freeze
    end

    # @return [Hash] percent by name
    def to_h = { sand: sand, silt: silt, clay: clay }

    def ==(other) = other.is_a?(Composition) && to_h == other.to_h
    alias eql? ==
    def hash = to_h.hash

    private

    # Plain loops: the command line makes one of these a row.
    def check(parts)
      missing = 0
      parts.each do |value|
        next missing += 1 if value.nil?

        refuse_parts(parts) unless value.is_a?(Numeric) && value >= 0 && value <= 100
      end
      refuse_missing(parts) if missing > 1
    end

    # Two numbers that already exceed 100 by rounding leave nothing for the third.
    def complete(parts)
      parts[parts.index(nil)] = [100 - parts.compact.sum, 0].max
    end

    def refuse_parts(parts)
      wrong = PARTS.zip(parts).reject { |_, value| value.nil? || (value.is_a?(Numeric) && value >= 0 && value <= 100) }
      raise InvalidComposition, (wrong.map do |part, value|
        problem(part, "#{part.capitalize} must be a percentage from 0 to 100, not “#{Spoken.of(value)}”.")
      end)
    end

    def refuse_missing(parts)
      raise InvalidComposition, [problem(PARTS[parts.index(nil)], "Give at least two of sand, silt and clay.")]
    end

    def refuse_sum(total)
      shown = total.to_f.round(2).to_s.delete_suffix(".0")
      raise InvalidComposition, [problem(:sand, "Sand, silt and clay add up to #{shown}; they must add up to 100 " \
                                                "(#{100 - SUM_TOLERANCE} to #{100 + SUM_TOLERANCE} is accepted).")]
    end

    def problem(part, sentence) = Problem.new(pointer: "/#{part}", sentence: sentence)
  end
end
