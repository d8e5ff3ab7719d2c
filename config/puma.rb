# frozen_string_literal: true

require "etc"

# A process for each of two cores, a few threads each: the database waits, Ruby does not.
threads_count = Integer(ENV.fetch("GRITTLE_THREADS", "5"))
processes = Integer(ENV.fetch("GRITTLE_PROCESSES", [Etc.nprocessors, 2].min.to_s))
threads threads_count, threads_count
# Loopback; a server behind a proxy says where else; phones of the local network come by TLS, and plain HTTP there only
# leads to it.
port = ENV.fetch("PORT", "4600")
bind ENV.fetch("GRITTLE_BIND", "tcp://127.0.0.1:#{port}")
lan = ENV.fetch("GRITTLE_LAN", "").split(",")
lan.each { |address| bind "tcp://#{address}:#{port}" }
if lan.any?
  cert, key = ENV.values_at("GRITTLE_CERTIFICATE", "GRITTLE_CERTIFICATE_KEY")
  ["127.0.0.1", *lan].each do |address|
    bind "ssl://#{address}:#{ENV.fetch('GRITTLE_TLS_PORT')}?cert=#{cert}&key=#{key}&no_tlsv1=true&no_tlsv1_1=true"
  end
end
# Seconds: who sends a request slowly waits in the reactor and holds no thread; after these it is let go. [our own]
first_data_timeout 20
persistent_timeout 65
# Counts of all processes lie side by side.
if ENV["GRITTLE_METRICS"] == "1"
  require_relative "../app/middleware/metrics"
  Metrics.keep_in(ENV.fetch("GRITTLE_METRICS_FOLDER", File.expand_path("../var/metrics", __dir__)))
end
# What was begun is finished before it stops, for so many seconds at most. [our own]
force_shutdown_after 30
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

# Beside the requests: one of the processes asks after what is on its way to a laboratory, and each takes in what waits
# to be imported.
work = lambda do |index = 0|
  Laboratory::Queue.start if index.zero? && !ENV["GRITTLE_NO_QUEUE"]
  Exchange::ImportQueue.start
end
processes > 1 ? before_worker_boot(&work) : after_booted { work.call }
