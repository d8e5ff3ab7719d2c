# frozen_string_literal: true

# One thing that was said of a reading: an observation, or another of the events below. Only ever added.
class Answer < ApplicationRecord
  # Names that are no observations: the loop's answer, what was expected before any water, and why a contradiction is
  # kept (the rule's name follows).
  MOISTURE = "moisture_answer"
  EXPECTED = "expected"
  KEPT = "kept/"

  belongs_to :reading
  belongs_to :recorded_by, class_name: "Observer", optional: true
  attribute :value, ActiveRecord::Type::Json.new

  # @param event [Hash{String=>Object}] as Grittle::Record has it
  # @return [String] the name it is kept under
  def self.name_of(event)
    { "moisture" => MOISTURE, "expected" => EXPECTED, "kept" => "#{KEPT}#{event['name']}" }.fetch(event["kind"]) do
      event["name"]
    end
  end

  # @param row [Hash{String=>Object}] columns
  # @return [Hash{String=>Object}] as Grittle::Record has it
  def self.event(row)
    name = row["observation"]
    {
      "kind" => kind_of(name),
      "at" => row["given_at"],
      "by" => row["recorded_by_id"],
      "name" => name.delete_prefix(KEPT),
      "value" => row["value"]
    }
  end

  # @return [String] what happened, as Grittle::Record has it
  def self.kind_of(name)
    return "kept" if name.start_with?(KEPT)

    { MOISTURE => "moisture", EXPECTED => "expected" }.fetch(name, "answer")
  end

  # @return [String] what happened, as Grittle::Record has it
  def kind = Answer.kind_of(observation)

  # @return [String] the observation, or the rule that is kept
  def said_of = observation.delete_prefix(KEPT)
end
