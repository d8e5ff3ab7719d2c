# frozen_string_literal: true

# One change to the layers of a profile, with how they were before it.
class LayerChange < ApplicationRecord
  COLUMNS = %w[id designation upper_cm lower_cm boundary moist_colour dry_colour described reported_reading_id].freeze

  belongs_to :profile
  belongs_to :by, class_name: "Observer", optional: true
  belongs_to :undone_by, class_name: "Observer", optional: true
  attribute :was, ActiveRecord::Type::Json.new

  scope :standing, -> { where(undone_at: nil) }

  # @param profile [Profile] locked by the caller
  # @param label [String] what is done, for the button that undoes it
  # @return [LayerChange]
  def self.make(profile, label)
    create!(profile: profile, label: label, was: state(profile), made_at: Time.now.utc,
            by: Acting.writer(profile.recorded_by))
  end

  # What was emptied out of the bin cannot come back.
  # @param horizons [Array<Integer>]
  # @param samples [Array<Integer>]
  def self.forget(horizons, samples)
    profiles = Horizon.where(id: horizons).or(Horizon.where(id: Sample.where(id: samples).select(:horizon_id)))
    where(profile_id: profiles.select(:profile_id)).or(where(profile_id: Sample.where(id: samples).select(:profile_id)))
                                                   .find_each do |change|
      layers = change.was["horizons"].reject { |layer| horizons.include?(layer["id"]) }
      taken = change.was["samples"].reject { |id, horizon| samples.include?(id) || horizons.include?(horizon) }
      change.update!(was: { "horizons" => layers, "samples" => taken })
    end
  end

  # @return [Hash] the layers, and which horizon each of their samples belongs to
  def self.state(profile)
    { "horizons" => profile.horizons.map { |horizon| horizon.attributes.slice(*COLUMNS) },
      "samples" => Sample.where(horizon: profile.horizons).or(Sample.where(profile: profile)).pluck(:id, :horizon_id) }
  end
  private_class_method :state

  # @return [Boolean] whether undoing would hide no reading
  def possible? = touched.nil?

  # Puts the layers back as they were.
  # @raise [Grittle::InvalidInput] when a horizon that would go has been textured since
  def undo
    check_untouched
    out_of_bin
    added.each { |horizon| horizon.update!(removed_at: Time.now.utc) }
    was["horizons"].each do |attributes|
      Horizon.find(attributes["id"]).update!(attributes.except("id").merge("removed_at" => nil))
    end
    was["samples"].each { |sample, horizon| Sample.where(id: sample).update_all(horizon_id: horizon) }
    update!(undone_at: Time.now.utc, undone_by: Acting.writer(profile.recorded_by))
  end

  private

  def added = profile.horizons.reject { |horizon| was["horizons"].any? { |earlier| earlier["id"] == horizon.id } }

  # Samples that a split moved go back by themselves, and those at depths find their horizon; what was textured since
  # would be hidden.
  def touched
    known = was["samples"].map(&:first)
    added.find { |horizon| horizon.samples.where.not(id: known).where(profile_id: nil).exists? }
  end

  # A horizon that was deleted comes back with its readings.
  def out_of_bin
    deleted = Horizon.where(id: was["horizons"].map { |layer| layer["id"] }).where.not(deletion_id: nil)
    Deletion.standing.where(id: deleted.pluck(:deletion_id)).find_each(&:put_back)
  end

  def check_untouched
    return if possible?

    sentence = "#{touched.designation} has been textured since, so this cannot be undone. Merge it instead."
    raise Grittle::InvalidInput, [Grittle::Problem.new(pointer: "", sentence: sentence)]
  end
end
