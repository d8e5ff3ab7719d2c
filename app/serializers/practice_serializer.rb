# frozen_string_literal: true

# Sets and sessions, each as far as the one who asks may see it. Nothing of a truth, a label or a seed is in what a
# learner or a stranger gets before its time.
module PracticeSerializer
  module_function

  # @param set [ReferenceSet]
  # @return [Hash] for anybody
  def set(set)
    { id: set.id, name: set.name, owner: set.owner, truth_by: set.truth_by, tubs: set.tubs.size, version:
      set.lock_version }
  end

  # @return [Hash] for the keeper
  def kept_set(set) = { **set(set), keeps: true, truth: set.tubs.map(&:describe), sessions: sessions(set) }

  def sessions(set) = set.practice_sessions.includes(:people).map { |one| line(one) }

  # @return [Hash] for anybody
  def line(session)
    { id: session.id, kind: session.kind, set: session.reference_set&.name, set_id: session.reference_set_id,
      scheme: session.scheme, begun_at: session.begun_at.iso8601, ended_at: session.ended_at&.iso8601,
      people: session.people.size }
  end

  # @return [Hash] for somebody in it
  def of_person(session, person)
    turns = person.turns.includes(tub: :reference_set).to_a
    { **line(session), role: "person", me: { name: person.name, person_id: person.observer_id,
                                             turns: turns.map { |turn| turn(turn, person) }, **summary(turns) },
      others: (others(session, person) if session.group? && session.ended?),
      ranking: (ranking(session, named: false) if session.ranked && session.ended?) }
  end

  # @return [Hash] for the keeper of its set
  def of_keeper(session)
    people = session.people.includes(:observer, turns: { tub: :reference_set }).to_a
    { **line(session), role: "keeper", join_code: session.join_code, ranked: session.ranked,
      codes: session.codes.map { |code, tub| { code: code, label: tub.label } },
      table: people.map { |person| row(person) },
      ranking: (ranking(session, named: true) if session.ranked) }
  end

  # The blind view of a turn, and what is open of it.
  def turn(turn, person)
    { id: turn.id, code: turn.code, place: turn.place, guess: turn.guess, reading_id: turn.reading_id,
      closed_at: turn.closed_at&.iso8601, open: turn.open?,
      now: turn.closed_at.nil? && turn == person.current && !person.practice_session.ended?,
      called: (turn.said || {})["class"], result: (result(turn) if turn.open?) }
  end

  # What is known once the truth is open.
  def result(turn)
    truth = turn.truth
    { label: turn.tub&.label, again: turn.again, class: Grittle::Triangles::USDA.classify(truth).code,
      **truth.to_h.transform_values { |part| part.round(1) }, **credit(turn) }
  end

  def credit(turn)
    return { counts: false, credit: nil, steps: nil, clay_error: nil, miss: nil } unless turn.said

    scored = turn.scored
    { counts: turn.blind?, credit: scored.credit.round(3), steps: scored.steps,
      clay_error: scored.clay_error&.round(1), miss: turn.miss }
  end

  # @param turns [Array<Turn>] whose truth is open counts
  def summary(turns)
    seen = turns.select { |turn| turn.open? && turn.said && turn.blind? }
    scored = seen.map(&:scored)
    { scores: Grittle::Practice::Scores.of(scored), matrix: Grittle::Practice::Scores.matrix(scored),
      guessing: guessing(seen) }
  end

  # Whether the guess pulls, and whether asking for it does any good or harm.
  def guessing(turns)
    rows = turns.filter_map do |turn|
      found = turn.scored
      row = [turn.said["guess"], turn.said["key"], found.called, found.right]
      row if (row.first(3) - Grittle::Practice::NextSample::CODES).empty?
    end
    asked, unasked = turns.partition(&:guess).map { |all| all.map { |turn| turn.scored.credit } }
    { **Grittle::Practice::Pull.of(rows), "sentence" => Grittle::Practice::Pull.say(rows),
      "asked" => Grittle::Practice::Scores.mean(asked), "unasked" => Grittle::Practice::Scores.mean(unasked),
      "asking_p" => Grittle::Practice::Pull.asking(asked, unasked) }
  end

  # The group by samples, without who.
  def others(session, person)
    turns = session.people.where.not(id: person.id).includes(turns: { tub: :reference_set }).flat_map(&:turns)
    turns.select(&:said).group_by(&:tub).map do |tub, all|
      { label: tub.label, calls: all.map { |turn| turn.said["class"] }.tally,
        clay: all.filter_map { |turn| turn.said["clay"] }.sort,
        credit: Grittle::Practice::Scores.mean(all.map { |turn| turn.scored.credit }) }
    end
  end

  def row(person)
    turns = person.turns.select(&:said)
    scored = turns.map(&:scored)
    { name: person.name, person_id: person.observer_id, turns: person.turns.size, closed: turns.size,
      credit: Grittle::Practice::Scores.mean(scored.map(&:credit)),
      calls: turns.map do |turn|
        { code: turn.code, label: turn.tub.label, again: turn.again, called: turn.said["class"],
          clay: turn.said["clay"], credit: turn.scored.credit.round(3), steps: turn.scored.steps }
      end }
  end

  def ranking(session, named:)
    session.people.map { |person| row(person) }.reject { |row| row[:closed].zero? }.sort_by { |row| -row[:credit] }
           .map { |row| { name: (row[:name] if named), credit: row[:credit], closed: row[:closed] } }
  end

  # People beside one another on the same samples.
  # @param named [Boolean] whether with names
  def comparison(session, named:)
    people = session.people.includes(:observer, turns: { tub: :reference_set }).to_a
    said = people.to_h do |person|
      firsts = person.turns.select { |turn| turn.said && !turn.again }
      [person, firsts.to_h { |turn| [turn.tub_id, turn.said.slice("class", "clay")] }]
    end
    found = Grittle::Practice::People.new(said)
    names = people.each_with_index.to_h { |one, at| [one, named ? one.name : "Person #{at + 1}"] }
    { people: found.effects.map { |person, effect| { name: names[person], effect: effect } },
      pairs: found.pairs.map { |pair| pair.merge("one" => names[pair["one"]], "other" => names[pair["other"]]) },
      against_truth: people.map { |person| { name: names[person], **against(person) } } }
  end

  def against(person)
    scored = person.turns.select(&:said).map(&:scored)
    { scores: Grittle::Practice::Scores.of(scored), matrix: Grittle::Practice::Scores.matrix(scored) }
  end
end
