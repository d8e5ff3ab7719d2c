# frozen_string_literal: true

# A reading as the page sees it: whole for the bench, in summary for lists and the section.
module ReadingSerializer
  module_function

  # @param reading [Reading]
  # @return [Hash] schema Reading
  def call(reading)
    assessment = reading.assessment
    {
      id: reading.id, version: reading.lock_version, label: reading.sample.label, step: reading.step,
      method: method(reading), hand: reading.hand&.name, pen: reading.pen&.name, started_at: reading.started_at.iso8601,
      **place(reading), observations: reading.observations, moisture: moisture(reading),
      ribbons: reading.standing_ribbons.map { |ribbon| ribbon(ribbon) }, ruler: assessment.ruler,
      assessment: assessment.to_h, assigned: assigned(reading)
    }
  end

  # @return [Hash] schema ReadingSummary
  def summary(reading)
    assessment = reading.assessment
    main = assessment.main
    set = assessment.ribbon_set
    { id: reading.id, label: reading.sample.label, step: reading.step, assigned: assigned(reading), ribbon_set: set,
      ribbon_text: set && ribbon_text(set, reading.unit), sentence: main["sentence"],
      outcomes: main["outcomes"], started_at: reading.started_at.iso8601, hand: reading.hand&.name }
  end

  # @param record [Reading, Profile]
  # @return [Hash] schema Method
  def method(record)
    { key: record.key, system: Grittle::Keys[record.key]::SYSTEM, limit_set: record.limit_set,
      ribbon_counts_from: record.ribbon_counts_from, unit: record.unit }
  end

  # @return [Hash] every answer, ribbon and assignment, oldest first
  def history(reading)
    { entries: (answers(reading) + ribbons(reading) + assignments(reading)).sort_by { |entry| entry[:at] } }
  end

  def place(reading)
    horizon = reading.horizon
    profile = reading.profile
    following = profile&.next_horizon(below: horizon)
    {
      profile: profile && { id: profile.id, name: profile.name, site: profile.site.name },
      horizon: horizon && { id: horizon.id, **ProfileSerializer.depths(horizon) },
      horizons: (profile&.horizons || []).map do |layer|
        { id: layer.id, **ProfileSerializer.depths(layer), code: layer.reading&.assigned&.code }
      end,
      next_horizon: following && { id: following.id, designation: following.designation, reading_id: following.reading&.id }
    }
  end

  def moisture(reading)
    loop = reading.moisture_loop
    answers = reading.answers.select { |answer| answer.observation == Answer::MOISTURE && answer.value }
    { answers: answers.map(&:value), rounds: loop.rounds, rounds_at_most: Grittle::MoistureLoop::ROUNDS,
      open: reading.observations["ball_holds"] == false && !loop.over? }
  end

  def ribbon(ribbon)
    { id: ribbon.id, length_mm: ribbon.length_mm.to_f, thickness_mm: ribbon.thickness_mm&.to_f, ended: ribbon.ended,
      entered: { length: ribbon.entered_length.to_f, unit: ribbon.entered_unit }, made_at: ribbon.made_at.iso8601 }
  end

  def assigned(reading)
    assignment = reading.assigned or return
    { code: assignment.code, name: Grittle.triangle(assignment.result["system"])[assignment.code].name,
      proposed: assignment.result["outcomes"], override: assignment.override, reason: assignment.reason,
      rules_version: assignment.rules_version, assigned_at: assignment.assigned_at.iso8601 }
  end

  def ribbon_text(set, unit)
    return "every ribbon tore" unless set["mean_mm"]

    made = set["count"] == 1 ? "1 made" : "#{set['count']} made"
    "#{Grittle::Units.say(unit == 'mm' ? set['mean_mm'].round : set['mean_mm'], unit)}, #{made}"
  end

  def answers(reading)
    newest = reading.answers.to_h { |answer| [answer.observation, answer.id] }
    reading.answers.map do |answer|
      said = answer.value.nil? ? "taken back" : Grittle::Tests::Catalogue.word(answer.observation, answer.value)
      entry(answer.given_at, answer.observation, said, answer.pen, standing: newest[answer.observation] == answer.id)
    end
  end

  def ribbons(reading)
    reading.ribbons.map do |ribbon|
      entry(ribbon.made_at, "ribbon", "#{ribbon.entered_length.to_f.to_s.delete_suffix('.0')} #{ribbon.entered_unit}, " \
                                      "#{Grittle::Tests::Catalogue.word('ribbons', ribbon.ended)}",
            ribbon.pen, standing: ribbon.taken_back_at.nil?)
    end
  end

  def assignments(reading)
    reading.assignments.map do |assignment|
      text = [assignment.code, assignment.reason].compact.join(": ")
      entry(assignment.assigned_at, "class", text, assignment.pen, standing: assignment == reading.assigned)
    end
  end

  def entry(time, what, text, pen, standing:)
    { at: time.iso8601(3), what: what, text: text, pen: pen&.name, standing: standing }
  end
end
