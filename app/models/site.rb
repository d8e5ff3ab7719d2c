# frozen_string_literal: true

# A piece of land that was looked at in one or more places.
class Site < Record
  include Describable

  belongs_to :fieldbook, default: -> { Fieldbook.current }
  after_save :refresh
  has_many :profiles, -> { order(:id) }, dependent: :restrict_with_exception, inverse_of: :site

  # @param input [Hash{Symbol=>Object}] name, landform, note, described, and position as people write one
  # @raise [Grittle::InvalidInput]
  def self.make(**input)
    site = new(name: required_text(:name, input[:name], "site"))
    site.update!(site.checked(input))
    site
  end

  # @raise [Grittle::InvalidInput, Record::Stale]
  def change(version, input) = revise(version, checked(input))

  # What follows from the site's own description and is kept for searches.
  def refresh
    SearchTerm.keep(self, "word" => SearchTerm.words(name, note, landform, seen.values), "day" => [seen["date"]])
  end

  # @return [Hash] attributes ready to store
  def checked(input)
    changed = input.slice(:name, :landform, :note).transform_values(&:presence)
    changed[:name] = self.class.required_text(:name, input[:name], "site") if input.key?(:name)
    self.class.one_of(:landform, changed[:landform], Grittle::Profile::LANDFORMS)
    changed.merge(described_with("site", placed(input)))
  end

  # @return [Grittle::Entry::Position, nil]
  def position
    place = seen.values_at("latitude", "longitude")
    Grittle::Entry::Position.new(*place) if place.all?
  end

  private

  # A position that was typed or pasted becomes latitude and longitude.
  def placed(input)
    typed = input[:position].presence or return input[:described]

    place = Grittle::Entry::Position.parse(typed)
    (input[:described] || {}).merge(latitude: place.latitude, longitude: place.longitude)
  end
end
