# frozen_string_literal: true

# What every kept thing shares.
class ApplicationRecord < ActiveRecord::Base
  self.abstract_class = true

  # What a device made without signal keeps the name it has there.
  before_create { self.uid ||= Acting.next_uid if has_attribute?(:uid) }

  # Raised when a change was made on another version than the one that is kept.
  class Stale < StandardError
    attr_reader :record

    def initialize(record)
      @record = record
      super("#{record.class.name} #{record.id} has changed meanwhile")
    end
  end

  # Changes columns, keeping the earlier values in revisions.
  # @param version [Integer] the version the change was made on
  # @param attributes [Hash]
  # @raise [Stale]
  def revise(version, attributes)
    with_lock do
      raise Stale, self unless lock_version == version

      assign_attributes(attributes)
      next unless changed?

      Revision.create!(
        record_type: self.class.name,
        record_id: id,
        was: changed_attributes,
        changed_at: Time.now.utc,
        by: Acting.writer(writer)
      )
      save!
    end
  end

  # Adds a row past the model, whose building takes longer than the database does.
  # @param row [Hash{Symbol=>Object}] by column
  # @raise [ActiveRecord::RecordNotUnique]
  def self.lay(row)
    connection.execute("INSERT INTO #{table_name} (#{row.keys.join(', ')}) VALUES (#{quoted(row).values.join(', ')})")
  end

  # Changes rows past the model.
  # @param which [Hash{Symbol=>Object}] by column, none of them nil
  # @param row [Hash{Symbol=>Object}] likewise
  # @return [Integer] how many
  def self.alter(which, row)
    now, found = [row, which].map { |pairs| quoted(pairs).map { |name, value| "#{name} = #{value}" } }
    connection.update("UPDATE #{table_name} SET #{now.join(', ')} WHERE #{found.join(' AND ')}")
  end

  # Changes columns of this record past the model, and here.
  # @param columns [Hash{Symbol=>Object}]
  # @param standing [Hash{Symbol=>Object}] how further columns must stand in the database
  # @return [Boolean] whether they did
  def altered?(columns, **standing)
    return false unless self.class.alter({ id: id, **standing }, columns) == 1

    columns.each { |name, value| write_attribute(name, value) }
    clear_attribute_changes(columns.keys)
    true
  end

  def self.quoted(row)
    row.to_h { |name, value| [name, connection.quote(type_for_attribute(name.to_s).serialize(value))] }
  end
  private_class_method :quoted

  # @return [Observer, nil] who writes, as far as the record knows, where nobody is signed in
  def writer = (recorded_by if respond_to?(:recorded_by)) || (profile&.recorded_by if respond_to?(:profile))

  # A blank name is refused with a sentence at its field.
  # @raise [Grittle::InvalidInput]
  def self.required_text(field, value, noun)
    text = value.to_s.strip
    return text unless text.empty?

    raise Grittle::InvalidInput, [Grittle::Problem.new(pointer: "/#{field}", sentence: "Give the #{noun} a name.")]
  end

  # @raise [Grittle::UnknownName] when the value is none of the table's names
  def self.one_of(field, value, table)
    return value if value.nil? || table.key?(value)

    raise Grittle::UnknownName.new(field, value, table.keys)
  end
end
