# frozen_string_literal: true

# One ribbon with the length as it was entered. A correction is a new row with both times; the earlier one is taken
# back, not changed.
class Ribbon < ApplicationRecord
  belongs_to :reading
  belongs_to :recorded_by, class_name: "Observer", optional: true
  belongs_to :taken_back_by, class_name: "Observer", optional: true
  belongs_to :corrects, class_name: "Ribbon", optional: true

  belongs_to :photo, optional: true
  attribute :marks, ActiveRecord::Type::Json.new

  SHAPE = %w[thickness_mm width_mm working_minute reading_error_mm].freeze

  scope :standing, -> { where(taken_back_at: nil) }

  # @param row [Hash{String=>Object}] columns
  # @return [Array<Hash>] its making, and its taking back where nothing else stands for it, as Grittle::Record has them
  def self.events(row)
    made = { "kind" => "ribbon", "at" => row["entered_at"], "by" => row["recorded_by_id"],
             "length_mm" => row["length_mm"].to_f, "entered" => row["entered_length"].to_f,
             "unit" => row["entered_unit"], "corrects" => row["corrects_id"],
             **row.slice("id", "ended", "carried_own_weight", "made_at", "photo_id"),
             **SHAPE.to_h { |name| [name, row[name]&.to_f] } }
    back = row["taken_back_at"] or return [made]

    [
      made,
      { "kind" => "ribbon_back", "at" => back, "id" => row["id"],
        "by" => row["taken_back_by_id"] || row["recorded_by_id"] }
    ]
  end
end
