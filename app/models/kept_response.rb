# frozen_string_literal: true

# The answer to one write, kept under its idempotency key.
class KeptResponse < ApplicationRecord
  # A retry comes within minutes, or when a phone finds the network again; a month covers a season's camp.
  KEPT_FOR = 30 * 24 * 3600 # seconds

  def self.sweep = where(created_at: ...(Time.now.utc - KEPT_FOR)).delete_all
end
