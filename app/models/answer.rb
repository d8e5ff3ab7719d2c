# frozen_string_literal: true

# One observation as it was given. Only ever added: the newest of a name stands, null takes it back.
class Answer < Record
  # The loop's answer, which is no observation of its own: Grittle::MoistureLoop makes moisture_rounds of it.
  MOISTURE = "moisture_answer"
  # What the hand expected before any water: hidden until a class is assigned.
  EXPECTED = "expected"
  # Why a contradiction is kept as it is; the rule's name follows.
  KEPT = "kept/"

  belongs_to :reading
  belongs_to :pen, class_name: "Observer", optional: true
  attribute :value, ActiveRecord::Type::Json.new

  # @return [Boolean] whether it is an observation of the core's vocabulary
  def observation? = Grittle::Tests::Vocabulary::ALL.key?(observation)
end
