# frozen_string_literal: true

# A layer of a profile, from an upper to a lower depth in cm.
class Horizon < Record
  belongs_to :profile
  has_many :samples, dependent: :restrict_with_exception, inverse_of: :horizon
  has_many :readings, -> { order(:id) }, through: :samples

  COLOURS = %i[moist_colour dry_colour].freeze

  # @raise [Grittle::InvalidInput] upside-down or overlapping depths, a blank designation
  def self.make(profile, designation:, upper_cm:, lower_cm:, **seen)
    profile.with_lock do # two horizons added at once must not overlap either
      horizon = new(profile: profile)
      horizon.assign_attributes(horizon.checked(designation: designation, upper_cm: upper_cm, lower_cm: lower_cm, **seen))
      LayerChange.keep(profile, "adding of #{horizon.designation}")
      horizon.save!
      profile.horizons.reset
      horizon
    end
  end

  # @raise [Grittle::InvalidInput, Record::Stale]
  def change(version, input)
    profile.with_lock do
      attributes = checked(input)
      raise Stale, self unless reload.lock_version == version

      LayerChange.keep(profile, "change of #{designation}")
      revise(version, attributes)
    end
    profile.horizons.reset
  end

  # @return [Grittle::Profile::DepthRange]
  def depths = Grittle::Profile::DepthRange.new(upper_cm.to_f, lower_cm.to_f)

  # The reading that speaks for the horizon: the newest.
  # @return [Reading, nil]
  def reading = readings.last

  # @return [Grittle::Profile::Contrast::Layer, nil] its clay with the uncertainty; nil where nothing is known of it
  def layer
    shares = reading&.shares
    shares && (@layer ||= Grittle::Profile::Contrast::Layer.from(shares, designation: designation, depths: depths, boundary: boundary_cm))
  end

  # @return [Array, nil] cm from and to over which the lower boundary lies
  def boundary_cm = boundary && Grittle::Profile::Boundaries.range_cm(boundary, system: profile.naming_system)

  # @return [Hash] attributes ready to store
  def checked(input)
    input[:designation] = self.class.required_text(:designation, input[:designation], "horizon") if input.key?(:designation)
    range = Grittle::Profile::DepthRange.new(input.fetch(:upper_cm) { upper_cm.to_f }, input.fetch(:lower_cm) { lower_cm.to_f })
    profile.sequence(except: self).check_fits(range)
    input.merge(seen(input))
  end

  # @return [Grittle::Profile::Munsell, nil]
  def colour(name) = self[name] && Grittle::Profile::Munsell.new(self[name])

  private

  # What was typed of colour and boundary, as it is kept; a blank takes it back.
  def seen(input)
    colours = COLOURS.select { |name| input.key?(name) }.to_h do |name|
      [name, input[name].presence && Grittle::Profile::Munsell.new(input[name], field: name).to_s]
    end
    return colours unless input.key?(:boundary)

    word = input[:boundary].presence
    self.class.one_of(:boundary, word, Grittle::Profile::Boundaries.words(profile.naming_system))
    colours.merge(boundary: word)
  end
end
