# frozen_string_literal: true

# Loopback only; one process, a few threads: the database waits, Ruby does not.
threads_count = Integer(ENV.fetch("GRITTLE_THREADS", "5"))
threads threads_count, threads_count
bind "tcp://127.0.0.1:#{ENV.fetch('PORT', '4600')}"
environment "production"
quiet
log_requests false

# If bin/start is killed outright, do not stay behind and hold the port.
started_by = Process.ppid
if ENV["GRITTLE_WITH_PARENT"]
  on_booted do
    Thread.new do
      sleep 1 while Process.ppid == started_by
      Process.kill("TERM", Process.pid)
    end
  end
end
