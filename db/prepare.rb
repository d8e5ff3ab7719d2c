# frozen_string_literal: true

# Brings the database named by DATABASE_URL to this code's schema, and fills an empty one with the demo:
#   ruby db/prepare.rb [--empty]

require_relative "../app/database"
require_relative "../app/models"

Database.connect
begin
  Database.migrate
rescue Database::NewerThanCode
  warn "grittle: The database was made by a newer Grittle than this. Update the code; the data is untouched."
  exit 1
rescue ActiveRecord::ActiveRecordError => e
  warn "grittle: The database could not be brought up to date: #{e.message.lines.first.strip}"
  exit 1
end

unless ARGV.include?("--empty") || Site.exists? || Reading.exists?
  require_relative "demo"
  Demo.load
end
