# frozen_string_literal: true

# A layer of a profile, from an upper to a lower depth in cm.
class Horizon < Record
  include Describable

  belongs_to :profile
  belongs_to :reported_reading, class_name: "Reading", optional: true
  has_many :samples, dependent: :restrict_with_exception, inverse_of: :horizon
  has_many :readings, -> { order(:id) }, through: :samples

  COLOURS = %i[moist_colour dry_colour].freeze

  # @raise [Grittle::InvalidInput] upside-down or overlapping depths, a blank designation
  def self.make(profile, designation:, upper_cm:, lower_cm:, **seen)
    profile.with_lock do # two horizons added at once must not overlap either
      horizon = new(profile: profile)
      horizon.assign_attributes(horizon.checked({ designation: designation, upper_cm: upper_cm, lower_cm: lower_cm, **seen }))
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

  # The reading that speaks for the horizon, of soil that lay there: the reported one, else the newest with a class, else the newest.
  # @return [Reading, nil]
  def reading
    whole = readings.reject { |reading| reading.sample.disturbed }
    whole.find { |reading| reading.id == reported_reading_id } || whole.reverse.find(&:assigned) || whole.last
  end

  # @return [Grittle::Profile::Described]
  def as_described
    assigned = reading&.assigned
    grade = assigned.code if assigned && assigned.result["system"] == Grittle::Keys::FieldGrades::SYSTEM
    Grittle::Profile::Described.new(designation: designation, depths: depths, colour: colour(:moist_colour), seen: seen, grade: grade,
                                    boundary: boundary_cm, clay: layer&.clay_mean)
  end

  # @return [Grittle::Profile::Contrast::Layer, nil] its clay with the uncertainty; nil where nothing is known of it
  def layer
    shares = reading&.shares or return
    @layer ||= Grittle::Profile::Contrast::Layer.from(
      shares, designation: designation, depths: depths, boundary: boundary_cm,
              other_material: seen["discontinuity"] == true || designation.match?(/\A[2-9]/)
    )
  end

  # @return [Array, nil] cm from and to over which the lower boundary lies
  def boundary_cm = boundary && Grittle::Profile::Boundaries.range_cm(boundary, system: profile.naming_system)

  # @param order [Boolean] whether it must fit between the horizons that are there
  # @return [Hash] attributes ready to store
  def checked(input, order: true)
    input[:designation] = self.class.required_text(:designation, input[:designation], "horizon") if input.key?(:designation)
    range = Grittle::Profile::DepthRange.new(input.fetch(:upper_cm) { upper_cm.to_f }, input.fetch(:lower_cm) { lower_cm.to_f })
    profile.sequence(except: self).check_fits(range) if order
    input.except(:described, :reported_reading_id).merge(looked_at(input), described_with("horizon", input[:described]), reported(input))
  end

  # @return [Grittle::Profile::Munsell, nil]
  def colour(name) = self[name] && Grittle::Profile::Munsell.new(self[name])

  private

  # What was typed of colour and boundary, as it is kept; a blank takes it back.
  def looked_at(input)
    colours = COLOURS.select { |name| input.key?(name) }.to_h do |name|
      [name, input[name].presence && Grittle::Profile::Munsell.new(input[name], field: name).to_s]
    end
    return colours unless input.key?(:boundary)

    word = input[:boundary].presence
    self.class.one_of(:boundary, word, Grittle::Profile::Boundaries.words(profile.naming_system))
    colours.merge(boundary: word)
  end

  # @raise [Grittle::InvalidInput] for a reading of another horizon
  def reported(input)
    return {} unless input.key?(:reported_reading_id)

    id = input[:reported_reading_id]
    unless id.nil? || readings.exists?(id)
      raise Grittle::InvalidInput,
            [Grittle::Problem.new(pointer: "/reported_reading_id", sentence: "That reading is not of #{designation}.")]
    end

    { reported_reading_id: id }
  end
end
