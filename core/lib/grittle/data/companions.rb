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
      "look_within" => [0.2, "of its time", "our own", "that a look counts for it"],
      "reminder_min" => [{ 60 => 10, 0 => 1 }, "min before; by minutes since the look before", "common practice",
                         "a minute, ten where it is hours away"],
      "crumb_looks" => [[5, 10, 120, 1200], "min", "from memory", "Emerson 1967; AS 1289.3.8.1"],
      "column_looks" => [[1, 2, 5, 10, 30, 60], "min", "common practice", "as a class of pupils reads them"],
      "kit_min" => [2, "min", "common practice", "until the card of a pH kit is read, where the kit says nothing"],
      "fizz_min" => [1, "min", "common practice", "that a drop of acid is watched"],
      "jar_looks" => [[24, 48], "h", "common practice", "at which clay is read"],
      "jar_apart" => [10, "points", "our own", "within which jar and hand agree"],
      "silt_in_sand" => [((1 - ((2.0 / 50)**2)) / 2 / Math.log(25)).round(2), "of the silt", "published",
                         "physics: a log-even silt that has begun to settle when the last sand lands"],
      "sides_apart" => [2, "mm", "common practice", "that the layers of one jar may differ from side to side"],
      "rod_dry_h" => [48, "h", "from memory", "Schafer & Singer 1976: dried at air"],
      "soak_min" => [{ "four_hours" => 240, "overnight" => 720, "sand" => 0 }, "min", "from memory",
                     "#{service}; a filling that sand takes at once needs no more"],
      "drop_min" => [{ "long" => 30, "short" => 10 }, "min", "from memory", service],
      "drops_for_min" => [{ "long" => 240, "short" => 60 }, "min", "from memory", service],
      "fill_mm" => [150, "mm", "from memory", "water over the gravel: #{service}"],
      "same_level_mm" => [5, "mm", "our own", "within which two readings began at one level"],
      "holes" => [3, "holes", "from memory", service],
      "holes_apart" => [5, "times", "our own", "slowest to fastest, over which no mean is told"],
      "probe_mpa" => [{ "free" => 1, "slowed" => 2, "stopped" => nil }, "MPa, under", "from memory",
                      "Taylor et al. 1966"],
      "pan_less" => [1, "MPa", "our own", "that the ground under a pan gives way sooner"],
      "pushes" => [5, "pushes", "common practice", "at a spot"],
      "ph_step" => [1, "pH", "common practice", "a change down the profile worth a word"],
      "ph_limits" => [[5.5, 6.0, 7.5, 8.5], "pH", "common practice",
                      "too acid for many under the first, suits most within the next two, crumb test over the last"],
      "mm_per_inch" => [25.4, "mm", "published", "international inch, 1959"]
    )
  end
end
