# frozen_string_literal: true

require_relative "place"
require_relative "../../app/backup"
require_relative "../../app/models"

# bin/restore, with the gems at hand.
in_one_sentence do
  yes = ARGV.delete("--yes")
  path = ARGV.first or raise Stop, "Usage: bin/restore FILE [--yes]"
  Database.connect
  restoring = Backup::Restoring.new(File.expand_path(path))
  list = restoring.list
  say "#{File.basename(path)}: of #{list['made_at']}, #{list['entries'].size} files, all as they were written"
  filled = Database.tables.any?
  sites = filled ? Site.count : 0
  say "#{sites} sites with all that hangs on them, accounts and sign-ins are replaced by it" if filled
  unless yes
    print "grittle: Replace them? A backup of what is there is written first. Type yes: "
    raise Stop, "Nothing was touched." unless $stdin.gets.to_s.strip == "yes"
  end
  if filled
    safe = Backup.place("before-restore")
    Backup.write(safe)
    say "what was there lies in #{safe.delete_prefix("#{Place::ROOT}/")}"
  end
  restoring.run
  ActiveRecord::Base.connection_handler.clear_all_connections!(:all)
  Database.migrate
  FileUtils.touch(File.join(Place::VAR, "restored"))
  say "restored: #{Site.count} sites, #{Reading.count} readings"
rescue Backup::Refused => e
  raise Stop, e.message
end
