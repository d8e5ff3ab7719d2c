# frozen_string_literal: true

module Grittle
  # The ribbons of one sample taken together: mean, spread, how far the true length may be from the mean, and the odds
  # that it lies above a limit. All lengths in mm. Frozen.
  #
  #   RibbonSet.new([48, 48, 48].map { |mm| PushedRibbon.new("length_mm" => mm) }).interval  # => 41.4 to 54.6
  class RibbonSet
    COUNT = Data::RIBBONS["count"]

    # The spread of few ribbons is shrunk toward what hands do: a coefficient of variation of 0.12, worth two
    # observations; and a length is read to 2 mm, or to what its photograph allows.
    HAND_CV = Data::RIBBONS["hand_cv"]
    HAND_WEIGHT = Data::RIBBONS["hand_weight"]
    READING_ERROR_MM = Data::RIBBONS["reading_error"]
    # Consistent: CV of at most 15 % or a sample sd of at most 4 mm.
    CONSISTENT_CV = Data::RIBBONS["consistent_cv"]
    CONSISTENT_SD_MM = Data::RIBBONS["consistent_sd"]
    # Thicknesses that differ by more make lengths that cannot be compared.
    EVEN_THICKNESS_MM = Data::RIBBONS["even_thickness"]
    # Drifting: rising in order, the last at least a fifth above the first. Two ribbons cannot show an order.
    DRIFT_RATIO = Data::RIBBONS["drift_ratio"]
    DRIFT_COUNT = Data::RIBBONS["drift_count"]
    MEAN_DECIMALS = 6
    # A length whose decimal point has slipped by one place would be so many times as long.
    POINT_MOVED = [10.0, 0.1].freeze
    SLIP_NEAR = Data::RIBBONS["slip_near"]
    # A length of nothing is no ribbon, whatever the others are.
    NOTHING = { "from_mm" => 0.0, "to_mm" => 0.0, "times" => nil }.freeze

    attr_reader :ribbons, :counted

    # @param ribbons [Array<Ribbon>] as made, in order; torn ones are kept and left out of every figure
    # @raise [InvalidObservations] when there are none or more than ten
    def initialize(ribbons)
      unless COUNT.cover?(ribbons.size)
        raise InvalidObservations, [Problem.new(pointer: "/ribbons", sentence: "Record 1 to 10 ribbons, not " \
                                                                               "#{ribbons.size}.")]
      end
      @ribbons = ribbons.dup.freeze
      @counted = ribbons.reject(&:torn?).freeze
      @lengths = @counted.map(&:length_mm).freeze
      measure unless empty?
      freeze
    end

    # @return [Integer] ribbons that count
    def count = counted.size

    # True when every ribbon tore: there is no length yet.
    def empty? = counted.empty?

    # @return [Float, nil] mm; nil when every ribbon tore
    attr_reader :mean

    # Lengths of a further ribbon that are worth asking about before they are kept.
    # @param set [RibbonSet, nil] those made so far
    # @return [Array<Hash{String=>Float}>] "from_mm", "to_mm", and the "times" that would make such a length like the
    #   others; nil where none would
    def self.slips(set)
      return [NOTHING] if set.nil? || set.empty? || set.mean.zero?

      moved = POINT_MOVED.map do |times|
        like = set.mean / times
        { "from_mm" => (like / SLIP_NEAR).round(3), "to_mm" => (like * SLIP_NEAR).round(3), "times" => times }
      end
      [NOTHING, *moved]
    end

    # @return [Float, nil] sample standard deviation in mm; nil for a single ribbon
    attr_reader :sd

    # @return [Float, nil] coefficient of variation, as a fraction; nil for a single ribbon or a mean of 0
    def cv = sd && mean.positive? ? sd / mean : nil

    # @return [Integer] degrees of freedom of the t distribution
    def freedom = count + 1

    # @return [Float] mm: the standard error of the mean length, reading error included
    attr_reader :scale

    # @return [Range<Float>] mm: 90 % interval of the true length; not cut at 0
    attr_reader :interval

    # @return [Float] probability that the true length is above +limit+ (mm)
    def probability_above(limit) = StudentT.below((mean - limit) / scale, freedom)

    # @return [Boolean] whether the interval holds the limit (mm)
    def on?(limit) = interval.cover?(limit)

    def consistent? = count > 1 && (sd <= CONSISTENT_SD_MM || (cv && cv <= CONSISTENT_CV))

    def uneven?
      thicknesses = counted.filter_map(&:thickness_mm)
      thicknesses.size > 1 && thicknesses.max - thicknesses.min > EVEN_THICKNESS_MM
    end

    def drifting?
      count >= DRIFT_COUNT && lengths.each_cons(2).all? { |earlier, later| later >= earlier } &&
        lengths.first.positive? && lengths.last >= DRIFT_RATIO * lengths.first
    end

    # @return [String] "all_torn", "single", "consistent" or "inconsistent"
    def verdict
      return "all_torn" if empty?
      return "single" if count == 1

      consistent? ? "consistent" : "inconsistent"
    end

    # @return [Array<String>] what a reader of the set should know beside the verdict
    def flags
      {
        "uneven_thickness" => uneven?, "drifting" => drifting?, "never_broke" => counted.any?(&:never_broke?),
        "torn_left_out" => ribbons.any?(&:torn?)
      }.filter_map { |name, raised| name if raised }
    end

    # @return [String] how the ribbons agree, for a person
    def sentence
      {
        "all_torn" => "Every ribbon tore: wipe your hand and push another.",
        "single" => "One ribbon only.",
        "consistent" => "#{count} ribbons, in good agreement.",
        "inconsistent" => "#{count} ribbons, not yet in agreement."
      }.fetch(verdict)
    end

    # The bell of the true length, for drawing.
    # @param points [Integer] how many
    # @return [Array<Array<Float>>] [mm, height from 0 to 1], four scales to either side of the mean
    def density(points = 61)
      (0...points).map do |index|
        offset = (8.0 * index / (points - 1)) - 4
        [(mean + (offset * scale)).round(2), StudentT.relative_density(offset, freedom).round(4)]
      end
    end

    # @return [Hash] as on the wire, lengths in mm
    def to_h
      figures = { "count" => count, "verdict" => verdict, "flags" => flags, "sentence" => sentence }
      return figures if empty?

      figures.merge(
        "mean_mm" => mean.round(1),
        "sd_mm" => sd&.round(1),
        "cv_percent" => cv && (100 * cv).round(1),
        "scale_mm" => scale.round(2),
        "interval_mm" => [interval.begin, interval.end].map { |mm| mm.round(1) }
      )
    end

    private

    attr_reader :lengths

    # The mean is rounded so that three ribbons of one inch have a mean of one inch, not of 25.399999999999995 mm.
    def measure
      @mean = (lengths.sum / count.to_f).round(MEAN_DECIMALS)
      squares = lengths.sum { |length| (length - mean)**2 }
      @sd = Math.sqrt(squares / (count - 1)) if count > 1
      shrunk = (squares + (HAND_WEIGHT * ((HAND_CV * mean)**2))) / (count + 1)
      @scale = Math.sqrt((shrunk / count) + read_to)
      @interval = interval_of(StudentT.upper95(freedom) * scale)
    end

    # mm squared: what a length may be off by, on average.
    def read_to = counted.sum { |ribbon| (ribbon.reading_error_mm || READING_ERROR_MM)**2 } / count

    def interval_of(reach) = (mean - reach)..(mean + reach)
  end
end
