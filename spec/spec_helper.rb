# frozen_string_literal: true

# Specs of the API and of the page, against the MariaDB that bin/test starts. The core has its own, in core/spec.

require "stringio"
require "tmpdir"
ENV["GRITTLE_FILES"] = Dir.mktmpdir # no picture of a spec among those that are kept
require "database_cleaner/active_record"
require_relative "../app/api"
require_relative "../db/demo_practice"

Database.connect
Database.migrate

RSpec.configure do |config|
  config.disable_monkey_patching!
  config.order = :random
  config.define_derived_metadata(file_path: %r{/spec/(api|exchange)/}) { |meta| meta[:type] = :api }
  config.define_derived_metadata(file_path: %r{/spec/system/}) { |meta| meta[:type] = :system }

  config.before(:suite) { DatabaseCleaner.clean_with(:truncation, except: %w[fieldbooks]) }
  # The browser's server and set-up have connections of their own and see only what is committed.
  config.around do |example|
    # Numbers begin anew and the demo's times are fixed: another example's profile would pass for this one's.
    Routes::Support::KEPT.clear
    alone = example.metadata[:type] == :api && !example.metadata[:commits]
    DatabaseCleaner.strategy = alone ? :transaction : [:truncation, { except: %w[fieldbooks] }]
    DatabaseCleaner.cleaning { example.run }
    next if alone

    Fieldbook.where.not(id: Fieldbook.first_of_all.id).delete_all
    Fieldbook.update_all(settings: nil) # the row of the first stays
  end
end

require_relative "support/whole_app"
require_relative "support/api_helpers"
require_relative "support/people"
require_relative "support/page_helpers" if RSpec.configuration.files_to_run.any? { |file| file.include?("/system/") }
