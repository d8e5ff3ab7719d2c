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
      assessment: assessed(reading, assessment), expected: expected(reading),
      assigned: assigned(reading)&.merge(estimate: given(assessment, reading.assigned)),
      photos: DescriptionSerializer.photos(reading)
    }
  end

  # @return [Hash] schema Assessment, with the reason beside a contradiction that is kept
  def assessed(reading, assessment)
    kept = reading.kept_contradictions
    whole = assessment.to_h
    whole.merge("contradictions" => whole["contradictions"].map { |one| one.merge("kept" => kept[one["rule"]]) })
  end

  # @return [Hash, nil] schema GivenClass: the estimate given the class that was assigned
  def given(assessment, assignment)
    assignment && assessment.estimate.given(assignment.code, naming: assignment.result["system"]).to_h
  end

  # What follows from a reading goes by the estimate given the assigned class, or by the estimate alone.
  # @return [Hash, nil] schema Clay, in percent
  def clay(reading)
    assessment = reading.assessment
    return if assessment.estimate.empty? && reading.assigned.nil?

    within = given(assessment, reading.assigned)
    found = within || assessment.estimate.to_h
    { mean: found["mean"]["clay"], range: found["clay_range"], given: !within.nil?, uniform: within ? within["uniform"] : false }
  end

  # What was expected stays hidden until there is a class to hold it against.
  # @return [Hash, nil] schema Expectation
  def expected(reading)
    wanted = reading.expected or return
    assignment = reading.assigned or return { hidden: true }

    { hidden: false, code: wanted["code"], name: Grittle::Keys[wanted["key"]].name_of(wanted["code"], wanted["system"]),
      agreement: Grittle::Agreement.of([assignment.result["system"], assignment.code], wanted.values_at("system", "code")).to_s }
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
    { key: record.key, system: record.system, limit_set: record.limit_set, ribbon_counts_from: record.ribbon_counts_from,
      older_grades: record.older_grades, curve: record.curve, unit: record.unit }
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
        assignment = layer.reading&.assigned
        { id: layer.id, **ProfileSerializer.depths(layer), code: assignment&.code, system: assignment && assignment.result["system"] }
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
    { id: ribbon.id, length_mm: ribbon.length_mm.to_f, ended: ribbon.ended, carried_own_weight: ribbon.carried_own_weight,
      **%i[thickness_mm width_mm working_minute reading_error_mm].to_h { |name| [name, ribbon[name]&.to_f] }, photo_id: ribbon.photo_id,
      entered: { length: ribbon.entered_length.to_f, unit: ribbon.entered_unit }, made_at: ribbon.made_at.iso8601 }
  end

  def assigned(reading)
    assignment = reading.assigned or return
    key, system = assignment.result.values_at("key", "system")
    { code: assignment.code, key: key, system: system, name: Grittle::Keys[key].name_of(assignment.code, system),
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
      entry(answer.given_at, *said(answer, reading), answer.pen, standing: newest[answer.observation] == answer.id)
    end
  end

  # @return [Array<String>] what an answer is about, and what it says
  def said(answer, reading)
    name = answer.observation
    what = name.start_with?(Answer::KEPT) ? "kept: #{name.delete_prefix(Answer::KEPT).tr('_', ' ')}" : Grittle::Tests::Catalogue.short(name)
    return [what, "taken back"] if answer.value.nil?
    return [what, answer.value] if name.start_with?(Answer::KEPT)
    return [what, reading.assigned ? answer.value["code"] : "hidden until a class is assigned"] if name == Answer::EXPECTED

    [what, Grittle::Tests::Catalogue.word(name, answer.value)]
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
