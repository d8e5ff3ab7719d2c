# frozen_string_literal: true

module Grittle
  module Evidence
    # How likely every answer of a model is at every place of its axis, as logarithms: worked out when first asked for,
    # then kept.
    class Tables
      # One answer's table: an axis of the model with a logarithm for each of its places, or :cell with one a
      # composition.
      Table = Struct.new(:axis, :logs, keyword_init: true)
      PERCENTS = (0..100).to_a.freeze
      # mm: a ribbon that is still to be made, by where it may end.
      LENGTH_BINS = [0, 5, 15, 25, 35, 50, 75, 100, 120].each_cons(2).to_a.freeze
      # Percent: sand that is still to be halved, to the narrowest interval.
      SAND_BINS = (0..7).map { |bin| [bin * Halving::NARROWEST, (bin + 1) * Halving::NARROWEST] }.freeze

      class << self
        # @return [Float]
        def logistic(value) = 1 / (1 + Math.exp(-value))

        # @return [Float] the normal density
        def normal(offset, sd) = Math.exp(-0.5 * ((offset / sd)**2)) / (sd * Math.sqrt(2 * Math::PI))

        # @return [Float] probability under a normal below +offset+
        def normal_below(offset, sd) = 0.5 * Math.erfc(-offset / (sd * Math.sqrt(2)))

        # @param likelihood [Model::Ordered]
        # @return [Array<Float>] the probability of each state where the axis has +value+
        def ordered(likelihood, value, wider)
          scale = likelihood.scale * wider
          below = [0.0, *likelihood.cuts.map { |cut| logistic((cut - value) / scale) }, 1.0]
          states = below.size - 1
          below.each_cons(2).map { |low, high| ((1 - Model::ERROR) * (high - low)) + (Model::ERROR / states) }
        end

        # @return [Array<Float>] no and yes
        def flag(likelihood, value, wider)
          yes = logistic((value - likelihood.cut) / (likelihood.scale * wider))
          yes = ((1 - (2 * likelihood.error)) * yes) + likelihood.error
          [1 - yes, yes]
        end

        # @return [Array<Float>] the states at one composition
        def choice(likelihood, states, cell, wider)
          leads =
            likelihood.leads.keys.to_h do |state|
              [state, Math.exp(likelihood.lead(state, *cell) / (likelihood.scale * wider))]
            end
          total = leads.values.sum + 1
          states.map { |state| ((1 - Model::ERROR) * (leads.fetch(state, 1.0) / total)) + (Model::ERROR / states.size) }
        end
      end

      # @param model [Model]
      # @param wider [Float] times every scale and sd
      def initialize(model, wider)
        @model = model
        @wider = wider
        @stated = {}
        @powers = {}.compare_by_identity
        @coarse = {}.compare_by_identity
        @curves = {}
        @to_come = {}
        @openings = {}
      end

      attr_reader :wider

      # @return [Boolean] whether a test is answered with one of its states
      def stated?(test) = [Model::Ordered, Model::Flag, Model::Choice].include?(@model.likelihoods[test].class)

      # @return [Hash{Object=>Table}] by answer
      def of(test) = @stated[test] ||= stated(test).freeze

      # @return [Array<Float>] the likelihoods of a table of whole compositions to the power of a weight
      def power(table, weight)
        (@powers[table] ||= {})[weight] ||= table.logs.map { |log| Math.exp(weight * log) }.freeze
      end

      # The same at every other percent, as Hand::FELT has them.
      # @return [Array<Float>]
      def coarse(table, weight) = (@coarse[table] ||= {})[weight] ||= power(table, weight).values_at(*Hand::FELT).freeze

      # What the ball and the ribbon say of every cell. Both are groups of their own, so their weight is always 1.
      # @param answers [Hash{String=>Boolean, nil}] ball_holds and ribbon_forms
      # @return [Array<Float>] one a cell
      def opening(answers)
        @openings[answers] ||= begin
          tables = answers.compact.map { |test, answer| of(test)[answer] }
          places = tables.map { |table| Grid.places(table.axis) }
          Array
            .new(Grid::SIZE) { |at| Math.exp(tables.each_index.sum(0.0) { |k| tables[k].logs[places[k][at]] }) }
            .freeze
        end
      end

      # @param mean, scale [Numeric] mm: a ribbon set's mean length and how far it may be off
      # @param curve [Curve]
      # @return [Table]
      def length(mean, scale, curve)
        logs = lengths(curve).each_with_index.map do |about, clay|
          Math.log(
            ((1 - Model::ERROR) * Tables.normal(mean - about, length_sd(curve, clay, about, scale))) +
              (Model::ERROR / Model::LONGEST_MM)
          )
        end
        Table.new(axis: CLAY, logs: logs)
      end

      # One ribbon that is still to be made, read as far off as hands are.
      # @return [Array<Table>] one a bin of LENGTH_BINS
      def length_to_come(curve)
        @to_come[curve] ||= begin
          bells = lengths(curve).each_with_index.map do |about, clay|
            scale = Math.sqrt(((RibbonSet::HAND_CV * about)**2) + (RibbonSet::READING_ERROR_MM**2))
            [about, length_sd(curve, clay, about, scale)]
          end
          binned(CLAY, bells, LENGTH_BINS, Model::LONGEST_MM)
        end
      end

      # @param test [String] sand_estimate or clay_estimate
      # @param half_width [Numeric] percent: the truth may lie anywhere within it
      # @return [Table]
      def percent(test, given, half_width)
        likelihood = @model.likelihoods.fetch(test)
        sd = spread(likelihood, half_width)
        logs =
          PERCENTS.map do |place|
            Math.log(((1 - Model::ERROR) * Tables.normal(given - likelihood.bias - place, sd)) + (Model::ERROR / 100))
          end
        Table.new(axis: likelihood.of, logs: logs)
      end

      # @return [Array<Table>] the sand that halving may end at
      def halving
        @halving ||= begin
          likelihood = @model.likelihoods["sand_estimate"]
          sd = spread(likelihood, Halving::NARROWEST / 2)
          binned(SAND, PERCENTS.map { |sand| [sand + likelihood.bias, sd] }, SAND_BINS, 100.0)
        end
      end

      private

      def stated(test)
        likelihood = @model.likelihoods.fetch(test)
        states = Model.states(test)
        shares, axis =
          likelihood.is_a?(Model::Choice) ? [by_cell(likelihood, states), :cell] : [along(likelihood), likelihood.of]
        states.each_with_index.to_h do |state, k|
          [state, Table.new(axis: axis, logs: shares.map { |at| Math.log(at[k]) }.freeze).freeze]
        end
      end

      def by_cell(likelihood, states) = Grid::CELLS.map { |cell| Tables.choice(likelihood, states, cell, wider) }

      # @return [Array<Array<Float>>] the states at every place of the axis
      def along(likelihood)
        ordered = likelihood.is_a?(Model::Ordered)
        likelihood.of.places.map do |place|
          value = likelihood.of.value(place)
          ordered ? Tables.ordered(likelihood, value, wider) : Tables.flag(likelihood, value, wider)
        end
      end

      # The share of each bin; the outermost are open.
      # @param bells [Array<Array<Float>>] middle and sd at each place
      # @param range [Numeric] what the uniform part is spread over
      # @return [Array<Table>]
      def binned(axis, bells, bins, range)
        bins.each_with_index.map do |(from, to), at|
          logs = bells.map do |about, sd|
            low = at.zero? ? 0.0 : Tables.normal_below(from - about, sd)
            high = at == bins.size - 1 ? 1.0 : Tables.normal_below(to - about, sd)
            Math.log(((1 - Model::ERROR) * (high - low)) + (Model::ERROR * (to - from) / range))
          end
          Table.new(axis: axis, logs: logs.freeze).freeze
        end.freeze
      end

      # @return [Array<Float>] mm for every percent of clay
      def lengths(curve) = @curves[curve] ||= PERCENTS.map { |clay| curve.length(clay) }.freeze

      # @return [Float] mm: how far a ribbon set lies off the curve's length
      # About a school's curve the model's noise; about a person's own curve what is known of it.
      def length_sd(curve, clay, about, scale)
        noise = curve.respond_to?(:noise2) ? curve.noise2(clay) : ((Model::LENGTH_SHARE * about) + Model::LENGTH_MM)**2
        wider * Math.sqrt(noise + (scale**2))
      end

      def spread(likelihood, half_width) = wider * Math.sqrt((likelihood.sd**2) + ((half_width / Math.sqrt(3))**2))
    end
  end
end
