# frozen_string_literal: true

# The systems by name.
module Grittle
  TRIANGLES =
    [Triangles::USDA, Triangles::CANADA, Triangles::FAO_WRB, Triangles::UK].to_h { |system| [system.id, system] }.freeze

  # @param system [String] a name of TRIANGLES
  # @return [Triangle]
  # @raise [UnknownName] when there is no such system
  def self.triangle(system)
    TRIANGLES.fetch(system.to_s) { raise UnknownName.new("system", system, TRIANGLES.keys) }
  end
end
