# frozen_string_literal: true

# Where the work stopped: the reading that was last touched and has no class yet, else the next horizon of the profile
# that was last worked on.
class Work
  # How many unfinished readings are looked through for one that was begun.
  RECENT = 50

  attr_reader :reading, :horizon

  # @return [Work, nil] nil when nothing is unfinished
  def self.current
    reading = Reading.where.missing(:assignments).order(updated_at: :desc, id: :desc).limit(RECENT).find { |left| begun?(left) }
    return new(reading: reading, horizon: reading.horizon) if reading

    horizon = waiting.lazy.filter_map { |id| Profile.find(id).next_horizon }.first
    new(horizon: horizon) if horizon
  end

  # A quick reading that was opened and left untouched is no work.
  def self.begun?(reading) = reading.horizon || reading.answers.exists? || reading.ribbons.exists?

  # @return [Array<Integer>] profiles with a horizon that has no class, the one that was last worked on first
  def self.waiting
    done = Horizon.joins(samples: { readings: :assignments }).select(:id)
    profiles = Profile.joins(:horizons).where.not(horizons: { id: done }).distinct.pluck(:id, :updated_at)
    touched = Reading.joins(sample: :horizon).group("horizons.profile_id").maximum(:updated_at)
    profiles.sort_by { |id, updated_at| touched[id] || updated_at }.reverse.map(&:first)
  end
  private_class_method :begun?, :waiting

  def initialize(horizon:, reading: nil)
    @reading = reading
    @horizon = horizon
  end
end
