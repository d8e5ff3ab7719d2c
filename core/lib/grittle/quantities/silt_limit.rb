# frozen_string_literal: true

module Grittle
  # A composition measured with one limit between silt and sand, as another system would have measured it: log-linear
  # interpolation of the cumulative curve between the measured limits [common practice]. Always an estimate: between two
  # limits nobody has measured anything.
  module SiltLimit
    # µm: clay ends and sand ends here in every system of the core.
    CLAY_UM = 2
    SAND_UM = 2000
    # µm between silt and sand that laboratories measure to, and who does. [published with each system; the Australian
    # one from memory: Australian Soil and Land Survey Field Handbook, 3rd ed., 2009]
    MEASURED = { 20 => "Australia", 50 => "USDA, Canada", 60 => "United Kingdom", 63 => "International" }.freeze

    module_function

    # @param composition [Composition]
    # @param from, to [Numeric] µm between silt and sand, from over 2 to under 2000
    # @return [Composition] an estimate, unless the limits are the same
    # @raise [UnknownName] when a limit is outside
    def convert(composition, from:, to:)
      [from, to].each do |limit|
        next if limit > CLAY_UM && limit < SAND_UM

        raise UnknownName.new(
          "silt_limit",
          limit,
          ["over #{CLAY_UM} to under #{SAND_UM} µm"]
        )
      end
      finer =
        finer_than(to, [[CLAY_UM, composition.clay], [from, composition.clay + composition.silt], [SAND_UM, 100.0]])
      Composition.new(clay: composition.clay, silt: finer - composition.clay)
    end

    # Percent finer than a diameter (µm) on a cumulative curve.
    def finer_than(diameter, curve)
      (d0, p0), (d1, p1) = curve.each_cons(2).find { |_, (upper, _)| diameter <= upper }
      p0 + ((p1 - p0) * Math.log(diameter / d0.to_f) / Math.log(d1 / d0.to_f))
    end
    private_class_method :finer_than
  end
end
