# frozen_string_literal: true

module Grittle
  module Evidence
    # Which test would settle the doubt: for every test not yet made, how far the class entropy is expected to fall once it
    # is answered, for the seconds it takes. How likely an answer is goes by the estimate as it stands; what the classes
    # would be after it goes by the whole model, the weights of its group included: what a person would then see.
    class NextTests
      # Bits under which a test is not worth making.
      LEAST_BITS = 0.05
      MOST = 3
      # Classes beside the likeliest that a suggestion may speak of.
      RIVALS = 3
      NOTHING_WORTH_IT = "Nothing quick will tell you more: send it to the laboratory, or accept the line."
      # Tests whose moment is past once a ball has been made, those that need a ball, and the hand's own number, which is no
      # test.
      BEFORE_THE_BALL = %w[moist_clod water_uptake mould_feel].freeze
      WITHOUT_A_BALL = %w[dry_clod wet_rub grittiness sand_estimate decanted_sand floury_feel].freeze
      NEVER = %w[clay_estimate].freeze

      # @param estimate [Estimate]
      def initialize(estimate)
        @estimate = estimate
        @felt = estimate.felt
        @made = estimate.tables
        @system = estimate.system
        @codes, @places = Grid::CLASSES.fetch(@system)
        @rest = {}
      end

      # @return [Array<Hash>] "test", "name", "bits", "seconds" and a "sentence", best first by bits a minute
      def to_a
        found = candidates.map { |test| [test, bits(test), Tests::Catalogue::FACTS[test][1]] }
        found = found.select { |_, gain, _| gain >= LEAST_BITS }.max_by(MOST) { |_, gain, seconds| gain / seconds }
        found.map do |test, gain, seconds|
          { "test" => test, "name" => Tests::Catalogue.short(test), "bits" => gain.round(2), "seconds" => seconds, "sentence" => sentence(test, seconds) }
        end
      end

      # @return [Hash{String=>Float}] bits by test, of all that can be made
      def all = candidates.to_h { |test| [test, bits(test)] }

      private

      def candidates
        return @candidates if @candidates

        open = Model::LIKELIHOODS.keys.reject { |test| @felt.made?(test) || NEVER.include?(test) }
        open -= BEFORE_THE_BALL unless @felt.ball.nil?
        open &= WITHOUT_A_BALL if @felt.ball == false
        open -= %w[ribbons] if @felt.ribbon == false
        # Before there is a ball no ribbon can be pushed; the ball itself comes first.
        open -= %w[ribbons ribbon_forms] if @felt.ball.nil?
        @candidates = open
      end

      def bits(test)
        after = answers(test).sum { |answer| answer[:chance] * Estimate.entropy(answer[:classes]) }
        @estimate.entropy - after
      end

      # Each answer of a test: how likely it is, and the classes after it.
      # @return [Array<Hash>]
      def answers(test)
        (@answers ||= {})[test] ||= begin
          tables = tables_of(test)
          tables.first.axis == :cell ? by_cell(test, tables) : along_axis(test, tables)
        end
      end

      def tables_of(test)
        case test
        when "ribbons" then Tables.length_to_come(@felt.curve, @felt.wider)
        when "sand_estimate" then Tables::HALVINGS[@felt.misled?]
        else Tables::ALL[@felt.misled?][test].values
        end
      end

      # The weight of a group once one more of its tests is made.
      def weight_after(test)
        group = Model.group(test)
        Model.weight(@made.keys.count { |made| Model.group(made) == group } + 1)
      end

      # The shares by what was made, with the group's weights as they will be; where the test opens its group, as they are.
      def rest(test)
        group = Model.group(test)
        return @estimate.shares if @made.keys.none? { |made| Model.group(made) == group }

        @rest[group] ||= Posterior.new(@felt, Posterior.weights(@made).merge(group => weight_after(test))).shares
      end

      # Tests of one axis: the cells are first gathered by class and place, so that an answer costs a few hundred products
      # and not 5151.
      def along_axis(test, tables)
        axis = tables.first.axis
        gathered = gathered(rest(test), axis)
        margin = margin(axis)
        weight = weight_after(test)
        tables.map do |table|
          chances = table.logs.map { |log| Math.exp(log) }
          factors = weight == 1 ? chances : table.logs.map { |log| Math.exp(weight * log) }
          { chance: dot(margin, chances), classes: shares(gathered.map { |row| dot(row, factors) }) }
        end
      end

      # @param row [Array] places, and their shares
      def dot((places, shares), factors)
        sum = 0.0
        at = 0
        while at < places.size
          sum += shares[at] * factors[places[at]]
          at += 1
        end
        sum
      end

      # @return [Array<Array>] for each class its places on the axis, and their shares
      def gathered(shares, axis)
        (@gathered ||= {})[[shares.object_id, axis]] ||= begin
          places = places_of(axis)
          sums = Array.new(@codes.size) { Hash.new(0.0) }
          at = 0
          while at < Grid::SIZE
            sums[@places[at]][places[at]] += shares[at]
            at += 1
          end
          sums.map { |row| [row.keys, row.values] }
        end
      end

      # @return [Array] places, and their shares in the estimate as it stands
      def margin(axis)
        (@margins ||= {})[axis] ||= begin
          known = @estimate.margins.along[axis]
          known ? [Tables::PERCENTS, known] : merged(gathered(@estimate.shares, axis))
        end
      end

      def merged(rows)
        sums = Hash.new(0.0)
        rows.each { |places, shares| places.zip(shares) { |place, share| sums[place] += share } }
        [sums.keys, sums.values]
      end

      def places_of(axis)
        { Model::SAND => Grid::SAND, Model::SILT => Grid::SILT, Model::CLAY => Grid::CLAY }[axis] || Posterior::PLACES.fetch(axis)
      end

      def by_cell(test, tables)
        rest = rest(test)
        before = @estimate.shares
        weight = weight_after(test)
        tables.map do |table|
          likely = Tables.power(table, 1.0)
          factors = Tables.power(table, weight)
          chance = 0.0
          sums = Array.new(@codes.size, 0.0)
          at = 0
          while at < Grid::SIZE
            chance += before[at] * likely[at]
            sums[@places[at]] += rest[at] * factors[at]
            at += 1
          end
          { chance: chance, classes: shares(sums) }
        end
      end

      def shares(sums)
        total = sums.sum
        sums.map { |sum| sum / total }
      end

      # Which two classes an answer would come to part, and how long that takes.
      def sentence(test, seconds)
        first, second = parted(test).map { |code| Grittle.triangle(@system)[code].name }
        "#{Tests::Catalogue.short(test).capitalize}, #{seconds} s: separates #{first} from #{second}."
      end

      # The likeliest class, and that of the next few whose odds against it the answers move most, likelier ones first.
      def parted(test)
        first, *others = @estimate.classes.first(1 + RIVALS)
        rival = others.max_by { |other| other.last * moved(test, first, other) }
        [first.first, rival.first]
      end

      def moved(test, *pair)
        places = pair.map { |code, _| @codes.index(code) }
        before = odds(*pair.map(&:last))
        answers(test).sum { |answer| answer[:chance] * (odds(*answer[:classes].values_at(*places)) - before).abs }
      end

      def odds(one, other) = one / (one + other)
    end
  end
end
