# frozen_string_literal: true

require_relative "../support/eventually"
require_relative "../support/own_server"

# The application in processes of its own, ended as a power cut ends it while a file is taken in.
RSpec.describe "an import over a restart" do
  let(:rows) { 2000 }
  let(:table) do
    "Pit,Layer,Top,Bottom\n#{Array.new(rows) { |at| "P#{at / 4},A,#{at % 4 * 10},#{(at % 4 * 10) + 9}\n" }.join}"
  end

  def send_in(server)
    headers = { "content-type" => "application/octet-stream", "idempotency-key" => "over-a-restart-1" }
    sent = JSON.parse(Net::HTTP.post(URI("#{server.address}/api/imports?name=w.csv"), table, headers).body)
    headers = { "content-type" => "application/json", "idempotency-key" => "over-a-restart-2" }
    Net::HTTP.post(URI("#{server.address}/api/imports/#{sent['id']}/run"), "{}", headers)
    ImportJob.find_by!(token: sent["id"])
  end

  it "goes on in the next process, and everything is there once" do
    server = OwnServer.new("GRITTLE_PROCESSES" => "2")
    job = send_in(server)
    expect { job.reload.done }.to eventually_be(be_positive)
    server.kill
    expect([job.reload.state, Horizon.count]).to eq ["running", 0] # nothing of it is there
    server.start
    expect { job.reload.state }.to eventually_be("done")
    expect([job.tries, Horizon.count, Profile.count]).to eq [2, rows, rows / 4]
  ensure
    server&.kill
  end
end
