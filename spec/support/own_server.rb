# frozen_string_literal: true

require "net/http"
require "socket"

# The application in a process of its own on the database of the specs, so that it can be ended and started again.
class OwnServer
  SERVE = File.expand_path("../../bin/support/serve.rb", __dir__)

  # @return [String] where it answers
  attr_reader :address

  # @param env [Hash{String=>String}] what else it is told
  def initialize(env = {})
    port = self.class.free_port
    @address = "http://127.0.0.1:#{port}"
    @process = spawn({ "PORT" => port.to_s, **env }, "ruby", "-rbundler/setup", SERVE, "--empty", in: File::NULL)
    answered
  end

  # @return [Integer]
  def self.free_port = TCPServer.open("127.0.0.1", 0) { |free| free.addr[1] }

  # As a power cut ends it.
  def kill
    Process.kill("KILL", @process)
    Process.wait(@process)
  end

  private

  def answered
    Timeout.timeout(60) do
      Net::HTTP.get(URI("#{address}/api/health"))
    rescue SystemCallError
      Thread.pass
      retry
    end
  end
end
