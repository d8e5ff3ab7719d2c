# frozen_string_literal: true

module Grittle
  module Keys
    # A length in mm that parts two tiers; a ribbon of exactly that length belongs to the upper or the lower one.
    Limit = Struct.new(:mm, :belongs_to, keyword_init: true) do
      # @return [Boolean] whether a length falls into the tier above
      def reached_by?(length_mm) = belongs_to == :upper ? length_mm >= mm : length_mm > mm
    end

    # The limits of the flow key are data, because teachers differ: one set is chosen a profile.
    module LimitSets
      def self.limit(millimetres, belongs_to: :upper)
        Limit.new(mm: millimetres, belongs_to: belongs_to).freeze
      end
      private_class_method :limit

      # weak | medium | strong, with the words the rub is asked in.
      # "metric" is the printed key, 2.5 and 5 cm [published: Thien 1979]; the others are teaching practice with no
      # source [common practice]. 1 in = 25.4 mm.
      ALL = {
        "metric" => {
          name: "Metric, as printed", source: "Thien 1979", unit: "mm",
          medium_from: limit(25.0), strong_from: limit(50.0), rub_words: {}
        },
        "inch_tiers" => { # 1 to 2 in is medium, both ends included
          name: "Inch tiers", source: "common practice", unit: "in",
          medium_from: limit(25.4), strong_from: limit(50.8, belongs_to: :lower),
          rub_words: { "very_gritty" => "Very gritty", "neither" => "Moderately gritty",
                       "very_smooth" => "Not very gritty" }
        },
        "contest" => { # 1 to under 2.5 in is medium
          name: "Contest", source: "common practice", unit: "in",
          medium_from: limit(25.4), strong_from: limit(63.5), rub_words: {},
          thickness_mm: 1..3 # not thicker than an eighth of an inch [common practice]
        }
      }.each_value(&:freeze).freeze

      # The mean length from which soil counts as forming a ribbon at all. The printed key does not say.
      # [common practice; the default between the two others is Grittle's own choice]
      COUNTS_FROM = {
        "any_length" => { name: "Any length", mm: 0.0 },
        "five_mm" => { name: "From about 5 mm", mm: 5.0 },
        "half_inch" => { name: "From half an inch", mm: 12.7 }
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
