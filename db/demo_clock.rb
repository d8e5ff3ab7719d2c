# frozen_string_literal: true

require "active_support"
require "active_support/testing/time_helpers"

module Demo
  # The times of the demo's field days: its records carry them as if the work had been done then, hour by hour. While it
  # runs, the process believes them; nothing else happens in it meanwhile.
  class Clock
    include ActiveSupport::Testing::TimeHelpers

    # @param mornings [Array<String>] when each day's work begins, UTC; after the last the days go on
    # @yieldparam clock [Clock]
    def self.run(*mornings)
      clock = new(mornings)
      yield clock
    ensure
      clock&.travel_back
    end

    def initialize(mornings)
      @mornings = mornings.map { |text| Time.iso8601(text) }
      @random = Random.new(14)
    end

    def next_morning
      @now = @mornings.shift || (@now + (24 * 3600))
      travel_to(@now)
    end

    # @param time [Time] that something happens at, while the day goes on where it was
    def at(time)
      travel_back
      travel_to(time)
      yield
    ensure
      travel_back
      travel_to(@now)
    end

    # @param seconds [Range] that something takes
    def pass(seconds)
      @now += @random.rand(seconds)
      travel_back
      travel_to(@now)
    end
  end
end
