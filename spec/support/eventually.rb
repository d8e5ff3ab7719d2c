# frozen_string_literal: true

require "timeout"

# What another process or thread does in its own time.
RSpec::Matchers.define :eventually_be do |expected|
  supports_block_expectations
  match do |block|
    Timeout.timeout(60) { Thread.pass until values_match?(expected, @found = block.call) }
    true
  rescue Timeout::Error
    false
  end
  failure_message { "expected #{expected} in time, but it was #{@found}" }
end
