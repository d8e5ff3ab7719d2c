# frozen_string_literal: true

require "device/preview"
require "device/warm_up"

# What a bench asks of Ruby. It is plain hashes on both sides; web/src/device/ruby.ts turns them into script's own.
module Device
  # @param observations [Hash{String=>Object}]
  # @param method [Hash{String=>Object}] parts of Grittle::FieldMethod
  # @param evidence [String] how much of the second opinion
  # @param hand [Hash{String=>Object}, nil] as Grittle::Practice::OwnHand#to_h
  # @return [Hash{String=>Object}] as Grittle::Assessment#to_h, or "refused" with the sentences
  def self.assess(observations, method = {}, evidence = "full", hand = nil)
    method = Grittle::FieldMethod.new(**method.transform_keys(&:to_sym))
    hand &&= Grittle::Practice::OwnHand.new(hand)
    Grittle.assess(observations, method: method, hand: hand).to_h(evidence: evidence)
  rescue Grittle::InvalidInput => e
    { "refused" => e.problems.map { |problem| { "pointer" => problem.pointer, "sentence" => problem.sentence } } }
  end
end
