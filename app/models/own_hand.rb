# frozen_string_literal: true

# One person's hand as it was learnt on a day. It is never changed: a reading keeps the one it was made with.
class OwnHand < ApplicationRecord
  belongs_to :observer
  attribute :numbers, ActiveRecord::Type::Json.new

  # Hands in use, with the tables of their models: some MB each.
  PRACTISED = Recent.new(most: 20)

  # @return [Grittle::Practice::OwnHand]
  def practised = PRACTISED.fetch(id) { Grittle::Practice::OwnHand.new(numbers) }
end
