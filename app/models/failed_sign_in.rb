# frozen_string_literal: true

require "digest"

# Wrong passwords, counted for the name that was tried and for the address that tried, so that guessing takes ever
# longer whatever process answers. Neither is kept, only a digest of each.
class FailedSignIn < ApplicationRecord
  # So many within so many seconds; then the next waits. [our own]
  MOST = 8
  WITHIN = 15 * 60
  # Many people may share an address.
  MOST_OF_ADDRESS = 40

  # @return [Integer, nil] seconds to wait, nil where another try is open
  def self.wait(login, address, now = Time.now.utc)
    [[of_login(login), MOST], [of_address(address), MOST_OF_ADDRESS]].filter_map do |who, most|
      first = where(who_digest: who, at: (now - WITHIN)..).order(at: :desc).offset(most - 1).pick(:at)
      (first + WITHIN - now).ceil if first
    end.max
  end

  def self.note(login, address)
    now = Time.now.utc
    insert_all!([of_login(login), of_address(address)].map { |who| { who_digest: who, at: now } })
    where(at: ...(now - WITHIN)).delete_all
  end

  # After the right password, the wrong ones of that name no longer count.
  def self.forgive(login) = where(who_digest: of_login(login)).delete_all

  def self.of_login(login) = Digest::SHA256.hexdigest("login #{login.to_s.strip.downcase}")
  def self.of_address(address) = Digest::SHA256.hexdigest("address #{address}")
  private_class_method :of_login, :of_address
end
