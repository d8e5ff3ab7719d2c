# frozen_string_literal: true

module Grittle
  VERSION = "0.1.0"

  # Changes whenever a rule, limit or number of the core changes what it answers. Sent with every result and kept
  # with every assigned class, so that a record says which rules it was made by.
  RULES_VERSION = "2026.11.8"
end
