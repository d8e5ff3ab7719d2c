# frozen_string_literal: true

# Grittle's core: the rules of hand-texturing soil and all their computation. Plain Ruby, no gem, no standard
# library, no clock, no files. The front door is at the end of this file.

require_relative "grittle/version"
require_relative "grittle/errors"

# Numbers as data, each with its unit and source
require_relative "grittle/quantities/figures"
require_relative "grittle/data/ribbons"
require_relative "grittle/data/keys"
require_relative "grittle/data/names"
require_relative "grittle/data/profile"
require_relative "grittle/data/evidence"
require_relative "grittle/data/consequences"
require_relative "grittle/data/companions"
require_relative "grittle/data/practice"

# Quantities
require_relative "grittle/quantities/units"
require_relative "grittle/quantities/spoken"
require_relative "grittle/quantities/percents"
require_relative "grittle/quantities/student_t"
require_relative "grittle/quantities/composition"
require_relative "grittle/quantities/silt_limit"

# Texture triangles, one file a system
require_relative "grittle/triangles/triangle"
require_relative "grittle/triangles/usda"
require_relative "grittle/triangles/canada"
require_relative "grittle/triangles/fao_wrb"
require_relative "grittle/triangles/uk"
require_relative "grittle/triangles/all"

# What a hand does and finds
require_relative "grittle/tests/vocabulary"
require_relative "grittle/tests/cautions"
require_relative "grittle/tests/catalogue"
require_relative "grittle/tests/steps"
require_relative "grittle/ribbons/pushed_ribbon"
require_relative "grittle/ribbons/ribbon_set"
require_relative "grittle/ribbons/ribbon_on_photo"
require_relative "grittle/tests/observations"
require_relative "grittle/tests/facts"
require_relative "grittle/tests/moisture_loop"

require_relative "grittle/tests/halving"
require_relative "grittle/ribbons/curves"
require_relative "grittle/names/full_name"

# Keys, one file a printed key
require_relative "grittle/keys/cell"
require_relative "grittle/keys/page"
require_relative "grittle/data/field_grades"
require_relative "grittle/data/sand_first"
require_relative "grittle/keys/result"
require_relative "grittle/keys/limit_sets"
require_relative "grittle/keys/tiers"
require_relative "grittle/keys/ribbon_notes"
require_relative "grittle/keys/advice"
require_relative "grittle/keys/ribbon_and_rub"
require_relative "grittle/keys/opening"
require_relative "grittle/keys/table_key"
require_relative "grittle/keys/field_grades"
require_relative "grittle/keys/sand_first"
require_relative "grittle/keys/rolling"
require_relative "grittle/keys/texture_groups"
require_relative "grittle/keys/length_alone"
require_relative "grittle/keys/two_numbers"
require_relative "grittle/keys/all"

# Names, the class that was given, and the method it is given by
require_relative "grittle/names/region"
require_relative "grittle/names/names"
require_relative "grittle/names/named_class"
require_relative "grittle/names/written"
require_relative "grittle/names/offers"
require_relative "grittle/methods/field_method"

require_relative "grittle/tests/contradictions"
require_relative "grittle/tests/rules_of_thumb"
require_relative "grittle/tests/reworking"

# The profile
require_relative "grittle/profiles/vocabulary"
require_relative "grittle/profiles/depth_range"
require_relative "grittle/profiles/horizon_sequence"
require_relative "grittle/profiles/munsell"
require_relative "grittle/profiles/boundaries"
require_relative "grittle/profiles/ph"
require_relative "grittle/profiles/crumb_test"
require_relative "grittle/entry/field"
require_relative "grittle/entry/fields"
require_relative "grittle/entry/columns"
require_relative "grittle/companions/settling"
require_relative "grittle/companions/percolation"
require_relative "grittle/companions/fields"
require_relative "grittle/profiles/findings"
require_relative "grittle/entry/utm"
require_relative "grittle/entry/position"
require_relative "grittle/entry/nmea"
require_relative "grittle/profiles/horizon_description"
require_relative "grittle/profiles/wetness"
require_relative "grittle/profiles/origin"
require_relative "grittle/profiles/form"

