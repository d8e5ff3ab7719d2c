# frozen_string_literal: true

module Grittle
  module Practice
    # What double readings of a survey say as it goes on: charts with limits. A signal asks for five common tubs; a
    # chart corrects nothing.
    module Charts
      BATCH = FIGURES["chart_batch"]
      FROM = FIGURES["chart_from"]
      RARE = FIGURES["chart_rare"]
      MOVING = FIGURES["chart_moving"]
      RUN = FIGURES["chart_run"]

      module_function

      # By batches: the share within one step so far, and whether a batch lies at or under what chance would give.
      # @param within [Array<Boolean>] oldest first
      # @return [Array<Hash>] "count", "within", "limit" (nil before there are FROM), "signal"
      def agreement(within)
        within.each_slice(BATCH).with_index.filter_map do |batch, at|
          next if batch.size < BATCH

          before = within.first(at * BATCH)
          limit = least(BATCH, before.count(true) / before.size.to_f) if before.size >= FROM
          { "count" => batch.size, "within" => batch.count(true), "limit" => limit,
            "signal" => !limit.nil? && batch.count(true) <= limit }
        end
      end

      # @param count [Integer]
      # @param share [Float]
      # @return [Integer, nil] the largest x with P(X <= x) of at most RARE
      def least(count, share)
        sum = 0.0
        found = nil
        (0..count).each do |hits|
          sum += Pull.choose(count, hits) * (share**hits) * ((1 - share)**(count - hits))
          break if sum > RARE

          found = hits
        end
        found
      end

      # Differences of two people's clay. [common practice: individuals and moving range]
      # @param differences [Array<Numeric>] points, oldest first
      # @return [Hash{String=>Object}] "mean", "low", "high", "outside" (places), "run" (whether RUN in a row lie on one
      #   side)
      def differences(differences)
        mean = differences.sum / differences.size.to_f
        moves = differences.each_cons(2).map { |one, other| (other - one).abs }
        reach = moves.empty? ? 0.0 : MOVING * moves.sum / moves.size
        { "mean" => mean, "low" => mean - reach, "high" => mean + reach,
          "outside" => differences.each_index.select { |at| (differences[at] - mean).abs > reach + 1e-9 },
          "run" => run?(differences.map { |one| one <=> mean }) }
      end

      # What the charts ask for.
      # @param batches [Array<Hash>] as {agreement} gives them
      # @param differences [Hash, nil] as {differences} gives them
      # @return [String] for a person
      def say(batches, differences)
        return "No double reading yet." if differences.nil? && batches.empty?

        signals = []
        signals << "the last batch agrees less than those before" if batches.last&.fetch("signal")
        signals << "a difference of clay lies outside its limits" if differences && differences["outside"].any?
        signals << "#{RUN} differences of clay in a row lie on one side" if differences && differences["run"]
        return "Nothing out of the usual." if signals.empty?

        "#{signals.join('; ').then do |text|
          text[0].upcase + text[1..]
        end}. Let both read five common tubs of known clay; " \
          "a chart corrects nothing."
      end

      def run?(sides) = sides.each_cons(RUN).any? { |run| run.uniq.size == 1 && !run.first.zero? }
      private_class_method :run?
    end
  end
end
