# frozen_string_literal: true

module Grittle
  module Evidence
    # How likely every answer is at every place of its axis, as logarithms, worked out once as this loads and frozen; the same
    # again with every scale and sd widened.
    module Tables
      # One answer's table: an axis of the model with a logarithm for each of its places, or :cell with one a composition.
      Table = Struct.new(:axis, :logs, keyword_init: true)
      PERCENTS = (0..100).to_a.freeze
      # mm: a ribbon that is still to be made, by where it may end.
      LENGTH_BINS = [0, 5, 15, 25, 35, 50, 75, 100, 120].each_cons(2).to_a.freeze
      # Percent: sand that is still to be halved, to the narrowest interval.
      SAND_BINS = (0..7).map { |bin| [bin * Halving::NARROWEST, (bin + 1) * Halving::NARROWEST] }.freeze

      module_function

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
        leads = likelihood.leads.transform_values { |lead| Math.exp(lead.call(*cell) / (likelihood.scale * wider)) }
        total = leads.values.sum + 1
        states.map { |state| ((1 - Model::ERROR) * (leads.fetch(state, 1.0) / total)) + (Model::ERROR / states.size) }
      end

      # @return [Float] mm: how far a ribbon set lies off the curve's length
      def length_sd(about, scale, wider) = wider * Math.sqrt((((Model::LENGTH_SHARE * about) + Model::LENGTH_MM)**2) + (scale**2))

      # @return [Hash] answer => Table
      def of(test, wider)
        likelihood = Model::LIKELIHOODS.fetch(test)
        states = Model.states(test)
        axis = likelihood.is_a?(Model::Choice) ? :cell : likelihood.of
        shares = axis == :cell ? Grid::CELLS.map { |cell| choice(likelihood, states, cell, wider) } : along(likelihood, wider)
        states.each_with_index.to_h { |state, k| [state, Table.new(axis: axis, logs: shares.map { |at| Math.log(at[k]) }.freeze).freeze] }
      end

      # @return [Array<Array<Float>>] the states at every place of the axis
      def along(likelihood, wider)
        likelihood.of.places.map do |place|
          value = likelihood.of.value(place)
          likelihood.is_a?(Model::Ordered) ? ordered(likelihood, value, wider) : flag(likelihood, value, wider)
        end
      end

      # The share of each bin; the outermost are open.
      # @param bells [Array<Array<Float>>] middle and sd at each place
      # @param range [Numeric] what the uniform part is spread over
      # @return [Array<Table>]
      def binned(axis, bells, bins, range)
        bins.each_with_index.map do |(from, to), at|
          logs = bells.map do |about, sd|
            low = at.zero? ? 0.0 : normal_below(from - about, sd)
            high = at == bins.size - 1 ? 1.0 : normal_below(to - about, sd)
            Math.log(((1 - Model::ERROR) * (high - low)) + (Model::ERROR * (to - from) / range))
          end
          Table.new(axis: axis, logs: logs.freeze).freeze
        end.freeze
      end

      private_class_method :of, :along, :binned

      WIDTHS = { false => 1.0, true => Model::WIDER }.freeze
      STATED = Model::LIKELIHOODS.select { |_, kind| [Model::Ordered, Model::Flag, Model::Choice].include?(kind.class) }.keys.freeze
      # widened? => test => answer => Table
      ALL = WIDTHS.transform_values { |wider| STATED.to_h { |test| [test, of(test, wider).freeze] }.freeze }.freeze

      # Where an answer speaks of whole compositions, its likelihood to every power that its group's weight can be.
      # Table => weight => likelihoods
      POWERS = begin
        own = STATED.select { |test| Model::LIKELIHOODS[test].is_a?(Model::Choice) }
        most = own.to_h { |test| [test, Model::LIKELIHOODS.keys.count { |other| Model.group(other) == Model.group(test) }] }
        ALL.values.product(own).flat_map { |tests, test| tests[test].values.map { |table| [table, most[test]] } }.to_h do |table, count|
          [table, (1..count).to_h { |k| [weight = Model.weight(k), table.logs.map { |log| Math.exp(weight * log) }.freeze] }.freeze]
        end.compare_by_identity.freeze
      end

      # Curve => its length in mm for every percent of clay.
      LENGTHS = Curves::ALL.to_h { |curve| [curve, PERCENTS.map { |clay| curve.length(clay) }.freeze] }.freeze

      # widened? => the sand that halving may end at
      HALVINGS = WIDTHS.transform_values do |wider|
        sd = wider * Math.sqrt((Model::LIKELIHOODS["sand_estimate"].sd**2) + (((Halving::NARROWEST / 2) / Math.sqrt(3))**2))
        binned(Model::SAND, PERCENTS.map { |sand| [sand, sd] }, SAND_BINS, 100.0)
      end.freeze

      # The tables of what is measured are made when the measure is there.
      module_function

      # @return [Array<Float>] the likelihoods of a table of whole compositions to the power of a weight
      def power(table, weight) = POWERS.fetch(table).fetch(weight)

      # @return [Array<Float>] mm for every percent of clay
      def lengths(curve) = LENGTHS[curve] || PERCENTS.map { |clay| curve.length(clay) }

      # @param mean, scale [Numeric] mm: a ribbon set's mean length and how far it may be off
      # @param curve [Curve]
      # @return [Table]
      def length(mean, scale, curve, wider)
        logs = lengths(curve).map do |about|
          Math.log(((1 - Model::ERROR) * normal(mean - about, length_sd(about, scale, wider))) + (Model::ERROR / Model::LONGEST_MM))
        end
        Table.new(axis: Model::CLAY, logs: logs)
      end

      # One ribbon that is still to be made, read as far off as hands are.
      # @return [Array<Table>] one a bin of LENGTH_BINS
      def length_to_come(curve, wider)
        bells = lengths(curve).map do |about|
          [about, length_sd(about, Math.sqrt(((RibbonSet::HAND_CV * about)**2) + (RibbonSet::READING_ERROR_MM**2)), wider)]
        end
        binned(Model::CLAY, bells, LENGTH_BINS, Model::LONGEST_MM)
      end

      # @param test [String] sand_estimate or clay_estimate
      # @param half_width [Numeric] percent: the truth may lie anywhere within it
      # @return [Table]
      def percent(test, given, half_width, wider)
        likelihood = Model::LIKELIHOODS.fetch(test)
        sd = wider * Math.sqrt((likelihood.sd**2) + ((half_width / Math.sqrt(3))**2))
        logs = PERCENTS.map { |place| Math.log(((1 - Model::ERROR) * normal(given - place, sd)) + (Model::ERROR / 100)) }
        Table.new(axis: likelihood.of, logs: logs)
      end
    end
  end
end
