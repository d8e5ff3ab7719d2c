# frozen_string_literal: true

require "digest"

# The core's words, limits and classes for the page. The same for everybody, so made once.
module CatalogueSerializer
  # mm that a ribbon's thickness is counted from, once somebody counts: what most teach for the flow key [common
  # practice].
  THICKNESS_FROM_MM = 3

  module_function

  def call = @call ||= build.freeze

  # @return [String] another for another catalogue: the rules version, and a digest of the words
  def version = @version ||= "#{Grittle::RULES_VERSION}-#{Digest::SHA256.hexdigest(JSON.generate(call))[0, 8]}"

  def build
    {
      rules_version: Grittle::RULES_VERSION,
      tests: Grittle::Tests::Catalogue::TESTS.map { |name, test| test(name, test) },
      moisture: test("moisture", Grittle::Tests::Catalogue::MOISTURE),
      cautions: Grittle::Tests::CAUTIONS,
      names: names,
      method: Grittle::FieldMethod.form,
      keys: keys,
      limit_sets: limit_sets,
      systems: choices(Grittle::TRIANGLES.transform_values(&:name)),
      silt_limits: choices(Grittle::SiltLimit::MEASURED.to_h { |limit, whose| [limit.to_s, "#{limit} µm, #{whose}"] }),
      curves: choices(Grittle::Curves::ALL.to_h { |curve| [curve.id, curve.name] }),
      units:
        Grittle::Units::LENGTHS.map { |unit, facts| { value: unit, mm: facts[:mm].to_f, decimals: facts[:decimals] } },
      exposures: choices(Grittle::Profiles::EXPOSURES),
      landforms: choices(Grittle::Profiles::LANDFORMS),
      grain_sizes:
        Grittle::Tests::Catalogue::GRAIN_SIZES_MM.map { |name, (from, to)| { name: name, from_mm: from, to_mm: to } },
      boundaries: boundaries,
      **descriptions,
      halving: halving([]),
      depth_units: depth_units,
      practice: practice,
      side_by_side: { fewest: Grittle::SideBySide::FEWEST, most: Grittle::SideBySide::MOST },
      munsell: Grittle::Profiles::Munsell.pages,
      designations: Grittle::Profiles::DESIGNATIONS,
      thickness_mm: THICKNESS_FROM_MM,
      length_mm: Grittle::PushedRibbon::LENGTH_MM.minmax,
      thickness_range_mm: Grittle::PushedRibbon::THICKNESS_MM.minmax
    }
  end

  # @return [Hash] of sets and sessions
  def practice
    schemes = Grittle::Practice::Credits::NAMES.map do |value, name|
      { value: value, name: name, numbers: Grittle::Practice::Credits::NUMBERS.include?(value) }
    end
    usda = Grittle::Triangles::USDA.classes.values.map { |one| { value: one.code, name: one.name } }
    { kinds: choices(PracticeSession::KINDS.except("simulated")), schemes: schemes, classes: usda,
      truth_by: choices(ReferenceSet::TRUTH_BY), forgotten_days: Grittle::Practice::FIGURES["forgotten_days"],
      good_set: Grittle::Practice::Scores.good_set, elsewhere: Grittle::Practice::Scores.elsewhere,
      kappa_least: Grittle::Practice::FIGURES["kappa_least"] }
  end

  # Units that a device shows depths in, with cm in one.
  def depth_units
    { "cm" => "cm", "in" => "inches" }.map do |unit, name|
      { value: unit, name: name, cm: Grittle::Entry::Columns::DEPTH_UNITS.fetch(unit).to_f }
    end
  end

  # Every way of halving, so that the page asks without the server.
  # @return [Hash] how far the share of sand is narrowed after the answers, and what each answer leads to
  def halving(answers)
    now = Grittle::Halving.new(answers)
    following = Grittle::Halving::ANSWERS.to_h { |answer| [answer, halving([*answers, answer])] } unless now.done?
    { low: now.low, high: now.high, middle: now.middle, done: now.done?, estimate: now.estimate, following: following }
  end

  def test(name, test)
    answers = test[:answers].map { |value, (word, hint)| { value: value, name: word, hint: hint } }
    {
      name: name,
      short: test[:short] || name,
      ask: test[:ask],
      how: test[:how],
      answers: answers,
      caution: test[:caution],
      control: test[:control] || "choice",
      seconds: test[:seconds],
      group: test[:group]
    }
  end

  # @return [Hash] what is written down beside names and depths, and how a photographed ribbon is marked
  def descriptions
    {
      fields: Grittle::Entry::Fields::ALL.transform_values { |fields| fields.values.map(&:to_h) },
      sample_kinds: choices(Grittle::Entry::Fields::SAMPLE_KINDS),
      laboratory: {
        methods: choices(Grittle::Practice::LaboratoryResult::METHODS), ways: choices(Submission::WAYS),
        from: choices(Routes::Interpretation::FROM),
        silt_limit: Grittle::Practice::LaboratoryResult::USUAL_LIMIT.to_s
      },
      companion_kinds: CompanionSerializer.kinds,
      companion_tests: Grittle::Profiles::Findings::TESTS.map do |name, test|
        {
          name: name,
          title: test[:name],
          how: test[:how],
          caution: test[:caution],
          fields: test[:fields].values.map(&:to_h),
          shared: test[:fields].keys & Grittle::Profiles::Findings::SHARED
        }
      end,
      ruler_plane: Grittle::RibbonOnPhoto::PLANE, click_px: Grittle::RibbonOnPhoto::CLICK_PX
    }
  end

  # @return [Hash] the words for a boundary, by the system of a profile's names
  def boundaries
    (Grittle::Names.systems - [Grittle::Names::ORGANIC_SYSTEM]).to_h do |system|
      [system, Grittle::Profiles::Boundaries.words(system).map do |word, (name, from, to)|
        { value: word, name: name, hint: to ? "#{from} to #{to} cm" : "#{from} cm and more" }
      end]
    end
  end

  # Every name that there is, with the part of the triangle it stands for.
  # @return [Array<Hash>] schema Naming
  def names
    Grittle::Names.all.map do |name|
      named = Grittle::NamedClass.new(system: name.system, code: name.code)
      {
        system: name.system,
        code: name.code,
        name: name.name,
        kind: name.kind.to_s,
        regions: named.polygons,
        middle: named.middle&.to_h,
        clay: name.kind == :grade ? name.clay : nil,
        hint: Grittle::Names::ORGANIC_HINTS[name.code]
      }
    end
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
    Grittle.keys.map do |key|
      { id: key::ID, name: key::NAME, system: key::SYSTEM, source: key::SOURCE, asks: key::ASKS, codes: codes(key),
        working_minutes: constant(key, :WORKING_MINUTES)&.minmax, thickness_mm: constant(key, :THICKNESS_MM)&.minmax,
        width_mm: constant(key, :WIDTH_MM), steps: Grittle::Tests::Steps.of(key::ID) }
    end
  end

  def constant(key, name) = key.const_defined?(name) ? key.const_get(name) : nil

  # What may be assigned by a key, by the system its names are of.
  def codes(key)
    systems = Grittle::FieldMethod::PARTS[:system]
    (systems.of?(key::ID) ? systems.choices.keys : [key::SYSTEM]).to_h { |system| [system, key.codes(system)] }
  end

  def limit_sets
    Grittle::Keys::LimitSets::ALL.map { |name, set| { value: name, **set.slice(:name, :source, :unit, :rub_words) } }
  end

  def choices(table) = table.map { |value, name| { value: value, name: name } }
end
