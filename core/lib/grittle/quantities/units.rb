# frozen_string_literal: true

module Grittle
  # Lengths are kept in mm; people may enter and read them in mm, cm or inches.
  module Units
    # Millimetres in one unit, with the decimals a ruler in that unit is read to.
    # The inch is 25.4 mm exactly [published: international inch, 1959].
    LENGTHS = {
      "mm" => { mm: 1.0, decimals: 0 },
      "cm" => { mm: 10.0, decimals: 1 },
      "in" => { mm: 25.4, decimals: 2 }
    }.freeze
    # Far finer than anybody writes a length in mm.
    DECIMALS = 9

    # @param value [Numeric] a length in +unit+
    # @return [Float] mm, the decimal number that was meant: 1.97 in are 50.038 mm
    # @raise [UnknownName] when the unit is none of LENGTHS
    def self.to_mm(value, unit) = (value * fetch(unit)[:mm]).round(DECIMALS)

    # @return [Float] the length in +unit+
    def self.from_mm(millimetres, unit) = (millimetres / fetch(unit)[:mm]).to_f

    # @return [String] for a sentence, such as "50 mm" or "1.97 in"
    def self.say(millimetres, unit = "mm") = "#{number(millimetres, unit)} #{unit}"

    # @return [String] the bare number as a ruler in +unit+ is read; in mm with a decimal only where the length has one
    def self.number(millimetres, unit = "mm")
      value = from_mm(millimetres, unit)
      return value.round(1).to_s.delete_suffix(".0") if unit == "mm" || value.zero?

      decimals = fetch(unit)[:decimals]
      format("%.#{decimals}f", value.round(decimals))
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
