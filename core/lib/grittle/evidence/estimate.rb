# frozen_string_literal: true

module Grittle
  # One honest estimate of sand, silt and clay from everything the hand felt: a discrete Bayesian model over the texture
  # triangle. It stands beside the keys and never replaces them.
  module Evidence
    # The model as it is shipped; a person's own numbers can take its place.
    STANDARD = Model.new

    # What the observations make of a composition. All shares are between 0 and 1.
    class Estimate
      FIGURES = Data::EVIDENCE
      # The smallest set of cells that holds this much is drawn.
      REGION = FIGURES["region"]
      # Shares that differ by less are the same. [our own]
      SAME = 1e-9
      SETTLED_ONE = FIGURES["settled"]
      SETTLED_LINE = FIGURES["settled_line"]
      # An assigned class that the estimate gives less counts as a class about which nothing is known.
      DOUBTED = FIGURES["doubted"]
      LN2 = Math.log(2)
      # Bits of a triangle of which nothing is known.
      ALL_OPEN = Math.log2(Grid::SIZE)

      attr_reader :felt, :system

      # @param observations [Observations]
      # @param system [String] the triangle whose classes are named
      # @param curve [String] a name of Curves::ALL, a Curve, or a person's own (Practice::OwnCurve)
      # @param model [Model] how likely each answer is, and the hand that felt it
      # @raise [UnknownName]
      def initialize(observations, system: "usda", curve: Curves::DEFAULT, model: STANDARD)
        @felt = ObservedLikelihoods.new(observations, curve.is_a?(String) ? Curves[curve] : curve, model)
        @system = Grittle.triangle(system).id
      end

      # @param system [String] another triangle
      # @return [Estimate] the same shares, with that triangle's classes
      def named_by(system)
        posterior # worked out once for both
        dup.tap { |other| other.take_system(system) }
      end

      # @return [Array<Float>] one a cell of Grid
      def shares = posterior.shares

      # @return [Boolean] whether nothing has been felt that the model knows
      def empty? = felt.answers.empty?

      # @return [Hash{String=>Float}] probability by class, most first
      def classes
        @classes ||= by_class.sort_by { |code, share| [-share.round(9), code] }.to_h
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

      # @return [Float] bits by which the compositions are less open than before anything was felt
      def narrowed = @narrowed ||= ALL_OPEN - Estimate.entropy(shares)

      # Whether the first class may be called likely: it has enough by itself and beside its share of the triangle, and
      # enough has been ruled out. Not by the doubt between classes, which rises where small classes meet.
      # @return [Boolean]
      def likely?
        code, share = classes.first
        share >= FIGURES["likely"] && share >= FIGURES["likely_times"] * Grid.areas(system)[code] && told_enough?
      end

      # @return [Boolean]
      def settled? = single? || on_a_line?

      # @return [Array<String>] classes that have become improbable, the largest of the triangle first
      def improbable
        areas = Grid.areas(system)
        found =
          classes.select do |code, share|
            share < FIGURES["improbable"] && share < FIGURES["improbable_part"] * areas[code]
          end
        found.keys.sort_by { |code| [-areas[code], code] }
      end

      # @return [Array<Integer>] cells of the smallest set that holds 80 %
      def region
        @region ||= Grid::PLACES.select { |cell| shares[cell] >= least_of_region }
      end

      # @return [Boolean] whether a cell lies in the region: whether what is likelier than it holds less than 80 %
      def holds?(cell)
        own = shares[cell]
        shares.sum { |share| share > own * (1 + SAME) ? share : 0.0 } < REGION
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

      # What follows from a class that was assigned: the estimate within that class, or, where the estimate gave it
      # almost nothing or nothing was felt, the class alone.
      # @param named [NamedClass]
      # @return [GivenClass]
      def given(named) = GivenClass.new(self, named)

      # What is made of the estimate later on, kept with it: whoever asks for the same again has it at once.
      # @param key [Object] whatever it follows from beside the estimate
      # @yieldreturn [Object]
      def keep(key) = (@kept ||= {})[key] ||= yield

      # @return [String] for a person: never decimals, never called accuracy
      def sentence
        return "Nothing felt yet." if empty?
        return line_sentence if on_a_line?
        return open_sentence unless likely?

        (first, share), (second, other) = said.first(2)
        rest = single? ? "" : "; #{second} is possible (#{other} %)"
        "#{first.capitalize}, most likely (#{share} %)#{rest}."
      end

      # @return [Hash] as on the wire, without the next tests
      def to_h
        {
          "system" => system,
          "curve" => felt.curve.id,
          "felt" => felt.answers.size,
          "widened" => felt.misled?,
          "classes" => listed,
          "groups" => groups.map { |group, share| { "group" => group, "probability" => share.round(3) } },
          "mean" => mean.transform_values { |part| part.round(1) },
          "sd" => sd.transform_values { |part| part.round(1) },
          "clay_range" => clay_range,
          "entropy_bits" => entropy.round(2),
          "likely" => likely?,
          "settled" => settled?,
          "improbable" => improbable,
          "sentence" => sentence,
          "region" => {
            "percent" => (100 * REGION).round,
            "area_percent" => area_percent,
            "runs" => runs
          }
        }
      end

      # @return [Float] bits
      def self.entropy(shares)
        sum = 0.0
        shares.each do |share|
          sum -= share * Math.log(share) if share > 0 # rubocop:disable Style/NumericPredicate -- 5151 times
        end
        sum / LN2
      end

      # @return [Posterior]
      def posterior = @posterior ||= Posterior.new(felt)

      protected

      def take_system(system)
        @system = Grittle.triangle(system).id
        @classes = nil
      end

      private

      def by_class
        below = posterior.below
        Grid.classes(system).first.zip(Grid.runs(system)).to_h do |code, runs|
          [code, runs.sum { |from, to| below[to] - below[from] } / below.last]
        end
      end

      def moments = margins.moments

      def told_enough?
        return false if felt.telling.zero?

        narrowed >= FIGURES[felt.telling == 1 ? "likely_bits_alone" : "likely_bits"]
      end

      # Classes with whole percents that add up to 100; those that round to few are the page's to gather under others.
      def listed
        percents = Percents.of(classes.values)
        classes.zip(percents).map do |(code, share), percent|
          { "code" => code, "name" => name(code), "probability" => share.round(3), "percent" => percent,
            "other" => share < FIGURES["improbable"] }
        end
      end

      # @return [Array<Array>] names with their whole percents, most first
      def said = classes.keys.map { |code| name(code) }.zip(Percents.of(classes.values))

      def line_sentence
        (first, share), (second, other) = said.first(2)
        "On the line between #{first} and #{second} (#{share} and #{other} %)."
      end

      def open_sentence
        named = improbable.first(FIGURES["improbable_named"]).map { |code| name(code) }
        return "Nothing is ruled out yet." if named.empty?

        named << "others" if improbable.size > named.size
        "No class stands out yet; #{[named[0...-1].join(', '), named.last].reject(&:empty?).join(' and ')} " \
          "#{named.size == 1 ? 'is' : 'are'} improbable."
      end

      # Where the cells of one clay content enter and leave the region: a plain loop, for it runs at every answer.
      def runs_of_row(clay, least)
        found = []
        return found if margins.along[CLAY][clay] < least

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

      # Cells that hold the same belong together, also where they differ in their last digit, as they do from one
      # machine's logarithms to another's.
      def least_of_region
        @least_of_region ||= begin
          # What lies under this holds less than a fifth even all together, so only the rest needs to be sorted.
          small = (1 - REGION) / Grid::SIZE
          held = 0.0
          least = shares.select { |share| share >= small }.sort.reverse_each.find { |share| (held += share) >= REGION }
          least * (1 - SAME)
        end
      end

      def name(code) = Grittle.triangle(system)[code].name
      def single? = likely? && classes.values.first >= SETTLED_ONE

      def on_a_line?
        first, second = classes.keys
        return false if empty? || single? || !told_enough?

        classes.values.first(2).sum >= SETTLED_LINE && Grittle.triangle(system).neighbours(first).include?(second)
      end
    end

    # The estimate restricted to a class that a person assigned, and renormalised. An override never silently keeps the
    # model's numbers.
    class GivenClass
      attr_reader :shares

      # @param estimate [Estimate]
      # @param named [NamedClass]
      def initialize(estimate, named)
        cells = Grid.of(named)
        held = cells.sum { |cell| estimate.shares[cell] }
        @uniform = estimate.empty? || held < Estimate::DOUBTED
        @shares = Array.new(Grid::SIZE, 0.0)
        cells.each { |cell| @shares[cell] = @uniform ? 1.0 / cells.size : estimate.shares[cell] / held }
        @held = held
      end

      # @return [Boolean] whether nothing but the class is known
      def uniform? = @uniform

      # @return [Margins] the shares by sand, by silt and by clay
      def margins = @margins ||= Margins.new(shares)

      # @return [Hash] as on the wire: percent
      def to_h
        { "mean" => margins.moments.transform_values { |mean, _| mean.round(1) },
          "sd" => margins.moments.transform_values { |_, sd| sd.round(1) },
          "clay_range" => margins.clay_range, "uniform" => uniform?, "probability" => @held.round(3) }
      end
    end
  end
end
