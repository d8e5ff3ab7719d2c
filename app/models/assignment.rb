# frozen_string_literal: true

# The class a person gave to a reading. Only ever added: the newest stands.
class Assignment < Record
  belongs_to :reading
  belongs_to :pen, class_name: "Observer", optional: true
  attribute :result, ActiveRecord::Type::Json.new
  include ClassColumns

  # @return [Hash{String=>Object}] as Grittle::Record has it
  def event
    { "kind" => "class", "at" => assigned_at, "by" => pen_id, "value" => named.to_h, "override" => override, "reason" => reason }
  end
end
