# frozen_string_literal: true

module Grittle
  # Lengths are kept in mm; people may enter and read them in mm, cm or inches.
  module Units
    # Millimetres in one unit, as exact rationals, with the decimals a ruler in that unit is read to.
    # The inch is 25.4 mm exactly [published: international inch, 1959].
    LENGTHS = {
      "mm" => { mm: Rational(1), decimals: 0 },
      "cm" => { mm: Rational(10), decimals: 1 },
      "in" => { mm: Rational(254, 10), decimals: 2 }
    }.freeze

    # @param value [Numeric] a length in +unit+
    # @return [Float] mm
    # @raise [UnknownName] when the unit is none of LENGTHS
    def self.to_mm(value, unit) = (value.rationalize(Rational(1, 1_000_000)) * fetch(unit)[:mm]).to_f

    # @return [Float] the length in +unit+
    def self.from_mm(millimetres, unit) = (millimetres / fetch(unit)[:mm]).to_f

    # @return [String] for a sentence, such as "50 mm" or "1.97 in"
    def self.say(millimetres, unit = "mm") = "#{number(millimetres, unit)} #{unit}"

    # @return [String] the bare number as a ruler in +unit+ is read; in mm with a decimal only where the length has one
    def self.number(millimetres, unit = "mm")
      value = from_mm(millimetres, unit)
      return value.round(1).to_s.delete_suffix(".0") if unit == "mm" || value.zero?

      format("%.#{fetch(unit)[:decimals]}f", value)
    end

    # @param number [Object] as somebody gave it
    # @return [String] for a sentence: whole numbers without a fraction, and never Ruby's own way of writing a value
    def self.plain(number)
      return "nothing" if number.nil?
      return number.to_s unless number.is_a?(Numeric)
      return "a number too large" unless number.finite?

      number == number.to_i ? number.to_i.to_s : number.to_f.round(6).to_s
    end

    def self.fetch(unit) = LENGTHS.fetch(unit.to_s) { raise UnknownName.new("unit", unit, LENGTHS.keys) }
    private_class_method :fetch
  end
end
