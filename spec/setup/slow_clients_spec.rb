# frozen_string_literal: true

require "socket"
require_relative "../support/own_server"

# Many more clients that send slowly, and read nothing, than the server has threads.
RSpec.describe "slow clients" do
  let(:clients) { [] }
  let(:server) { OwnServer.new("GRITTLE_PROCESSES" => "1", "GRITTLE_THREADS" => "2") }

  after do
    clients.each(&:close)
    server.kill
  end

  def send_part(text)
    uri = URI(server.address)
    clients << TCPSocket.new(uri.host, uri.port).tap { |socket| socket.write(text) }
  end

  {
    "half a head" => "GET /api/sites HTTP/1.1\r\nHost: 127.0.0.1\r\nX-Slow: ",
    "half a body" => "POST /api/sites HTTP/1.1\r\nHost: 127.0.0.1\r\nContent-Type: application/json\r\n" \
                     "Idempotency-Key: 12345678\r\nContent-Length: 1000\r\n\r\n{\"name\": ",
    "many requests without reading an answer" => "GET /api/catalogue HTTP/1.1\r\nHost: 127.0.0.1\r\n\r\n"
  }.each do |what, text|
    it "hold no thread with #{what}" do
      40.times { send_part(text) }
      answer = Net::HTTP.start(URI(server.address).host, URI(server.address).port, read_timeout: 15) do |http|
        http.get("/api/health")
      end
      expect(answer.code).to eq "200"
    end
  end
end
