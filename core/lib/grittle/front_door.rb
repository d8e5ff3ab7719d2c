# frozen_string_literal: true

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
