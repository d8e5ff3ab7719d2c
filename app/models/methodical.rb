# frozen_string_literal: true

# A row with the columns of a method, and the people: who textures and who writes it down. A reading takes
# them over from its profile and keeps its own.
module Methodical
  PARTS = Grittle::FieldMethod::NAMES
  # What a reading copies from its profile.
  COPIED = [*PARTS.map(&:to_s), "textured_by_id", "recorded_by_id"].freeze

  # @return [Grittle::FieldMethod]
  def field_method
    parts = PARTS.to_h { |name| [name, self[name]] }
    @field_method = Grittle::FieldMethod.new(**parts) unless @field_method && @field_method.to_h == parts
    @field_method
  end

  # @param input [Hash{Symbol=>Object}] parts of a method, and textured_by and recorded_by as names of people
  # @return [Hash] attributes ready to store
  # @raise [Grittle::UnknownName]
  def self.checked(input)
    PARTS.each { |name| ApplicationRecord.one_of(name, input[name], Grittle::FieldMethod::PARTS[name].choices) }
    %i[textured_by recorded_by].each do |role|
      input = input.merge(role => Observer.named(input[role])) if input.key?(role)
    end
    input
  end
end
