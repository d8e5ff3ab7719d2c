# frozen_string_literal: true

# The class a person gave to a reading. Only ever added: the newest stands.
class Assignment < ApplicationRecord
  belongs_to :reading
  belongs_to :recorded_by, class_name: "Observer", optional: true
  attribute :result, ActiveRecord::Type::Json.new
  include ClassColumns

  # @param row [Hash{String=>Object}] columns
  # @return [Hash{String=>Object}] as Grittle::Record has it
  def self.event(row)
    { "kind" => "class", "at" => row["assigned_at"], "by" => row["recorded_by_id"],
      "value" => ClassColumns.named(row).to_h, **row.slice("override", "reason") }
  end
end
