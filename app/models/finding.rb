# frozen_string_literal: true

# One look at a companion test on a sample: pH, fizz, a crumb in water. Only ever added or taken back; the newest of
# each part stands.
class Finding < ApplicationRecord
  belongs_to :sample
  belongs_to :companion_place, optional: true, inverse_of: :looks
  belongs_to :recorded_by, class_name: "Observer", optional: true
  attribute :value, ActiveRecord::Type::Json.new

  scope :standing, -> { where(taken_back_at: nil, deletion_id: nil) }

  # @param test [String] one of Grittle::Profiles::Findings::TESTS
  # @param value [Hash] its parts as typed
  # @param seen_at [String, nil] ISO 8601; nil is now
  # @raise [Grittle::InvalidInput]
  def self.make(sample, test:, value:, seen_at: nil)
    read = Grittle::Profiles::Findings.read(test, value.transform_keys(&:to_s))
    create!(
      sample: sample,
      test: test,
      value: read,
      seen_at: seen_at ? Time.iso8601(seen_at) : Acting.now,
      recorded_by: Acting.writer(sample.profile&.recorded_by)
    )
  rescue ArgumentError
    raise Grittle::InvalidInput,
          [Grittle::Problem.new(pointer: "/seen_at", sentence: "“#{seen_at}” is no time such as 2026-05-31T10:05:00Z.")]
  end

  # It was entered by mistake.
  def take_back = update!(taken_back_at: Time.now.utc)
end
