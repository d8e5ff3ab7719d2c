# frozen_string_literal: true

# Grittle's core: the rules of hand-texturing soil and all their computation. Plain Ruby, no gem, no standard
# library, no clock, no files. The front door is at the end of this file.

require_relative "grittle/version"
require_relative "grittle/errors"

# Quantities
require_relative "grittle/units"
require_relative "grittle/student_t"
require_relative "grittle/composition"

# Texture triangles, one file a system
require_relative "grittle/triangle"
require_relative "grittle/triangles/usda"

# What a hand does and finds
require_relative "grittle/tests/vocabulary"
require_relative "grittle/tests/cautions"
require_relative "grittle/tests/catalogue"
require_relative "grittle/ribbon"
require_relative "grittle/ribbon_set"
require_relative "grittle/observations"
require_relative "grittle/facts"
require_relative "grittle/moisture_loop"

# Keys, one file a printed key
require_relative "grittle/keys/result"
require_relative "grittle/keys/limit_sets"
require_relative "grittle/keys/tiers"
require_relative "grittle/keys/ribbon_notes"
require_relative "grittle/keys/ribbon_and_rub"
require_relative "grittle/keys"

# The profile
require_relative "grittle/profile/vocabulary"
require_relative "grittle/profile/depth_range"
require_relative "grittle/profile/horizon_sequence"

require_relative "grittle/assessment"

# The entry points that everything outside the core goes through.
module Grittle
  TRIANGLES = { "usda" => Triangles::USDA }.freeze

  # @param system [String] a name of TRIANGLES
  # @return [Triangle]
  # @raise [UnknownName] when there is no such system
  def self.triangle(system)
    TRIANGLES.fetch(system.to_s) { raise UnknownName.new("system", system, TRIANGLES.keys) }
  end

  # Classifies one composition.
  # @param sand, silt, clay [Numeric, nil] percent of the fine earth; two of the three suffice
  # @return [TextureClass]
  # @raise [InvalidComposition, UnknownName]
  def self.classify(sand: nil, silt: nil, clay: nil, system: "usda")
    triangle(system).classify(Composition.new(sand: sand, silt: silt, clay: clay))
  end

  # Everything the core makes of a set of observations.
  # @param observations [Hash] names and values as in Tests::VOCABULARY
  # @param options [Hash] see {Assessment#initialize}
  # @return [Assessment]
  # @raise [InvalidObservations, UnknownName]
  def self.assess(observations, **options) = Assessment.new(Observations.new(observations), **options)

  # @return [Array<Module>] the keys, each with ID, NAME, SYSTEM, SOURCE
  def self.keys = Keys::ALL
end
