# frozen_string_literal: true

# Companion tests as the page sees them: sheets with their looks, and what is due next. Renders only.
module CompanionSerializer
  FINDINGS = Grittle::Profiles::Findings

  module_function

  # @return [Array<Hash>] schema CompanionKind: what is known of each test before it is begun
  def kinds = Grittle::Companions::TESTS.values.map { |kind| kind(kind) }

  # @param sheet [CompanionTest]
  # @return [Hash] schema CompanionSheet
  def call(sheet)
    now = Time.now.utc
    made = Grittle.companion_test(sheet.describe(now: now))
    {
      **line(sheet),
      kind: kind(sheet.kind),
      now: now.iso8601(3),
      note: sheet.note,
      together: made["together"],
      places: sheet.places.zip(made["places"]).map { |place, found| place(place, found) }
    }
  end

  # @param sheet [CompanionTest]
  # @return [Hash] schema CompanionLine
  def line(sheet)
    {
      id: sheet.id,
      version: sheet.lock_version,
      test: sheet.test,
      title: sheet.kind.title,
      name: sheet.name,
      profile: named(sheet.profile),
      site: named(sheet.site || sheet.profile&.site),
      begun_at: sheet.places.filter_map(&:started_at).min&.iso8601,
      ended_at: sheet.ended_at&.iso8601,
      place_names: sheet.places.map(&:name)
    }
  end

  # @param timers [Array<Timers::Timer>]
  # @return [Hash] schema Timers
  def timers(timers)
    { now: Time.now.utc.iso8601(3), timers: timers.map { |timer| timer(timer) } }
  end

  def kind(kind)
    parts = kind.fields.transform_values(&:to_h)
    {
      **kind.to_h.slice(:name, :title, :noun, :fewest, :at_depth, :leave, :started_by),
      most: kind.most,
      steps: kind.steps.map { |text, caution| { text: text, caution: caution } },
      **%i[setup look further].to_h { |name| [name, parts.values_at(*kind.public_send(name))] },
      spoils: parts.values_at(*kind.spoils)
    }
  end

  def place(place, found)
    looks = place.looks.to_a
    {
      id: place.id,
      name: place.name,
      sample_id: place.sample_id,
      horizon: place.sample.horizon&.designation,
      upper_cm: ProfileSerializer.plain(place.sample.upper_cm),
      started_at: place.started_at&.iso8601(3),
      values: FINDINGS.standing(looks.map(&:value)).except("minutes"),
      **found.slice("said", "advice", "problems", "figures", "curve", "beside", "done",
                    "void").transform_keys(&:to_sym),
      scales: found["scales"].map { |name, (from, to, step)| { name: name, from: from, to: to, step: step } },
      due: found["due"].map { |due| due(place, due) },
      looks: looks.zip(found["marks"]).map { |look, mark| look(look, mark) }
    }
  end

  def due(place, due)
    { label: due["label"], state: due["state"], minutes: due["minutes"].round(2),
      after: Grittle::Companions.minutes(due["minutes"]), at: place.started_at && at(place, due["minutes"]) }
  end

  def look(look, mark)
    fields = FINDINGS.fields(look.test)
    minutes = look.value["minutes"]
    said = look.value.except("minutes").map { |name, value| said(fields[name], value) }
    { id: look.id, seen_at: look.seen_at.iso8601, minutes: minutes, said: said.join(", "), mark: mark,
      after: minutes && Grittle::Companions.minutes(minutes) }
  end

  def said(field, value)
    return field.label if value == true

    "#{field.label.downcase} #{field.say(value).downcase}"
  end

  def timer(timer)
    sheet = timer.place.companion_test
    { test_id: sheet.id, place_id: timer.place.id, title: sheet.kind.title, place: timer.place.name,
      within: sheet.owner&.name, label: timer.label, due_at: timer.due_at.iso8601(3),
      remind_at: timer.remind_at.iso8601(3) }
  end

  def at(place, minutes) = (place.started_at + (minutes * 60)).iso8601(3)
  def named(owner) = owner && { id: owner.id, name: owner.name }
  private_class_method :kind, :place, :due, :look, :said, :timer, :at, :named
end
