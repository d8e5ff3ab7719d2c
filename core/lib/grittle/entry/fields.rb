# frozen_string_literal: true

module Grittle
  module Entry
    # Everything that is written down beside names and depths, of each kind of thing. The one list for the forms, the
    # desk table, the API, the exports and the import.
    #
    # Words and limits: [published: Soil Survey Manual, USDA Handbook 18, 2017, ch. 3] where a source is named "manual",
    # else [common practice].
    module Fields
      MANUAL = "Soil Survey Manual, USDA Handbook 18, 2017, ch. 3 (published)"

      def self.words(*names) = names.to_h { |name| [name.downcase.tr(" -", "__").delete(",<>%().&"), name] }.freeze
      private_class_method :words

      def self.table(*fields) = fields.to_h { |field| [field.name, field] }.freeze
      private_class_method :table

      def self.field(...) = Field.new(...)
      private_class_method :field

      PERCENT = { range: 0..100, unit: "%" }.freeze
      NOTE = { limit: 2000 }.freeze
      MOISTURE = words("Dry", "Moist", "Wet")
      # [published: Soil Survey Manual, USDA Handbook 18, 2017, ch. 3]
      STICKY, PLASTIC = %w[sticky plastic].map do |word|
        {
          "non" => "Non-#{word}",
          "slightly" => "Slightly #{word}",
          "moderately" => "Moderately #{word}",
          "very" => "Very #{word}"
        }.freeze
      end
      PH_METHODS = { "kit" => "Colour kit", "strip" => "Paper strip", "meter" => "Meter" }.freeze
      SLAKING = { "not" => "Not", "a_little" => "A little", "fully" => "Fully" }.freeze
      DISPERSION = { "none" => "None", "some" => "Some", "complete" => "All of it" }.freeze
      # "blocky" is what earlier versions kept, before the two were told apart.
      PEDS = words("Granular", "Crumb", "Angular blocky", "Subangular blocky", "Platy", "Prismatic", "Columnar")
             .merge("blocky" => "Blocky, not told apart").freeze
      SIZE = words("Very fine", "Fine", "Medium", "Coarse", "Very coarse")
      AMOUNT = words("None", "Few", "Common", "Many")
      # [published: Soil Survey Manual, USDA Handbook 18, 2017, ch. 3] "coarse" alone and "fine and coarse" are what
      # earlier versions kept.
      ROOT_SIZE = {
        "very_fine" => "Very fine, < 1 mm", "fine" => "Fine, 1 to < 2 mm", "medium" => "Medium, 2 to < 5 mm",
        "coarse" => "Coarse, 5 to < 10 mm", "very_coarse" => "Very coarse, 10 mm and more",
        "fine_and_coarse" => "Fine and coarse"
      }.freeze
      PH_STEPS = { "0.1" => "0.1", "0.2" => "0.2", "0.25" => "0.25", "0.5" => "0.5", "1" => "1" }.freeze
      STRUCTURE = words("Single grain", "Massive", "Weak", "Moderate", "Strong")
      LIFE = "Roots, fauna, coarse fragments"

      SITE = table(
        field("project", "Project", :text, group: "Where and when"),
        field("date", "Date", :date, group: "Where and when"),
        field("observer", "Observer", :text, group: "Where and when"),
        field("latitude", "Latitude", :number, range: -90..90, unit: "°", group: "Where and when",
              hint: "WGS84, decimal degrees, north is positive"),
        field("longitude", "Longitude", :number, range: -180..180, unit: "°", group: "Where and when",
              hint: "WGS84, decimal degrees, east is positive"),
        field("accuracy_m", "Accuracy", :number, range: 0..10_000, unit: "m", group: "Where and when"),
        field("elevation_m", "Elevation", :number, range: -500..9000, unit: "m", group: "Where and when"),
        field("slope_percent", "Slope", :number, range: 0..500, unit: "%", group: "Land", degrees: true,
              hint: "in %, or in degrees such as 12°"),
        field("aspect", "Aspect", :choice, group: "Land",
              words: {
                "n" => "North",
                "ne" => "North-east",
                "e" => "East",
                "se" => "South-east",
                "s" => "South",
                "sw" => "South-west",
                "w" => "West",
                "nw" => "North-west",
                "level" => "Level"
              }.freeze),
        field("land_use", "Land use", :text, group: "Land"),
        field("history", "History", :text, group: "Land", hint: "Fill, levelling, former use", **NOTE),
        field(
          "vegetation",
          "Vegetation",
          :text,
          group: "Land",
          hint: "And plants that tell of wetness, lime or salt",
          **NOTE
        ),
        field("surface_stones", "Stones on the surface", :text, group: "Land"),
        field("surface_condition", "Surface", :choice, group: "Land",
              words: words("Firm", "Loose", "Crusted", "Cracked", "Sealed", "Flooded", "Frozen", "Cultivated")),
        field("geology", "Geology or parent material", :text, group: "Land"),
        field("water_hardness", "Water used", :text, group: "Conditions", hint: "Rain or tap, soft or hard"),
        field("contamination", "Contamination suspected", :flag, group: "Conditions"),
        field("weather", "Weather lately", :choice, words: MOISTURE, group: "Conditions")
      )

      PROFILE = table(
        field("date", "Date", :date),
        field("excavated_depth_cm", "Depth reached", :number, range: Profiles::DepthRange::DEPTHS_CM, unit: "cm"),
        field("water_table_cm", "Water met at", :number, range: Profiles::DepthRange::DEPTHS_CM, unit: "cm"),
        field("stopped_by", "Why it stopped", :choice,
              words: words("Depth reached", "Stone", "Hardpan", "Rock", "Water", "Frozen", "Tool limit")),
        field("drainage_class", "Drainage", :choice, source: MANUAL,
              words:
                words(
                  "Very poorly",
                  "Poorly",
                  "Somewhat poorly",
                  "Moderately well",
                  "Well",
                  "Somewhat excessively",
                  "Excessively"
                )),
        field("parent_material", "Parent material", :text, suggestions: %w[till alluvium colluvium loess residuum fill])
      )

      HORIZON = table(
        field("moist_colour", "Colour, moist", :munsell, group: "Colour", hint: "Munsell, such as 10YR 4/3"),
        field("dry_colour", "Colour, dry", :munsell, group: "Colour"),
        field("mottle_abundance", "Mottles", :choice, group: "Colour", source: MANUAL,
              words: { "none" => "None", "few" => "Few, < 2 %", "common" => "Common, 2 to under 20 %",
              "many" => "Many, 20 % and more" }.freeze),
        field(
          "mottle_kind",
          "Kind of mottles",
          :choice,
          words: words("Rusty", "Grey", "Blue-green", "Yellow"),
          group: "Colour"
        ),
        field("mottle_colour", "Colour of mottles", :munsell, group: "Colour"),
        field("mottle_size", "Size of mottles", :choice, words: words("Fine", "Medium", "Coarse"), group: "Colour"),
        field(
          "mottle_contrast",
          "Contrast of mottles",
          :choice,
          words: words("Faint", "Distinct", "Prominent"),
          group: "Colour"
        ),
        field(
          "colour_inherited",
          "Colour of the rock",
          :flag,
          group: "Colour",
          hint: "It is the parent material's own, not of wetness"
        ),
        field("boundary_topography", "Topography of the lower boundary", :choice, group: "Boundary", source: MANUAL,
              words: words("Smooth", "Wavy", "Irregular", "Broken")),
        field("structure_grade", "Structure", :choice, group: "Structure", source: MANUAL, words: STRUCTURE),
        field("structure_type", "Shape of peds", :choice, words: PEDS,
                                                          group: "Structure", carries: true),
        field("structure_size", "Size of peds", :choice, words: SIZE, group: "Structure"),
        field("second_structure_grade", "Second structure", :choice, group: "Structure", source: MANUAL,
              words: STRUCTURE, hint: "that the first parts to, or stands beside it"),
        field("second_structure_type", "Shape of its peds", :choice, words: PEDS, group: "Structure"),
        field("second_structure_size", "Size of its peds", :choice, words: SIZE, group: "Structure"),
        field("clay_films", "Clay films", :choice, words: AMOUNT, group: "Structure", source: MANUAL),
        field("clay_films_on", "Clay films on", :choice, group: "Structure",
              words: words("Faces of peds", "Pores", "Faces of peds and pores", "Bridges between grains")),
        field("slickensides", "Slickensides", :choice, words: AMOUNT, group: "Structure", source: MANUAL),
        field("cementation", "Cementation", :choice, group: "Structure", source: MANUAL,
              words: words("Not cemented", "Extremely weakly", "Very weakly", "Weakly", "Moderately", "Strongly",
                           "Very strongly", "Indurated")),
        field("cemented_by", "Cemented by", :choice, group: "Structure",
              words: words("Carbonates", "Gypsum", "Iron", "Silica", "Humus", "More than one")),
        field("digging", "Penetration resistance", :choice, group: "Structure",
              words: words("Loose", "Low", "Moderate", "High", "Very high")),
        field("dry_consistence", "Consistence, dry", :choice, group: "Structure", source: MANUAL,
              words: words("Loose", "Soft", "Slightly hard", "Moderately hard", "Hard", "Very hard", "Extremely hard")),
        field("moist_consistence", "Consistence, moist", :choice, group: "Structure", source: MANUAL,
              words: words("Loose", "Very friable", "Friable", "Firm", "Very firm", "Extremely firm")),
        field("stickiness", "Stickiness, wet", :choice, words: STICKY, group: "Structure"),
        field("plasticity", "Plasticity, wet", :choice, words: PLASTIC, group: "Structure"),
        field("moisture", "Moisture", :choice, words: MOISTURE, carries: true, group: "Structure"),
        field("roots", "Roots", :choice, words: AMOUNT, carries: true, group: LIFE),
        field("root_size", "Size of roots", :choice, words: ROOT_SIZE, carries: true, group: LIFE, source: MANUAL),
        field("second_roots", "Roots of a second size", :choice, words: AMOUNT, group: LIFE),
        field("second_root_size", "Second size of roots", :choice, words: ROOT_SIZE, group: LIFE, source: MANUAL),
        field(
          "earthworms",
          "Earthworms",
          :number,
          range: 0..500,
          group: LIFE,
          hint: "counted in one spadeful"
        ),
        field("pores", "Pores and channels", :text, group: LIFE),
        field("fragments_percent", "Coarse fragments", :number, **PERCENT, group: LIFE,
              hint: "by volume, above 2 mm"),
        field(
          "fragments_size",
          "Size of fragments",
          :choice,
          words: words("Gravel", "Cobbles", "Stones", "Boulders"),
          carries: true,
          group: LIFE
        ),
        field(
          "fragments_shape",
          "Shape of fragments",
          :choice,
          words: words("Rounded", "Subrounded", "Angular", "Flat"),
          carries: true,
          group: LIFE
        ),
        field("fragments_kind", "Kind of fragments", :text, carries: true, group: LIFE,
                                                            suggestions: [
                                                              "ironstone nodules",
                                                              "carbonate nodules",
                                                              "quartz",
                                                              "shale"
                                                            ]),
        field("nodules", "Nodules and concretions", :choice, group: LIFE, source: MANUAL,
              words: { "none" => "None", "few" => "Few, < 2 %", "common" => "Common, 2 to under 20 %",
                       "many" => "Many, 20 % and more" }.freeze),
        field("nodules_of", "Nodules of", :choice, group: LIFE,
              words: words("Iron and manganese", "Carbonates", "Gypsum", "Ironstone", "More than one")),
        field("ph", "pH", :number, range: Profiles::Ph::RANGE, group: "Chemistry",
                                   hint: "Several depths: take samples on the section"),
        field("ph_upper", "pH, up to", :number, range: Profiles::Ph::RANGE, group: "Chemistry",
                                                hint: "Where the colour lies between two of the card"),
        field("ph_method", "pH read by", :choice, words: PH_METHODS, group: "Chemistry"),
        field("ph_step", "Step of the card", :choice, words: PH_STEPS, group: "Chemistry"),
        field("carbonates", "Visible carbonates", :choice, group: "Chemistry", source: MANUAL,
              words: words("None", "Threads", "Soft masses", "Nodules", "Coatings", "Throughout")),
        field("slaking", "Slaking", :choice, words: SLAKING, group: "Chemistry"),
        field("dispersion", "Dispersion", :choice, words: DISPERSION, group: "Chemistry"),
        field("effervescence", "Effervescence (HCl)", :choice, group: "Chemistry", source: MANUAL,
              words: words("None", "Very slight", "Slight", "Strong", "Violent")),
        field(
          "water_repellence",
          "Water repellence",
          :choice,
          words: words("None", "Slight", "Strong"),
          group: "Chemistry"
        ),
        field("odour", "Odour", :text, group: "Chemistry", hint: "From a distance"),
        field("organic_matter", "Organic matter", :text, group: "Chemistry"),
        field(
          "discontinuity",
          "Lithologic discontinuity",
          :flag,
          group: "Notes",
          hint: "Stones, colour or grain change with it"
        ),
        field("fell_in", "Slough (fell in)", :flag, group: "Notes"),
        field("note", "Note", :text, group: "Notes", **NOTE)
      )

      # A piece of soil that something was done to.
      SAMPLE = table(
        field("moist_colour", "Colour, moist", :munsell, hint: "Munsell, such as 10YR 4/3"),
        field("odour", "Odour", :text, hint: "From a distance"),
        field("organic_matter", "Organic matter", :text),
        field("fragments_percent", "Coarse fragments", :number, **PERCENT, hint: "by volume, above 2 mm"),
        field("latitude", "Latitude", :number, range: -90..90, unit: "°"),
        field("longitude", "Longitude", :number, range: -180..180, unit: "°"),
        field("moisture", "Moisture", :choice, words: MOISTURE),
        field("condition", "Condition", :choice,
              words: { "whole" => "Whole", "smeared" => "Smeared", "fell_in" => "Slough (fell in)" }.freeze),
        field("note", "Note", :text, **NOTE)
      )
      SAMPLE_KINDS = { "palmful" => "Palmful", "crumb" => "Crumb", "clod" => "Clod", "bag" => "Bag for the laboratory",
                       "reference" => "Reference",
                       "hole" => "Test hole", "spot" => "Spot", "column" => "Column" }.freeze

      # Those that a laboratory can be sent.
      SENT_KINDS = %w[palmful clod bag reference column].freeze

      # One pull of the auger.
      INCREMENT = table(
        field("from_cm", "From", :number, range: Profiles::DepthRange::DEPTHS_CM, unit: "cm"),
        field("to_cm", "To", :number, range: Profiles::DepthRange::DEPTHS_CM, unit: "cm"),
        field("lost_cm", "Lost", :number, range: Profiles::DepthRange::DEPTHS_CM, unit: "cm"),
        field("condition", "Condition", :choice, words: SAMPLE["condition"].words)
      )

      ALL = {
        "site" => SITE,
        "profile" => PROFILE,
        "horizon" => HORIZON,
        "sample" => SAMPLE,
        "increment" => INCREMENT
      }.freeze

      module_function

      # @param kind [String] one of ALL
      # @param input [Hash{String=>Object}] as typed
      # @return [Hash{String=>Object}] as kept; nil where something is taken back
      # @raise [InvalidInput] with every bad field
      def read(kind, input)
        problems = []
        read = input.to_h do |name, value|
          field =
            ALL[kind][name] ||
            raise(InvalidInput, [Problem.new(pointer: "/#{name}", sentence: "A #{kind} has no “#{name}”.")])
          [name, field.read(value)]
        rescue InvalidInput => e
          problems.concat(e.problems)
          [name, nil]
        end
        raise InvalidInput, problems unless problems.empty?

        read
      end
    end
  end
end
