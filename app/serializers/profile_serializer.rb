# frozen_string_literal: true

# Profiles, their horizons and the sites they lie at, as the page sees them.
module ProfileSerializer
  module_function

  # @param profile [Profile]
  # @param clay [Boolean] whether each reading carries its clay with the range: for one profile, not for lists of them
  # @return [Hash] schema Profile
  def call(profile, clay: true)
    {
      id: profile.id, version: profile.lock_version, site: { id: profile.site.id, name: profile.site.name },
      name: profile.name, kind: profile.kind, kind_name: Grittle::Profile::EXPOSURES.fetch(profile.kind),
      method: ReadingSerializer.method(profile), naming_system: profile.naming_system,
      method_name: method_name(profile), hand: profile.hand&.name,
      pen: profile.pen&.name, note: profile.note, described: profile.seen,
      horizons: profile.horizons.map { |horizon| horizon(horizon, clay: clay) },
      gaps: gaps(profile), next_horizon_id: profile.next_horizon&.id,
      **(clay ? { undo: undo(profile), **DescriptionSerializer.profile(profile) } : {})
    }
  end

  # @param site [Site]
  # @param listed [Array<Profile>] those to show of it
  # @return [Hash] schema Site
  def site(site, listed = Profile.first_of([site]), count: site.profiles.count)
    profiles = listed.map { |profile| call(profile, clay: false) }
    { id: site.id, version: site.lock_version, name: site.name, landform: site.landform, note: site.note, described: site.seen,
      position: site.position&.to_s, photos: DescriptionSerializer.photos(site), profiles: profiles, profile_count: count }
  end

  # @param profile [Profile]
  # @return [Hash] schema ProfileLine: a profile in a long list, without its horizons
  def line(profile)
    layers = profile.horizons
    { id: profile.id, name: profile.name, kind_name: Grittle::Profile::EXPOSURES.fetch(profile.kind), horizons: layers.size,
      textured: layers.count { |horizon| horizon.readings.any?(&:assigned) }, depth_cm: layers.last && plain(layers.last.lower_cm),
      designations: layers.map(&:designation).join(", ") }
  end

  def horizon(horizon, clay:)
    reading = horizon.reading
    summary = reading && ReadingSerializer.summary(reading)
    summary = summary.merge(clay: ReadingSerializer.clay(reading)) if summary && clay
    { id: horizon.id, version: horizon.lock_version, **depths(horizon), boundary: horizon.boundary, described: horizon.seen,
      **Horizon::COLOURS.to_h { |name| [name, colour(horizon.colour(name))] }, reading: summary,
      **(clay ? { readings: DescriptionSerializer.readings(horizon), photos: DescriptionSerializer.photos(horizon) } : {}) }
  end

  # @return [String, nil] what can be undone, without hiding a reading
  def undo(profile)
    change = profile.last_change
    change.label if change&.possible?
  end

  # @param munsell [Grittle::Profile::Munsell, nil]
  # @return [Hash, nil] schema Colour
  def colour(munsell)
    munsell && { notation: munsell.to_s, chip: munsell.hex, wet: munsell.wet? }
  end

  # @return [Hash] designation and depths in cm, whole numbers as such
  def depths(horizon)
    { designation: horizon.designation, upper_cm: plain(horizon.upper_cm), lower_cm: plain(horizon.lower_cm) }
  end

  # @param number [Numeric, nil]
  # @return [Numeric, nil] whole numbers as such
  def plain(number) = number && (number == number.to_i ? number.to_i : number.to_f)

  def gaps(profile)
    profile.sequence.gaps.map do |gap|
      { upper_cm: plain(gap.upper), lower_cm: plain(gap.lower), sentence: "No horizon from #{gap}." }
    end
  end

  def method_name(profile)
    detail = { Grittle::Keys::RibbonAndRub::ID => Grittle::Keys::LimitSets[profile.limit_set][:name].downcase,
               Grittle::Keys::TwoNumbers::ID => Grittle.triangle(profile.system).name }[profile.key]
    [Grittle::Keys[profile.key]::NAME, detail].compact.join(", ")
  end
end
