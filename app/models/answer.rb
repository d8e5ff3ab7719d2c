# frozen_string_literal: true

# One observation as it was given. Only ever added: the newest of a name stands, null takes it back.
class Answer < Record
  # The loop's answer, which is no observation of its own: Grittle::MoistureLoop makes moisture_rounds of it.
  MOISTURE = "moisture_answer"

  belongs_to :reading
  belongs_to :pen, class_name: "Observer", optional: true
  attribute :value, ActiveRecord::Type::Json.new
end
