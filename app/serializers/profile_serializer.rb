# frozen_string_literal: true

# Profiles, their horizons and the sites they lie at, as the page sees them. Renders only.
module ProfileSerializer
  module_function

  # @param profile [Profile]
  # @return [Hash] schema Profile
  def call(profile)
    down = profile.read_down
    photos = Photo.of_each(profile.horizons)
    {
      **opening(profile),
      note: profile.note,
      described: profile.seen,
      contaminated: profile.site.seen["contamination"] == true,
      horizons:
        profile.horizons.zip(down["horizons"]).map { |horizon, read| horizon(horizon, read, photos[horizon.id] || []) },
      gaps: gaps(profile),
      next_horizon_id: profile.next_horizon&.id,
      undo: undo(profile),
      **DescriptionSerializer.profile(profile, down)
    }
  end

  # @param profile [Profile]
  # @return [Hash] schema ProfileSummary: as lists and the land show it, from what is kept
  def summary(profile)
    { **called(profile), horizons: layers(profile), next_horizon_id: profile.next_horizon&.id }
  end

  # @return [Array<Hash>] schema Layer
  def layers(profile)
    profile.horizons.map do |horizon|
      { id: horizon.id, **depths(horizon), code: horizon.class_code, system: horizon.class_system }
    end
  end

  # @param sites [Array<Site>]
  # @return [Array<Hash>] schema Site, each with the first of its profiles
  def sites(sites)
    profiles = Profile.first_of(sites).preload(:site, :horizons).group_by(&:site_id)
    counts = Profile.kept.where(site: sites).group(:site_id).count
    photos = Photo.of_each(sites)
    sites.map { |site| site(site, profiles[site.id] || [], count: counts[site.id] || 0, photos: photos[site.id] || []) }
  end

  # @param site [Site]
  # @param listed [Array<Profile>] those to show of it
  # @param count [Integer] how many it has
  # @return [Hash] schema Site
  def site(site, listed, count:, photos:)
    {
      id: site.id,
      version: site.lock_version,
      name: site.name,
      landform: site.landform,
      note: site.note,
      described: site.seen,
      position: site.position&.to_s,
      grid: site.position&.utm,
      photos: DescriptionSerializer.photos(site, photos),
      profile_count: count,
      profiles: listed.map { |profile| summary(profile) }
    }
  end

  # @param profile [Profile]
  # @return [Hash] schema ProfileLine: a profile in a long list, without its horizons
  def line(profile)
    layers = profile.horizons
    {
      id: profile.id,
      name: profile.name,
      kind_name: Grittle::Profiles::EXPOSURES.fetch(profile.kind),
      horizons: layers.size,
      textured: layers.count(&:named),
      depth_cm: layers.last && plain(layers.last.lower_cm),
      designations: layers.map(&:designation).join(", ")
    }
  end

  # @param read [Hash{String=>Object}] what Grittle.read_down says of it
  # @param photos [Array<Photo>]
  def horizon(horizon, read, photos)
    speaking = horizon.readings.find { |reading| reading.id == read["speaks"] }
    {
      id: horizon.id,
      version: horizon.lock_version,
      **depths(horizon),
      boundary: horizon.boundary,
      described: horizon.seen,
      **Horizon::COLOURS.to_h { |name| [name, colour(horizon.colour(name))] },
      named: read["named"],
      clay: read["clay"],
      own_clay: read["own_clay"],
      reported_class: reported(horizon),
      reading: speaking && ReadingSerializer.summary(speaking),
      readings: DescriptionSerializer.readings(horizon, read),
      photos: DescriptionSerializer.photos(horizon, photos)
    }
  end

  # @return [Hash, nil] a class that came without a reading
  def reported(horizon)
    found = horizon.reported_class
    found &&
      {
        **found.named.describe,
        said: found.said,
        person: found.person,
        reported_on: found.reported_on,
        source: found.source,
        added_at: found.added_at.iso8601
      }
  end

  # @return [String, nil] what can be undone, without hiding a reading
  def undo(profile)
    change = profile.last_change
    change.label if change&.possible?
  end

  # @param munsell [Grittle::Profiles::Munsell, nil]
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

  def called(profile)
    { id: profile.id, site: { id: profile.site.id, name: profile.site.name }, name: profile.name,
      kind_name: Grittle::Profiles::EXPOSURES.fetch(profile.kind) }
  end

  def opening(profile)
    {
      **called(profile),
      version: profile.lock_version,
      kind: profile.kind,
      method: profile.field_method.to_h,
      naming_system: profile.field_method.naming_system,
      method_name: profile.field_method.name,
      textured_by: profile.textured_by&.name,
      recorded_by: profile.recorded_by&.name
    }
  end
  private_class_method :site, :reported, :called, :opening
end
