# frozen_string_literal: true

# One exposure at a site, with the method its readings follow.
class Profile < ApplicationRecord
  include Describable
  include Deletable

  belongs_to :site
  belongs_to :textured_by, class_name: "Observer", optional: true
  belongs_to :recorded_by, class_name: "Observer", optional: true
  has_many :horizons,
           -> { where(removed_at: nil).order(:upper_cm, :id) },
           dependent: :restrict_with_exception,
           inverse_of: :profile
  has_many :samples,
           -> { where(removed_at: nil).order(:upper_cm, :id) },
           dependent: :restrict_with_exception,
           inverse_of: :profile
  has_many :layer_changes, -> { order(:id) }, dependent: :restrict_with_exception, inverse_of: :profile

  # What it is read down from.
  WITH_READINGS = [
    :site, :textured_by, :recorded_by,
    { samples: %i[findings horizon readings laboratory_results],
      horizons: [:reported_classes, :profile,
                 { samples: :findings, readings: [:assignments, :textured_by, { sample: %i[horizon profile] }] }] }
  ].freeze

  attribute :increments, ActiveRecord::Type::Json.new
  include Methodical

  # How many profiles of a site stand in a list of sites; a site may have hundreds.
  LISTED = 12

  # @param sites [Array<Site>]
  # @return [ActiveRecord::Relation] the first LISTED profiles of each
  def self.first_of(sites)
    ranked = kept.where(site: sites).select("id, ROW_NUMBER() OVER (PARTITION BY site_id ORDER BY id) AS place")
    where(id: unscoped.from(ranked, :ranked).where("place <= ?", LISTED).select(:id)).order(:id)
  end

  # @param input [Hash{Symbol=>Object}] columns by name; textured_by and recorded_by as names of people
  # @raise [Grittle::InvalidInput]
  def self.make(site, input)
    profile = new(site: site, touched_at: Time.now.utc)
    profile.update!(profile.seen_with({ **Fieldbook.current.defaults, **signed_in, **input }))
    profile.keep_terms
    profile
  end

  # Who is signed in writes down what they begin.
  # @return [Hash{Symbol=>String}]
  def self.signed_in
    Acting.person ? { textured_by: Acting.person.name, recorded_by: Acting.person.name } : {}
  end
  private_class_method :signed_in

  # The next hole beside this one: the method, the people, and the horizons by name and depth, nothing seen in them yet.
  # @param name [String]
  # @return [Profile]
  # @raise [Grittle::InvalidInput]
  def duplicate(name)
    transaction do
      copy = self.class.make(site, { name: name, kind: kind, **field_method.to_h.transform_keys(&:to_sym) })
      copy.update!(textured_by: textured_by, recorded_by: recorded_by)
      horizons.each { |layer| copy.horizons.create!(**layer.attributes.symbolize_keys.slice(*STRUCTURE)) }
      copy.refresh
      copy
    end
  end

  STRUCTURE = %i[designation upper_cm lower_cm].freeze

  # @raise [Grittle::InvalidInput, ApplicationRecord::Stale]
  def change(version, input)
    revise(version, seen_with(input))
    refresh
  end

  # @return [Hash] attributes ready to store, described and auger pulls among them
  def seen_with(input)
    described = described_with("profile", input[:described])
    pulls = input.key?(:increments) ? { increments: read_increments(input[:increments]) } : {}
    self.class.checked(input.except(:described, :increments)).merge(described, pulls)
  end

  # @return [Hash, nil] the pull of the auger that a sample at this depth (cm) came from
  def increment_at(upper_cm, lower_cm)
    depth = [upper_cm, lower_cm].compact.sum.to_f / [upper_cm, lower_cm].compact.size if upper_cm
    depth && (increments || []).find { |pull| depth >= pull["from_cm"] && depth < pull["to_cm"] }
  end

  # @return [Hash] attributes ready to store
  def self.checked(input)
    input[:name] = required_text(:name, input[:name], "profile") if input.key?(:name)
    one_of(:kind, input[:kind], Grittle::Profiles::EXPOSURES)
    Methodical.checked(input)
  end

  # @return [Grittle::Profiles::HorizonSequence] of all horizons but the one named
  def sequence(except: nil)
    Grittle::Profiles::HorizonSequence.new(
      (horizons.to_a - [except]).map { |horizon| [horizon.designation, horizon.depths] }
    )
  end

  # @return [LayerChange, nil] what can be undone
  def last_change = layer_changes.standing.last

  # What is read down the profile, from the core's one front door.
  # @return [Hash{String=>Object}] as Grittle.read_down has it
  def read_down = Grittle.read_down(describe)

  # What it means for water, roots and work.
  # @param assumed [Hash{String=>Numeric}] see Grittle::Consequences::Interpretation
  # @param what_if [Hash{Integer=>String}] by horizon, a USDA class that it is taken for
  # @param table [Hash{String=>Object}, nil] the assessor's own, see AssessorTable#describe
  # @param from [String] "laboratory" takes its result where a horizon has one
  # @return [Hash{String=>Object}] as Grittle.interpret has it
  # @raise [Grittle::UnknownName]
  def interpret(assumed: {}, what_if: {}, table: nil, from: "hand")
    layers = horizons.map do |horizon|
      measured = horizon.laboratory_result if from == "laboratory"
      horizon.describe(felt: true, taken_for: what_if[horizon.id], measured: measured)
    end
    Grittle.interpret(describe(layers).merge("seen" => seen, "assumed" => assumed, "table" => table),
                      estimates: Reading.method(:estimate))
  end

  # @return [Hash{String=>Object}] the profile as the core takes it, horizon by horizon with its readings
  def describe(layers = horizons.map(&:describe))
    { "name" => name, "naming_system" => field_method.naming_system, "horizons" => layers }
  end

  # @return [Horizon, nil] the first without a class from +below+ on, else the first at all
  def next_horizon(below: nil)
    waiting = horizons.reject(&:named)
    waiting.find { |horizon| below && horizon.upper_cm > below.upper_cm } || (waiting - [below]).first
  end

  # What follows from the readings and is kept for lists: what speaks for each horizon, its class, whether something is
  # open, and what the profile is found by.
  # @param touch [Boolean] whether the profile was worked on just now
  def refresh(touch: false)
    layers = horizons.reset.preload(:reported_classes, readings: [:assignments, { sample: %i[profile horizon] }]).to_a
    layers.each(&:refresh)
    now = Time.now.utc
    update_columns(
      { open: layers.any? { |layer| layer.named.nil? }, updated_at: now, touched_at: (now if touch) }.compact
    )
    keep_terms(layers)
    horizons.reset
  end

  # @param layers [Array<Horizon>]
  def keep_terms(layers = horizons.to_a)
    SearchTerm.keep(self, "word" => SearchTerm.words(name, note, seen.values, textured_by&.name, layers.map(&:words)),
                          "class" =>
                            layers.filter_map { |layer| "#{layer.class_system}:#{layer.class_code}" if layer.named },
                          "day" => layers.flat_map(&:readings).map { |reading| reading.started_at.to_date.iso8601 },
                          "open" => open ? ["1"] : [])
  end

  private

  def read_increments(pulls)
    read = (pulls || []).each_with_index.map do |pull, place|
      fields = Grittle::Entry::Fields.read("increment", pull.transform_keys(&:to_s)).compact
      Grittle::Profiles::DepthRange.new(fields["from_cm"], fields["to_cm"])
      fields
    rescue Grittle::InvalidInput => e
      raise Grittle::InvalidInput, (e.problems.map { |problem| problem.under("/increments/#{place}") })
    end
    read.sort_by { |pull| pull["from_cm"] }.presence
  end
end
