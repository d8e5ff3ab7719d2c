# frozen_string_literal: true

require "digest"
require "securerandom"

# A link by which one person becomes a member, once, within some days. Of the link only a digest is kept.
class Invitation < ApplicationRecord
  HOLDS = 14 * 24 * 3600 # seconds [our own]
  # At once, in a fieldbook. [our own]
  MOST_OPEN = 50

  belongs_to :fieldbook
  belongs_to :by, class_name: "Account"
  # The name in the fieldbook that whoever follows the link takes over.
  belongs_to :observer, optional: true
  belongs_to :used_by, class_name: "Account", optional: true

  scope :standing, lambda { |now = Time.now.utc|
    where(used_at: nil, withdrawn_at: nil).where(ends_at: now..)
  }

  # @param role [String] one of Membership::ROLES
  # @param observer [Observer, nil] that has no account yet
  # @return [Array(Invitation, String)] with the word in its link
  # @raise [Grittle::InvalidInput]
  def self.make(fieldbook, by:, role:, observer: nil, note: nil)
    one_of(:role, role, Membership::ROLES)
    refuse("#{observer.name} has an account already.") if observer&.account
    many = standing.where(fieldbook: fieldbook).count >= MOST_OPEN
    refuse("#{MOST_OPEN} invitations are open. Withdraw some first.") if many
    token = SecureRandom.urlsafe_base64(24)
    now = Time.now.utc
    made = create!(fieldbook: fieldbook, by: by, role: role, observer: observer, note: note.to_s.strip[0, 120].presence,
                   token_digest: Digest::SHA256.hexdigest(token), made_at: now, ends_at: now + HOLDS)
    [made, token]
  end

  # @param token [String] of the link
  # @return [Invitation, nil] that can still be followed
  def self.with(token) = standing.find_by(token_digest: Digest::SHA256.hexdigest(token.to_s))

  # @param account [Account]
  # @return [Membership]
  # @raise [Grittle::InvalidInput]
  def accept(account)
    with_lock do
      self.class.send(:refuse, "This invitation was used already.") if used_at || withdrawn_at
      update!(used_at: Time.now.utc, used_by: account)
      fieldbook.let_in(account, role, as: observer)
    end
  end

  def withdraw = update!(withdrawn_at: Time.now.utc)

  def self.refuse(sentence)
    raise Grittle::InvalidInput, [Grittle::Problem.new(pointer: "", sentence: sentence)]
  end
  private_class_method :refuse
end
