# frozen_string_literal: true

require "English"
require_relative "gems"
require_relative "maria_db"

# Runs a script of bin/support on the database that DATABASE_URL names, else on the one of bin/start, which is started
# for it where it does not run.
module OwnDatabase
  # @param script [String] in bin/support
  def self.run(script, *arguments)
    Gems.ensure!
    database = MariaDb.new("development") unless ENV["DATABASE_URL"]
    ran = database&.running?
    url = ENV.fetch("DATABASE_URL") { database.start.url }
    begin
      system(Gems.env.merge("DATABASE_URL" => url), "ruby", "-rbundler/setup", Place.at("bin/support", script),
             *arguments)
      status = $CHILD_STATUS.exitstatus
    ensure
      database&.stop unless ran
    end
    exit status unless status.zero?
  end
end
