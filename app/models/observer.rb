# frozen_string_literal: true

# Somebody who textures or writes it down.
class Observer < ApplicationRecord
  belongs_to :fieldbook, default: -> { Fieldbook.current }

  # Most readings with a laboratory's result that a hand is learnt from, newest first [our own].
  MOST_TAUGHT = 200

  # @return [ActiveRecord::Relation] with a class and a laboratory's result, whose ribbons can teach a curve
  def taught_readings
    Reading.kept.where(textured_by_id: id, sample_id: LaboratoryResult.select(:sample_id),
                       id: Assignment.select(:reading_id))
  end

  # @return [Grittle::Practice::TaughtHand] whose samples are those of the fieldbook
  def hand
    made = taught_readings.includes(:answers, :ribbons, :assignments, sample: :laboratory_results)
    Grittle::Practice::TaughtHand.new(made.order(id: :desc).limit(MOST_TAUGHT).map { |one| taught(one) })
  end

  # @param name [String, nil]
  # @return [Observer, nil] nil for a blank name
  def self.named(name)
    name = name.to_s.strip
    create_or_find_by!(name: name) unless name.empty?
  end

  private

  # Blind is what was felt and classed before the first result was there; the newest result stands.
  def taught(reading)
    results = reading.sample.laboratory_results.to_a
    classed = reading.assignments.map(&:assigned_at).min
    felt = [*reading.answers.map(&:given_at), *reading.ribbons.map(&:made_at)].max
    Grittle::Practice::TaughtHand::Row.new(
      sample: reading.sample_id,
      observations: Grittle::Observations.new(reading.observations),
      result: results.last.read,
      blind: [classed, felt].compact.max < results.first.added_at,
      age_days: (Time.now.utc - classed) / 86_400
    )
  end
end
