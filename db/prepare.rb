# frozen_string_literal: true

require_relative "../app/database"
require_relative "../app/models"
require_relative "../app/backup"

# Brings the database named by DATABASE_URL to this code's schema, and fills an empty one with the demo.
module Prepare
  # What the person is told; the data is untouched.
  class Refused < StandardError; end

  # @param demo [Boolean] whether an empty database gets the demo
  # @raise [Refused]
  def self.run(demo: true)
    Database.connect
    back_up_before_migration
    Database.migrate
    SearchTerm.catch_up
    KeptResponse.sweep
    return if !demo || Site.exists? || Reading.exists?

    require_relative "demo_practice"
    require_relative "demo_people"
    Demo.load
    Demo::Practice.load
    Demo::People.load if Account.alone?
  rescue Backup::Refused => e
    raise Refused, "The database is older than this Grittle, and no backup could be written before it is changed: " \
                   "#{e.message}"
  rescue Database::NewerThanCode
    raise Refused, "The database was made by a newer Grittle than this one. Update the code; the data is untouched."
  rescue ActiveRecord::ActiveRecordError => e
    raise Refused, "The database could not be brought up to date: #{e.message.lines.first.strip}"
  end

  # A change of the schema may change data.
  def self.back_up_before_migration
    return if Database.version.zero? || Database.version >= Database.newest

    Backup.write(Backup.place("before-migration-from-#{Database.version}"))
  end
  private_class_method :back_up_before_migration
end
