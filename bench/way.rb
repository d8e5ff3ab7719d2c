# frozen_string_literal: true

require "socket"
require "uri"

# A way to the server that can be shut: what a browser takes for the network is that of a page, not of its workers.
class Way
  # @return [String] the address to ask in place of the server's
  attr_reader :base

  # @param server [String] its address
  def initialize(server)
    @server = URI(server)
    @door = TCPServer.new("127.0.0.1", 0)
    @base = "http://127.0.0.1:#{@door.addr[1]}"
    @open = []
    @thread = Thread.new { loop { pass(@door.accept) } }
  end

  # From now on there is no server.
  def shut
    @thread.kill
    [@door, *@open].each(&:close)
  end

  private

  def pass(client)
    server = TCPSocket.new(@server.host, @server.port)
    @open.push(client, server)
    [[client, server], [server, client]].each { |from, to| Thread.new { copy(from, to) } }
  end

  def copy(from, to)
    IO.copy_stream(from, to)
  rescue IOError, SystemCallError
    nil # shut on either side
  ensure
    [from, to].each(&:close)
  end
end
