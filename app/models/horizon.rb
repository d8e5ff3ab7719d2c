# frozen_string_literal: true

# A layer of a profile, from an upper to a lower depth in cm.
class Horizon < ApplicationRecord
  include Describable
  include Deletable

  belongs_to :profile
  belongs_to :reported_reading, class_name: "Reading", optional: true
  has_many :samples, dependent: :restrict_with_exception, inverse_of: :horizon
  has_many :readings, -> { kept.order(:id) }, through: :samples
  has_many :reported_classes, -> { order(:id) }, dependent: :restrict_with_exception, inverse_of: :horizon
  belongs_to :speaks, class_name: "Reading", optional: true
  attribute :named, ActiveRecord::Type::Json.new

  COLOURS = %i[moist_colour dry_colour].freeze

  # @raise [Grittle::InvalidInput] upside-down or overlapping depths, a blank designation
  def self.make(profile, designation:, upper_cm:, lower_cm:, **seen)
    profile.with_lock do # two horizons added at once must not overlap either
      horizon = new(profile: profile)
      horizon.assign_attributes(
        horizon.checked({ designation: designation, upper_cm: upper_cm, lower_cm: lower_cm, **seen })
      )
      LayerChange.make(profile, "adding of #{horizon.designation}")
      horizon.save!
      profile.refresh
      horizon
    end
  end

  # @raise [Grittle::InvalidInput, ApplicationRecord::Stale]
  def change(version, input)
    profile.with_lock do
      attributes = checked(input)
      raise Stale, self unless reload.lock_version == version

      LayerChange.make(profile, "change of #{designation}")
      revise(version, attributes)
      profile.refresh
    end
  end

  # @return [Grittle::Profiles::DepthRange]
  def depths = Grittle::Profiles::DepthRange.new(upper_cm.to_f, lower_cm.to_f)

  # @return [Reading, nil] that speaks for the horizon, as the core chooses it
  def speaking
    found = Grittle::Profiles::ReadDown.speaking(readings.map { |reading| told(reading).merge("reading" => reading) })
    found&.fetch("reading")
  end

  # @param felt [Boolean] with what was felt in the reading that speaks, beside what is kept of it
  # @param taken_for [String, nil] a USDA class in place of the one that was given
  # @param measured [LaboratoryResult, nil] in place of what was felt
  # @return [Hash{String=>Object}] the horizon as the core takes it
  def describe(felt: false, taken_for: nil, measured: nil)
    {
      "designation" => designation,
      "upper_cm" => upper_cm.to_f,
      "lower_cm" => lower_cm.to_f,
      "boundary" => boundary,
      "seen" => seen,
      "moist_colour" => moist_colour,
      "reported_class" => reported_class&.named,
      "readings" => readings.map { |reading| whole(reading, felt: felt, taken_for: taken_for, measured: measured) },
      **(felt ? { "tests" => tests } : {})
    }
  end

  # @return [ReportedClass, nil] a class that came without a reading
  def reported_class = reported_classes.last

  # A class without a reading; one that is textured speaks for itself.
  # @param reported [Hash] as ReportedClass.read has it
  def report(reported)
    columns = reported.slice(:key, :system, :code, :added)
    return if speaks || columns == reported_class&.slice(*columns.keys)&.symbolize_keys

    reported_classes.create!(**reported, person: profile.recorded_by&.name, added_at: Time.now.utc)
  end

  # Keeps what speaks for the horizon, and its class, for lists.
  def refresh
    speaks = speaking
    class_of = speaks ? speaks.class_given : reported_class&.named
    update_columns(
      speaks_id: speaks&.id,
      named: class_of&.to_h,
      class_system: class_of&.system,
      class_code: class_of&.code
    )
  end

  # @return [Array<String>] texts that it is found by
  def words = [designation, *seen.values, *class_given&.then { |given| [given.full_name, given.full_code] }]

  # @return [Hash{String=>Object}, nil] what is known of its texture, as Grittle::Verdict has it
  def verdict
    return speaks.kept_verdict if speaks

    Grittle::Verdict.of_class(class_given) if class_given
  end

  # @return [Hash{String=>Object}, nil] what the hand says of it, beside companion tests: see Grittle::Companions.hand
  def hand
    return unless speaks

    Grittle::Companions.hand(speaks.estimate, class_given)
  end

  # @return [Grittle::NamedClass, nil] the class that was given to it
  def class_given = named && Grittle::NamedClass.from(named)

  # @param order [Boolean] whether it must fit between the horizons that are there
  # @return [Hash] attributes ready to store
  def checked(input, order: true)
    name = input.slice(:designation)
    input = input.merge(name.transform_values { |given| self.class.required_text(:designation, given, "horizon") })
    range =
      Grittle::Profiles::DepthRange.new(
        input.fetch(:upper_cm) { upper_cm.to_f },
        input.fetch(:lower_cm) { lower_cm.to_f }
      )
    profile.sequence(except: self).check_fits(range) if order
    input.except(:described, :reported_reading_id).merge(
      looked_at(input),
      described_with("horizon", input[:described]),
      reported(input)
    )
  end

  # @return [Grittle::Profiles::Munsell, nil]
  def colour(name) = self[name] && Grittle::Profiles::Munsell.new(self[name])

  # @return [Array<Hash>] what companion tests found in it, as Grittle::Consequences::FoundTests takes it
  def tests
    samples.reject(&:removed_at).flat_map do |sample|
      sample.findings.group_by(&:test).map do |test, looks|
        { "test" => test, "name" => sample.place_name, "depth_cm" => sample.upper_cm&.to_f,
          "looks" => looks.map(&:value) }
      end
    end
  end

  # The newest result of the samples that speak for it, by the limit of the USDA's silt.
  # @return [LaboratoryResult, nil]
  def laboratory_result
    all = LaboratoryResult.where(sample: samples.reject { |sample| sample.removed_at || sample.disturbed })
    all.order(id: :desc).find { |result| result.read.comparable? }
  end

  private

  # What the choice of the reading that speaks goes by.
  def told(reading)
    {
      "id" => reading.id,
      "named" => reading.class_given,
      "reported" => reading.id == reported_reading_id,
      "disturbed" => reading.sample.disturbed
    }
  end

  def whole(reading, felt:, taken_for:, measured:)
    speaks = reading.id == speaks_id
    told(reading).merge(
      "by" => reading.textured_by&.name,
      "day" => reading.started_at.to_date.iso8601,
      "verdict" => (reading.kept_verdict if speaks),
      **(felt && speaks ? of_hand(reading) : {}),
      **(measured && speaks ? of_laboratory(measured) : {}),
      **(taken_for && speaks ? { "named" => { "system" => "usda", "code" => taken_for } } : {})
    )
  end

  # The laboratory's class and composition in place of the hand's.
  def of_laboratory(result)
    { "laboratory" => { "percents" => result.read.percents, "sds" => result.read.sds },
      "named" => { "system" => "usda", "code" => Grittle::Triangles::USDA.classify(result.read.composition).code } }
  end

  def of_hand(reading)
    { "observations" => reading.observations, "method" => reading.field_method.to_h,
      "hand" => reading.own_hand&.numbers }
  end

  # What was typed of colour and boundary, as it is kept; a blank takes it back.
  def looked_at(input)
    colours = COLOURS.select { |name| input.key?(name) }.to_h do |name|
      [name, input[name].presence && Grittle::Profiles::Munsell.new(input[name], field: name).to_s]
    end
    return colours unless input.key?(:boundary)

    word = input[:boundary].presence
    self.class.one_of(:boundary, word, Grittle::Profiles::Boundaries.words(profile.field_method.naming_system))
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
