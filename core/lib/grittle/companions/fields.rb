# frozen_string_literal: true

module Grittle
  module Companions
    # What is written down at companion tests that take time: set up once a place, and at every look. The words of what
    # spoils a reading stand beside what it does to it. [common practice]
    module Fields
      FIELD = Entry::Field
      MINUTES = FIELD.new("minutes", "Looked at after", :number, range: 0..20_160, unit: "min")
      TEMPERATURE = FIELD.new("temperature_c", "Water temperature", :number, range: 0..45, unit: "°C")

      def self.number(name, label, range, unit, **more)
        FIELD.new(name, label, :number, range: range, unit: unit, **more)
      end

      def self.flag(name, label, **more) = FIELD.new(name, label, :flag, **more)
      def self.table(*fields) = fields.to_h { |field| [field.name, field] }.freeze
      private_class_method :number, :flag, :table

      SOAKS = { "four_hours" => "4 hours", "overnight" => "Overnight", "sand" => "One filling, sand" }.freeze

      JAR = table(
        number("water_mm", "Water above the bottom", 40..600, "mm", hint: "Outside, from the bottom to the surface"),
        TEMPERATURE,
        flag("dispersant", "With dispersant"),
        number("sand_mm", "Sand layer", 0..400, "mm"),
        number("silt_mm", "Silt layer", 0..400, "mm"),
        number("clay_mm", "Clay layer", 0..400, "mm"),
        flag("cloudy", "Water still cloudy"),
        MINUTES,
        flag("moved", "The jar was moved"),
        flag("sides_differ", "Its sides differ"),
        flag("dark_fluff", "Dark fluff on top"),
        flag("gravel", "Gravel in it"),
        flag("lumps", "Lumps in it")
      )
      PERCOLATION = table(
        number("radius_mm", "Radius of the hole", 50..150, "mm"),
        FIELD.new("soak", "Soaked", :choice, words: SOAKS),
        flag("gravel", "Gravel on the bottom"),
        TEMPERATURE,
        number("water_mm", "Water left", 0..1000, "mm"),
        flag("refilled", "Filled up again"),
        number("from_mm", "Filled to", 20..1000, "mm"),
        MINUTES,
        flag("water_before", "Water stood in it before"),
        flag("frozen", "The ground is frozen"),
        flag("rain", "It rained in"),
        flag("caved", "The wall caved in"),
        flag("muddy", "Muddy water flows in"),
        flag("burrow", "A burrow or root channel")
      )
      PROBE = table(
        number("mpa", "Resistance", 0..15, "MPa"),
        number("push", "Push", 1..20, nil),
        flag("dry", "The ground is dry"),
        flag("stone", "It hit a stone"),
        MINUTES
      )
      ROD = table(
        number("wet_mm", "Length, wet", 5..500, "mm"),
        number("dry_mm", "Length, dry", 5..500, "mm"),
        flag("broke", "It broke or bent"),
        MINUTES
      )
      COLUMNS = table(
        number("front_mm", "Wetting front", 0..2000, "mm", hint: "From the surface of the soil down"),
        number("pond_mm", "Water standing on it", 0..500, "mm"),
        number("water_ml", "Water poured on", 1..5000, "ml"),
        number("boundary_mm", "Next layer begins at", 1..2000, "mm", hint: "Only where layers are stacked"),
        MINUTES,
        flag("wall_flow", "Water ran down the wall")
      )
    end
  end
end
