# frozen_string_literal: true

require "digest"

# A fieldbook as a device keeps it: rows of what a pit needs, without the bin and without sessions, whose truth is
# nobody's to see.
class Mirror
  # Profiles that a device keeps at most: those that were worked on last. [our own]
  MOST = 300

  # @param fieldbook [Fieldbook]
  # @param profile [Profile, nil] whose rows alone are asked for
  # @param reading [Reading, nil] of no profile, whose rows alone are asked for
  def initialize(fieldbook, profile: nil, reading: nil)
    @fieldbook = fieldbook
    @profile = profile
    @reading = reading
  end

  # @param have [String, nil] the stamp of what a device has
  # @return [Hash] of each table the columns, and the rows as lists in the order of the columns; its stamp alone where
  #   nothing has changed since
  def to_h(have = nil)
    tables = rows
    stamp = stamp(tables)
    return { stamp: stamp, unchanged: true } if have == stamp

    { stamp: stamp, columns: tables.transform_values { |found| columns(found.klass) },
      rows: tables.transform_values { |found| packed(found) },
      profiles: @profiles.size, left_out: part? ? 0 : @fieldbook.profiles.count - @profiles.size }
  end

  private

  def part? = !(@profile || @reading).nil?

  # @return [Hash{String=>ActiveRecord::Relation}]
  def rows
    @profiles = part? ? [@profile&.id].compact : @fieldbook.profiles.order(touched_at: :desc).limit(MOST).ids
    horizons = Horizon.kept.where(profile_id: @profiles)
    samples = standing_samples(horizons)
    { **of_book, "profiles" => Profile.where(id: @profiles), "horizons" => horizons,
      "reported_classes" => ReportedClass.where(horizon_id: horizons.ids),
      "layer_changes" => LayerChange.standing.where(profile_id: @profiles), **of_samples(samples), **of_sheets }
  end

  def of_book
    people = @fieldbook.observers
    { "fieldbooks" => Fieldbook.where(id: @fieldbook.id), "observers" => people,
      "sites" => part? ? @fieldbook.sites.where(id: @profile&.site_id) : @fieldbook.sites,
      "own_hands" => OwnHand.where(observer_id: people.ids), "photos" => photos,
      "assessor_tables" => @fieldbook.assessor_tables, "revisions" => Revision.none }
  end

  def photos
    all = @fieldbook.photos.standing
    unless part?
      return all.where.not(of: "reading").or(all.where(of: "reading",
                                                       of_id: @fieldbook.readings.select(:id)))
    end
    return all.where(of: "reading", of_id: @reading.id) if @reading

    layers = @profile.horizons.ids
    readings = Reading.joins(:sample).where(samples: { horizon_id: layers }).ids
    { "site" => @profile.site_id, "profile" => @profile.id, "horizon" => layers, "reading" => readings }
      .map { |of, ids| all.where(of: of, of_id: ids) }.reduce(:or)
  end

  def of_samples(samples)
    readings = Reading.kept.where(sample_id: samples.ids)
    of_readings = { "answers" => Answer, "ribbons" => Ribbon, "assignments" => Assignment }
    { "samples" => samples, "readings" => readings, "findings" => Finding.standing.where(sample_id: samples.ids),
      "laboratory_results" => LaboratoryResult.where(sample_id: samples.ids),
      **of_readings.transform_values { |model| model.where(reading_id: readings.ids) } }
  end

  def of_sheets
    running = part? ? @fieldbook.companion_tests.none : @fieldbook.companion_tests.running
    tests = running.or(@fieldbook.companion_tests.where(profile_id: @profiles))
    { "companion_tests" => tests, "companion_places" => CompanionPlace.where(companion_test_id: tests.ids) }
  end

  # Of these profiles, those that quick readings were made of, and those on sheets that run.
  def standing_samples(horizons)
    return Sample.where(id: @reading.sample_id) if @reading

    all = @fieldbook.samples
    found = all.where(profile_id: @profiles).or(all.where(horizon_id: horizons.ids))
    found = found.or(all.where(profile_id: nil, horizon_id: nil)) unless part?
    Sample.where(id: found.ids)
  end

  # From one look at each table: rows are only added, and versions and times of change only rise.
  # @return [String]
  def stamp(tables)
    looks = tables.map do |name, found|
      sums = ["COUNT(*)", "MAX(#{name}.id)"]
      sums << "MAX(#{name}.updated_at)" if found.klass.column_names.include?("updated_at")
      sums << "SUM(#{name}.lock_version)" if found.klass.column_names.include?("lock_version")
      found.unscope(:order).pick(*sums.map { |sum| Arel.sql(sum) })
    end
    Digest::SHA256.hexdigest(JSON.generate([Grittle::RULES_VERSION, Database.version, looks]))[0, 32]
  end

  # @return [Array<Array>] name, kind and default of each
  def columns(model)
    kept(model).map { |column| [column.name, column.type.to_s, plain(model.column_defaults[column.name])] }
  end

  # Pictures do not lie among the rows.
  def kept(model) = model.columns.reject { |column| column.type == :binary }

  # @return [Array<Array>] values in the order of the columns
  def packed(found)
    names = kept(found.klass).map { |column| found.klass.arel_table[column.name] }
    found.pluck(*names).map { |row| row.map { |value| plain(value) } }
  end

  def plain(value)
    case value
    when Time then value.utc.iso8601(6)
    when BigDecimal then ProfileSerializer.plain(value)
    else value
    end
  end
end
