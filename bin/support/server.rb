# frozen_string_literal: true

require "English"
require "net/http"
require "socket"
require_relative "shell"

# The application in processes of its own, that can be stopped, killed and begun again. It stands in a group of its own:
# Ctrl-C in a terminal reaches whoever started it alone, who stops everything in order.
class Server
  # Objects a process keeps room for, so that it clears up every thirteenth answer and not every fifth: 20 MB. [our own:
  # measured]
  HEAP = { "RUBY_GC_HEAP_INIT_SLOTS" => "500000", "RUBY_GC_HEAP_FREE_SLOTS" => "150000" }.freeze
  # Seconds until it answers. [our own]
  PATIENCE = 60

  # @return [Integer] a port of this machine that nobody uses
  def self.free_port = TCPServer.open("127.0.0.1", 0) { |free| free.addr[1] }

  # @return [URI] where it answers
  attr_reader :address

  # @param env [Hash{String=>String}] with the gems' and DATABASE_URL; what is not in it is as here
  # @param demo [Boolean] whether an empty database gets the demo
  def initialize(env, port: self.class.free_port, demo: false)
    @env = { **HEAP, **env, "PORT" => port.to_s }
    @demo = demo
    @address = URI("http://127.0.0.1:#{port}")
  end

  # Returns once it answers.
  # @return [Server]
  # @raise [Stop]
  def start
    FileUtils.mkdir_p(Place::LOGS)
    @pid = spawn(@env, *ruby, "-rbundler/setup", Place.at("bin/support/serve.rb"), *("--empty" unless @demo),
                 in: File::NULL, pgroup: true)
    wait
    self
  end

  # What was begun is answered first.
  def stop
    Process.kill("TERM", @pid) && Process.wait(@pid) if @pid
  rescue Errno::ESRCH, Errno::ECHILD
    nil # it has gone by itself
  ensure
    @pid = nil
  end

  def restart
    stop
    start
  end

  # With all that it has begun, as a power cut ends it.
  def kill
    return unless @pid

    Process.kill("KILL", -@pid)
    Process.wait(@pid)
    @pid = nil
  end

  # @return [Boolean] whether it has ended by itself
  def gone? = !Process.wait(@pid, Process::WNOHANG).nil?

  private

  # Ruby's own compiler, where it was built in, answers about a third faster. [our own: measured]
  def ruby = ["ruby", *("--yjit" if system("ruby", "--yjit", "-e", "", out: File::NULL, err: File::NULL))]

  def wait
    deadline = Process.clock_gettime(Process::CLOCK_MONOTONIC) + PATIENCE
    loop do
      return if Net::HTTP.get_response(URI("#{@address}/api/health")).is_a?(Net::HTTPSuccess)
    rescue SystemCallError, EOFError
      ended = gone?
      exit 1 if ended && $CHILD_STATUS.exitstatus == ALREADY_SAID
      raise Stop, "The server did not start. Details: var/log/server.log" \
        if ended || Process.clock_gettime(Process::CLOCK_MONOTONIC) > deadline

      sleep 0.05
    end
  end
end
