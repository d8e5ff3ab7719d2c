# frozen_string_literal: true

# What was described and what is read from it: samples with their findings, photographs, several readings of one
# horizon, and the reading down a profile.
module DescriptionSerializer
  FINDINGS = Grittle::Profiles::Findings

  module_function

  # @param profile [Profile]
  # @param down [Hash{String=>Object}] what Grittle.read_down says of it
  # @return [Hash] of schema Profile: what one profile has beyond its horizons
  def profile(profile, down)
    {
      samples: profile.samples.map { |sample| sample(sample) },
      increments: profile.increments || [],
      photos: photos(profile),
      **down.slice("contrasts", "perching", "sandwiches", "wetness", "form", "questions").transform_keys(&:to_sym)
    }
  end

  # @param sample [Sample]
  # @return [Hash] schema Sample
  def sample(sample)
    {
      id: sample.id,
      version: sample.lock_version,
      kind: sample.kind,
      kind_name: Sample::KINDS.fetch(sample.kind),
      label: sample.label,
      upper_cm: ProfileSerializer.plain(sample.upper_cm),
      lower_cm: ProfileSerializer.plain(sample.lower_cm),
      depth: sample.depth_text,
      described: sample.seen,
      horizon: sample.horizon&.designation,
      disturbed: disturbed(sample),
      findings: findings(sample),
      laboratory: laboratory(sample),
      can_be_sent: Grittle::Entry::Fields::SENT_KINDS.include?(sample.kind),
      readings: sample.readings.map { |reading| { id: reading.id, name: reading.class_given&.full_name } }
    }
  end

  # @return [String, nil] why it does not speak for its depth, for a person
  def disturbed(sample)
    word = sample.disturbed
    word && Grittle::Entry::Fields::SAMPLE["condition"].say(word).downcase
  end

  # @return [Array<Hash>] what stands of each test, newest look last
  def findings(sample)
    sample.findings.group_by(&:test).map do |test, rows|
      looks = rows.map(&:value)
      {
        test: test,
        value: FINDINGS.standing(looks),
        said: FINDINGS.say(test, looks),
        advice: FINDINGS.advise(test, looks),
        seen_at: rows.last.seen_at.iso8601,
        looks: looks.size
      }
    end
  end

  # @param sample [Sample]
  # @param reading [Reading, nil] that it stands beside
  # @return [Array<Hash>] schema LaboratoryResult, the newest first: that one stands
  def laboratory(sample, reading = sample.readings.last)
    sample.laboratory_results.reverse.map do |result|
      {
        **result.slice("id", "laboratory", "number", "reported_on", "remark", "source").symbolize_keys,
        said: result.read.to_s,
        percents: result.read.percents,
        sds: result.read.sds,
        done: result.read.done,
        beside: reading && result.beside(reading)
      }
    end
  end

  # @return [Array<Hash>] schema Photo
  def photos(owner, found = Photo.of(owner)) = found.map { |photo| photo(photo) }

  # @param photo [Photo]
  # @return [Hash] schema Photo
  def photo(photo)
    {
      id: photo.id,
      caption: photo.caption,
      width: photo.width,
      height: photo.height,
      url: "/api/photos/#{photo.id}/picture",
      thumb_url: "/api/photos/#{photo.id}/thumb"
    }
  end

  # @param horizon [Horizon]
  # @param read [Hash{String=>Object}] what Grittle.read_down says of it
  # @return [Array<Hash>] every reading of it, which agree with the reported one and by how many classes they differ
  def readings(horizon, read)
    horizon.readings.zip(read["readings"]).map do |reading, found|
      {
        id: reading.id,
        name: found.dig("named", "full_name"),
        textured_by: reading.textured_by&.name,
        started_at: reading.started_at.iso8601,
        reported: found["speaks"],
        disturbed: disturbed(reading.sample),
        apart: found["apart"],
        apart_text: found["apart_text"],
        far: found["far"]
      }
    end
  end

  # @return [Hash] what differs between two profiles, depth by depth
  def beside(*profiles) = { differences: Grittle.beside(*profiles.map(&:describe)) }
  private_class_method :findings
end
