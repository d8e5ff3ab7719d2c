# frozen_string_literal: true

module Exchange
  # A file that is written while it is sent, with a database connection of its own for as long as that takes. Where the
  # server hands over the connection, a thread of the export's own sends it, so that a slow reader holds none of those
  # that answer.
  class Stream
    # Seconds in which a reader must take something.
    PATIENCE = 60
    CHUNKED = { "transfer-encoding" => "chunked", "connection" => "close" }.freeze

    # Raised within, for a reader that takes nothing.
    class Stalled < StandardError; end
    private_constant :Stalled

    # @param writer [#each]
    # @param gate [Gate, nil] that is held until the last piece is sent
    # @raise [Gate::Busy]
    def initialize(writer, gate = nil)
      @writer = writer
      @acting = Acting.state
      @gate = gate
      gate&.enter
    end

    # The server calls this when it is done, whether all was sent or not.
    def close
      @gate&.leave
      @gate = nil
    end

    # @yieldparam piece [String]
    def each(&block)
      Acting.as(@acting) { ActiveRecord::Base.connection_pool.with_connection { @writer.each(&block) } }
    end

    # @param env [Hash] of the request
    # @return [Hash{String=>Object}] headers that hand the connection over; empty where the server keeps it
    def handing_over(env)
      return {} unless env["rack.hijack?"] && env["REQUEST_METHOD"] == "GET"

      { **CHUNKED, "rack.hijack" => ->(socket) { Thread.new { send_to(socket) } } }
    end

    # @param name [String] what is exported
    # @param ending [String]
    # @return [String] header that offers the file under a name that every system can keep
    def self.disposition(name, ending)
      plain =
        name
        .unicode_normalize(:nfkd)
        .encode("US-ASCII", undef: :replace, replace: "")
        .gsub(/[^A-Za-z0-9]+/, "-")
        .gsub(/\A-|-\z/, "")
        .downcase
      %(attachment; filename="#{plain.empty? ? 'fieldbook' : plain}.#{ending}")
    end

    private

    # A file that could not be finished lacks its last chunk, by which the reader knows.
    def send_to(socket)
      each { |piece| push(socket, "#{piece.bytesize.to_s(16)}\r\n".b << piece.b << "\r\n") unless piece.empty? }
      push(socket, "0\r\n\r\n")
    rescue IOError, SystemCallError, Stalled
      nil # the reader is gone
    rescue StandardError => e
      warn Trouble.log(e)
    ensure
      close
      socket.close
    end

    def push(socket, bytes)
      until bytes.empty?
        written = socket.write_nonblock(bytes, exception: false)
        next bytes = bytes.byteslice(written..) unless written == :wait_writable

        raise Stalled unless socket.wait_writable(PATIENCE)
      end
    end
  end
end
