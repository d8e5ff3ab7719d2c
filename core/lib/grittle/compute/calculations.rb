# frozen_string_literal: true

module Grittle
  # Every calculation by itself, for a spreadsheet or a script: one hash in, one hash out. Shares are 0 to 1, units
  # stand in the names; null where there is no figure, with the reason beside it.
  module Compute
    # How many decimals answers have: far finer than any of them is known.
    DIGITS = 6

    # One calculation: what it does, an example of what goes in, and what it makes of it.
    Calculation = Struct.new(:name, :says, :example, :job, keyword_init: true)

    LOAM = { "sand" => 40, "clay" => 20 }.freeze
    FELT = { "ball_holds" => true, "ribbons" => [41, 44, 39].map { |mm| { "length_mm" => mm } },
             "wet_rub" => "neither" }.freeze
    WEAK = { "ball_holds" => true, "ribbons" => [{ "length_mm" => 15 }], "wet_rub" => "very_gritty" }.freeze

    ALL = [
      ["water", "Water held and let through by one composition", LOAM],
      ["fragments", "Coarse fragments by weight as a share of the volume",
       LOAM.merge("fragments_weight_percent" => 50)],
      ["organic_matter", "Water that more organic matter holds", LOAM.merge("from" => 1, "to" => 3)],
      ["available_water", "Water for plants in 10 cm, from what was felt",
       { "observations" => FELT, "assigned" => "CL" }],
      ["ksat", "How fast water goes through, from what was felt", { "observations" => FELT }],
      ["one_class_off", "Whether it matters to be one class away",
       { "observations" => FELT, "consequence" => "available_water" }],
      ["wetting", "How far a rain or a watering goes down",
       { "amount_mm" => 25, "layers" => [LOAM.merge("mm" => 600)] }],
      ["irrigation", "How much to water, how often, how long",
       { "layers" => [LOAM.merge("mm" => 600)], "root_depth_mm" => 600, "share" => 0.5, "daily_mm" => 5,
         "efficiency" => 0.75 }],
      ["hydrologic_group", "The hydrologic group of a profile that was seen",
       { "layers" => [{ "upper_cm" => 0, "lower_cm" => 150, "ksat_mm_h" => 50.3 }], "seen_to_cm" => 150 }],
      ["erodibility", "How easily rain carries the soil away", LOAM],
      ["nutrients", "What clay and humus hold", LOAM],
      ["remedy", "What sand or organic matter it takes to change a soil",
       { "clay_from" => 40, "clay_to" => 20, "depth_m" => 0.15, "organic_matter_points" => 1 }],
      ["profile_water", "Water for plants down a profile, with its range",
       { "horizons" => [{ "observations" => FELT, "upper_cm" => 0, "lower_cm" => 30 }] }],
      ["layers_in_series", "How fast water goes down through layers",
       { "layers" => [{ "mm" => 200, "ksat_mm_h" => 15.5 }, { "mm" => 300, "ksat_mm_h" => 1.14 }] }],
      ["perching", "Where water stands or hangs between layers", { "layers" => %w[compost S C] }],
      ["perching_odds", "How likely water stands on the lower of two, from what was felt",
       { "upper" => WEAK, "lower" => FELT }],
      ["wetness", "What a colour says of long wetness",
       { "name" => "Bg", "hue" => "10YR", "value" => 6, "chroma" => 2 }],
      ["crumb", "The class of a crumb in water", { "water" => "rain", "looks" => [[5, "fully", "complete"]] }],
      ["jar", "When to read a jar, and what its layers come to",
       { "depth_cm" => 10, "temperature_c" => 20, "layers_mm" => { "sand" => 20, "silt" => 20, "clay" => 10 } }],
      ["percolation", "The rate of a hole and whether it is steady",
       { "drops_mm" => [26, 25.4, 25.4], "interval_min" => 30 }],
      ["hand", "One person's curve from ribbon to clay, from pairs of ribbons and laboratory",
       { "pairs" => [{ "length_mm" => 44, "scale_mm" => 4, "clay" => 27, "clay_sd" => 1.5 }],
         "sets" => [{ "length_mm" => 38, "scale_mm" => 4 }] }],
      ["ordered_shift", "How far one person's words are shifted",
       { "cuts" => [10, 25, 40], "scale" => 4, "pairs" => [{ "state" => 1, "percent" => 22, "sd" => 1.5 }] }],
      ["number_bias", "How far one person's numbers lie from the laboratory's",
       { "what" => "sand_estimate", "errors" => [12, 8, 15] }],
      ["repeatability", "How far two sets of one soil differ by one hand", { "duplicates" => [[38, 41], [22, 25]] }],
      ["drift", "Whether a hand has moved", { "z" => [0.5, 1.2, 0.8] }],
      ["kappa", "Agreement beyond chance", { "table" => [[75, 1, 4], [5, 4, 1], [0, 0, 10]] }],
      ["bland_altman", "Two people's numbers of the same samples", { "one" => [30, 22, 41], "other" => [28, 25, 40] }],
      ["credits", "What a call is worth by a scheme",
       { "scheme" => "class_half", "sand" => 40, "clay" => 20, "call" => { "class" => "CL" } }],
      ["pull", "Whether a guess pulls the class towards it", { "rows" => [["C", "SCL", "CL", ["CL"]]] }],
      ["skill", "How well a class is known, from credits", { "credits" => [1, 1, 0.5] }],
      ["laboratory_row", "A laboratory's sand, silt and clay as written",
       { "sand" => "90.2", "silt" => "8.1", "clay" => "<2" }]
    ].to_h do |name, says, example|
      room = [OfTexture, OfLayers, OfHands].find { |one| one.respond_to?(name) }
      [name, Calculation.new(name: name, says: says, example: example.freeze, job: room.method(name)).freeze]
    end.freeze

    # @param name [String] of ALL
    # @param document [Hash{String=>Object}]
    # @return [Hash{String=>Object}]
    # @raise [UnknownName, InvalidInput]
    def self.run(name, document)
      calculation = ALL.fetch(name) { raise UnknownName.new("calculation", name, ALL.keys) }
      rounded(calculation.job.call(Given.new(document)))
    end

    def self.rounded(value)
      case value
      when Float then value.finite? ? value.round(DIGITS) : nil
      when Hash then value.transform_values { |one| rounded(one) }
      when Array then value.map { |one| rounded(one) }
      else value
      end
    end
    private_class_method :rounded
  end
end
