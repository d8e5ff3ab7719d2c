# frozen_string_literal: true

module Grittle
  module Entry
    # One thing that is written down of a site, a profile, a horizon or a sample: what may stand there, and its words.
    # Frozen.
    #
    #   text:    up to +limit+ characters        choice:  one of +words+ (value => name)
    #   number:  in +range+, in +unit+           flag:    true or false
    #   date:    "2026-05-31"                    munsell: "10YR 4/3"
    class Field
      TYPES = %i[text number choice flag date munsell].freeze
      TEXT_LIMIT = 200
      YES = %w[true yes y 1 x].freeze
      NO = %w[false no n 0].freeze

      attr_reader :name, :label, :type, :group, :words, :range, :unit, :limit, :suggestions, :hint, :source

      # @param degrees [Boolean] whether a percentage may be typed in degrees, such as 12°
      # @param carries [Boolean] whether a new horizon starts with what the one above has
      def initialize(
        name,
        label,
        type,
        group: nil,
        words: nil,
        range: nil,
        unit: nil,
        degrees: false,
        limit: TEXT_LIMIT,
        suggestions: nil,
        hint: nil,
        carries: false,
        source: nil
      )
        raise ArgumentError, "#{name} has no type #{type}" unless TYPES.include?(type)

        @name = name
        @label = label
        @type = type
        @group = group
        @words = words
        @range = range
        @unit = unit
        @degrees = degrees
        @limit = limit
        @suggestions = suggestions
        @hint = hint
        @carries = carries
        @source = source
        freeze
      end

      # @return [Float, nil] the number that a text is, with a decimal point or comma
      def self.number(text)
        plain = text.to_s.strip.tr(",", ".")
        plain.match?(/\A[-+]?(\d+\.?\d*|\.\d+)\z/) ? plain.to_f : nil
      end

      # @return [Boolean] whether a new horizon starts with what the one above has
      def carries? = @carries

      # @param value [Object] as typed; blank takes it back
      # @return [Object, nil] as it is kept
      # @raise [InvalidInput]
      def read(value)
        value = value.strip if value.is_a?(String)
        return if value.nil? || value == ""

        send(:"read_#{type}", value)
      end

      # @return [String] a kept value for a person
      def say(value)
        case type
        when :choice then words.fetch(value, value)
        when :flag then value ? "yes" : "no"
        when :number then [Units.number(value), unit, steepness(value)].compact.join(" ")
        else value.to_s
        end
      end

      # @return [Hash] for the page
      def to_h
        {
          name: name,
          label: label,
          type: type.to_s,
          group: group,
          unit: unit,
          hint: hint,
          suggestions: suggestions,
          carries: carries?,
          words: words&.map { |value, said| { value: value, name: said } }
        }
      end

      private

      def read_text(value)
        refuse("#{label} has at most #{limit} characters.") if value.to_s.length > limit
        value.to_s
      end

      def read_number(value)
        number = value.is_a?(Numeric) ? value : in_degrees(value) || Field.number(value)
        span = "#{Units.number(range.begin)} to #{Units.number(range.end)}#{" #{unit}" if unit}"
        refuse("#{label} is a number from #{span}, not “#{Spoken.of(value)}”.") unless number && range.cover?(number)
        (number % 1).zero? ? number.to_i : number.to_f
      end

      def steepness(percent)
        "(#{Units.number((Math.atan(percent / 100.0) * 180 / Math::PI).round(1))}°)" if @degrees && percent
      end

      # @return [Float, nil] percent, of what was typed in degrees
      def in_degrees(text)
        angle = Field.number(text.to_s.delete_suffix("°")) if @degrees && text.to_s.end_with?("°")
        (100 * Math.tan(angle * Math::PI / 180)).round(1) if angle&.between?(0, 89)
      end

      # The word, or the name it is shown by.
      def read_choice(value)
        said = value.to_s.downcase
        found = words.find { |word, name| said == word || said == name.downcase }
        found ? found.first : refuse("#{label} has no “#{Spoken.of(value)}”. Use one of: #{words.keys.join(', ')}.")
      end

      def read_flag(value)
        return value if [true, false].include?(value)
        return true if YES.include?(value.to_s.downcase)
        return false if NO.include?(value.to_s.downcase)

        refuse("#{label} is yes or no, not “#{Spoken.of(value)}”.")
      end

      def read_date(value)
        year, month, day = value.to_s.match(/\A(\d{4})-(\d\d)-(\d\d)\z/)&.captures&.map(&:to_i)
        unless year && day?(year, month, day)
          refuse(
            "#{label} is a date such as 2026-05-31, not “#{Spoken.of(value)}”."
          )
        end
        value
      end

      def day?(year, month, day)
        leap = (year % 4).zero? && (!(year % 100).zero? || (year % 400).zero?)
        month.between?(1, 12) &&
          day.between?(1, [31, leap ? 29 : 28, 31, 30, 31, 30, 31, 31, 30, 31, 30, 31][month - 1])
      end

      def read_munsell(value) = Profiles::Munsell.new(value, field: name).to_s

      def refuse(sentence) = raise(InvalidInput, [Problem.new(pointer: "/#{name}", sentence: sentence)])
    end
  end
end
