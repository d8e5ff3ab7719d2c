# frozen_string_literal: true

# Readings from anywhere, side by side. Renders only.
module SideBySideSerializer
  module_function

  # @param readings [Array<Reading>]
  # @return [Hash] schema SideBySide
  # @raise [Grittle::InvalidInput]
  def call(readings)
    names = named_apart(readings)
    found = Grittle.side_by_side(readings.zip(names).map { |reading, name| taken(reading, name) })
    found.merge("items" => found["items"].zip(readings).map { |item, reading| whole(item, reading) },
                "system" => common_system(readings))
  end

  def taken(reading, name)
    { "name" => name, "observations" => reading.observations, "method" => reading.field_method,
      "named" => reading.class_given }
  end

  def whole(item, reading)
    item.merge("id" => reading.id, "place" => NamedThing.new(reading).within,
               "textured_by" => reading.textured_by&.name, "started_at" => reading.started_at.iso8601,
               "unit" => reading.unit,
               "described" => (reading.horizon ? seen(reading.horizon) : reading.sample.seen))
  end

  def seen(horizon) = horizon.seen.merge("moist_colour" => horizon.moist_colour).compact

  # Two of one name are told apart by their numbers.
  def named_apart(readings)
    names = readings.map(&:name)
    names.zip(readings).map { |name, reading| names.count(name) > 1 ? "#{name} (#{reading.id})" : name }
  end

  # The triangle that all are drawn in: the first one's.
  def common_system(readings) = readings.first.field_method.evidence_system
  private_class_method :taken, :whole, :seen, :named_apart, :common_system
end
