# frozen_string_literal: true

module Grittle
  module Evidence
    # Which test would settle the doubt: for every test not yet made, how far the class entropy is expected to fall once
    # it is answered, for the seconds it takes. How likely an answer is goes by the estimate as it stands; what the
    # classes would be after it goes by the whole model, the weights of its group included: what a person would then
    # see.
    class NextTests
      # Bits under which a test is not worth making.
      LEAST_BITS = Data::EVIDENCE["least_bits"]
      MOST = 3
      # Classes beside the likeliest that a suggestion may speak of.
      RIVALS = 3
      NOTHING_WORTH_IT = "Nothing quick will tell you more: send it to the laboratory, or accept the line."
      # Tests whose moment is past once a ball has been made, those that need a ball, and the hand's own number, which
      # is no test.
      BEFORE_THE_BALL = %w[moist_clod water_uptake mould_feel].freeze
      WITHOUT_A_BALL = %w[dry_clod wet_rub grittiness sand_estimate decanted_sand floury_feel].freeze
      NEVER = %w[clay_estimate].freeze

      # @param estimate [Estimate]
      def initialize(estimate)
        @estimate = estimate
        @felt = estimate.felt
        @tables = @felt.tables
        @hand = @felt.model.hand
        @likelihoods = @felt.model.likelihoods
        @made = @felt.answers
        @system = estimate.system
        @codes, @places = Grid.classes(@system)
      end

      # @return [Array<Hash>] "test", "name", "bits", "seconds" and a "sentence", best first by bits a minute
      def to_a
        found = candidates.map { |test| [test, bits(test), Tests::Catalogue::FACTS[test][1]] }
        found = found.select { |_, gain, _| gain >= LEAST_BITS }.max_by(MOST) { |_, gain, seconds| gain / seconds }
        found.map do |test, gain, seconds|
          {
            "test" => test,
            "name" => Tests::Catalogue.short(test),
            "bits" => gain.round(2),
            "seconds" => seconds,
            "sentence" => sentence(test, seconds)
          }
        end
      end

      # The test that is expected to tell most of what hangs on the class, for the seconds it takes.
      # @param categories [Hash{String=>Object}] by class
      # @return [Hash, nil] "test", "name", "bits" and "seconds"; nil where none is worth it
      def telling(categories)
        groups = @codes.each_index.group_by { |place| categories[@codes[place]] }.values
        found = candidates.map { |test| [test, bits_between(groups, test), Tests::Catalogue::FACTS[test][1]] }
        test, gain, seconds = found.select { |_, bits, _| bits >= LEAST_BITS }.max_by { |_, bits, takes| bits / takes }
        return unless test

        { "test" => test, "name" => Tests::Catalogue.short(test), "bits" => gain.round(2), "seconds" => seconds }
      end

      # @return [Hash{String=>Float}] bits by test, of all that can be made
      def all = candidates.to_h { |test| [test, bits(test)] }

      private

      def candidates
        return @candidates if @candidates

        open = @likelihoods.keys.reject { |test| @felt.made?(test) || NEVER.include?(test) }
        open -= BEFORE_THE_BALL if @felt.ball_known?
        open &= WITHOUT_A_BALL if @felt.no_ball?
        open -= %w[ribbons] if @felt.ribbon_for_keys == false
        # Before there is a ball no ribbon can be pushed; the ball itself comes first.
        open -= %w[ribbons ribbon_forms] unless @felt.ball_known?
        @candidates = open
      end

      def bits(test)
        after = answers(test).sum { |answer| answer[:chance] * Estimate.entropy(answer[:classes]) }
        @estimate.entropy - after
      end

      # By how much the doubt between groups of classes is expected to fall.
      def bits_between(groups, test)
        doubt = ->(shares) { Estimate.entropy(groups.map { |places| places.sum(0.0) { |place| shares[place] } }) }
        doubt[@estimate.classes.values_at(*@codes)] - answers(test).sum do |answer|
          answer[:chance] * doubt[answer[:classes]]
        end
      end

      # Each answer of a test: how likely it is, and the classes after it.
      # @return [Array<Hash>]
      def answers(test)
        (@answers ||= {})[test] ||= begin
          tables = tables_of(test)
          axis = tables.first.axis
          if axis == :cell then by_cell(test, tables)
          elsif axis.quantity? then of_quantity(test, tables, axis)
          else along_axis(test, tables, axis)
          end
        end
      end

      def tables_of(test)
        case test
        when "ribbons" then @tables.length_to_come(@felt.curve)
        when "sand_estimate" then @tables.halving
        else @tables.of(test).values
        end
      end

      # The weights of the groups once one more test is made.
      def weights_after(test)
        group = Model.group(test)
        now.merge(group => Model.weight(@made.keys.count { |made| Model.group(made) == group } + 1))
      end

      def weight_after(test) = weights_after(test)[Model.group(test)]
      def opens_group?(test) = @made.keys.none? { |made| Model.group(made) == Model.group(test) }

      # What is felt of one quantity is taken together before it is seen through the hand's bias: so the classes' shares
      # are first turned into shares by what would be felt, and an answer then costs a few hundred products and not
      # 5151.
      def of_quantity(test, tables, axis)
        gathered = felt_of_classes(test, axis)
        margin = as_felt_now(axis)
        before = felt_before(test, axis)
        weight = weight_after(test)
        tables.map do |table|
          factors = @tables.coarse(table, weight).each_with_index.map { |factor, at| factor * before[at] }
          {
            chance: dot(*margin, @tables.coarse(table, 1.0)),
            classes: shares(gathered.map { |row| dot(*row, factors) })
          }
        end
      end

      # All that was felt of the quantity, weighed as it will be.
      def felt_before(test, axis)
        (@before ||= {})[[axis.name, Model.group(test)]] ||= (
          Posterior.logs(@felt, axis, weights_after(test)) || Posterior::NOTHING
        ).values_at(*Hand::FELT).map { |log| Math.exp(log) }
      end

      # @return [Array<Array>] for each class the shares by what would be felt, without what was felt of the quantity
      def felt_of_classes(test, axis)
        (@felt_of ||= {})[[axis.name, group_made(test)]] ||= begin
          undone = undone(axis)
          slots = Grid.slots(@system, axis)
          sums = gathered(axis, group_made(test))
          slots.classes.map do |range|
            places = slots.places[range]
            row = places.zip(sums[range]).map { |place, share| share * undone[place] }
            @hand.as_felt(axis, places, row, @tables.wider)
          end
        end
      end

      # How likely each percent is to be felt, as the estimate stands.
      def as_felt_now(axis)
        (@now_felt ||= {})[axis.name] ||= @hand.as_felt(
          axis,
          Tables::PERCENTS,
          @estimate.margins.along[axis],
          @tables.wider
        )
      end

      # By what the likelihood of a quantity has to be multiplied to take out what was felt of it.
      def undone(axis) = (@undone ||= {})[axis.name] ||= @estimate.posterior.seen[axis].map { |factor| 1 / factor }

      # The group that a test would join; nil where it opens it.
      def group_made(test) = (Model.group(test) unless opens_group?(test))

      # The shares by class and place of an axis, packed as Grid.slots has them.
      def gathered(axis, group)
        (@gathered ||= {})[[axis.name, group]] ||= gather(axis, changed(group, except: axis))
      end

      def gather(axis, shares)
        slots = Grid.slots(@system, axis)
        return by_rows(slots) if axis == CLAY && shares.equal?(@estimate.shares)

        of_cell = slots.of_cell
        sums = Array.new(slots.places.size, 0.0)
        at = 0
        while at < Grid::SIZE
          sums[of_cell[at]] += shares[at]
          at += 1
        end
        sums
      end

      # A row of one clay content is a few runs of one class each, so that its shares are differences of running sums.
      def by_rows(slots)
        below = @estimate.posterior.below
        sums = Array.new(slots.places.size, 0.0)
        whole = below.last
        Grid
          .runs(@system)
          .each { |runs| runs.each { |from, to| sums[slots.of_cell[from]] += (below[to] - below[from]) / whole } }
        sums
      end

      # The shares of the cells with a group's weights as they will be once one more of its tests is made.
      # @param group [String, nil] nil leaves them as they are
      # @param except [Axis, Symbol] what is taken care of elsewhere
      def changed(group, except:)
        return @estimate.shares unless group

        of_group = @made.select { |test, _| Model.group(test) == group && !ObservedLikelihoods::OPENING.include?(test) }
        axes = of_group.values.map(&:axis).uniq - [except]
        (@changed ||= {})[[group, axes]] ||= axes.reduce(@estimate.shares) do |shares, axis|
          multiplied(shares, *change(axis, of_group.select { |_, table| table.axis == axis }, group))
        end
      end

      # @return [Array] factors, and cell by cell the place that they are found at
      def change(axis, made, group)
        weight = Model.weight(@made.keys.count { |test| Model.group(test) == group } + 1)
        if axis != :cell && axis.quantity?
          after = Posterior.seen(@felt, axis, now.merge(group => weight))
          return [after.zip(undone(axis)).map { |one, other| one * other }, Grid.places(axis)]
        end
        factors = made.values.map { |table| @tables.power(table, weight - now[group]) }.reduce do |one, other|
          one.zip(other).map do |a, b|
            a * b
          end
        end
        [factors, axis == :cell ? Grid::PLACES : Grid.places(axis)]
      end

      def multiplied(shares, factors, places)
        found = Array.new(Grid::SIZE)
        at = 0
        while at < Grid::SIZE
          found[at] = shares[at] * factors[places[at]]
          at += 1
        end
        found
      end

      def now = @now ||= Posterior.weights(@felt)

      # Tests of an axis that no bias shifts: the cells are gathered by class and place.
      def along_axis(test, tables, axis)
        slots = Grid.slots(@system, axis)
        after = gathered(axis, group_made(test))
        before = gathered(axis, nil)
        weight = weight_after(test)
        tables.map do |table|
          factors = @tables.power(table, weight).values_at(*slots.places)
          likely = @tables.power(table, 1.0).values_at(*slots.places)
          {
            chance: dot(0, before, likely),
            classes: shares(slots.classes.map { |range| dot(range.begin, after[range], factors) })
          }
        end
      end

      def by_cell(test, tables)
        before = @estimate.shares
        after = changed(group_made(test), except: :cell)
        weight = weight_after(test)
        tables.map do |table|
          likely = @tables.power(table, 1.0)
          factors = @tables.power(table, weight)
          chance = 0.0
          sums = Array.new(@codes.size, 0.0)
          at = 0
          while at < Grid::SIZE
            chance += before[at] * likely[at]
            sums[@places[at]] += after[at] * factors[at]
            at += 1
          end
          { chance: chance, classes: shares(sums) }
        end
      end

      # @param first [Integer] where in +factors+ the row begins
      def dot(first, row, factors)
        sum = 0.0
        at = 0
        size = row.size
        while at < size
          sum += row[at] * factors[first]
          first += 1
          at += 1
        end
        sum
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
