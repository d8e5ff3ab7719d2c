# frozen_string_literal: true

# An account in a fieldbook: as which of its people, and what it may do there.
class Membership < ApplicationRecord
  # Each may do what those before it may.
  ROLES = {
    "reader" => "Reads, exports, and changes nothing",
    "surveyor" => "Textures and describes, and changes their own readings",
    "lead" => "Manages members, settings, the reported reading and the bin as well"
  }.freeze
  RANKS = ROLES.keys.each_with_index.to_h.freeze

  belongs_to :fieldbook
  belongs_to :account
  belongs_to :observer

  scope :standing, -> { where(removed_at: nil) }

  # @param role [String, nil]
  # @param needed [String]
  # @return [Boolean]
  def self.enough?(role, needed) = RANKS.fetch(role, -1) >= RANKS.fetch(needed)

  # @raise [Grittle::InvalidInput, ApplicationRecord::Stale]
  def change(version, role:)
    self.class.one_of(:role, role, ROLES)
    fieldbook.with_lock do
      refuse_last unless role == "lead"
      revise(version, role: role)
    end
  end

  # What they wrote stays theirs; links that they gave out are open no more.
  # @raise [Grittle::InvalidInput]
  def leave
    fieldbook.with_lock do
      refuse_last
      revise(reload.lock_version, removed_at: Time.now.utc)
      Invitation.standing.where(fieldbook: fieldbook, by: account).update_all(withdrawn_at: Time.now.utc)
    end
  end

  # The account becomes a person who had a name only; what it wrote so far is theirs as well.
  # @param person [Observer] of the fieldbook
  # @raise [Grittle::InvalidInput]
  def take_over(person)
    return if person == observer

    refuse("/person_id", "#{person.name} is another member.") if person.account
    transaction do
      before = observer
      revise(reload.lock_version, observer_id: person.id)
      before.reload.merge_into(person)
    end
  rescue ActiveRecord::RecordNotUnique
    refuse("/person_id", "Both read in one session, so they are two people.")
  end

  def writer = nil

  private

  def refuse_last
    others = fieldbook.memberships.where(role: "lead").where.not(id: id)
    return if role != "lead" || others.joins(:account).merge(Account.open).exists?

    refuse("/role", "A fieldbook needs a lead: make somebody else lead first.")
  end

  def refuse(pointer, sentence)
    raise Grittle::InvalidInput, [Grittle::Problem.new(pointer: pointer, sentence: sentence)]
  end
end
