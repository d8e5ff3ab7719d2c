# frozen_string_literal: true

# A piece of land that was looked at in one or more places.
class Site < Record
  has_many :profiles, -> { order(:id) }, dependent: :restrict_with_exception, inverse_of: :site

  # @raise [Grittle::InvalidInput]
  def self.make(name:, landform: nil, note: nil)
    create!(name: required_text(:name, name, "site"), note: note.presence,
            landform: one_of(:landform, landform.presence, Grittle::Profile::LANDFORMS))
  end
end
