# frozen_string_literal: true

module Grittle
  module Evidence
    # The share of every cell, from what was felt and the weights of its groups. The prior is uniform. What depends on
    # one quantity alone is first multiplied into one likelihood of what was felt, then seen through the hand's bias.
    class Posterior
      EVEN = Array.new(101, 1.0).freeze
      # Logarithms of a quantity of which nothing was felt.
      NOTHING = Array.new(101, 0.0).freeze

      # @return [Array<Float>] one a cell, adding up to 1
      attr_reader :shares

      # @return [Hash{Axis=>Array<Float>}] what was felt of each quantity, seen through the hand's bias
      attr_reader :seen

      # @return [Array<Float>] what lies before each cell, in proportion to the whole at the end
      attr_reader :below

      # @param felt [ObservedLikelihoods]
      # @param weights [Hash{String=>Float}] by group
      def initialize(felt, weights = Posterior.weights(felt))
        @felt = felt
        @weights = weights
        @seen = QUANTITIES.to_h { |axis| [axis, Posterior.seen(felt, axis, weights)] }
        normalise(products)
        freeze
      end

      # @return [Hash{String=>Float}] by group, as many tests as were made in each
      def self.weights(felt)
        felt.answers.keys.group_by { |test| Model.group(test) }.transform_values { |tests| Model.weight(tests.size) }
      end

      # @return [Array<Float>] the logarithm of all that was felt of one quantity, for every percent as felt
      def self.logs(felt, axis, weights)
        of_it = felt.answers.select { |_, table| table.axis == axis }
        return if of_it.empty?

        weighted = of_it.map { |test, table| [weights.fetch(Model.group(test)), table.logs] }
        Tables::PERCENTS.map { |place| weighted.sum(0.0) { |weight, logs| weight * logs[place] } }
      end

      # @return [Array<Float>] all that was felt of one quantity, seen through the hand's bias, for every percent there
      #   is
      def self.seen(felt, axis, weights)
        logs = logs(felt, axis, weights) or return EVEN

        felt.model.hand.through(axis, logs.map { |log| Math.exp(log) }, felt.tables.wider)
      end

      private

      # Plain loops over 5151 cells: this runs at every answer.
      def products
        found = spread(*seen.values)
        @felt.answers.each do |test, table|
          next if ObservedLikelihoods::OPENING.include?(test)

          weight = @weights.fetch(Model.group(test))
          if table.axis == :cell
            multiply(found, @felt.tables.power(table, weight))
          elsif !table.axis.quantity?
            factors = table.logs.map { |log| Math.exp(weight * log) }
            multiply(found, factors, Grid.places(table.axis))
          end
        end
        found
      end

      def spread(sand, silt, clay)
        found = Array.new(Grid::SIZE, 0.0)
        opening = @felt.tables.opening(@felt.opening)
        at = 0
        clay.each_with_index do |base, percent|
          rest = 100 - percent
          place = 0
          while place <= rest
            found[at] = opening[at] * base * sand[place] * silt[rest - place]
            at += 1
            place += 1
          end
        end
        found
      end

      def multiply(found, factors, places = nil)
        at = 0
        if places
          while at < Grid::SIZE
            found[at] *= factors[places[at]]
            at += 1
          end
        else
          while at < Grid::SIZE
            found[at] *= factors[at]
            at += 1
          end
        end
      end

      def normalise(found)
        sum = 0.0
        below = [0.0]
        found.each { |share| below << (sum += share) }
        @shares = found.map! { |share| share / sum }.freeze
        @below = below.freeze
      end
    end
  end
end
