# frozen_string_literal: true

# How a record stands, for somebody whose change was made on an earlier version of it. Renders only.
module StandingSerializer
  # What a write names otherwise than its column.
  SHOWN = { textured_by: ->(record) { record.textured_by&.name }, recorded_by: ->(record) { record.recorded_by&.name },
            described: lambda(&:seen), position: ->(record) { record.position&.to_s },
            texture: ->(record) { record.class_given&.full_name } }.freeze

  module_function

  # @param record [ApplicationRecord] as it was found, the newer version
  # @param names [Array<Symbol>] what was to be changed
  # @return [Hash] its version, and by name how that stands; a name that is no field of the record stands as nil
  def call(record, names)
    { version: record.lock_version, values: names.to_h { |name| [name, value(record, name)] } }
  end

  def value(record, name)
    return SHOWN.fetch(name).call(record) if SHOWN.key?(name)

    kept = record[name] if record.has_attribute?(name)
    kept.is_a?(BigDecimal) ? ProfileSerializer.plain(kept) : kept
  end
  private_class_method :value
end
