# frozen_string_literal: true

# Work that goes on beside the requests for as long as the process does.
module Background
  # @param seconds [Numeric] between two turns
  # @param what [String] for the log
  # @yield each turn; what goes wrong in one is written to the log, and the next comes
  # @return [Thread]
  def self.every(seconds, what, &work)
    Thread.new do
      loop do
        turn(what, &work)
        sleep seconds
      end
    end
  end

  def self.turn(what)
    yield
  rescue StandardError => e
    warn "#{what}: #{e.class}: #{e.message}"
  ensure
    ActiveRecord::Base.connection_handler.clear_active_connections!
  end
  private_class_method :turn
end
