# frozen_string_literal: true

# Where the work stopped: the reading that was last touched and has no class yet, else the next horizon of the profile
# that was last worked on.
class Work
  # How many unfinished readings are looked through for one that was begun.
  RECENT = 50

  attr_reader :reading, :horizon

  # @param fieldbook [Fieldbook]
  # @return [Work, nil] nil when nothing is unfinished
  def self.current(fieldbook = Fieldbook.current)
    left = fieldbook.readings.where(classed: false).order(updated_at: :desc, id: :desc).limit(RECENT)
    reading = left.preload(sample: { horizon: { profile: :site } }).find { |one| begun?(one) }
    return new(reading: reading, horizon: reading.horizon) if reading

    horizon = fieldbook.profiles.where(open: true).order(touched_at: :desc, id: :desc).first&.next_horizon
    new(horizon: horizon) if horizon
  end

  # A quick reading that was opened and left untouched is no work.
  def self.begun?(reading) = reading.sample.horizon || reading.answers.exists? || reading.ribbons.exists?
  private_class_method :begun?

  def initialize(horizon:, reading: nil)
    @reading = reading
    @horizon = horizon
  end
end
