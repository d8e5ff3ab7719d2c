# frozen_string_literal: true

require "base64"

# A report of a profile or a site: what it was made for, and, once it is frozen, what it held. It is never thawed: the
# record may change, and the report says what has changed since.
class Report < ApplicationRecord
  include Deletable

  # What a person may ask of it: texts with their most characters, numbers with their range, and the assessor's table.
  TEXTS = { "client" => 200, "reference" => 120, "question" => 2000 }.freeze
  NUMBERS = { "base_cm" => 0..1000, "interest_cm" => 1..1000, "root_depth_cm" => 1..1000, "amount_mm" => 0..500,
              "daily_mm" => 0.1..50 }.freeze
  ASKED = [*TEXTS.keys, *NUMBERS.keys, "table_id"].freeze
  ASSUMED = %w[root_depth_cm amount_mm daily_mm].freeze
  # A report is read by a person. [our own]
  MOST_PROFILES = 20

  belongs_to :fieldbook, default: -> { Fieldbook.current }
  belongs_to :profile, optional: true
  belongs_to :site, optional: true
  attribute :asked, ActiveRecord::Type::Json.new
  attribute :content, ActiveRecord::Type::Json.new

  # @param owner [Hash{Symbol=>ApplicationRecord}] :profile or :site
  # @param asked [Hash] of TEXTS, NUMBERS and "table_id"
  # @return [Report]
  # @raise [Grittle::InvalidInput]
  def self.make(fieldbook, owner, asked = {})
    report = new(fieldbook: fieldbook, **owner)
    refuse("", "A report is of a profile or of a site.") if owner.empty?
    count = report.profiles.size
    refuse("", "A report holds #{MOST_PROFILES} profiles; this site has #{count}.") if count > MOST_PROFILES
    report.update!(asked: read(fieldbook, asked))
    report
  end

  # @param asked [Hash] as typed
  # @return [Hash{String=>Object}] as kept, blanks left out
  # @raise [Grittle::InvalidInput, ActiveRecord::RecordNotFound]
  def self.read(fieldbook, asked)
    asked = asked.transform_keys(&:to_s)
    texts = TEXTS.to_h { |name, most| [name, text(name, asked[name], most)] }
    numbers = NUMBERS.to_h { |name, range| [name, number(name, asked[name], range)] }
    table = asked["table_id"].presence && fieldbook.assessor_tables.find(asked["table_id"]).id
    { **texts, **numbers, "table_id" => table }.compact
  end

  def self.text(name, value, most)
    said = value.to_s.strip
    refuse("/#{name}", "It has at most #{most} characters.") if said.length > most
    refuse("/#{name}", PlainText::SENTENCE) if PlainText.flaw(said)
    said.presence
  end

  def self.number(name, value, range)
    return if value.nil? || value.to_s.strip.empty?

    found = value.is_a?(Numeric) ? value : Grittle::Entry::Field.number(value)
    return found if found && range.cover?(found)

    refuse("/#{name}", "It is a number from #{range.begin} to #{range.end}, not “#{Grittle::Spoken.of(value)}”.")
  end

  # @api private
  def self.refuse(pointer, sentence)
    raise Grittle::InvalidInput, [Grittle::Problem.new(pointer: pointer, sentence: sentence)]
  end
  private_class_method :text, :number

  # @param asked [Hash] see .make
  # @raise [Grittle::InvalidInput, ApplicationRecord::Stale]
  def change(version, asked)
    with_lock do
      raise Stale, self unless lock_version == version

      refuse_frozen
      update!(asked: self.class.read(fieldbook, asked))
    end
  end

  # Keeps what it holds now, with the version of the rules.
  # @raise [Grittle::InvalidInput, ApplicationRecord::Stale]
  def freeze_now(version)
    with_lock do
      raise Stale, self unless lock_version == version

      refuse_frozen
      update!(content: live, rules_version: Grittle::RULES_VERSION, frozen_at: Time.now.utc)
    end
  end

  # @return [Boolean]
  def frozen_now? = !frozen_at.nil?

  # @return [Hash{String=>Object}] what it says: as it was frozen, or as the record stands
  def said = frozen_now? ? content : live

  # @return [Hash{String=>Object}] as the record stands
  def live = @live ||= JSON.parse(JSON.generate(Reports::Content.new(self).to_h))

  # @return [Array<Hash>] what changed since it was frozen, see Reports::Changes
  def changes_since = frozen_now? ? Reports::Changes.new(content, live).to_a : []

  # @return [Profile, Site]
  def owner = profile || site

  # @return [Site]
  def land = site || profile.site

  # @return [Array<Profile>]
  def profiles
    @profiles ||= (profile ? Profile.where(id: profile_id) : site.profiles).preload(Profile::WITH_READINGS).to_a
  end

  # @return [Hash{String=>Numeric}] what is assumed of root depth and water
  def assumed = asked.slice(*ASSUMED)

  # @return [Hash{String=>Object}, nil] the authority's table, as Grittle.interpret takes it
  def table
    found = asked["table_id"] && fieldbook.assessor_tables.find_by(id: asked["table_id"])
    found&.describe(base_cm: asked["base_cm"], interest_cm: asked["interest_cm"])
  end

  # @return [Hash{String=>Object}] who makes it, as the settings say: "name", "lines", "logo" (PNG, base64)
  def title_block
    name, lines = fieldbook.title_block.values_at(:name, :lines)
    logo = fieldbook.logo_kept
    { "name" => name, "lines" => lines.to_s.lines.map(&:strip).reject(&:empty?),
      "logo" => logo && Base64.strict_encode64(logo) }
  end

  # @return [String]
  def name = "Report on #{owner.name}"

  private

  def refuse_frozen
    self.class.refuse("", "It is frozen: make a new report.") if frozen_now?
  end
end
