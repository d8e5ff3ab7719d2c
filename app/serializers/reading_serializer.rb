# frozen_string_literal: true

# A reading as the page sees it: whole for the bench, in summary for lists and the section. Renders only; what it says
# is the core's.
module ReadingSerializer
  module_function

  # @param reading [Reading]
  # @param evidence [String] how much of the second opinion; it takes three quarters of the time of an assessment
  # @return [Hash] schema Reading
  def call(reading, evidence: "full")
    assessment = reading.assessment
    {
      id: reading.id,
      version: reading.lock_version,
      name: reading.name,
      label: reading.sample.label,
      step: reading.step,
      **made(reading),
      **place(reading),
      observations: reading.observations,
      superseded: reading.superseded,
      moisture: moisture(reading.record),
      ribbons: reading.record.ribbons.map { |ribbon| ribbon(ribbon) },
      ruler: assessment.ruler,
      assessment: assessed(reading, evidence),
      ended_at: assessment.ended_at,
      **offers(reading, assessment),
      expected: expected(reading.record),
      assigned: assigned(reading)&.merge(evidence == "none" ? {} : estimate_given(reading)),
      cautions: cautions(reading),
      **palmful(reading.sample),
      photos: DescriptionSerializer.photos(reading, reading.pictures),
      **evidence_beside(reading, evidence),
      **apart(reading)
    }
  end

  # @return [Hash] what stands beside the estimate; with it
  def evidence_beside(reading, evidence)
    return { laboratory: [], own_hand: nil } if evidence == "none"

    { laboratory: DescriptionSerializer.laboratory(reading.sample, reading), own_hand: own_hand(reading) }
  end

  # @return [Hash, nil] with which hand it is assessed, and what the estimate would be without
  def own_hand(reading)
    hand = reading.own_hand or return
    { id: hand.id, name: hand.observer.name, pairs: hand.pairs, made_on: hand.made_at.to_date.iso8601,
      without: reading.without_hand }
  end

  # @return [Hash] what it belongs to that has no place in the fieldbook
  def apart(reading)
    return { turn: nil, double_id: nil } unless reading.sample.practice

    { turn: turn(reading), double_id: DoubleReading.where(second_id: reading.id).pick(:id) }
  end

  # @return [Hash, nil] of a session; nothing of a truth
  def turn(reading)
    turn = Turn.find_by(reading_id: reading.id) or return
    session = turn.practice_session
    { id: turn.id, session_id: session.id, code: turn.code, place: turn.place + 1,
      count: session.simulated? ? nil : turn.practice_person.turns.count, simulated: session.simulated?,
      scheme: session.scheme, guess: turn.guess, closed: !turn.closed_at.nil?, ended: session.ended? }
  end

  # @return [Hash] by which method, by whom and when
  def made(reading)
    {
      method: reading.field_method.to_h,
      method_name: reading.field_method.name,
      textured_by: reading.textured_by&.name,
      recorded_by: reading.recorded_by&.name,
      yours: reading.of?(Acting.person),
      started_at: reading.started_at.iso8601
    }
  end

  # @return [Hash] schema Assessment, with the reason beside a contradiction that is kept
  def assessed(reading, evidence)
    kept = reading.record.kept
    whole = reading.assessed(evidence: evidence)
    whole.merge("contradictions" => whole["contradictions"].map { |one| one.merge("kept" => kept[one["rule"]]) })
  end

  # @return [Hash] the estimate, given the class that was assigned
  def estimate_given(reading) = { estimate: reading.assessment.estimate.given(reading.assigned).to_h }

  # @return [Hash] what is ready to be assigned; and for each class that may be, the names that are ready for it, the
  #   fullest first
  def offers(reading, assessment)
    seen = reading.horizon&.seen || {}
    ready = assessment.offers(seen)
    codes = [*reading.field_method.codes, *Grittle::Names::ORGANIC.keys]
    { proposals: assessment.proposals(seen).map { |named| offer(named) },
      offers: codes.map { |code| { code: code, names: ready.for(code).map { |named| offer(named) } } } }
  end

  def offer(named) = { code: named.code, system: named.system, full_name: named.full_name, added: named.added }

  # What was expected stays hidden until there is a class to hold it against.
  # @return [Hash, nil] schema Expectation
  def expected(record)
    wanted = record.expected or return
    given = record.assigned or return { hidden: true }

    { hidden: false, code: wanted.code, name: wanted.full_name, agreement: given.agreement(wanted)&.to_s }
  end

  # Suspected contamination is said at every step where hands touch the soil.
  # @return [Array<String>] names of cautions that this reading needs beside those of its steps
  def cautions(reading)
    site = reading.profile&.site
    site && site.seen["contamination"] ? %w[contaminated] : []
  end

  # @return [Hash] schema ReadingSummary, from what is kept of it
  def summary(reading)
    verdict = reading.kept_verdict
    {
      id: reading.id,
      label: reading.sample.label,
      step: reading.step,
      assigned: assigned(reading),
      ribbon_set: verdict["ribbon_set"],
      ribbon_text: verdict["ribbon_text"],
      sentence: verdict["sentence"],
      outcomes: verdict["outcomes"],
      started_at: reading.started_at.iso8601,
      textured_by: reading.textured_by&.name,
      clay: verdict["clay"],
      own_clay: verdict["own_clay"]
    }
  end

  # @param reading [Reading] of no horizon
  # @return [Hash] schema QuickReading: its summary, and the palmful with where it was taken
  def quick(reading)
    { **summary(reading), name: reading.name, **palmful(reading.sample) }
  end

  def palmful(sample)
    {
      sample: { id: sample.id, version: sample.lock_version, described: sample.seen, position: position(sample) },
      site: sample.site && { id: sample.site.id, name: sample.site.name }
    }
  end

  # @return [String, nil]
  def position(sample)
    place = sample.seen.values_at("latitude", "longitude")
    Grittle::Entry::Position.new(*place).to_s if place.all?
  end

  # @return [Hash] every answer, ribbon and assignment, oldest first
  def history(reading)
    all = (answers(reading) + ribbons(reading) + assignments(reading)).sort_by { |entry| entry[:at] }
    shown = Turn.where(reading_id: reading.id).pick(:shown_at)&.iso8601(3) if reading.sample.practice
    { entries: all.map { |entry| entry.merge(after_truth: !shown.nil? && entry[:at] > shown) } }
  end

  def place(reading)
    horizon = reading.horizon
    profile = reading.profile
    following = profile&.next_horizon(below: horizon)
    {
      profile: profile && { id: profile.id, name: profile.name, site: profile.site.name },
      horizon: horizon && { id: horizon.id, **ProfileSerializer.depths(horizon) },
      horizons: profile ? ProfileSerializer.layers(profile) : [],
      next_horizon:
        following && { id: following.id, designation: following.designation, reading_id: following.speaks_id }
    }
  end

  def moisture(record)
    loop = record.moisture_loop
    {
      answers: loop.answers,
      rounds: loop.rounds,
      rounds_at_most: Grittle::MoistureLoop::ROUNDS,
      open: record.moisture_open?
    }
  end

  # @param event [Hash{String=>Object}] as Grittle::Record has it
  def ribbon(event)
    {
      id: event["id"],
      length_mm: event["length_mm"],
      ended: event["ended"],
      carried_own_weight: event["carried_own_weight"],
      **Ribbon::SHAPE.to_h { |name| [name.to_sym, event[name]] },
      photo_id: event["photo_id"],
      entered: {
        length: event["entered"],
        unit: event["unit"]
      },
      made_at: event["made_at"].iso8601
    }
  end

  def assigned(reading)
    assignment = (reading.assignments.last if reading.classed) or return
    {
      **assignment.named.describe.transform_keys(&:to_sym),
      key: assignment.key,
      proposed: assignment.result["outcomes"],
      override: assignment.override,
      reason: assignment.reason,
      rules_version: assignment.rules_version,
      assigned_at: assignment.assigned_at.iso8601
    }
  end

  def answers(reading)
    newest = reading.answers.to_h { |answer| [answer.observation, answer.id] }
    reading.answers.map do |answer|
      entry(answer.given_at, *said(answer, reading), answer.recorded_by,
            standing: newest[answer.observation] == answer.id)
    end
  end

  # @return [Array<String>] what an answer is about, and what it says
  def said(answer, reading)
    kept = answer.kind == "kept"
    what = kept ? "kept: #{answer.said_of.tr('_', ' ')}" : Grittle::Tests::Catalogue.short(answer.observation)
    return [what, "taken back"] if answer.value.nil?

    text =
      { "kept" => answer.value, "expected" => answer.kind == "expected" && expectation(answer, reading) }[answer.kind]
    [what, text || Grittle::Tests::Catalogue.word(answer.observation, answer.value)]
  end

  def expectation(answer, reading)
    reading.class_given ? Grittle::NamedClass.from(answer.value).full_name : "hidden until a class is assigned"
  end

  def ribbons(reading)
    reading.ribbons.flat_map do |ribbon|
      length = "#{Grittle::Units.plain(ribbon.entered_length.to_f)} #{ribbon.entered_unit}"
      text = "#{length}, #{Grittle::Tests::Catalogue.word('ribbons', ribbon.ended)}"
      text += " (corrects the one of #{ribbon.corrects.entered_at.strftime('%H:%M:%S')})" if ribbon.corrects
      made = entry(ribbon.entered_at, "ribbon", text, ribbon.recorded_by, standing: ribbon.taken_back_at.nil?)
      replaced = ribbon.taken_back_at && reading.ribbons.any? { |other| other.corrects_id == ribbon.id }
      next [made] if ribbon.taken_back_at.nil? || replaced

      [
        made,
        entry(
          ribbon.taken_back_at,
          "ribbon",
          "#{text}: taken back",
          ribbon.taken_back_by || ribbon.recorded_by,
          standing: false
        )
      ]
    end
  end

  def assignments(reading)
    last = reading.assignments.last
    reading.assignments.map do |assignment|
      text = [assignment.named.full_name, assignment.reason].compact.join(": ")
      entry(assignment.assigned_at, "class", text, assignment.recorded_by, standing: assignment == last)
    end
  end

  def entry(time, what, text, recorded_by, standing:)
    { at: time.iso8601(3), what: what, text: text, recorded_by: recorded_by&.name, standing: standing }
  end
  private_class_method :expectation, :offer, :palmful, :position
end
