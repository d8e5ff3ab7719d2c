# frozen_string_literal: true

# What everything belongs to, and the one root that every finder starts from.
class Fieldbook < ActiveRecord::Base
  include PhotoOwners::Within

  NAME = "Fieldbook"
  attribute :settings, ActiveRecord::Type::Json.new

  has_many :sites, -> { kept }, dependent: :restrict_with_exception, inverse_of: :fieldbook
  has_many :samples, -> { kept.where(practice: false) }, dependent: :restrict_with_exception, inverse_of: :fieldbook
  has_many :observers, dependent: :restrict_with_exception, inverse_of: :fieldbook
  has_many :assessor_tables, -> { kept }, dependent: :restrict_with_exception, inverse_of: :fieldbook
  has_many :reports, -> { kept }, dependent: :restrict_with_exception, inverse_of: :fieldbook
  has_many :companion_tests, -> { kept }, dependent: :restrict_with_exception, inverse_of: :fieldbook
  has_many :photos, -> { kept }, dependent: :restrict_with_exception, inverse_of: :fieldbook
  has_many :file_imports, dependent: :restrict_with_exception, inverse_of: :fieldbook
  has_many :deletions, dependent: :restrict_with_exception, inverse_of: :fieldbook
  has_many :memberships, -> { standing }, dependent: :restrict_with_exception, inverse_of: :fieldbook
  has_many :invitations, dependent: :restrict_with_exception, inverse_of: :fieldbook

  scope :standing, -> { where(removed_at: nil) }

  # @return [Fieldbook] the one that is acted in; at a command line, and for who works alone, the first
  def self.current = Acting.fieldbook || first_of_all

  # @return [Fieldbook]
  def self.first_of_all = @first_of_all ||= order(:id).first || create!(name: NAME, created_at: Time.now.utc)

  # @param lead [Account, nil] nil for who works alone
  # @return [Fieldbook]
  # @raise [Grittle::InvalidInput]
  def self.make(name, lead)
    transaction do
      made = create!(name: ApplicationRecord.required_text(:name, name, "fieldbook"), created_at: Time.now.utc)
      made.let_in(lead, "lead") if lead
      made
    end
  end

  # @raise [Grittle::InvalidInput]
  def rename(name) = update!(name: ApplicationRecord.required_text(:name, name, "fieldbook"))

  # An account becomes a member, or one again.
  # @param as [Observer, nil] the name of the fieldbook that it takes over; nil makes another person
  # @return [Membership]
  def let_in(account, role, as: nil)
    known = Membership.find_by(fieldbook: self, account: account)
    return back(known, role) if known

    as = nil if as&.account
    Membership.create!(fieldbook: self, account: account, role: role, joined_at: Time.now.utc,
                       observer: as || Observer.another(self, account.name))
  end

  # Who is a member already stays what they are.
  def back(membership, role)
    membership.update!(removed_at: nil, role: role, joined_at: Time.now.utc) if membership.removed_at
    membership
  end
  private :back

  # @return [ActiveRecord::Relation]
  def profiles = Profile.kept.joins(:site).where(sites: { fieldbook_id: id })

  # @return [ActiveRecord::Relation]
  def horizons = Horizon.kept.joins(profile: :site).where(sites: { fieldbook_id: id })

  # @return [ActiveRecord::Relation]
  def readings = on_bench.where(samples: { practice: false })

  # Readings that a bench may open: those of the fieldbook, and those of sessions.
  # @return [ActiveRecord::Relation]
  def on_bench = Reading.kept.joins(:sample).where(samples: { fieldbook_id: id })

  # Palmfuls that belong to no horizon and no depth of a profile.
  # @return [ActiveRecord::Relation]
  def quick_readings = readings.where(samples: { horizon_id: nil, profile_id: nil })

  # What was left open, by an index of its own; the fieldbook is looked up after, or the database would go through all
  # of its sites.
  # @return [ActiveRecord::Relation]
  def open_profiles
    Profile.kept.joins("STRAIGHT_JOIN sites ON sites.id = profiles.site_id")
           .where(sites: { fieldbook_id: id }, open: true)
  end

  # @return [ActiveRecord::Relation] likewise, with their samples
  def unclassed_readings
    Reading.kept.joins("STRAIGHT_JOIN samples ON samples.id = readings.sample_id").where(
      samples: {
        fieldbook_id: id,
        practice: false
      },
      classed: false
    )
  end

  PEOPLE = %i[textured_by recorded_by].freeze
  # What new profiles, and the first quick reading, begin with.
  # @return [Hash{Symbol=>Object}] the parts of a method, and :textured_by and :recorded_by as names of people
  def defaults = of_settings({ **Grittle::FieldMethod::DEFAULTS, **PEOPLE.to_h { |name| [name, nil] } })

  # @return [Hash{Symbol=>String, nil}] who makes reports: name of a firm or person, and further lines
  def title_block = of_settings({ report_name: nil, report_lines: nil }).transform_keys { |key| BLOCK.fetch(key) }

  BLOCK = { report_name: :name, report_lines: :lines }.freeze

  # @param name, lines [String, nil] of the title block
  def entitle(name: nil, lines: nil) = write_settings(report_name: name.presence, report_lines: lines.presence)

  # Asked for anew, as the settings are.
  # @return [String, nil] PNG
  def logo_kept = self.class.where(id: id).pick(:logo)

  # @param picture [String, nil] PNG
  def keep_logo(picture) = self.class.where(id: id).update_all(logo: picture)

  # @param input [Hash{Symbol=>Object}] any of #defaults
  # @raise [Grittle::UnknownName]
  def set(input)
    Methodical::PARTS.each do |name|
      ApplicationRecord.one_of(name, input[name], Grittle::FieldMethod::PARTS[name].choices)
    end
    write_settings(**defaults, **input.transform_values { |value| value.is_a?(String) ? value.presence : value })
  end

  # Asked for anew: another process of the server may have changed them.
  def of_settings(usual)
    kept = (self.class.where(id: id).pick(:settings) || {}).transform_keys(&:to_sym)
    usual.merge(kept.slice(*usual.keys))
  end

  def write_settings(**given)
    kept = (self.class.where(id: id).pick(:settings) || {}).transform_keys(&:to_sym)
    self.class.find(id).update!(settings: kept.merge(given))
  end
  private :of_settings, :write_settings

  # Whether samples are drawn to be read twice; asked for anew.
  # @return [Boolean]
  def doubles? = !doubles_since.nil?

  # @return [Time, nil]
  def doubles_since = of_settings({ doubles_since: nil })[:doubles_since]&.then { |text| Time.iso8601(text) }

  # @param drawn [Boolean]
  def double(drawn) = write_settings(doubles_since: drawn ? (doubles_since || Time.now.utc).iso8601 : nil)
end
