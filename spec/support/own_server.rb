# frozen_string_literal: true

require_relative "../../bin/support/server"

# The application in a process of its own on the database of the specs, so that it can be ended and started again.
class OwnServer < Server
  # @param more [Hash{String=>String}] what else it is told
  def initialize(more = {})
    super
    start
  end
end
