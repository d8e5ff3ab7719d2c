# frozen_string_literal: true

# Something that is described by the core's fields. What was written down stands in one column, by the names of the
# fields; the core says what may stand there.
module Describable
  def self.included(base) = base.attribute(:described, ActiveRecord::Type::Json.new)

  # @return [Hash{String=>Object}] what was written down
  def seen = described || {}

  # @param kind [String] one of Grittle::Entry::Fields::ALL
  # @param input [Hash, nil] fields as typed; a blank takes one back
  # @return [Hash] the attribute ready to store; empty for no input
  # @raise [Grittle::InvalidInput]
  def described_with(kind, input)
    return {} if input.nil?

    read = Grittle::Entry::Fields.read(kind, input.transform_keys(&:to_s))
    { described: seen.merge(read).compact.presence }
  rescue Grittle::InvalidInput => e
    raise Grittle::InvalidInput, (e.problems.map { |problem| problem.under("/described") })
  end

  # @return [Grittle::Entry::Position, nil]
  def position
    place = seen.values_at("latitude", "longitude")
    Grittle::Entry::Position.new(*place) if place.all?
  end

  # A position that was typed or pasted becomes latitude and longitude.
  # @param input [Hash{Symbol=>Object}] described, and position as people write one
  # @return [Hash, nil] what was described
  # @raise [Grittle::InvalidInput]
  def placed(input)
    typed = input[:position].presence or return input[:described]

    place = Grittle::Entry::Position.parse(typed)
    (input[:described] || {}).merge(latitude: place.latitude, longitude: place.longitude)
  end
end
