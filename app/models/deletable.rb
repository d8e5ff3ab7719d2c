# frozen_string_literal: true

# A row that may lie in the bin.
module Deletable
  def self.included(model)
    model.belongs_to :deletion, optional: true
    model.scope :kept, -> { where(deletion_id: nil) }
  end
end
