# frozen_string_literal: true

# One ribbon with the length as it was entered. A correction is a new row with both times; the earlier one is taken back, not changed.
class Ribbon < Record
  belongs_to :reading
  belongs_to :pen, class_name: "Observer", optional: true
  belongs_to :taken_back_by, class_name: "Observer", optional: true
  belongs_to :corrects, class_name: "Ribbon", optional: true

  belongs_to :photo, optional: true
  attribute :marks, ActiveRecord::Type::Json.new

  SHAPE = %w[thickness_mm width_mm working_minute reading_error_mm].freeze

  scope :standing, -> { where(taken_back_at: nil) }

  # @return [Array<Hash>] its making, and its taking back where nothing else stands for it, as Grittle::Record has them
  def events
    made = { "kind" => "ribbon", "at" => entered_at, "by" => pen_id, "id" => id, "length_mm" => length_mm.to_f, "ended" => ended,
             "entered" => entered_length.to_f, "unit" => entered_unit, "corrects" => corrects_id,
             "carried_own_weight" => carried_own_weight, "made_at" => made_at,
             "photo_id" => photo_id,
             **SHAPE.to_h { |name| [name, self[name]&.to_f] } }
    taken_back_at ? [made, { "kind" => "ribbon_back", "at" => taken_back_at, "by" => taken_back_by_id || pen_id, "id" => id }] : [made]
  end
end