# The second opinion: one estimate from everything the hand felt
require_relative "grittle/evidence/axis"
require_relative "grittle/evidence/grid"
require_relative "grittle/evidence/hand"
require_relative "grittle/evidence/model"
require_relative "grittle/evidence/tables"
require_relative "grittle/evidence/observed_likelihoods"
require_relative "grittle/evidence/posterior"
require_relative "grittle/evidence/margins"
require_relative "grittle/evidence/estimate"
require_relative "grittle/evidence/next_tests"
require_relative "grittle/evidence/beside_key"
require_relative "grittle/evidence/simulator"

require_relative "grittle/profiles/clay_pair"
require_relative "grittle/profiles/contrast"
require_relative "grittle/profiles/perching"
require_relative "grittle/profiles/comparison"
require_relative "grittle/profiles/questions"

# What follows: water, figures and categories with their uncertainty; companion tests
require_relative "grittle/consequences/soil_water"
require_relative "grittle/consequences/erodibility"
require_relative "grittle/consequences/store"
require_relative "grittle/consequences/cells"
require_relative "grittle/consequences/catalogue"
require_relative "grittle/consequences/spread"
require_relative "grittle/consequences/claim"
require_relative "grittle/consequences/one_class_off"
require_relative "grittle/consequences/horizon_figures"
require_relative "grittle/consequences/layers"
require_relative "grittle/consequences/water_part"
require_relative "grittle/companions/timetable"
require_relative "grittle/companions/at_place"
require_relative "grittle/companions/jar"
require_relative "grittle/companions/hole"
require_relative "grittle/companions/crumb"
require_relative "grittle/companions/ph_at_depth"
require_relative "grittle/companions/fizz_at_depth"
require_relative "grittle/companions/probe_at_depth"
require_relative "grittle/companions/rod_at_depth"
require_relative "grittle/companions/column"
require_relative "grittle/companions/tests"
require_relative "grittle/companions/running"
require_relative "grittle/companions/hand"

require_relative "grittle/assessment"
require_relative "grittle/record/verdict"
require_relative "grittle/record/record"
require_relative "grittle/profiles/read_down"
require_relative "grittle/consequences/assessor_table"
require_relative "grittle/consequences/phrases"
require_relative "grittle/consequences/watering_plan"
require_relative "grittle/consequences/limits"
require_relative "grittle/consequences/found_tests"
require_relative "grittle/consequences/profile_group"
require_relative "grittle/consequences/interpretation"
require_relative "grittle/practice/own_curve"
require_relative "grittle/practice/calibration"
require_relative "grittle/practice/words"
require_relative "grittle/practice/hand_bias"
require_relative "grittle/practice/agreement"
require_relative "grittle/practice/credits"
require_relative "grittle/practice/miss"
require_relative "grittle/practice/next_sample"
require_relative "grittle/practice/scored"
require_relative "grittle/practice/own_hand"
require_relative "grittle/practice/session_order"
require_relative "grittle/practice/charts"
require_relative "grittle/practice/survey_map"
require_relative "grittle/practice/laboratory_row"
require_relative "grittle/practice/laboratory_result"
require_relative "grittle/practice/teacher_word"
require_relative "grittle/practice/beside_laboratory"
require_relative "grittle/practice/measured_estimate"
require_relative "grittle/practice/learnt"
require_relative "grittle/practice/taught_hand"
require_relative "grittle/side_by_side"
require_relative "grittle/compute/given"
require_relative "grittle/compute/soils"
require_relative "grittle/compute/of_texture"
require_relative "grittle/compute/of_layers"
require_relative "grittle/compute/of_hands"
require_relative "grittle/compute/calculations"

