# frozen_string_literal: true

module Grittle
  module Compute
    # Calculations about people's hands and laboratories' results.
    module OfHands
      P = Practice

      module_function

      def hand(given)
        pairs = given.objects("pairs", least: 0).map do |pair|
          P::Calibration::Pair.new(length_mm: pair.number("length_mm"), scale_mm: pair.number("scale_mm"),
                                   clay: pair.number("clay", range: 0..100), clay_sd: pair.number("clay_sd", 0),
                                   weight: pair.number("weight", 1))
        end
        made = P::Calibration.new(pairs)
        sets = given.key?("sets") ? given.objects("sets", least: 0) : []
        { "hand" => made.curve.to_h, **read(made.curve, sets), "closed" => made.closed,
          "leave_one_out" => { "own" => fit(made.leave_one_out), "consensus" => fit(made.consensus) },
          "odd" => made.odd }
      end

      def read(curve, sets)
        lengths = sets.map { |set| [set.number("length_mm"), set.number("scale_mm")] }
        said = lengths.map { |length, scale| curve.said(length, scale) }
        { "clay_of_length" => lengths.map { |length, _| curve.clay(length) },
          "predictions" => said.map do |one|
            { "mean" => one.mean, "sd" => one.sd, "lo" => one.low, "hi" => one.high }
          end }
      end

      def fit(found) = found.to_h.transform_keys(&:to_s)

      def ordered_shift(given)
        cuts = given.numbers("cuts")
        heard = given.objects("pairs", least: 0).map do |pair|
          P::WordShift::Heard.new(state: pair.number("state", range: 0..cuts.size), percent: pair.number("percent"),
                                  sd: pair.number("sd", 0))
        end
        found = P::WordShift.new(cuts, given.number("scale", range: 1e-6..1000), heard)
        { "shift" => found.shift, "sd" => found.sd, "scale" => found.scale, "enough" => found.enough? }
      end

      def number_bias(given)
        found = P::NumberBias.new(given.word("what", P::NumberBias::KINDS.keys), given.numbers("errors", least: 0))
        { "bias" => found.bias, "sd" => found.sd, "enough" => found.enough? }
      end

      def repeatability(given)
        duplicates = given.list("duplicates", least: 0) do |pair|
          next pair if pair.is_a?(Array) && pair.size == 2 && pair.all? { |mm| mm.is_a?(Numeric) && mm.positive? }

          given.refuse("duplicates is a list of pairs of lengths in mm.")
        end
        sd = P::Agreement.repeat_sd(duplicates)
        { "sd" => sd, "limit_percent" => P::Agreement.repeat_limit(sd) }
      end

      def drift(given) = P::Drift.of(given.numbers("z"))

      def kappa(given)
        table = square(given, "table")
        weights = given.key?("weights") ? square(given, "weights") : P::Agreement.linear(table.size)
        { "unweighted" => P::Agreement.kappa(table), "weighted" => P::Agreement.kappa(table, weights),
          "interval" => P::Agreement.kappa_interval(table) }
      end

      def square(given, name)
        rows = given.list(name)
        fine = rows.all? { |row| row.is_a?(Array) && row.size == rows.size && row.all? { |one| count?(one) } }
        fine ? rows : given.refuse("#{name} is a square table of numbers from 0.")
      end

      def count?(value) = value.is_a?(Numeric) && value >= 0

      def bland_altman(given)
        found = P::BlandAltman.new(given.numbers("one"), given.numbers("other"))
        low, high = found.limits
        { "bias" => found.bias, "sd" => found.sd, "low" => low, "high" => high, "se_bias" => found.se_bias,
          "se_limit" => found.se_limit, "slope" => found.slope }
      end

      def credits(given)
        call = given.object("call")
        codes = Array(call["classes"] || call["class"]) + (call["odds"] || {}).keys
        unknown = codes.find { |code| !Consequences::CODES.include?(code) }
        given.refuse("There is no class “#{Spoken.of(unknown)}” in the USDA's triangle.") if unknown
        truth = %w[sand clay].to_h { |part| [part.to_sym, given.number(part, range: 0..100)] }
        found = P::Credits.new(given.word("scheme", P::Credits::SCHEMES.keys), **truth)
        { "credit" => found.of(call), "right" => found.classes }
      end

      def pull(given)
        rows = given.list("rows", least: 0) do |row|
          fine = row.is_a?(Array) && row.size == 4 && row[3].is_a?(Array) && row.flatten.all? do |code|
            Consequences::CODES.include?(code)
          end
          fine ? row : given.refuse("rows is a list of guess, key, final class and true classes.")
        end
        P::Pull.of(rows)
      end

      def skill(given)
        found = P::Skill.new(given.numbers("credits", least: 0))
        { "mean" => found.mean, "sd" => found.sd, "need" => found.need, "steady" => found.steady?,
"level" => found.level }
      end

      def laboratory_row(given)
        found = P::LaboratoryRow.new(P::LaboratoryRow::PARTS.to_h { |part| [part, given[part]] })
        { "percents" => found.percents, "done" => found.done, "sd" => found.sds }
      end
    end
  end
end
