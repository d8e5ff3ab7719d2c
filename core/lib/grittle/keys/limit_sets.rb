# frozen_string_literal: true

module Grittle
  module Keys
    # A length in mm that parts two tiers; a ribbon of exactly that length belongs to the upper or the lower one.
    Limit = Struct.new(:mm, :belongs_to, keyword_init: true) do
      # @return [Boolean] whether a length falls into the tier above
      def reached_by?(length_mm) = belongs_to == :upper ? length_mm >= mm : length_mm > mm
    end

    # The limits of the flow key, because teachers differ: one set is chosen a profile.
    module LimitSets
      FIGURES = Data::LIMIT_SETS

      def self.limit(figure, belongs_to: :upper) = Limit.new(mm: FIGURES[figure], belongs_to: belongs_to).freeze
      private_class_method :limit

      # weak | medium | strong, with the words the rub is asked in. "metric" is the printed key; the others are taught.
      ALL = {
        "metric" => {
          name: "Metric, as printed", source: "Thien 1979", unit: "mm",
          medium_from: limit("metric_medium"), strong_from: limit("metric_strong"), rub_words: {}
        },
        "inch_tiers" => {
          name: "Inch tiers", source: "common practice", unit: "in",
          medium_from: limit("inch_medium"), strong_from: limit("inch_strong_over", belongs_to: :lower),
          rub_words: { "very_gritty" => "Very gritty", "neither" => "Moderately gritty",
                       "very_smooth" => "Not very gritty" }
        },
        "contest" => {
          name: "Judging-contest", source: "common practice", unit: "in",
          medium_from: limit("contest_medium"), strong_from: limit("contest_strong"), rub_words: {},
          thickness_mm: FIGURES["contest_thickness"]
        }
      }.each_value(&:freeze).freeze

      # The mean length from which soil counts as forming a ribbon at all.
      COUNTS_FROM = {
        "any_length" => { name: "Any length", mm: FIGURES["counts_any"] },
        "five_mm" => { name: "From about 5 mm", mm: FIGURES["counts_five"] },
        "half_inch" => { name: "From half an inch", mm: FIGURES["counts_half_inch"] }
      }.each_value(&:freeze).freeze

      DEFAULT = "metric"
      DEFAULT_COUNTS_FROM = "five_mm"

      # @raise [UnknownName]
      def self.[](name) = ALL.fetch(name.to_s) { raise UnknownName.new("limit_set", name, ALL.keys) }

      # @return [Float] mm
      # @raise [UnknownName]
      def self.counts_from_mm(name)
        COUNTS_FROM.fetch(name.to_s) { raise UnknownName.new("ribbon_counts_from", name, COUNTS_FROM.keys) }[:mm]
      end
    end
  end
end
