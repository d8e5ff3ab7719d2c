# frozen_string_literal: true

# One place of a companion test: a jar, a hole, a crumb from one depth. Its clock begins by itself; looks are only
# added, and one that was entered by mistake is taken back.
class CompanionPlace < ApplicationRecord
  belongs_to :companion_test
  belongs_to :sample
  has_many :looks, -> { standing.order(:seen_at, :id) }, class_name: "Finding", dependent: :restrict_with_exception,
                                                         inverse_of: :companion_place

  # Those whose sample was not deleted.
  scope :of_standing, -> { joins(:sample).where(samples: { removed_at: nil, deletion_id: nil }) }

  # @param at [Time] when its clock began
  # @raise [Grittle::InvalidInput] once it runs
  def begin(at)
    with_lock do
      refuse("Its clock runs already.") if started_at
      refuse("It cannot begin in the future.") if at > Time.now.utc + AHEAD
      update!(started_at: at)
    end
    companion_test.touch
  end

  # Seconds that a device's clock may be ahead of the server's. [our own]
  AHEAD = 120

  # @param value [Hash] parts as typed
  # @param at [Time] when it was seen
  # @return [Finding]
  # @raise [Grittle::InvalidInput]
  def write(value, at: Time.now.utc)
    parts = value.transform_keys(&:to_s).except("minutes")
    parts["minutes"] = minutes_at(at) if started_at && parts.keys.intersect?(companion_test.kind.look)
    read = Grittle::Profiles::Findings.read(companion_test.test, parts, whole: false)
    found = Finding.create!(sample: sample, companion_place: self, test: companion_test.test, value: read, seen_at: at,
                            recorded_by: Acting.writer(companion_test.recorded_by))
    companion_test.touch
    found
  end

  # Takes back what was read by its clock, and stops it.
  def begin_anew
    transaction do
      looks.select { |look| look.value.key?("minutes") }.each(&:take_back)
      update!(started_at: nil)
      companion_test.touch
    end
  end

  # @return [String] "60 cm", "Hole 2"
  def name = sample.place_name

  # @return [Hash{String=>Object}] as Grittle.companion_test takes it
  def describe(beside:, now:)
    horizon = sample.horizon
    { "name" => name, "layer" => horizon&.designation, "depth_cm" => sample.upper_cm&.to_f,
      "hand" => (horizon&.hand if beside), "looks" => looks.map(&:value),
      "now" => started_at && ((now - started_at) / 60.0) }.compact
  end

  private

  # What is read goes by the clock of this place, in real minutes.
  def minutes_at(time)
    refuse("It cannot be seen in the future.") if time > Time.now.utc + AHEAD
    minutes = ((time - started_at) / 60.0).round(2)
    minutes.negative? ? refuse("It is seen before its clock began.") : minutes
  end

  def refuse(sentence) = raise(Grittle::InvalidInput, [Grittle::Problem.new(pointer: "", sentence: sentence)])
end
