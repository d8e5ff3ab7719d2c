# frozen_string_literal: true

# A piece of land that was looked at in one or more places.
class Site < ApplicationRecord
  include Describable
  include Deletable

  belongs_to :fieldbook, default: -> { Fieldbook.current }
  after_save :refresh
  before_create { self.place ||= (fieldbook.sites.maximum(:place) || 0) + 1 }
  belongs_to :file_import, optional: true
  has_many :profiles, -> { kept.order(:id) }, dependent: :restrict_with_exception, inverse_of: :site

  # @param input [Hash{Symbol=>Object}] name, landform, note, described, and position as people write one
  # @raise [Grittle::InvalidInput]
  def self.make(**input)
    site = new(name: required_text(:name, input[:name], "site"))
    site.update!(site.checked(input))
    site
  end

  # @raise [Grittle::InvalidInput, ApplicationRecord::Stale]
  def change(version, input) = revise(version, checked(input))

  # Puts it before another in the list of sites.
  # @param before [Site, nil] nil for the end
  def move(before)
    others = beside.where.not(id: id)
    above = (before ? others.where(place: ...before.place) : others).maximum(:place)
    now = before ? ((above || (before.place - 2)) + before.place) / 2 : (above || 0) + 1
    return update_columns(place: now, lock_version: lock_version + 1) unless before && now >= before.place - CLOSEST

    renumber
    reload.move(before.reload)
  end

  # Places closer than this are given anew. [our own]
  CLOSEST = 1e-6

  # Whole numbers again, in the same order.
  def renumber
    beside.order(:place, :id).ids.each.with_index(1) { |id, place| Site.where(id: id).update_all(place: place) }
  end

  # @return [ActiveRecord::Relation] the sites of its fieldbook, those in the bin among them
  def beside = Site.where(fieldbook_id: fieldbook_id)
  private :beside

  # What follows from the site's own description and is kept for searches.
  def refresh
    SearchTerm.keep(self, "word" => SearchTerm.words(name, note, landform, seen.values), "day" => [seen["date"]])
  end

  # @return [Hash] attributes ready to store
  def checked(input)
    changed = input.slice(:name, :landform, :note).transform_values(&:presence)
    changed[:name] = self.class.required_text(:name, input[:name], "site") if input.key?(:name)
    self.class.one_of(:landform, changed[:landform], Grittle::Profiles::LANDFORMS)
    changed.merge(described_with("site", placed(input)))
  end
end
