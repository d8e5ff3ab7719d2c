# frozen_string_literal: true

RSpec.describe "what the API refuses" do
  {
    ["post", "/api/sites", "{\"name\":"] => [400, nil, /not valid JSON/],
    ["post", "/api/sites", "[1]"] => [400, nil, /must be a JSON object/],
    ["post", "/api/sites", "{\"name\":\"#{'a' * 10_000_000}\"}"] => [413, nil, /larger than 256 kB/],
    ["post", "/api/sites", { colour: "red" }] => [422, "/colour", /no field “colour”/],
    ["get", "/api/readings/4711", nil] => [404, nil, "There is no reading 4711. It may have been moved or removed."],
    ["get", "/api/readings/first", nil] => [404, nil, /nothing at/],
    ["get", "/api/profiles/4711", nil] => [404, nil, /no profile 4711/],
    ["patch", "/api/readings/4711", { version: 1 }] => [404, nil, /no reading 4711/],
    ["post", "/api/readings", { horizon_id: 4711 }] => [404, nil, /no horizon 4711/],
    ["get", "/api/weather", nil] => [404, nil, /nothing at/],
    ["post", "/api/assessments", { observations: { wet_rub: "silky" } }] => [
      422,
      "/wet_rub",
      /Use one of: very_gritty/
    ],
    ["post", "/api/assessments", { observations: {}, system: "mars" }] => [422, "/system", /no system “mars”/],
    ["post", "/api/compositions", { sand: 20, silt: 30, clay: 30 }] => [422, "/sand", /add up to 80/]
  }.each do |(verb, path, body), (status, pointer, sentence)|
    it "answers #{verb} #{path} #{body.to_s[0, 40]} with #{status} and one line in the log" do
      answer = nil
      lines = log_of { answer = public_send("api_#{verb}", path, body) }
      expect(answer).to be_refused(status, pointer, sentence)
      expect(last_response.content_type).to start_with "application/problem+json"
      expect(lines.size).to eq 1
      expect(lines.first).to include(" #{status} ", answer["detail"])
      expect([Site.count, Reading.count]).to eq [0, 0]
    end
  end

  it "wants an idempotency key for every write, and JSON" do
    post "/api/sites", "{\"name\":\"x\"}", { "CONTENT_TYPE" => "application/json", "HTTP_HOST" => "127.0.0.1" }
    expect(last_response.status).to eq 422
    post "/api/sites", "name=x", { "HTTP_IDEMPOTENCY_KEY" => "12345678", "HTTP_HOST" => "127.0.0.1" }
    expect(last_response.status).to eq 415
  end

  it "speaks only to this machine's own names" do
    get "/api/health", {}, { "HTTP_HOST" => "elsewhere.example" }
    expect(last_response.status).to eq 403
  end
end
