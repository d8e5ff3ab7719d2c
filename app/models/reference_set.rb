# frozen_string_literal: true

require "digest"
require "active_support/security_utils"

# Tubs of soil whose composition is known to who fills them, and to nobody else before it is time. Who keeps a set holds
# its key, or is signed in as who made it; of the key only a digest is kept here.
class ReferenceSet < ApplicationRecord
  TRUTH_BY = { "laboratory" => "A laboratory", "teacher" => "A teacher" }.freeze
  MOST_TUBS = 60

  belongs_to :fieldbook, default: -> { Fieldbook.current }
  has_many :tubs, -> { where(removed_at: nil).order(:id) }, dependent: :restrict_with_exception,
                                                            inverse_of: :reference_set
  has_many :practice_sessions, -> { order(id: :desc) }, dependent: :restrict_with_exception, inverse_of: :reference_set
  scope :standing, -> { where(removed_at: nil) }

  # @param key [String] of the keeper
  # @param tubs [Array<Hash{String=>Object}>] see Tub
  # @return [ReferenceSet]
  # @raise [Grittle::InvalidInput]
  def self.make(key, name:, truth_by: "laboratory", owner: nil, tubs: [])
    one_of(:truth_by, truth_by, TRUTH_BY)
    transaction do
      made = create!(name: required_text(:name, name, "set"), owner: owner.presence, truth_by: truth_by,
                     keeper: digest(key), account_id: Acting.account&.id)
      made.put(tubs)
      made
    end
  end

  # @param key [String, nil]
  # @return [String] what is kept of a key
  # @raise [Grittle::InvalidInput] for one that could be guessed
  def self.digest(key)
    return Digest::SHA256.hexdigest(key) if key.to_s.match?(/\A[0-9a-f]{32,64}\z/)

    raise Grittle::InvalidInput, [Grittle::Problem.new(pointer: "/key", sentence: "A key is 32 hexadecimal digits.")]
  end

  # By who is signed in with the account that made it, on whatever device; else by the key.
  # @param key [String, nil]
  # @return [Boolean]
  def kept_by?(key)
    return true if account_id && account_id == Acting.account&.id

    said = Digest::SHA256.hexdigest(key.to_s)
    ActiveSupport::SecurityUtils.secure_compare(said, keeper)
  end

  # @raise [Grittle::InvalidInput, ApplicationRecord::Stale]
  def change(version, name: self.name, owner: self.owner, truth_by: self.truth_by, tubs: nil)
    self.class.one_of(:truth_by, truth_by, TRUTH_BY)
    with_lock do
      raise Stale, self unless lock_version == version

      update!(name: self.class.required_text(:name, name, "set"), owner: owner.presence, truth_by: truth_by,
              updated_at: Time.now.utc)
      put(tubs) if tubs
    end
  end

  # All tubs anew: those with a known id are changed, others are added, those not named are removed. A tub that was read
  # keeps its row.
  # @param given [Array<Hash{String=>Object}>]
  # @raise [Grittle::InvalidInput] with pointers below /tubs/PLACE
  def put(given)
    refuse("A set has at most #{MOST_TUBS} tubs.") if given.size > MOST_TUBS
    checked = given.each_with_index.map { |one, place| Tub.checked(one, place) }
    same = checked.group_by { |one| one[:label].downcase }.find { |_, all| all.size > 1 }
    refuse("Two tubs are labelled “#{same.last.first[:label]}”.") if same
    transaction do
      standing = tubs.reload.index_by(&:id)
      left = checked.zip(given).map { |columns, one| keep(standing[one["id"]], columns) }
      Tub.where(id: standing.keys - left).update_all(removed_at: Time.now.utc)
    end
    tubs.reset
  end

  # @return [Boolean] whether the person made the set and knows what is in it
  def known_to?(person) = owner.present? && owner.casecmp?(person.name)

  private

  # What was read is not rewritten: another truth makes another tub.
  def keep(tub, columns)
    return Tub.create!(reference_set: self, **columns).id unless tub
    return tub.id if tub.written == columns[:written] && tub.about == columns[:about] && tub.label == columns[:label]

    if tub.turns.exists?
      tub.update!(removed_at: Time.now.utc)
      return Tub.create!(reference_set: self, **columns).id
    end
    tub.update!(**columns)
    tub.id
  end

  def refuse(sentence) = raise(Grittle::InvalidInput, [Grittle::Problem.new(pointer: "/tubs", sentence: sentence)])
end
