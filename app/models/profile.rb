# frozen_string_literal: true

# One exposure at a site, with the method its readings follow.
class Profile < Record
  include Describable

  belongs_to :site
  belongs_to :hand, class_name: "Observer", optional: true
  belongs_to :pen, class_name: "Observer", optional: true
  has_many :horizons, -> { where(removed_at: nil).order(:upper_cm, :id) }, dependent: :restrict_with_exception, inverse_of: :profile
  has_many :samples, -> { where(removed_at: nil).order(:upper_cm, :id) }, dependent: :restrict_with_exception, inverse_of: :profile
  has_many :layer_changes, -> { order(:id) }, dependent: :restrict_with_exception, inverse_of: :profile

  attribute :increments, ActiveRecord::Type::Json.new

  METHOD_DEFAULTS = {
    key: Grittle::Keys::RibbonAndRub::ID, limit_set: Grittle::Keys::LimitSets::DEFAULT,
    ribbon_counts_from: Grittle::Keys::LimitSets::DEFAULT_COUNTS_FROM, unit: "mm",
    system: Grittle::Triangles::USDA.id, curve: Grittle::Curves::DEFAULT, older_grades: false
  }.freeze
  # What may stand in a column.
  CHOICES = {
    kind: Grittle::Profile::EXPOSURES, limit_set: Grittle::Keys::LimitSets::ALL, unit: Grittle::Units::LENGTHS,
    ribbon_counts_from: Grittle::Keys::LimitSets::COUNTS_FROM, system: Grittle::TRIANGLES,
    key: Grittle::Keys::ALL.to_h { |key| [key::ID, key] }, curve: Grittle::Curves::ALL.to_h { |curve| [curve.id, curve] }
  }.freeze

  # How many profiles of a site stand in a list of sites; a site may have hundreds.
  LISTED = 12

  # @param sites [Array<Site>]
  # @return [ActiveRecord::Relation] the first LISTED profiles of each
  def self.first_of(sites)
    ranked = where(site: sites).select("id, ROW_NUMBER() OVER (PARTITION BY site_id ORDER BY id) AS place")
    where(id: unscoped.from(ranked, :ranked).where("place <= ?", LISTED).select(:id)).order(:id)
  end

  # @param input [Hash{Symbol=>Object}] columns by name; hand and pen as names of people
  # @raise [Grittle::InvalidInput]
  def self.make(site, input)
    profile = new(site: site, **METHOD_DEFAULTS)
    profile.update!(profile.seen_with(input))
    profile
  end

  # @raise [Grittle::InvalidInput, Record::Stale]
  def change(version, input) = revise(version, seen_with(input))

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
    CHOICES.each { |field, table| one_of(field, input[field], table) }
    %i[hand pen].each { |role| input[role] = Observer.named(input[role]) if input.key?(role) }
    input
  end

  # @return [Grittle::Profile::HorizonSequence] of all horizons but the one named
  def sequence(except: nil)
    Grittle::Profile::HorizonSequence.new((horizons.to_a - [except]).map { |horizon| [horizon.designation, horizon.depths] })
  end

  # @return [LayerChange, nil] what can be undone
  def last_change = layer_changes.standing.last

  # @return [String] the system in whose names the profile's key answers
  def naming_system = key == Grittle::Keys::TwoNumbers::ID ? system : Grittle::Keys[key]::SYSTEM

  # What lies between the horizons that touch, where both have been textured. Organic layers are left out: their texture is
  # none.
  # @return [Array<Grittle::Profile::Contrast>]
  def contrasts
    layers = horizons.reject { |horizon| horizon.as_described.organic? }
    layers.each_cons(2).filter_map do |upper, lower|
      next unless upper.lower_cm == lower.upper_cm

      above, below = [upper, lower].map(&:layer)
      Grittle::Profile::Contrast.new(above, below, same_hand: upper.reading.same_hand?(lower.reading)) if above && below
    end
  end

  # @return [Array<Grittle::Profile::Described>] the horizons as they are read down
  def described_horizons = horizons.map(&:as_described)

  # @return [Horizon, nil] the first without a class from +below+ on, else the first at all
  def next_horizon(below: nil)
    waiting = horizons.reject { |horizon| horizon.reading&.assigned }
    waiting.find { |horizon| below && horizon.upper_cm > below.upper_cm } || (waiting - [below]).first
  end

  private

  def read_increments(pulls)
    read = pulls.each_with_index.map do |pull, place|
      fields = Grittle::Profile::Fields.read("increment", pull.transform_keys(&:to_s)).compact
      Grittle::Profile::DepthRange.new(fields["from_cm"], fields["to_cm"])
      fields
    rescue Grittle::InvalidInput => e
      raise Grittle::InvalidInput, (e.problems.map { |problem| problem.under("/increments/#{place}") })
    end
    read.sort_by { |pull| pull["from_cm"] }.presence
  end
end
