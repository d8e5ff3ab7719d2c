# frozen_string_literal: true

module Grittle
  module Practice
    # One person's hand as far as samples with a laboratory's clay teach it: which of them do, why the others do not,
    # the curve, and how it fares beside the consensus. [our own]
    class TaughtHand
      LEAST = FIGURES["pair_least"]
      # mm: thickness may lie so far off the person's usual one.
      THICKNESS = FIGURES["pair_thickness"]
      # Percent of clay that the drawn curves go through.
      DRAWN = (0..100).step(2).to_a.freeze

      # One reading: +sample+ tells samples apart, +observations+ what was felt (Observations), +result+ the
      # laboratory's (LaboratoryResult), +blind+ whether the person could not have known it, +age_days+; +out+ why a
      # person took it out, +teacher+ whether its truth is a teacher's word.
      Row = Struct.new(:sample, :observations, :result, :blind, :age_days, :out, :teacher, keyword_init: true)

      # Why a reading teaches nothing: the first that holds.
      REASONS = {
        "taken out" => ->(row, _) { row.out },
        "a teacher's word, no laboratory's" => ->(row, _) { row.teacher },
        "felt or classed after the result was known" => ->(row, _) { !row.blind },
        "laser reads clay low" => ->(row, _) { !row.result.calibrates? },
        "no ribbon" => ->(row, _) { TaughtHand.length(row).nil? },
        "ribbons under #{LEAST['mm']} mm" => ->(row, _) { TaughtHand.length(row) < LEAST["mm"] },
        "clay under #{LEAST['clay']} %" => ->(row, _) { row.result.percents["clay"] < LEAST["clay"] },
        "a ribbon never broke" => ->(row, _) { row.observations.ribbon_set.flags.include?("never_broke") },
        "something misleads the hand" => ->(row, _) { Array(row.observations["blind_spots"]).any? },
        "thickness off the usual" => ->(row, usual) { TaughtHand.off?(row, usual) }
      }.freeze

      # @param rows [Array<Row>]
      def initialize(rows)
        @rows = rows
        usual = usual(rows.filter_map { |row| TaughtHand.thickness(row) })
        @reasons = rows.map { |row| REASONS.find { |_, holds| holds.call(row, usual) }&.first }
        sound = rows.zip(@reasons).reject(&:last).map(&:first)
        @by_sample = sound.group_by(&:sample).sort_by { |_, same| -same.map(&:age_days).max }.to_h
        @calibration = Calibration.new(@by_sample.values.map { |same| pair(same) })
      end

      # @return [Calibration]
      attr_reader :calibration

      # @return [Array<(Row, String)>] readings of samples that teach nothing, and why
      def left_out
        found = @rows.zip(@reasons).select { |row, reason| reason && !@by_sample.key?(row.sample) }
        found.map { |row, reason| [row, row.out ? "#{reason}: #{row.out}" : reason] }.uniq { |row, _| row.sample }
      end

      # All that was learnt of the hand, as an assessment uses it.
      # @return [OwnHand]
      def own_hand = learnt.own_hand

      # What is told of the hand beside its curve.
      # @param duplicates [Array<Array<Numeric>>] mean lengths in mm of blind duplicates
      # @return [Hash{String=>Object}] "words", "numbers", "bias", "drift", "repeat"
      def further(duplicates = [])
        { **learnt.to_h, "drift" => drift, "repeat" => repeat(duplicates) }
      end

      # @return [Hash{String=>Object}] "pairs" (by clay) and "left_out" with their "sample", "length_mm", "clay" and
      #   sd ("taken_out": by a person); "closed" (why the curve may not be used, or nil), "curve", "own" and
      #   "consensus" (RMSE, mean error, inside), "drawn" (clay, and mm by either curve), "sentences"
      def to_h
        {
          "pairs" => pairs,
          "left_out" => left_out.map do |row, reason|
            { "sample" => row.sample, **shown(row), "reason" => reason, "taken_out" => !row.out.nil? }
          end,
          "closed" => @calibration.closed,
          "curve" => @calibration.curve.to_h,
          "own" => fit(@calibration.leave_one_out),
          "consensus" => fit(@calibration.consensus),
          "drawn" => drawn,
          "sentences" => sentences
        }
      end

      # @api private
      def self.length(row) = row.observations.ribbon_set&.mean

      # @api private
      def self.thickness(row)
        made = row.observations.ribbon_set&.counted.to_a.filter_map(&:thickness_mm)
        made.sum / made.size.to_f if made.any?
      end

      # @api private
      def self.off?(row, usual) = thickness(row)&.then { |made| (made - usual).abs > THICKNESS } || false

      private

      def learnt = @learnt ||= Learnt.new(@by_sample.values, @calibration.curve)

      # The median.
      def usual(thicknesses)
        sorted = thicknesses.sort
        (sorted[(sorted.size - 1).div(2)] + sorted[sorted.size.div(2)]) / 2.0 if sorted.any?
      end

      # All readings of one sample are one pair.
      def pair(rows)
        sets = rows.map { |row| row.observations.ribbon_set }
        result = rows.first.result
        Calibration::Pair.new(
          length_mm: sets.sum(&:mean) / sets.size,
          scale_mm: Math.sqrt(sets.sum { |set| set.scale**2 }) / sets.size,
          clay: result.percents["clay"],
          clay_sd: result.sds["clay"],
          weight: Calibration.weight(rows.map(&:age_days).min)
        )
      end

      def pairs
        odds = @calibration.odds_of_odd
        odd = @calibration.odd
        found = @by_sample.values.each_with_index.map do |rows, at|
          made = pair(rows)
          { "sample" => rows.first.sample, "length_mm" => made.length_mm.round(1), "scale_mm" => made.scale_mm.round(1),
            "clay" => made.clay, "clay_sd" => made.clay_sd, "odd" => odds[at].round(2),
            "fits" => !odd.include?(at) }
        end
        found.sort_by { |one| one["clay"] }
      end

      def shown(row)
        { "length_mm" => TaughtHand.length(row)&.round(1), "clay" => row.result.percents["clay"],
          "clay_sd" => row.result.sds["clay"] }
      end

      # Whether the hand has moved: the newest of the chart, and the chart.
      def drift
        chart = Drift.of(@calibration.deviations)
        return { "chart" => [], "sentence" => nil } if chart.empty?

        { "chart" => chart.map { |one| one.transform_values { |value| value.is_a?(Float) ? value.round(2) : value } },
          "sentence" => (moved(chart.last["ewma"]) if chart.last["signal"]) }
      end

      def moved(ewma)
        "Your ribbons have become #{ewma.positive? ? 'longer' : 'shorter'} than your curve says. Five tubs of known " \
          "clay would settle whether your hand has moved."
      end

      def repeat(duplicates)
        return if duplicates.empty?

        sd = Agreement.repeat_sd(duplicates)
        limit = Agreement.repeat_limit(sd).round
        { "count" => duplicates.size, "sd_percent" => (100 * sd).round(1), "limit_percent" => limit,
          "sentence" => "Two of your ribbon sets of one soil differ by less than #{limit} % in 19 of 20." }
      end

      def fit(found)
        { "rmse" => found.rmse&.round(1), "bias" => found.bias&.round(1), "inside" => found.inside }
      end

      def drawn
        curve = @calibration.curve
        DRAWN.map do |clay|
          own = curve.length(clay)
          spread = FIGURES["normal_80"] * Math.sqrt(curve.noise2(clay))
          { "clay" => clay, "own_mm" => own.round(1), "low_mm" => [own - spread, 0].max.round(1),
            "high_mm" => (own + spread).round(1), "consensus_mm" => OwnCurve::CONSENSUS.length(clay).round(1) }
        end
      end

      def sentences
        own, consensus = [@calibration.leave_one_out, @calibration.consensus].map(&:rmse)
        return [] unless own

        [translated, fared(own, consensus), *odd_said]
      end

      def translated
        mm = LEAST["told_mm"]
        "Your #{mm} mm is a consensus #{@calibration.curve.consensus_mm(mm).round} mm."
      end

      def fared(own, consensus)
        "On samples it has not seen: #{Units.number(own.round(1))} points of clay off with your curve, " \
          "#{Units.number(consensus.round(1))} without."
      end

      def odd_said
        count = @calibration.odd.size
        return [] if count.zero?

        ["#{count} #{count == 1 ? 'sample does' : 'samples do'} not fit: another tub, or another bag?"]
      end
    end
  end
end
