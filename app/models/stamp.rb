# frozen_string_literal: true

# How a record stands, as a short text from one look at the database: as long as it is the same, what was made of the
# record is true. Rows are never removed and versions only rise, so counts and sums of them tell every change.
module Stamp
  # Of a table's rows: how many, their versions, when they last changed, and what was taken away of them.
  def self.sums(table, *more)
    columns = ["COUNT(*)", "SUM(#{table}.lock_version)", "SUM(UNIX_TIMESTAMP(#{table}.updated_at))", *more]
    "CONCAT_WS(',', #{columns.join(', ')})"
  end
  private_class_method :sums

  # People who were called otherwise before.
  NAMES = "(SELECT MAX(id) FROM revisions WHERE record_type = 'Observer')"

  PROFILE = <<~SQL.squish.freeze
    SELECT CONCAT_WS(' ', #{NAMES}, profiles.lock_version, profiles.updated_at, profiles.touched_at,
      sites.lock_version,
      (SELECT #{sums('horizons', 'COUNT(horizons.removed_at)')} FROM horizons WHERE horizons.profile_id = profiles.id),
      (SELECT #{sums('samples', 'COUNT(samples.removed_at)')} FROM samples WHERE samples.profile_id = profiles.id),
      (SELECT CONCAT_WS(',', #{sums('samples')}, #{sums('readings')})
        FROM horizons JOIN samples ON samples.horizon_id = horizons.id
          LEFT JOIN readings ON readings.sample_id = samples.id
        WHERE horizons.profile_id = profiles.id),
      (SELECT COUNT(*) FROM samples JOIN laboratory_results ON laboratory_results.sample_id = samples.id
        WHERE samples.profile_id = profiles.id),
      (SELECT COUNT(*) FROM horizons JOIN samples ON samples.horizon_id = horizons.id
          JOIN laboratory_results ON laboratory_results.sample_id = samples.id
        WHERE horizons.profile_id = profiles.id),
      (SELECT CONCAT(COUNT(*), ',', COUNT(findings.taken_back_at), ',', COUNT(findings.deletion_id))
        FROM samples JOIN findings ON findings.sample_id = samples.id
        WHERE samples.profile_id = profiles.id),
      (SELECT CONCAT_WS(',', #{sums('readings')}) FROM samples JOIN readings ON readings.sample_id = samples.id
        WHERE samples.profile_id = profiles.id),
      (SELECT COUNT(*) FROM horizons JOIN reported_classes ON reported_classes.horizon_id = horizons.id
        WHERE horizons.profile_id = profiles.id),
      (SELECT CONCAT(COUNT(*), ',', COUNT(undone_at)) FROM layer_changes WHERE layer_changes.profile_id = profiles.id),
      (SELECT CONCAT(COUNT(*), ',', COUNT(removed_at)) FROM photos
        WHERE photos.of = 'profile' AND photos.of_id = profiles.id),
      (SELECT CONCAT(COUNT(*), ',', COUNT(photos.removed_at)) FROM horizons
        JOIN photos ON photos.of = 'horizon' AND photos.of_id = horizons.id
        WHERE horizons.profile_id = profiles.id))
    FROM profiles JOIN sites ON sites.id = profiles.site_id WHERE profiles.id = %d
  SQL

  # Of a reading's own row; and of what else its bench shows: the sample, the photographs, and the profile with its
  # layers.
  READING = <<~SQL.squish.freeze
    SELECT CONCAT_WS(' ', readings.lock_version, readings.updated_at),
      CONCAT_WS(' ', #{NAMES}, samples.lock_version, samples.updated_at, samples.horizon_id,
        profiles.lock_version, profiles.updated_at, sites.lock_version, sites.updated_at,
        (SELECT #{sums('horizons', 'COUNT(horizons.removed_at)')} FROM horizons
          WHERE horizons.profile_id = profiles.id),
        (SELECT COUNT(*) FROM laboratory_results WHERE laboratory_results.sample_id = samples.id),
        (SELECT CONCAT(COUNT(*), ',', COUNT(removed_at)) FROM photos
          WHERE photos.of = 'reading' AND photos.of_id = readings.id))
    FROM readings JOIN samples ON samples.id = readings.sample_id
      LEFT JOIN horizons AS own ON own.id = samples.horizon_id
      LEFT JOIN profiles ON profiles.id = COALESCE(samples.profile_id, own.profile_id)
      LEFT JOIN sites ON sites.id = profiles.site_id
    WHERE readings.id = %d
  SQL

  # Of a list's sites and those of their profiles that stand in it.
  LIST = <<~SQL.squish.freeze
    SELECT CONCAT_WS(' ',
      (SELECT #{sums('sites')} FROM sites WHERE id IN (%<sites>s)),
      (SELECT #{sums('profiles', 'SUM(UNIX_TIMESTAMP(touched_at))')} FROM profiles WHERE site_id IN (%<sites>s)),
      (SELECT CONCAT(COUNT(*), ',', COUNT(removed_at)) FROM photos
        WHERE photos.of = 'site' AND photos.of_id IN (%<sites>s)))
  SQL

  module_function

  # @param id [Integer]
  # @return [String, nil] nil for none
  def profile(id) = value(format(PROFILE, id))

  # @param id [Integer]
  # @return [Array<String>, nil] how its own row stands, and all else; nil for none
  def reading(id) = ActiveRecord::Base.connection.select_rows(format(READING, id)).first

  # @param reading [Reading] after a change of its own
  # @return [String] as #reading begins once that change is committed
  def own(reading) = "#{reading.lock_version} #{reading.updated_at.strftime('%F %T.%6N')}"

  # @param ids [Array<Integer>] of sites
  # @return [String]
  def sites(ids) = ids.empty? ? "" : value(format(LIST, sites: ids.join(",")))

  def value(sql) = ActiveRecord::Base.connection.select_value(sql)
  private_class_method :value
end
