# frozen_string_literal: true

# What everything belongs to, and the one root that every finder starts from. There is one for now.
class Fieldbook < ActiveRecord::Base
  NAME = "Fieldbook"

  has_many :sites, dependent: :restrict_with_exception, inverse_of: :fieldbook
  has_many :samples, dependent: :restrict_with_exception, inverse_of: :fieldbook
  has_many :observers, dependent: :restrict_with_exception, inverse_of: :fieldbook
  has_many :photos, dependent: :restrict_with_exception, inverse_of: :fieldbook

  # @return [Fieldbook]
  def self.current = @current ||= order(:id).first || create!(name: NAME, created_at: Time.now.utc)

  # @return [ActiveRecord::Relation]
  def profiles = Profile.joins(:site).where(sites: { fieldbook_id: id })

  # @return [ActiveRecord::Relation]
  def horizons = Horizon.joins(profile: :site).where(sites: { fieldbook_id: id })

  # @return [ActiveRecord::Relation]
  def readings = Reading.joins(:sample).where(samples: { fieldbook_id: id })

  # What was left open, by an index of its own; the fieldbook is looked up after, or the database would go through all
  # of its sites.
  # @return [ActiveRecord::Relation]
  def open_profiles
    Profile.joins("STRAIGHT_JOIN sites ON sites.id = profiles.site_id").where(sites: { fieldbook_id: id }, open: true)
  end

  # @return [ActiveRecord::Relation] likewise, with their samples
  def unclassed_readings
    Reading.joins("STRAIGHT_JOIN samples ON samples.id = readings.sample_id").where(
      samples: {
        fieldbook_id: id
      },
      classed: false
    )
  end

  # What a photograph can be of.
  # @param kind [String] one of Photo::OWNERS
  # @return [ActiveRecord::Relation]
  # @raise [Grittle::UnknownName]
  def owners(kind)
    raise Grittle::UnknownName.new("of", kind, Photo::OWNERS.keys) unless Photo::OWNERS.key?(kind)

    public_send(:"#{kind}s")
  end
end
