# frozen_string_literal: true

require_relative "place"
require_relative "../../app/backup"
require_relative "../../core/lib/grittle"

# bin/backup and the schedule of bin/start, with the gems at hand.
in_one_sentence do
  Database.connect
  scheduled = ARGV.delete("--scheduled")
  path = ARGV.first || Backup.place(scheduled ? "scheduled" : "by-hand")
  list = Backup.write(path)
  Backup.thin if scheduled
  pictures = list["entries"].count { |entry| entry["name"].start_with?(Backup::PHOTOS) }
  say "#{path.delete_prefix("#{Place::ROOT}/")}: #{(File.size(path) / 1e6).round(1)} MB, " \
      "the database and #{pictures} pictures, checked"
rescue Backup::Refused, ActiveRecord::ActiveRecordError => e
  raise Stop, "No backup was written: #{e.message.lines.first.strip}"
end
