# frozen_string_literal: true

require "digest"
require "securerandom"

# One browser in which somebody is signed in, until they sign out or it is long unused. The browser holds the token;
# here is a digest of it.
class SignIn < ApplicationRecord
  # A season's camp without a network lasts weeks. [our own]
  IDLE = 30 * 24 * 3600 # seconds
  LONGEST = 180 * 24 * 3600 # seconds
  # Seconds between two notes of its use.
  NOTED_EVERY = 300

  belongs_to :account

  scope :standing, lambda { |now = Time.now.utc|
    where(ended_at: nil).where(seen_at: (now - IDLE)..).where(begun_at: (now - LONGEST)..)
  }

  # @param device [String, nil] what the browser calls itself
  # @return [Array(SignIn, String)] with its token
  def self.begin(account, device: nil)
    token = SecureRandom.urlsafe_base64(32)
    now = Time.now.utc
    made = create!(account: account, token_digest: digest(token), device: device.to_s[0, 120].presence, begun_at: now,
                   seen_at: now)
    [made, token]
  end

  # @param token [String, nil]
  # @return [SignIn, nil] that still holds
  def self.of(token)
    return if token.to_s.empty?

    found = standing.joins(:account).where(accounts: { closed_at: nil }).preload(:account)
                    .find_by(token_digest: digest(token))
    found&.tap(&:note)
  end

  def self.digest(token) = Digest::SHA256.hexdigest(token)

  def note
    now = Time.now.utc
    update_columns(seen_at: now) if now - seen_at > NOTED_EVERY
  end

  def end_now = update!(ended_at: Time.now.utc)
end
