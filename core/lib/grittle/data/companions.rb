# frozen_string_literal: true

module Grittle
  # Numbers as data.
  module Data
    service = "US Public Health Service 1967"

    COMPANIONS = Figures.new(
      "Companion tests",
      "grain_density" => [2650, "kg/m³", "published", "quartz"],
      "water_density" => [998, "kg/m³", "published", "at 20 °C"],
      "gravity" => [9.81, "m/s²", "published", "standard acceleration, rounded"],
      "viscosity" => [[2.414e-5, 247.8, 133.15], "Pa·s; with °C", "from memory", "Vogel's equation for water"],
      "silt_from" => [2, "µm", "published", "clay under it: USDA and most systems"],
      "sand_from" => [50, "µm", "published", "USDA"],
      "kitchen_min" => [120, "min", "common practice", "at which silt is said to have settled"],
      "steady_readings" => [3, "readings", "from memory", "that agree: #{service}; local code decides"],
      "steady_part" => [0.10, "of their mean", "our own", "that they may lie apart"],
      "steady_mm" => [2.0, "mm", "our own", "that they may lie apart at least"],
      "rod" => [{ "low" => 0.03, "moderate" => 0.06, "high" => 0.09, "very high" => nil }, "of the dry length",
                "from memory", "Schafer & Singer 1976"],
      "mm_per_inch" => [25.4, "mm", "published", "international inch, 1959"]
    )
  end
end
