# frozen_string_literal: true

module Grittle
  # One honest estimate of sand, silt and clay from everything the hand felt: a discrete Bayesian model over the texture
  # triangle. It stands beside the keys and never replaces them.
  module Evidence
    # What the observations make of a composition. All shares are between 0 and 1.
    class Estimate
      # The smallest set of cells that holds this much is drawn.
      REGION = 0.80
      # Settled when the first class has as much, or when the first and second share an edge and hold as much together.
      SETTLED_ONE = 0.60
      SETTLED_LINE = 0.80
      # Under this much no class is called likely.
      NOTHING_STANDS_OUT = 0.25
      # An assigned class that the estimate gives less counts as a class about which nothing is known.
      DOUBTED = 0.01
      attr_reader :felt, :system

      # @param observations [Observations]
      # @param system [String] the triangle whose classes are named
      # @param curve [String] a name of Curves::ALL, or a Curve
      # @raise [UnknownName]
      def initialize(observations, system: "usda", curve: Curves::DEFAULT)
        @felt = Felt.new(observations, curve.is_a?(Curve) ? curve : Curves[curve])
        @system = Grittle.triangle(system).id
      end

      # @return [Hash{String=>Tables::Table}]
      def tables = felt.tables

      # @return [Array<Float>] one a cell of Grid
      def shares = @shares ||= Posterior.new(felt).shares

      # @return [Boolean] whether nothing has been felt that the model knows
      def empty? = tables.empty?

      # @return [Hash{String=>Float}] probability by class, most first
      def classes
        @classes ||= Estimate.by_class(shares, system).sort_by { |code, share| [-share.round(9), code] }.to_h
      end

      # @return [Hash{String=>Float}] probability by management group, most first
      def groups
        names = Grittle.triangle(system).classes
        sums = classes.each_with_object(Hash.new(0.0)) { |(code, share), found| found[names[code].group] += share }
        sums.sort_by { |group, share| [-share.round(9), group] }.to_h
      end

      # @return [Hash{String=>Float}] percent
      def mean = moments.transform_values(&:first)

      # @return [Hash{String=>Float}] percentage points
      def sd = moments.transform_values(&:last)

      # @return [Float] bits: how undecided the classes are
      def entropy = Estimate.entropy(classes.values)

      # @return [Boolean]
      def settled? = single? || on_a_line?

      # @return [Array<Integer>] cells of the smallest set that holds 80 %
      def region
        @region ||= Grid::PLACES.select { |cell| shares[cell] >= least_of_region }
      end

      # @return [Boolean] whether a cell lies in the region: whether what is likelier than it holds less than 80 %
      def holds?(cell)
        own = shares[cell]
        shares.sum { |share| share > own ? share : 0.0 } < REGION
      end

      # @return [Array<Array<Integer>>] the region as runs along sand: clay, sand from, sand to, in percent
      def runs
        @runs ||= begin
          least = least_of_region
          101.times.flat_map { |clay| runs_of_row(clay, least) }
        end
      end

      # @return [Array<Integer>] percent clay under which a tenth and nine tenths lie
      def clay_range = margins.clay_range

      # @return [Margins] the shares by sand, by silt and by clay
      def margins = @margins ||= Margins.new(shares)

      # What follows from a class that was assigned: the estimate within that class, or, where the estimate gave it almost
      # nothing or nothing was felt, the class alone.
      # @param code [String] as the keys of +naming+ write it
      # @param naming [String] a triangle, or "australia"
      # @return [GivenClass]
      # @raise [UnknownName]
      def given(code, naming: system) = GivenClass.new(self, naming, code)

      # @return [String] for a person: never decimals, never called accuracy
      def sentence
        return "Nothing felt yet." if empty?

        (first, share), (second, other) = classes.first(2).map { |code, part| [name(code), part] }
        return "On the line between #{first} and #{second} (#{percent(share)} and #{percent(other)} %)." if on_a_line?
        return "Nothing stands out yet: #{first} #{percent(share)} %, #{second} #{percent(other)} %." if share < NOTHING_STANDS_OUT

        rest = single? ? "" : "; #{second} is possible (#{percent(other)} %)"
        "#{first.capitalize}, most likely (#{percent(share)} %)#{rest}."
      end

      # @return [Hash] as on the wire, without the next tests
      def to_h
        {
          "system" => system, "curve" => felt.curve.id, "felt" => tables.size, "widened" => felt.misled?,
          "classes" => classes.map { |code, share| { "code" => code, "name" => name(code), "probability" => share.round(3) } },
          "groups" => groups.map { |group, share| { "group" => group, "probability" => share.round(3) } },
          "mean" => mean.transform_values { |part| part.round(1) }, "sd" => sd.transform_values { |part| part.round(1) },
          "clay_range" => clay_range, "entropy_bits" => entropy.round(2), "settled" => settled?, "sentence" => sentence,
          "region" => { "percent" => (100 * REGION).round, "area_percent" => area_percent, "runs" => runs }
        }
      end

      # @return [Hash{String=>Float}] probability by class of shares a cell
      def self.by_class(shares, system)
        sum = 0.0
        below = [0.0, *shares.map { |share| sum += share }]
        Grid::CLASSES.fetch(system).first.zip(Grid::RUNS.fetch(system)).to_h do |code, runs|
          [code, runs.sum { |from, to| below[to] - below[from] }]
        end
      end

      # @return [Float] bits
      def self.entropy(shares) = shares.sum { |share| share.positive? ? -share * Math.log2(share) : 0.0 }

      private

      def moments = margins.moments

      # Where the cells of one clay content enter and leave the region: a plain loop, for it runs at every answer.
      def runs_of_row(clay, least)
        found = []
        from = nil
        start = Grid::STARTS[clay]
        sand = 0
        last = 100 - clay
        while sand <= last
          if shares[start + sand] >= least
            from ||= sand
          elsif from
            found << [clay, from, sand - 1]
            from = nil
          end
          sand += 1
        end
        from ? found << [clay, from, last] : found
      end

      # @return [Float] share of the triangle, in percent
      def area_percent = (100.0 * runs.sum { |_, from, to| to - from + 1 } / Grid::SIZE).round(1)

      def least_of_region
        @least_of_region ||= begin
          held = 0.0
          shares.sort.reverse_each.find { |share| (held += share) >= REGION }
        end
      end

      def name(code) = Grittle.triangle(system)[code].name
      def percent(share) = (100 * share).round
      def single? = classes.values.first >= SETTLED_ONE

      def on_a_line?
        first, second = classes.keys
        !single? && classes.values.first(2).sum >= SETTLED_LINE && Grittle.triangle(system).neighbours(first).include?(second)
      end
    end

    # The estimate restricted to a class that a person assigned, and renormalised. An override never silently keeps the
    # model's numbers.
    class GivenClass
      attr_reader :shares

      # @param estimate [Estimate]
      # @raise [UnknownName]
      def initialize(estimate, naming, code)
        cells = Grid.of(naming, code)
        held = cells.sum { |cell| estimate.shares[cell] }
        @uniform = estimate.empty? || held < Estimate::DOUBTED
        @shares = Array.new(Grid::SIZE, 0.0)
        cells.each { |cell| @shares[cell] = @uniform ? 1.0 / cells.size : estimate.shares[cell] / held }
        @held = held
        freeze
      end

      # @return [Boolean] whether nothing but the class is known
      def uniform? = @uniform

      # @return [Hash] as on the wire: percent
      def to_h
        margins = Margins.new(shares)
        { "mean" => margins.moments.transform_values { |mean, _| mean.round(1) },
          "sd" => margins.moments.transform_values { |_, sd| sd.round(1) },
          "clay_range" => margins.clay_range, "uniform" => uniform?, "probability" => @held.round(3) }
      end
    end
  end
end
