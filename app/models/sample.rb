# frozen_string_literal: true

# A piece of soil that something was done to; of a horizon, a profile at a depth, a site, or of nothing yet.
class Sample < ApplicationRecord
  include Describable
  include Deletable

  belongs_to :fieldbook, default: -> { Fieldbook.current }
  belongs_to :horizon, optional: true
  belongs_to :profile, optional: true
  belongs_to :site, optional: true
  belongs_to :file_import, optional: true
  has_many :readings, -> { kept }, dependent: :restrict_with_exception, inverse_of: :sample
  has_many :findings, -> { standing.order(:seen_at, :id) }, dependent: :restrict_with_exception, inverse_of: :sample

  has_many :laboratory_results, -> { order(:id) }, dependent: :restrict_with_exception, inverse_of: :sample

  scope :standing, -> { where(removed_at: nil) }

  KINDS = Grittle::Entry::Fields::SAMPLE_KINDS
  MOST_AT_ONCE = 50

  # Samples at depths of a profile, all or none, with what was found on them.
  # @param inputs [Array<Hash{Symbol=>Object}>] kind, label, upper_cm, lower_cm (may be missing), described, findings
  # @return [Array<Sample>]
  # @raise [Grittle::InvalidInput] with pointers below /samples/PLACE
  def self.make(profile, inputs)
    transaction do
      inputs.each_with_index.map do |input, place|
        make_one(profile, input)
      rescue Grittle::InvalidInput => e
        raise Grittle::InvalidInput, (e.problems.map { |problem| problem.under("/samples/#{place}") })
      end
    end
  end

  def self.make_one(profile, input)
    sample = new(profile: profile, kind: "palmful", **input.slice(:kind, :label, :upper_cm, :lower_cm))
    sample.update!(sample.checked(input))
    sample.attach
    (input[:findings] || []).each { |found| Finding.make(sample, **found) }
    sample
  end
  private_class_method :make_one

  # Gives a palmful its place: a horizon, a depth of a profile, a site, or nothing.
  # @param to [Hash{Symbol=>Object}] :horizon, :profile with :upper_cm and :lower_cm, or :site
  # @raise [Grittle::InvalidInput, ApplicationRecord::Stale]
  def move(version, to)
    refuse("", "It stands on the sheet of a companion test and stays with it.") if CompanionPlace.exists?(sample: self)
    before = place
    profile = to[:profile]
    check_depths(*to.values_at(:upper_cm, :lower_cm)) if profile
    range = to[:horizon]&.then { |layer| { upper_cm: layer.upper_cm, lower_cm: layer.lower_cm } }
    revise(version, horizon: to[:horizon], profile: profile, site: (to[:site] unless profile || range),
                    upper_cm: nil, lower_cm: nil, **to.slice(:upper_cm, :lower_cm), **range.to_h)
    attach if profile
    readings.each { |reading| reading.class.alter({ id: reading.id }, { updated_at: Time.now.utc }) }
    [before, place].compact.uniq.each { |moved| moved.refresh(touch: true) }
  end

  # @raise [Grittle::InvalidInput, ApplicationRecord::Stale]
  def change(version, input)
    revise(version, checked(input))
    attach if profile
    place&.refresh
  end

  # @return [Profile, nil] that it belongs to, by itself or through its horizon
  def place = profile || horizon&.profile

  # @return [Hash] attributes ready to store
  def checked(input)
    self.class.one_of(:kind, input[:kind], KINDS)
    check_depths(*%i[upper_cm lower_cm].map { |name| input.fetch(name) { self[name] }&.to_f }) if profile
    input.slice(:kind, :label, :upper_cm, :lower_cm).merge(described_with("sample", placed(input)))
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

  # @return [String] "Hole 2, 60 cm"
  def place_name = [label, (depth_text if upper_cm)].compact.join(", ").presence || "no depth"

  # @return [String] "20 cm" or "20 to 30 cm"
  def depth_text
    return "no depth" unless upper_cm

    depths = [upper_cm, lower_cm].compact.map { |cm| Grittle::Units.number(cm.to_f) }
    "#{depths.join(' to ')} cm"
  end

  private

  def check_depths(upper, lower)
    return Grittle::Profiles::DepthRange.new(upper, lower) if lower
    return if upper && Grittle::Profiles::DepthRange::DEPTHS_CM.cover?(upper)

    refuse("/upper_cm", "A depth is a number of cm from 0 to #{Grittle::Profiles::DepthRange::DEEPEST_CM}.")
  end

  def refuse(pointer, sentence)
    raise(Grittle::InvalidInput, [Grittle::Problem.new(pointer: pointer, sentence: sentence)])
  end
end
