# frozen_string_literal: true

require_relative "../lib/grittle"

# The core loads with nothing but Ruby; its specs need RSpec alone.
module CoreHelpers
  # @return [Array<Hash>] ribbons as on the wire
  def ribbons(*lengths, **fields) = lengths.map { |mm| { "length_mm" => mm, **fields.transform_keys(&:to_s) } }

  def composition(sand, clay) = Grittle::Composition.new(sand: sand, clay: clay)
end

RSpec.configure do |config|
  config.include CoreHelpers
  config.extend CoreHelpers
  config.disable_monkey_patching!
  config.order = :random
end

RSpec::Matchers.define_negated_matcher :not_include, :include

# Fails unless the block raises the error, and its sentences match.
RSpec::Matchers.define :refuse_with do |error, *sentences|
  supports_block_expectations
  match do |block|
    block.call
    false
  rescue error => e
    @said = e.problems.map(&:sentence)
    sentences.all? { |sentence| @said.any? { |said| sentence === said } }
  end
  failure_message { @said ? "said: #{@said.join(' | ')}" : "nothing was refused" }
end
