# frozen_string_literal: true

require "socket"

# The laboratory that ships, as a process of its own, on a free port that the application is told.
module StandIn
  SCRIPT = File.expand_path("../../bin/support/stand_in_laboratory.rb", __dir__)

  # @param options [Array<String>]
  # @yield while it answers
  def laboratory(*options, port: free_port)
    process = spawn("ruby", "-rbundler/setup", SCRIPT, "--port", port.to_s, *options, out: File::NULL)
    wait_for_port(port)
    told = ENV.fetch("GRITTLE_LABORATORY", nil)
    ENV["GRITTLE_LABORATORY"] = "http://127.0.0.1:#{port}"
    yield port
  ensure
    ENV["GRITTLE_LABORATORY"] = told
    Process.kill("TERM", process)
    Process.wait(process)
  end

  def free_port = TCPServer.open("127.0.0.1", 0) { |server| server.addr[1] }

  def wait_for_port(port)
    tries = 0
    begin
      TCPSocket.new("127.0.0.1", port).close
    rescue Errno::ECONNREFUSED
      raise "the laboratory did not come up" if (tries += 1) > 200

      IO.select(nil, nil, nil, 0.05)
      retry
    end
  end
end

RSpec.configure { |config| config.include StandIn }
