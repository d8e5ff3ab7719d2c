# frozen_string_literal: true

# What was described and what is read from it: samples with their findings, photographs, several readings of one horizon, and
# the reading down a profile.
module DescriptionSerializer
  FINDINGS = Grittle::Profile::Findings

  module_function

  # @param profile [Profile]
  # @return [Hash] of schema Profile: what one profile has beyond its horizons
  def profile(profile)
    described = profile.described_horizons
    contrasts = profile.contrasts
    { samples: profile.samples.map { |sample| sample(sample) }, increments: profile.increments || [], photos: photos(profile),
      contrasts: contrasts.map { |contrast| contrast(contrast, described) },
      wetness: Grittle::Profile::Wetness.new(described).to_h, form: form(profile, described),
      questions: questions(profile, described, contrasts) }
  end

  # @param sample [Sample]
  # @return [Hash] schema Sample
  def sample(sample)
    { id: sample.id, version: sample.lock_version, kind: sample.kind, kind_name: Sample::KINDS.fetch(sample.kind), label: sample.label,
      upper_cm: ProfileSerializer.plain(sample.upper_cm), lower_cm: ProfileSerializer.plain(sample.lower_cm),
      depth: sample.depth_text, described: sample.seen,
      horizon: sample.horizon&.designation, disturbed: disturbed(sample), findings: findings(sample),
      readings: sample.readings.map { |reading| { id: reading.id, name: class_name(reading) } } }
  end

  # @return [String, nil] why it does not speak for its depth, for a person
  def disturbed(sample)
    word = sample.disturbed
    word && Grittle::Profile::Fields::SAMPLE["condition"].say(word).downcase
  end

  # @return [Array<Hash>] what stands of each test, newest look last
  def findings(sample)
    sample.findings.group_by(&:test).map do |test, looks|
      seen = FINDINGS.standing(looks.map(&:value))
      { test: test, value: seen, said: FINDINGS.say(test, seen), seen_at: looks.last.seen_at.iso8601, looks: looks.size }
    end
  end

  # @return [Array<Hash>] schema Photo
  def photos(owner) = Photo.of(owner).map { |photo| photo(photo) }

  # @param photo [Photo]
  # @return [Hash] schema Photo
  def photo(photo)
    { id: photo.id, caption: photo.caption, width: photo.width, height: photo.height, url: "/api/photos/#{photo.id}/picture",
      thumb_url: "/api/photos/#{photo.id}/thumb" }
  end

  # @param horizon [Horizon]
  # @return [Array<Hash>] every reading of it, which agree with the reported one and by how many classes they differ
  def readings(horizon)
    reported = horizon.reading
    horizon.readings.map do |reading|
      apart = apart(reading, reported) if reading != reported
      { id: reading.id, name: class_name(reading), hand: reading.hand&.name, started_at: reading.started_at.iso8601,
        reported: reading == reported, disturbed: disturbed(reading.sample), apart: apart,
        apart_text: apart && Grittle::Profile::ClassesApart.say(apart), far: !apart.nil? && apart >= Grittle::Profile::ClassesApart::FAR }
    end
  end

  # @param reading [Reading, nil]
  # @return [String, nil] what the assigned class is called
  def class_name(reading)
    assigned = reading&.assigned
    assigned && Grittle::Keys[assigned.result["key"]].name_of(assigned.code, assigned.result["system"])
  end

  def apart(one, other)
    names = [one, other].map { |reading| reading&.assigned && [reading.assigned.result["system"], reading.assigned.code] }
    Grittle::Profile::ClassesApart.count(*names) if names.all? && names.all? { |system, _| counted?(system) }
  end

  # Groups are no classes of soil.
  def counted?(system) = Grittle::TRIANGLES.key?(system) || system == Grittle::Keys::FieldGrades::SYSTEM

  # @return [Hash] schema Contrast, with what the change is consistent with
  def contrast(contrast, described)
    facts = contrast.to_h
    lower = described.index { |horizon| horizon.depths.upper == facts["depth_cm"] }
    facts.merge("origin" => lower&.positive? ? Grittle::Profile::Origin.new(described[lower - 1], described[lower]).to_h : nil)
  end

  # The Australian key's question, for a profile by field grades.
  def form(profile, described)
    Grittle::Profile::Form.new(described).to_h if profile.naming_system == Grittle::Keys::FieldGrades::SYSTEM
  end

  def questions(profile, described, contrasts)
    Grittle::Profile::Questions.between(described, contrasts) + profile.horizons.flat_map { |horizon| of_horizon(horizon) }
  end

  # @return [Hash] what differs between two profiles, depth by depth
  def beside(one, other)
    { differences: Grittle::Profile::Beside.new(*[one, other].map { |profile| [profile.name, beside_layers(profile)] }).differences }
  end

  def beside_layers(profile)
    profile.horizons.map do |horizon|
      assigned = horizon.reading&.assigned
      named = assigned && [assigned.result["system"], assigned.code, class_name(horizon.reading)]
      { horizon: horizon.as_described, named: (named if named && counted?(named.first)) }
    end
  end

  def of_horizon(horizon)
    named = horizon.readings.select { |reading| reading.assigned && counted?(reading.assigned.result["system"]) }
    names = named.map { |reading| [reading.assigned.result["system"], reading.assigned.code, said(reading)] }
    at = [horizon.designation, ProfileSerializer.plain(horizon.upper_cm)]
    Grittle::Profile::Questions.readings_apart(*at, names) + [clay_outside(at, horizon.reading)].compact
  end

  def said(reading) = [class_name(reading), reading.hand && "by #{reading.hand.name}"].compact.join(" ")

  def clay_outside(at, reading)
    percent = reading&.observations&.dig("clay_estimate", "percent")
    return unless percent && reading.assigned

    Grittle::Profile::Questions.clay_outside(*at, reading.assigned.result["system"], reading.assigned.code, percent)
  end
  private_class_method :apart, :counted?, :contrast, :form, :questions, :beside_layers, :of_horizon, :said, :clay_outside, :findings
end
