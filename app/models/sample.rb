# frozen_string_literal: true

# A piece of soil that something was done to; of a horizon, a profile at a depth, a site, or of nothing yet.
class Sample < Record
  include Describable

  belongs_to :fieldbook, default: -> { Fieldbook.current }
  belongs_to :horizon, optional: true
  belongs_to :profile, optional: true
  belongs_to :site, optional: true
  has_many :readings, dependent: :restrict_with_exception, inverse_of: :sample
  has_many :findings, -> { order(:seen_at, :id) }, dependent: :restrict_with_exception, inverse_of: :sample

  scope :standing, -> { where(removed_at: nil) }

  KINDS = Grittle::Entry::Fields::SAMPLE_KINDS
  MOST_AT_ONCE = 50

  # Samples at depths of a profile, all or none, with what was found on them.
  # @param inputs [Array<Hash{Symbol=>Object}>] kind, label, upper_cm, lower_cm (may be missing), described, findings
  # @return [Array<Sample>]
  # @raise [Grittle::InvalidInput] with pointers below /samples/PLACE
  def self.take(profile, inputs)
    transaction do
      inputs.each_with_index.map do |input, place|
        take_one(profile, input)
      rescue Grittle::InvalidInput => e
        raise Grittle::InvalidInput, (e.problems.map { |problem| problem.under("/samples/#{place}") })
      end
    end
  end

  def self.take_one(profile, input)
    sample = new(profile: profile, kind: "palmful", **input.slice(:kind, :label, :upper_cm, :lower_cm))
    sample.update!(sample.checked(input))
    sample.attach
    (input[:findings] || []).each { |found| Finding.add(sample, **found) }
    sample
  end
  private_class_method :take_one

  # @raise [Grittle::InvalidInput, Record::Stale]
  def change(version, input)
    revise(version, checked(input))
    attach if profile
    place&.refresh
  end

  # @return [Profile, nil] that it belongs to, by itself or through its horizon
  def place = profile || horizon&.profile

  # Out of the profile, where nothing was textured; the record keeps it.
  # @raise [Grittle::InvalidInput, Record::Stale]
  def remove(version)
    refuse("", "This sample has been textured: mark it as smeared or fallen in instead.") if readings.exists?
    revise(version, removed_at: Time.now.utc)
  end

  # @return [Hash] attributes ready to store
  def checked(input)
    self.class.one_of(:kind, input[:kind], KINDS)
    check_depths(*%i[upper_cm lower_cm].map { |name| input.fetch(name) { self[name] }&.to_f }) if profile
    input.slice(:kind, :label, :upper_cm, :lower_cm).merge(described_with("sample", input[:described]))
  end

  # To the horizon its depth falls in; at a boundary to the one below. That follows from the depths and is no change of
  # its own.
  def attach
    depth = lower_cm ? (upper_cm + lower_cm) / 2 : upper_cm
    update_columns(
      horizon_id: profile.horizons.reload.find { |layer| depth >= layer.upper_cm && depth < layer.lower_cm }&.id
    )
    reset_horizon
  end

  # Fallen in or smeared, by itself or with the pull of the auger it came from.
  # @return [String, nil] why it does not speak for its depth
  def disturbed
    own = seen["condition"]
    return own if own && own != "whole"
    return "fell_in" if horizon&.seen&.fetch("fell_in", nil)

    place&.increment_at(upper_cm, lower_cm)&.fetch("condition", nil).then { |found| found unless found == "whole" }
  end

  # @return [String] "20 cm" or "20 to 30 cm"
  def depth_text
    depths = [upper_cm, lower_cm].compact.map { |cm| Grittle::Units.number(cm.to_f) }
    "#{depths.join(' to ')} cm"
  end

  private

  def check_depths(upper, lower)
    return Grittle::Profile::DepthRange.new(upper, lower) if lower
    return if upper && Grittle::Profile::DepthRange::DEPTHS_CM.cover?(upper)

    refuse("/upper_cm", "A depth is a number of cm from 0 to #{Grittle::Profile::DepthRange::DEEPEST_CM}.")
  end

  def refuse(pointer, sentence)
    raise(Grittle::InvalidInput, [Grittle::Problem.new(pointer: pointer, sentence: sentence)])
  end
end
