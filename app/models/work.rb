# frozen_string_literal: true

# Where the work stopped: the reading that was last touched and has no class yet, else the next horizon of the profile
# that was last worked on.
class Work
  # A quick reading that was opened and left untouched is no work.
  BEGUN = "samples.horizon_id IS NOT NULL OR #{QuickReadings::TOUCHED}".freeze

  attr_reader :reading, :horizon

  # @param fieldbook [Fieldbook]
  # @return [Work, nil] nil when nothing is unfinished
  def self.current(fieldbook = Fieldbook.current)
    left = fieldbook.unclassed_readings.where(BEGUN).order(updated_at: :desc, id: :desc)
    reading = left.preload(sample: { horizon: :profile }).first
    return new(reading: reading, horizon: reading.horizon) if reading

    horizon = fieldbook.open_profiles.order(touched_at: :desc, id: :desc).first&.next_horizon
    new(horizon: horizon) if horizon
  end

  def initialize(horizon:, reading: nil)
    @reading = reading
    @horizon = horizon
  end
end
