# frozen_string_literal: true

# What a verdict at the bench needs, and no more: the first script of the page.

require_relative "version"
require_relative "errors"

# Numbers as data, each with its unit and source
require_relative "quantities/figures"
require_relative "data/ribbons"
require_relative "data/keys"
require_relative "data/names"
require_relative "data/evidence"
require_relative "data/consequences"
require_relative "data/practice"

# Quantities
require_relative "quantities/units"
require_relative "quantities/spoken"
require_relative "quantities/percents"
require_relative "quantities/student_t"
require_relative "quantities/composition"
require_relative "quantities/silt_limit"

# Texture triangles, one file a system
require_relative "triangles/triangle"
require_relative "triangles/usda"
require_relative "triangles/canada"
require_relative "triangles/fao_wrb"
require_relative "triangles/uk"
require_relative "triangles/all"

# What a hand does and finds
require_relative "tests/vocabulary"
require_relative "tests/cautions"
require_relative "tests/catalogue"
require_relative "tests/steps"
require_relative "ribbons/pushed_ribbon"
require_relative "ribbons/ribbon_set"
require_relative "tests/observations"
require_relative "tests/facts"
require_relative "tests/moisture_loop"

require_relative "tests/halving"
require_relative "ribbons/curves"
require_relative "names/full_name"

# Keys, one file a printed key
require_relative "keys/cell"
require_relative "keys/page"
require_relative "data/field_grades"
require_relative "data/sand_first"
require_relative "keys/result"
require_relative "keys/limit_sets"
require_relative "keys/tiers"
require_relative "keys/ribbon_notes"
require_relative "keys/advice"
require_relative "keys/ribbon_and_rub"
require_relative "keys/opening"
require_relative "keys/table_key"
require_relative "keys/field_grades"
require_relative "keys/sand_first"
require_relative "keys/rolling"
require_relative "keys/texture_groups"
require_relative "keys/length_alone"
require_relative "keys/two_numbers"
require_relative "keys/all"

# Names, the class that was given, and the method it is given by
require_relative "names/region"
require_relative "names/names"
require_relative "names/named_class"
require_relative "names/written"
require_relative "names/offers"
require_relative "methods/field_method"

require_relative "tests/contradictions"
require_relative "tests/rules_of_thumb"
require_relative "tests/reworking"

# The second opinion: one estimate from everything the hand felt
require_relative "evidence/axis"
require_relative "evidence/grid"
require_relative "evidence/hand"
require_relative "evidence/model"
require_relative "evidence/tables"
require_relative "evidence/observed_likelihoods"
require_relative "evidence/posterior"
require_relative "evidence/margins"
require_relative "evidence/estimate"
require_relative "evidence/next_tests"
require_relative "evidence/beside_key"

# Whether it matters that the class may be another
require_relative "consequences/soil_water"
require_relative "consequences/erodibility"
require_relative "consequences/store"
require_relative "consequences/cells"
require_relative "consequences/catalogue"
require_relative "consequences/one_class_off"

require_relative "assessment"
require_relative "record/verdict"
require_relative "record/record"
require_relative "practice/own_curve"
require_relative "practice/own_hand"
require_relative "front_door"
