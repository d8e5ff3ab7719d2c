# frozen_string_literal: true

# One thing that was said of a reading: an observation, or another of the events below. Only ever added.
class Answer < Record
  # Names that are no observations: the loop's answer, what was expected before any water, and why a contradiction is kept (the
  # rule's name follows).
  MOISTURE = "moisture_answer"
  EXPECTED = "expected"
  KEPT = "kept/"

  belongs_to :reading
  belongs_to :pen, class_name: "Observer", optional: true
  attribute :value, ActiveRecord::Type::Json.new

  # @param event [Hash{String=>Object}] as Grittle::Record has it
  # @return [String] the name it is kept under
  def self.name_of(event)
    { "moisture" => MOISTURE, "expected" => EXPECTED, "kept" => "#{KEPT}#{event['name']}" }.fetch(event["kind"]) { event["name"] }
  end

  # @return [String] what happened, as Grittle::Record has it
  def kind
    return "kept" if observation.start_with?(KEPT)

    { MOISTURE => "moisture", EXPECTED => "expected" }.fetch(observation, "answer")
  end

  # @return [String] the observation, or the rule that is kept
  def said_of = observation.delete_prefix(KEPT)

  # @return [Hash{String=>Object}] as Grittle::Record has it
  def event = { "kind" => kind, "at" => given_at, "by" => pen_id, "name" => said_of, "value" => value }
end