# The entry points that everything outside the core goes through.
module Grittle
  # Classifies one composition.
  # @param sand, silt, clay [Numeric, nil] percent of the fine earth; two of the three suffice
  # @return [TextureClass]
  # @raise [InvalidComposition, UnknownName]
  def self.classify(sand: nil, silt: nil, clay: nil, system: "usda")
    triangle(system).classify(Composition.new(sand: sand, silt: silt, clay: clay))
  end

  # What every system calls one composition.
  # @param composition [Composition]
  # @param silt_limit [Numeric, nil] µm between silt and sand where it was measured; systems with another limit then get
  #   an estimate of what they would have measured. nil takes the numbers as each system's own
  # @param name [Hash] sand_grade, fragments, fragment_size: see {FullName#initialize}
  # @return [Array<Hash>] one a system: "system", "code", "name", "full_name", "full_code", "group", "neighbours"
  #   (names), "distance" (percentage points to the nearest line), "near" (names of classes within 2), "composition",
  #   "estimate"
  # @raise [UnknownName]
  def self.compare(composition, silt_limit: nil, **name)
    TRIANGLES.values.map do |triangle|
      estimate = !silt_limit.nil? && silt_limit != triangle.silt_limit
      here = estimate ? SiltLimit.convert(composition, from: silt_limit, to: triangle.silt_limit) : composition
      found = triangle.classify(here)
      full = FullName.new(found, **name)
      {
        "system" => triangle.id,
        "code" => found.code,
        "name" => found.name,
        "full_name" => full.to_s,
        "full_code" => full.code,
        "group" => full.group,
        "neighbours" => triangle.neighbours(found.code).map { |code| triangle[code].name },
        "distance" => triangle.distance_to_boundary(here).round(1),
        "near" => triangle.near(here).map(&:name),
        "composition" => here.to_h.transform_values { |part| part.round(1) },
        "estimate" => estimate
      }
    end
  end

  # Everything the core makes of a set of observations.
  # @param observations [Hash] names and values as in Tests::VOCABULARY
  # @param method [FieldMethod, nil] by which key, and what it leaves open; nil makes one of +parts+
  # @param evidence_system, evidence, model, hand see {Assessment#initialize}
  # @param parts [Hash] parts of a method: see {FieldMethod}
  # @return [Assessment]
  # @raise [InvalidObservations, UnknownName]
  def self.assess(observations, method: nil, evidence_system: nil, evidence: "full", model: Evidence::STANDARD,
                  hand: nil, **parts)
    Assessment.new(
      Observations.new(observations),
      method: method || FieldMethod.new(**parts),
      evidence_system: evidence_system,
      evidence: evidence,
      model: model,
      hand: hand
    )
  end

  # What a described profile means for water, roots and work.
  # @param profile [Hash{String=>Object}] see {Consequences::Interpretation}
  # @param estimates [#call, nil] see {Consequences::Interpretation#initialize}
  # @return [Hash{String=>Object}]
  # @raise [InvalidInput]
  def self.interpret(profile, estimates: nil) = Consequences::Interpretation.new(profile, estimates: estimates).to_h

  # What a companion test comes to and what it asks for next.
  # @param document [Hash{String=>Object}] see {Companions::Running}
  # @return [Hash{String=>Object}]
  # @raise [UnknownName, InvalidInput]
  def self.companion_test(document) = Companions::Running.new(document).to_h

  # Everything that follows from a described profile.
  # @param profile [Hash{String=>Object}] see {Profiles::ReadDown}
  # @return [Hash{String=>Object}]
  # @raise [InvalidInput]
  def self.read_down(profile) = Profiles::ReadDown.new(profile).to_h

  # What differs between two described profiles, depth by depth.
  # @param profiles [Array<Hash>] two, as for {read_down}
  # @return [Array<Hash>] "upper_cm", "lower_cm" and "sentence"
  # @raise [InvalidInput]
  def self.beside(*profiles)
    Profiles::Comparison.new(*profiles.map { |profile| Profiles::ReadDown.new(profile).for_comparison }).differences
  end

  # Up to six readings from anywhere, side by side.
  # @param items [Array<Hash>] "name", "observations", "method" (FieldMethod), "named" (NamedClass or nil)
  # @return [Hash{String=>Object}] see {SideBySide#to_h}
  # @raise [InvalidInput]
  def self.side_by_side(items)
    made = items.map do |item|
      assessment = assess(item["observations"], method: item["method"])
      SideBySide::Item.new(name: item["name"], assessment: assessment, named: item["named"])
    end
    SideBySide.new(made).to_h
  end

  # @return [Array<Module>] the keys, each with ID, NAME, SYSTEM, SOURCE
  def self.keys = Keys::ALL
end
