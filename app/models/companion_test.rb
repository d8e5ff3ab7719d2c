# frozen_string_literal: true

# A sheet for one companion test at several depths, holes or tubes; of a profile, a site, or of nothing yet. What is
# found hangs on samples as everywhere, so that sections and exports read it there.
class CompanionTest < ApplicationRecord
  include Deletable

  TESTS = Grittle::Companions::TESTS

  belongs_to :fieldbook, default: -> { Fieldbook.current }
  belongs_to :profile, optional: true
  belongs_to :site, optional: true
  belongs_to :recorded_by, class_name: "Observer", optional: true
  has_many :places, -> { of_standing.order(:id) }, class_name: "CompanionPlace", dependent: :restrict_with_exception,
                                                   inverse_of: :companion_test

  scope :running, -> { where(ended_at: nil) }
  # Of what a sheet is made.
  WHOLE = [:profile, :site, { places: [:looks, { sample: [:horizon, { profile: :horizons }] }] }].freeze

  # @param test [String] one of TESTS
  # @param owner [Hash{Symbol=>ApplicationRecord}] :profile or :site; neither for a test by itself
  # @param places [Array<Hash{Symbol=>Object}>] each with label, upper_cm and lower_cm, or sample_id
  # @param setup [Hash] what was the same for all
  # @return [CompanionTest]
  # @raise [Grittle::InvalidInput] with pointers below /places/PLACE
  def self.make(fieldbook, test:, places:, setup: {}, owner: {})
    known = TESTS[test] || raise(Grittle::UnknownName.new("test", test, TESTS.keys))
    refuse("/places", "#{known.title} needs a #{known.noun}.") if places.empty?
    refuse("/places", "A sheet holds #{known.most} places.") if places.size > known.most
    transaction do
      sheet = create!(fieldbook: fieldbook, test: test, **owner,
                      recorded_by: Acting.writer(owner[:profile]&.recorded_by))
      places.each_with_index do |place, at|
        sheet.take(place, setup)
      rescue Grittle::InvalidInput => e
        raise Grittle::InvalidInput, (e.problems.map { |problem| problem.under("/places/#{at}") })
      end
      sheet
    end
  end

  def self.refuse(pointer, sentence)
    raise Grittle::InvalidInput, [Grittle::Problem.new(pointer: pointer, sentence: sentence)]
  end
  private_class_method :refuse

  # One more place.
  # @param place [Hash{Symbol=>Object}] see .make
  # @param setup [Hash]
  # @return [CompanionPlace]
  # @raise [Grittle::InvalidInput]
  def take(place, setup)
    made = places.create!(sample: sample_of(place))
    made.write(setup) if setup.any?
    made
  end

  # @param version [Integer, nil] that a note is changed on; looks of others do not stand in the way of ending it
  # @param ended [Boolean] whether it is over, or goes on after all
  # @raise [ApplicationRecord::Stale]
  def change(version, ended:, note: self.note)
    with_lock do
      raise Stale, self unless version.nil? || lock_version == version

      update!(ended_at: ended ? ended_at || Time.now.utc : nil, note: note.presence)
    end
  end

  # @return [Grittle::Companions::Test]
  def kind = TESTS.fetch(test)

  # @return [String] "Percolation, Tare 1"
  def name = [kind.title, owner&.name].compact.join(", ")

  # @return [Profile, Site, nil]
  def owner = profile || site

  # @param beside [Boolean] whether what the hand says stands beside it
  # @return [Hash{String=>Object}] as Grittle.companion_test takes it
  def describe(beside: true, now: Time.now.utc)
    { "test" => test, "places" => places.map { |place| place.describe(beside: beside, now: now) } }
  end

  private

  def given_sample(id)
    sample = fieldbook.samples.standing.find(id)
    return sample if [sample.place, sample.place ? nil : sample.site] == [profile, profile ? nil : site]

    raise Grittle::InvalidInput,
          [Grittle::Problem.new(pointer: "/sample_id", sentence: "That sample is of another profile or site.")]
  end

  def sample_of(place)
    return given_sample(place[:sample_id]) if place[:sample_id]

    made = { kind: kind.sample_kind, **place.slice(:label, :upper_cm, :lower_cm) }
    return Sample.make(profile, [made]).first if profile && place[:upper_cm]

    Sample.create!(fieldbook: fieldbook, site: site || profile&.site, **made)
  rescue Grittle::InvalidInput => e
    raise Grittle::InvalidInput,
          (e.problems.map do |one|
            Grittle::Problem.new(pointer: one.pointer.delete_prefix("/samples/0"),
                                 sentence: one.sentence)
          end)
  end
end
