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

    horizon = Profile.where.associated(:horizons).distinct.sort_by { |profile| last_touched(profile) }.reverse
                     .filter_map(&:next_horizon).first
    new(horizon: horizon) if horizon
  end

  # A quick reading that was opened and left untouched is no work.
  def self.begun?(reading) = reading.horizon || reading.answers.exists? || reading.ribbons.exists?

  def self.last_touched(profile)
    Reading.joins(sample: :horizon).where(horizons: { profile_id: profile.id }).maximum(:updated_at) || profile.updated_at
  end
  private_class_method :begun?, :last_touched

  def initialize(horizon:, reading: nil)
    @reading = reading
    @horizon = horizon
  end
end
