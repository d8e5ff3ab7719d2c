# frozen_string_literal: true

# What a person's hand is learnt from: readings of samples with a laboratory's result, and of tubs whose truth was
# hidden from them.
class TaughtReadings
  # Most readings of either kind, newest first. [our own]
  MOST = 200

  def initialize(person)
    @person = person
  end

  # @return [Integer] samples and tubs
  def count = samples.distinct.count(:sample_id) + turns.distinct.count(:tub_id)

  # @return [Grittle::Practice::TaughtHand]
  def hand = @hand ||= Grittle::Practice::TaughtHand.new(rows)

  # @return [Array<Array<Float>>] mean lengths of the ribbons of tubs that were met twice in one session, mm
  def duplicates
    turns.group_by { |turn| [turn.practice_person_id, turn.tub_id] }.values.filter_map do |both|
      lengths = both.filter_map { |turn| turn.observations.ribbon_set&.mean }
      lengths.first(2) if lengths.size > 1 && lengths.all?(&:positive?)
    end
  end

  # @return [Hash{String=>String}] what each sample and tub is called
  def names
    found = rows.map(&:sample).uniq.map { |name| name.split("/") }.group_by(&:first)
    ids = found.transform_values { |all| all.map(&:last) }
    { **Sample.where(id: ids["sample"]).to_h { |one| ["sample/#{one.id}", one.place_name] },
      **Tub.where(id: ids["tub"]).includes(:reference_set)
           .to_h { |one| ["tub/#{one.id}", "#{one.label}, #{one.reference_set.name}"] } }
  end

  private

  def rows
    @rows ||= begin
      out = LeftPair.standing.where(observer: @person).to_h { |one| [one.pair, one.reason] }
      made = samples.order(id: :desc).limit(MOST)
                    .includes(:answers, :ribbons, :assignments, sample: :laboratory_results)
      Reading.read_events(made)
      [*made.map { |one| of_sample(one) }, *turns.first(MOST).map { |one| of_tub(one) }]
        .each { |row| row.out = out[row.sample] }
    end
  end

  def samples
    Reading.kept.where(textured_by_id: @person.id, sample_id: LaboratoryResult.select(:sample_id),
                       id: Assignment.select(:reading_id))
  end

  def turns = Turn.taught(@person)

  # Blind is what was felt and classed before the first result was there; the newest result stands.
  def of_sample(reading)
    results = reading.sample.laboratory_results.to_a
    classed = reading.assignments.map(&:assigned_at).min
    felt = [*reading.answers.map(&:given_at), *reading.ribbons.map(&:made_at)].max
    row("sample/#{reading.sample_id}", reading.observations, results.last.read,
        [classed, felt].compact.max < results.first.added_at, classed)
  end

  def of_tub(turn)
    row("tub/#{turn.tub_id}", turn.said["observations"], turn.tub.read, turn.blind?, turn.closed_at)
      .tap { |row| row.teacher = turn.tub.reference_set.truth_by == "teacher" }
  end

  def row(name, observations, result, blind, felt_at)
    Grittle::Practice::TaughtHand::Row.new(
      sample: name, observations: Grittle::Observations.new(observations), result: result, blind: blind,
      age_days: (Time.now.utc - felt_at) / 86_400
    )
  end
end
