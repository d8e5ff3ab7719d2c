# frozen_string_literal: true

module Grittle
  # One ribbon as it was made: its length when it broke under its own weight, and how it ended. Frozen.
  class PushedRibbon
    # What a ribbon can be; mm, and minutes of working.
    LENGTH_MM = Data::RIBBONS["length"]
    THICKNESS_MM = Data::RIBBONS["thickness"]
    WIDTH_MM = Data::RIBBONS["width"]
    MINUTE = Data::RIBBONS["minute"]
    ENDINGS = %w[broke folded never_broke torn].freeze
    # mm a length may be off by, one standard deviation, where it was measured otherwise than by eye on a ruler.
    READING_ERROR_MM = Data::RIBBONS["reading_error_range"]
    FIELDS = %w[length_mm thickness_mm width_mm working_minute carried_own_weight ended reading_error_mm].freeze

    attr_reader :length_mm, :thickness_mm, :width_mm, :working_minute, :carried_own_weight, :ended, :reading_error_mm

    # @param fields [Hash{String=>Object}] names of FIELDS; only length_mm is needed
    # @raise [InvalidObservations] with every bad field
    def initialize(fields)
      check(fields)
      FIELDS.each { |name| instance_variable_set(:"@#{name}", fields[name]) }
      @ended ||= "broke"
      freeze
    end

    # A ribbon torn by a sticky hand is kept but does not count.
    def torn? = ended == "torn"

    # Made after ten minutes of working.
    def reworked? = !working_minute.nil? && working_minute >= Reworking::MINUTES

    # @return [Hash{String=>Object}] as on the wire
    def to_h = FIELDS.to_h { |name| [name, public_send(name)] }.compact

    # Its length is then only a lower bound: the next one wants to be thinner.
    def never_broke? = ended == "never_broke"

    private

    def check(fields)
      problems = unknown(fields) + out_of_range(fields)
      ended = fields["ended"]
      unless ended.nil? || ENDINGS.include?(ended)
        problems << problem(
          "ended",
          "“#{Spoken.of(ended)}” is no way for a ribbon to end. Use one of: #{ENDINGS.join(', ')}."
        )
      end
      unless [true, false, nil].include?(fields["carried_own_weight"])
        problems << problem("carried_own_weight", "carried_own_weight is either true or false.")
      end
      raise InvalidObservations, problems unless problems.empty?
    end

    def unknown(fields)
      (fields.keys - FIELDS).map { |name| problem(name, "A ribbon has no “#{name}”. It has: #{FIELDS.join(', ')}.") }
    end

    def out_of_range(fields)
      {
        "length_mm" => [LENGTH_MM, "A ribbon is", "mm long"],
        "thickness_mm" => [THICKNESS_MM, "A ribbon is", "mm thick"],
        "width_mm" => [WIDTH_MM, "A ribbon is", "mm wide"],
        "working_minute" => [MINUTE, "A ribbon is made at", "minutes of working"],
        "reading_error_mm" => [READING_ERROR_MM, "A ribbon is read to", "mm"]
      }.filter_map do |name, (range, opening, unit)|
        value = fields[name]
        next if value.nil? && name != "length_mm"
        next if value.is_a?(Numeric) && value.real? && range.cover?(value)

        problem(name, "#{opening} #{range.begin} to #{range.end} #{unit}, not #{Spoken.of(value)}.")
      end
    end

    def problem(field, sentence) = Problem.new(pointer: "/#{field}", sentence: sentence)
  end
end
