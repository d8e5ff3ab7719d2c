# frozen_string_literal: true

require "etc"

# Loopback only; a process for each of two cores, a few threads each: the database waits, Ruby does not.
threads_count = Integer(ENV.fetch("GRITTLE_THREADS", "5"))
processes = Integer(ENV.fetch("GRITTLE_PROCESSES", [Etc.nprocessors, 2].min.to_s))
threads threads_count, threads_count
bind "tcp://127.0.0.1:#{ENV.fetch('PORT', '4600')}"
environment "production"
quiet
log_requests false

if processes > 1
  workers processes
  preload_app!
  silence_single_worker_warning
  before_fork { ActiveRecord::Base.connection_handler.clear_all_connections!(:all) }
  before_worker_boot { Database.connect(patience: Database::PATIENCE) }
end

# If bin/start is killed outright, do not stay behind and hold the port.
started_by = Process.ppid
if ENV["GRITTLE_WITH_PARENT"]
  after_booted do
    Thread.new do
      sleep 1 while Process.ppid == started_by
      Process.kill("TERM", Process.pid)
    end
  end
end

# What is on its way to a laboratory is asked after by one of the processes.
asks = -> { Laboratory::Queue.start unless ENV["GRITTLE_NO_QUEUE"] }
processes > 1 ? before_worker_boot { |index| asks.call if index.zero? } : after_booted(&asks)
