# frozen_string_literal: true

require "net/http"
require "socket"
require_relative "../bin/support/gems"
require_relative "../bin/support/running"

# The application in processes of its own, on a database of its own, that can be killed and begun again.
class Application
  # Seconds until it answers.
  PATIENCE = 60

  # @return [URI]
  attr_reader :address

  # @param url [String] of the database
  # @param demo [Boolean] whether an empty one gets the demo
  def initialize(url, demo: false, **env)
    @demo = demo
    @port = TCPServer.open("127.0.0.1", 0) { |free| free.addr[1] }
    @address = URI("http://127.0.0.1:#{@port}")
    @env = { **Gems.env(with_tests: true), **Running::HEAP, "DATABASE_URL" => url, "PORT" => @port.to_s,
             "GRITTLE_NO_QUEUE" => "1", **env.transform_keys(&:to_s) }
  end

  def start
    @process = spawn(@env, *Running.ruby, "-rbundler/setup", Place.at("bin/support/serve.rb"),
                     *("--empty" unless @demo), in: File::NULL, pgroup: true)
    wait
    self
  end

  # With all that it has begun, as a power cut ends it.
  def kill
    Process.kill("KILL", -@process)
    Process.wait(@process)
    @process = nil
  end

  def stop
    return unless @process

    Process.kill("TERM", @process)
    Process.wait(@process)
    @process = nil
  end

  private

  def wait
    deadline = Process.clock_gettime(Process::CLOCK_MONOTONIC) + PATIENCE
    begin
      Net::HTTP.get(URI("#{@address}/api/health"))
    rescue SystemCallError, EOFError
      raise "The application did not start" if Process.clock_gettime(Process::CLOCK_MONOTONIC) > deadline

      sleep 0.05
      retry
    end
  end
end
