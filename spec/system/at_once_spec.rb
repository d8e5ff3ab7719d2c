# frozen_string_literal: true

require "net/http"

# Real requests on real connections, at the same moment.
RSpec.describe "Two writers at once" do
  let(:server) { Capybara::Server.new(WholeApp).tap(&:boot) }

  # @return [Array<Array>] status and body of each
  def at_once(*writes)
    writes.map do |verb, path, body, key|
      Thread.new do
        headers = { "content-type" => "application/json", "Idempotency-Key" => key || SecureRandom.uuid }
        answer =
          Net::HTTP.start(server.host, server.port) do |http|
            http.send_request(verb, path, JSON.generate(body), headers)
          end
        [answer.code.to_i, JSON.parse(answer.body)]
      end
    end.map(&:value)
  end

  it "with one key make one record, and both get its answer" do
    answers = at_once(*Array.new(4) { ["POST", "/api/sites", { name: "Once" }, "one-and-the-same"] })
    expect(answers.map(&:first)).to all eq 201
    expect(answers.map { |_, site| site["id"] }.uniq.size).to eq 1
    expect(Site.count).to eq 1
  end

  it "on one version of a reading: one is kept, the others are told" do
    reading = begin_reading
    answers = at_once(*%w[very_gritty very_smooth neither].map do |rub|
      ["PATCH", "/api/readings/#{reading['id']}", { version: reading["version"], answers: { wet_rub: rub } }]
    end)
    expect(answers.map(&:first).sort).to eq [200, 409, 409]
    kept = answers.find { |status, _| status == 200 }.last["observations"]["wet_rub"]
    expect(
      answers.select { |status, _| status == 409 }.map { |_, told| told["current"]["observations"]["wet_rub"] }
    ).to all eq kept
    expect(Answer.count).to eq 1
  end

  it "cannot make two horizons that overlap" do
    profile = profile_with
    answers = at_once(*[[0, 30], [20, 50]].map do |upper, lower|
      ["POST", "/api/profiles/#{profile.id}/horizons", { designation: "A", upper_cm: upper, lower_cm: lower }]
    end)
    expect(answers.map(&:first).sort).to eq [201, 422]
    expect(Horizon.count).to eq 1
  end
end
