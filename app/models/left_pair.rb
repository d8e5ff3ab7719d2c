# frozen_string_literal: true

# A sample that a person took out of what a hand is learnt from, with the reason; putting it back keeps the row.
class LeftPair < ApplicationRecord
  belongs_to :observer
  scope :standing, -> { where(undone_at: nil) }
end
