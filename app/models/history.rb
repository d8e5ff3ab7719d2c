# frozen_string_literal: true

# What became of a record, newest first: who changed what, when, from what to what. It is read from the earlier values
# that every change leaves; readings have a history of their own.
class History
  # Columns that say nothing to a person.
  SILENT = %w[updated_at created_at touched_at lock_version speaks_id named class_system class_code open place
              horizon_id].freeze
  PEOPLE = { "textured_by_id" => "Textured by", "recorded_by_id" => "Recorded by", "observer_id" => "Person" }.freeze
  WORDS = { "upper_cm" => "Upper depth, cm", "lower_cm" => "Lower depth, cm",
            "reported_reading_id" => "Reported reading", "key" => "Key", "kind" => "Kind", "system" => "Classes",
            "asked" => "What the report holds" }.freeze
  MOST = 200

  # @param record [ApplicationRecord]
  def initialize(record)
    @record = record
  end

  # @return [Array<Hash>] at, by, says, changes (field, from, to)
  def to_a
    (changes + layers + deletions).sort_by { |entry| entry[:at] }.reverse.first(MOST)
  end

  private

  # The newest value of each column is the record's own, or the one that the next change found.
  def changes
    after = @record.attributes
    Revision.where(record_type: @record.class.name, record_id: @record.id).order(id: :desc).preload(:by).map do |one|
      found = one.was.flat_map { |column, was| differences(column, was, after[column]) }
      after = after.merge(one.was)
      entry(one.changed_at, one.by, "Changed", found)
    end
  end

  def differences(column, was, now)
    return [] if SILENT.include?(column)
    return described(was || {}, now || {}) if column == "described"
    return [] if alike?(was, now)

    [{ field: word(column), from: said(column, was), to: said(column, now) }]
  end

  def described(was, now)
    (was.keys | now.keys).reject { |name| alike?(was[name], now[name]) }.map do |name|
      field = fields[name]
      { field: [field&.label || name.tr("_", " "), field&.unit].compact.join(", "), from: shown(field, was[name]),
        to: shown(field, now[name]) }
    end
  end

  # A decimal of the database stands as text in what a change left.
  def alike?(one, other)
    one == other || ([one, other].all? { |value| decimal(value) } && decimal(one) == decimal(other))
  end

  def decimal(value) = BigDecimal(value.to_s, exception: false)

  def fields = @fields ||= Grittle::Entry::Fields::ALL[@record.class.name.downcase] || {}

  def shown(field, value)
    return nil if value.nil?

    field&.words&.fetch(value, nil) || listed(value)
  end

  def listed(value) = Array(value).map { |one| one.is_a?(Hash) ? one.values.join(" to ") : one }.join(", ")

  def word(column) = PEOPLE[column] || WORDS[column] || column.tr("_", " ").capitalize

  def said(column, value)
    return value && Observer.where(id: value).pick(:name) if PEOPLE.key?(column)
    return value && Reading.find_by(id: value)&.name if column == "reported_reading_id"
    return Grittle::Units.number(Float(value)) if column.end_with?("_cm") && value

    shown(nil, value)
  end

  # What was done to the layers of a profile.
  def layers
    return [] unless @record.is_a?(Profile)

    @record.layer_changes.preload(:by, :undone_by).flat_map do |one|
      undone = one.undone_at && entry(one.undone_at, one.undone_by, "Undone: #{one.label}")
      [entry(one.made_at, one.by, one.label.sub(/\A./, &:upcase)), undone].compact
    end
  end

  def deletions
    Deletion.where(of: Deletion::OF.key(@record.class.name), of_id: @record.id).preload(:by).flat_map do |one|
      back = one.restored_at && entry(one.restored_at, nil, "Restored")
      [entry(one.deleted_at, one.by, "Deleted"), back].compact
    end
  end

  def entry(time, by, says, changes = [])
    { at: time.utc.iso8601, by: by&.name, says: says, changes: changes }
  end
end
