# frozen_string_literal: true

# What lies in the bin, what would go there, and what was imported. Renders only.
module DeletionSerializer
  module_function

  # @param deletion [Deletion]
  # @return [Hash] schema Deletion
  def call(deletion)
    {
      id: deletion.id,
      of: deletion.of,
      of_id: deletion.of_id,
      kind_name: Contents::NOUNS.fetch(deletion.model.table_name.to_sym, deletion.of).capitalize,
      label: deletion.label,
      within: deletion.within,
      holds: holds(deletion.of, deletion.counts),
      by: deletion.by&.name,
      deleted_at: deletion.deleted_at.iso8601,
      standing: deletion.standing?
    }
  end

  # @param record [ApplicationRecord] that would be deleted
  # @return [Hash] schema DeletionPreview: what goes with it, and whose it is
  def preview(record)
    contents = Contents.new(record)
    named = NamedThing.new(record)
    { label: named.label, within: named.within, holds: holds(Deletion::OF.key(record.class.name), contents.counts),
      people: contents.people, measured: measured(contents) }
  end

  # @param import [FileImport]
  # @return [Hash] schema FileImport
  def import(import)
    { id: import.id, name: import.name_or_file, holds: listed(import.counts.slice(*Contents::NOUNS.keys.map(&:to_s))),
      imported_at: import.imported_at.iso8601, standing: import.standing? }
  end

  # @return [String, nil] all that goes along, without the thing itself where it is one
  def holds(of, counts)
    own = Object.const_get(Deletion::OF.fetch(of)).table_name
    listed(counts.reject { |table, count| table == own && count == 1 })
  end

  # @return [String, nil] "4 profiles, 17 horizons and 1 photograph"
  def listed(counts)
    said = counts.map { |table, count| "#{count} #{Contents::NOUNS.fetch(table.to_sym)}#{'s' unless count == 1}" }
    said.size > 1 ? "#{said[0...-1].join(', ')} and #{said.last}" : said.first
  end

  # @return [Integer] ribbons that were measured on its pictures
  def measured(contents)
    Ribbon.standing.where(photo_id: contents.ids[:photos]).where.not(reading_id: contents.ids[:readings]).count
  end
  private_class_method :holds, :listed, :measured
end
