# frozen_string_literal: true

module Grittle
  module Practice
    # A laboratory's sand, silt and clay as they were written, read as percent; what was read into them is told. Frozen.
    class LaboratoryRow
      PARTS = %w[sand silt clay].freeze
      MISSING = ["", "-", "–", "n.d.", "n.a.", "nd", "na"].freeze
      WITHIN = FIGURES["sum_within"]
      # What a sum is near, and what the numbers are then divided by to be percent.
      UNITS = { 1000 => ["g/kg", 0.1], 1 => ["fractions", 100.0] }.freeze
      # Share of the sum by which it may miss the unit's whole.
      NEAR = WITHIN / 100.0

      # @return [Hash{String=>Float}] percent to a tenth
      attr_reader :percents

      # @return [Hash{String=>Float}] sd by part, where it was read from "<"
      attr_reader :sds

      # @return [Array<String>] what was read into it, for a person
      attr_reader :done

      # @param written [Hash{String=>Object}] "sand", "silt", "clay", as typed
      # @raise [InvalidInput]
      def initialize(written)
        @done = []
        @sds = {}
        raw = PARTS.to_h { |part| [part, read(part, written[part])] }
        @percents = whole(third(raw)).transform_values { |value| value.round(1) }.freeze
        freeze
      end

      private

      def read(part, said)
        return said.to_f if said.is_a?(Numeric)

        text = said.to_s.strip.downcase.delete_suffix("%").strip
        return if MISSING.include?(text)
        return told("#{part} “tr” read as #{FIGURES['trace']}", FIGURES["trace"]) if text == "tr"
        return less_than(part, text) if text.start_with?("<")

        Entry::Field.number(text) || refuse("#{part.capitalize} is a number, not “#{said}”.")
      end

      def less_than(part, text)
        limit = Entry::Field.number(text.delete_prefix("<")) || refuse("#{part.capitalize} is no number: “#{text}”.")
        @sds[part] = limit / Math.sqrt(12)
        told("#{part} “#{text}” read as half", FIGURES["less_than_part"] * limit)
      end

      # The third by difference.
      def third(raw)
        missing = raw.select { |_, value| value.nil? }.keys
        return raw if missing.empty?

        refuse("Two of sand, silt and clay are needed.") if missing.size > 1
        sum = raw.values.compact.sum
        unit = if sum > 100 + WITHIN
                 1000.0
               else
                 (sum <= 1 ? 1.0 : 100.0)
               end
        @done << "#{missing.first} by difference"
        raw.merge(missing.first => [unit - sum, 0.0].max)
      end

      def whole(parts)
        sum = parts.values.sum
        UNITS.each do |about, (name, factor)|
          next unless (sum - about).abs <= (NEAR * about) + left_open && left_open < about

          @done << "read as #{name}"
          @sds.transform_values! { |sd| sd * factor }
          return normalised(parts.transform_values { |value| value * factor })
        end
        if (sum - 100).abs > WITHIN + left_open
          refuse("Sand, silt and clay add up to #{Units.number(sum.round(1))}, not to 100.")
        end
        normalised(parts)
      end

      # Half the limits of what was read from "<": of "99.7, <2, <2" both may be as good as none.
      def left_open = @sds.values.sum * Math.sqrt(3)

      def normalised(parts)
        sum = parts.values.sum
        @done << "sum #{Units.number(sum.round(1))} brought to 100" if (sum - 100).abs > 0.05
        parts.transform_values { |value| value * 100 / sum }
      end

      def told(what, value)
        @done << what
        value
      end

      def refuse(sentence) = raise(InvalidInput, [Problem.new(pointer: "", sentence: sentence)])
    end
  end
end
