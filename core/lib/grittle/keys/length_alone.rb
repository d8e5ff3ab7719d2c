# frozen_string_literal: true

module Grittle
  module Keys
    # Length alone, as growers are taught: no ribbon is sandy, about an inch is loam, three inches and more are clay.
    # [common practice; what stands between the named lengths is Grittle's own model]
    class LengthAlone
      include Opening

      ID = "length_alone"
      NAME = "Length alone"
      SYSTEM = "usda"
      SOURCE = "common practice, growers' teaching"
      ASKS = %w[ball_holds moisture_rounds ribbon_forms ribbons].freeze
      NO_BALL = "sandy"
      CODES = %w[sandy loam clay].freeze
      # mm: sandy up to a stub, loam for about an inch, clay from three inches; straight between.
      SANDY_BELOW = STUB_MM
      LOAM = Data::KEYS["alone_loam"]
      CLAY_FROM = Data::KEYS["alone_clay"]
      LIMITS = [SANDY_BELOW, LOAM.begin, LOAM.end, CLAY_FROM].freeze
      TIERS = Tiers.new(["sandy", "to loam", "loam", "to clay", "clay"],
                        LIMITS.map { |mm| Limit.new(mm: mm, belongs_to: :upper) })
      LEAST = Data::KEYS["alone_least"]

      # @return [Array<String>] what a person may assign by this key
      def self.codes(_system = SYSTEM) = CODES

      # @return [Result]
      def result
        question = opening_question || (length_question unless no_ball?)
        found = question ? [] : outcomes
        Result.new(
          key: ID,
          system: SYSTEM,
          outcomes: found,
          next_question: question,
          notes: [],
          details: {},
          possible: found.empty? ? CODES : found.map(&:first),
          path: opening_path + (no_ball? ? [] : length_step),
          on_the_limit: !question && !no_ball? && !interval.nil? && LIMITS.any? { |mm| interval.cover?(mm) },
          disagreeing_tests: facts.overruled
        )
      end

      private

      def outcomes
        return [[NO_BALL, 1.0]] if no_ball?

        kept = shares.select { |_, share| share >= LEAST }
        kept
          .map { |code, share| [code, share / kept.values.sum] }
          .sort_by { |code, share| [-share.round(6), CODES.index(code)] }
      end

      def shares
        length = length_mm
        return { "sandy" => 1.0 } if length < SANDY_BELOW
        return { "clay" => 1.0 } if length >= CLAY_FROM
        return { "loam" => 1.0 } if LOAM.cover?(length)

        if length < LOAM.begin
          loam = (length - SANDY_BELOW) / (LOAM.begin - SANDY_BELOW)
          { "sandy" => 1 - loam, "loam" => loam }
        else
          clay = (length - LOAM.end) / (CLAY_FROM - LOAM.end)
          { "loam" => 1 - clay, "clay" => clay }
        end
      end
    end
  end
end
