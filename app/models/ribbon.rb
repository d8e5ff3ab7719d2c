# frozen_string_literal: true

# One ribbon with the length as it was entered. A correction is a new row; the earlier one is taken back, not changed.
class Ribbon < Record
  belongs_to :reading
  belongs_to :pen, class_name: "Observer", optional: true
  belongs_to :corrects, class_name: "Ribbon", optional: true

  belongs_to :photo, optional: true
  attribute :marks, ActiveRecord::Type::Json.new

  scope :standing, -> { where(taken_back_at: nil) }

  # @return [Hash{String=>Object}] the ribbon as on the wire
  def observation
    { "length_mm" => length_mm.to_f, "ended" => ended, "carried_own_weight" => carried_own_weight,
      **%w[thickness_mm width_mm working_minute reading_error_mm].to_h { |name| [name, self[name]&.to_f] } }.compact
  end
end
