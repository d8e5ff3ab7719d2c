# frozen_string_literal: true

# A database of its own, filled with as many sites as wanted, for the benches that ask what size costs. Rows are written
# past the models, with those columns that the schema has, so that an earlier commit can be measured with the same
# script.

require_relative "../bin/support/maria_db"

# Invented: sites of four profiles with five horizons, each textured and classed, but for one open profile at the end of
# each site.
module Filled
  PROFILES = 4
  HORIZONS = 5
  PER_SITE = PROFILES * HORIZONS
  # Sites that are written at once.
  BATCH = 250
  BEGAN = Time.utc(1990, 3, 1)
  CLASSES = %w[SL L SIL CL C SCL SICL LS].freeze
  PLACES = %w[Alder Birch Clover Dock Elder Fern Gorse Hazel Iris Juniper].freeze
  METHOD = {
    key: "ribbon_and_rub",
    limit_set: "metric",
    ribbon_counts_from: "any_length",
    unit: "mm",
    system: "usda",
    curve: "consensus",
    older_grades: false
  }.freeze

  module_function

  # Connects to an empty database that goes when this process ends.
  def connect
    database = MariaDb.new("bench_#{File.basename($PROGRAM_NAME, '.rb')}", fleeting: true, large: true).start
    ENV["DATABASE_URL"] = database.url
    at_exit { database.stop }
    require_relative "../app/api"
    Database.connect
    Database.migrate
  end

  # Adds sites until there are so many horizons.
  # @param count [Integer]
  def horizons(count)
    made = Site.maximum(:id).to_i
    ((made + 1)..(count / PER_SITE)).each_slice(BATCH) { |ids| ActiveRecord::Base.transaction { sites(ids) } }
    %w[sites profiles horizons samples readings answers ribbons assignments search_terms].each do |table|
      next unless ActiveRecord::Base.connection.table_exists?(table)

      ActiveRecord::Base.connection.execute(
        "ANALYZE TABLE #{table}"
      )
    end
  end

  def sites(ids)
    insert(
      Site,
      ids.map do |id|
        { id: id, fieldbook_id: 1, place: id, name: site_name(id),
note: "Pasture above the #{PLACES[id % 7].downcase}s" }
      end
    )
    numbered = ids.flat_map { |id| Array.new(PROFILES) { |place| [((id - 1) * PROFILES) + place + 1, id, place] } }
    insert(Profile, numbered.map { |id, site, place| profile(id, site, place) })
    layers =
      numbered.flat_map do |id, _, place|
        Array.new(HORIZONS) { |layer| [((id - 1) * HORIZONS) + layer + 1, id, place, layer] }
      end
    textured(layers)
    found_by(ids) if defined?(SearchTerm)
  end

  # Each by the model's own rule.
  def found_by(ids)
    Site.where(id: ids).each(&:refresh)
    Profile.where(site_id: ids).preload(:textured_by, horizons: :readings).each(&:keep_terms)
  end

  # Horizon, sample and reading have one number.
  def textured(layers)
    insert(Horizon, layers.map { |id, profile, place, layer| horizon(id, profile, layer, open: open?(place, layer)) })
    insert(Sample, layers.map { |id, *| { id: id, fieldbook_id: 1, horizon_id: id, kind: "palmful" } })
    done = layers.reject { |_, _, place, layer| open?(place, layer) }.map(&:first)
    insert(Reading, done.map { |id| reading(id) })
    Horizon.where(id: done).update_all("speaks_id = id") if Horizon.column_names.include?("speaks_id")
    insert(Answer, done.flat_map { |id| [answer(id, "ball_holds", true), answer(id, "wet_rub", "neither")] })
    insert(Ribbon, done.flat_map { |id| [41, 44].map { |mm| ribbon(id, mm) } })
    insert(Assignment, done.map { |id| assignment(id) })
  end

  def open?(place, layer) = place == PROFILES - 1 && layer == HORIZONS - 1
  def site_name(id) = "#{PLACES[id % 10]} #{id}"
  def code(id) = CLASSES[id % CLASSES.size]
  # Each site has a day of its own.
  def day(id) = BEGAN + (id / PER_SITE * 86_400)

  def profile(id, site, place)
    {
      id: id,
      site_id: site,
      name: "Pit #{id}",
      kind: "pit",
      open: place == PROFILES - 1,
      touched_at: day(id * HORIZONS),
      **METHOD
    }
  end

  def horizon(id, profile, layer, open:)
    named = { "key" => METHOD[:key], "system" => "usda", "code" => code(id) }
    {
      id: id,
      profile_id: profile,
      designation: %w[Ap E Bt BC C][layer],
      upper_cm: layer * 20,
      lower_cm: (layer + 1) * 20,
      named: open ? nil : named,
      class_system: open ? nil : "usda",
      class_code: open ? nil : code(id)
    }
  end

  def reading(id)
    {
      id: id,
      sample_id: id,
      rules_version: "bench",
      step: "ribbon",
      started_at: day(id),
      updated_at: day(id),
      created_at: day(id),
      classed: true,
      **METHOD
    }
  end

  def answer(reading, name, value) = { reading_id: reading, observation: name, value: value, given_at: day(reading) }

  def ribbon(reading, length)
    {
      reading_id: reading,
      length_mm: length,
      entered_length: length,
      entered_unit: "mm",
      ended: "broke",
      made_at: day(reading),
      entered_at: day(reading)
    }
  end

  def assignment(reading)
    { reading_id: reading, key: METHOD[:key], system: "usda", code: code(reading), override: true, reason: "bench",
      rules_version: "bench", result: { key: METHOD[:key], system: "usda", outcomes: [] }, assigned_at: day(reading) }
  end

  def insert(model, rows)
    stamps = { created_at: BEGAN, updated_at: BEGAN }
    known = model.column_names.map(&:to_sym)
    rows.each_slice(2000) { |some| model.insert_all!(some.map { |row| stamps.merge(row).slice(*known) }) }
  end
end
