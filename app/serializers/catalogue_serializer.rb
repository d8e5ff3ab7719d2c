# frozen_string_literal: true

# The core's words, limits and classes for the page. The same for everybody, so made once.
module CatalogueSerializer
  # mm a ribbon's thickness starts from: what most teach for the flow key [common practice].
  USUAL_THICKNESS_MM = 3

  module_function

  def call = @call ||= build.freeze

  def build
    {
      rules_version: Grittle::RULES_VERSION, steps: Grittle::Tests::Catalogue::STEPS,
      tests: Grittle::Tests::Catalogue::TESTS.map { |name, test| test(name, test) },
      moisture: test("moisture", Grittle::Tests::Catalogue::MOISTURE), cautions: Grittle::Tests::CAUTIONS,
      classes: classes, keys: keys, limit_sets: limit_sets,
      ribbon_counts_from: choices(Grittle::Keys::LimitSets::COUNTS_FROM.transform_values { |rule| rule[:name] }),
      units: Grittle::Units::LENGTHS.map { |unit, facts| { value: unit, mm: facts[:mm].to_f, decimals: facts[:decimals] } },
      exposures: choices(Grittle::Profile::EXPOSURES), landforms: choices(Grittle::Profile::LANDFORMS),
      designations: Grittle::Profile::DESIGNATIONS, thickness_mm: USUAL_THICKNESS_MM,
      length_mm: Grittle::Ribbon::LENGTH_MM.minmax, thickness_range_mm: Grittle::Ribbon::THICKNESS_MM.minmax
    }
  end

  def test(name, test)
    answers = test[:answers].map { |value, (word, hint)| { value: value, name: word, hint: hint } }
    { name: name, ask: test[:ask], how: test[:how], answers: answers, caution: test[:caution] }
  end

  # @return [Hash] every system with its classes
  def triangles
    @triangles ||= { triangles: Grittle::TRIANGLES.values.map do |triangle|
      { system: triangle.id, name: triangle.name, source: triangle.source, silt_limit: triangle.silt_limit,
        provisional: triangle.provisional?, classes: classes(triangle) }
    end }.freeze
  end

  def classes(triangle = Grittle::Triangles::USDA)
    triangle.classes.values.map do |texture_class|
      { code: texture_class.code, name: texture_class.name, group: texture_class.group, polygon: texture_class.polygon,
        middle: texture_class.middle.to_h, neighbours: triangle.neighbours(texture_class.code) }
    end
  end

  def keys
    Grittle.keys.map { |key| { id: key::ID, name: key::NAME, system: key::SYSTEM, source: key::SOURCE } }
  end

  def limit_sets
    Grittle::Keys::LimitSets::ALL.map { |name, set| { value: name, **set.slice(:name, :source, :unit, :rub_words) } }
  end

  def choices(table) = table.map { |value, name| { value: value, name: name } }
end
