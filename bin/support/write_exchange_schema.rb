# frozen_string_literal: true

# Writes docs/exchange-schema.json, the JSON Schema of an exported fieldbook. Run by hand after a change of
# app/exchange/tables.rb or the core's fields; a spec compares.   ruby -rbundler/setup
# bin/support/write_exchange_schema.rb

require "active_record"
require_relative "../../app/models"
require_relative "../../app/exchange"

File.write(
  File.expand_path("../../docs/exchange-schema.json", __dir__),
  "#{JSON.pretty_generate(Exchange::JsonBook.schema)}\n"
)
