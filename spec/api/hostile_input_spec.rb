# frozen_string_literal: true

require "zip_kit"

# What no page of ours sends, and what arrives all the same: each is refused with a sentence, and nothing is changed.
RSpec.describe "what arrives broken or on purpose" do
  head = {
    "CONTENT_TYPE" => "application/json",
    "HTTP_IDEMPOTENCY_KEY" => "12345678",
    "HTTP_HOST" => "127.0.0.1"
  }.freeze
  deep = ("[" * 30) + ("]" * 30)

  def refused(status, answer = last_response)
    expect(answer.status).to eq status
    expect(answer.content_type).to start_with "application/problem+json"
    expect(JSON.parse(answer.body)["detail"]).to match(/\A[[:upper:]“p].+\.\z/m)
    expect([Site.count, Reading.count, KeptResponse.count]).to eq [0, 0, 0]
  end

  {
    "/api/sites?text=%FF%FE" => 400,
    "/api/sites?text=%zz" => 400,
    "/api/sites?text=%00" => 400,
    "/api/sites/%ff" => 400,
    "/api/sites?a[b][c][d]=1" => 400,
    "/api/sites?page=99999999999999999999" => 400,
    "/api/sites?page=0" => 400,
    "/api/sites?page=-1" => 400,
    "/api/sites/99999999999999999999" => 404,
    "/api/horizons/99999999999999999999" => 404,
    "/api/sites?text=#{'a' * 5000}" => 400,
    "/api/sites?from=31.12.2026" => 422,
    "/api/export?format=pdf&of=site&id=99999999999999999999" => 404
  }.each do |path, status|
    it "answers GET #{path[0, 60]} with #{status}" do
      place, query = path.split("?")
      env =
        Rack::MockRequest.env_for("/", "HTTP_HOST" => "127.0.0.1").merge(
          "PATH_INFO" => place,
          "QUERY_STRING" => query.to_s
        )
      refused(status, Rack::MockResponse.new(*WholeApp.call(env)))
    end
  end

  {
    "a name that is no UTF-8" => ["{\"name\":\"\xFF\"}", 400],
    "half a pair of surrogates" => ['{"name":"a\ud800b"}', 400],
    "a null character" => ['{"name":"a\u0000b"}', 422],
    "a control character" => ['{"name":"a\u0007b"}', 422],
    "what XML has no place for" => ['{"name":"a\uFFFEb"}', 422],
    "a number beyond numbers" => ['{"name":"a","note":1e999}', 422],
    "an object for a name" => ['{"name":{"a":1}}', 422],
    "lists in lists" => ["{\"name\":#{deep}}", 400],
    "no object" => ["null", 400]
  }.each do |what, (body, status)|
    it "answers a write with #{what} with #{status}" do
      post "/api/sites", body, head
      refused(status)
      expect(last_response.body).not_to match(/\{"a"|=>|nil|#</)
    end
  end

  it "refuses a number that overflows where a number belongs" do
    api_post("/api/compositions", '{"sand":1e999,"silt":0,"clay":0}')
    expect(last_response.status).to eq 422
  end

  ["kurz", "a b c d e f", "schl\u00FCssel", "\xFF\xFF\xFF\xFF\xFF\xFF\xFF\xFF", "x" * 81].each do |key|
    it "refuses the idempotency key #{key.inspect[0, 20]}" do
      post "/api/sites", '{"name":"Slope"}', head.merge("HTTP_IDEMPOTENCY_KEY" => key)
      refused(422)
    end
  end

  it "takes changes from its own page only" do
    post "/api/sites", '{"name":"Slope"}', head.merge("HTTP_ORIGIN" => "http://elsewhere.example")
    refused(403)
    post "/api/sites", '{"name":"Slope"}', head.merge("HTTP_ORIGIN" => "http://127.0.0.1")
    expect(last_response.status).to eq 201
  end

  it "has no file under assets that the build did not make, and asks for no inline style" do
    get "/assets/nothing.js", {}, { "HTTP_HOST" => "127.0.0.1" }
    expect(last_response.status).to eq 404
    get "/", {}, { "HTTP_HOST" => "127.0.0.1" }
    expect(last_response.headers["content-security-policy"]).not_to include "unsafe"
  end

  it "takes back all pulls of an auger with null, and says both places of a sample whose change came late" do
    profile = profile_with(increments: [{ from_cm: 0, to_cm: 20 }])
    expect(api_patch("/api/profiles/#{profile.id}", { version: 0, increments: nil })["increments"].to_a).to eq []
    sample = Sample.make(profile, [{ kind: "bag", label: "B1", upper_cm: 10 }]).first
    late = api_patch("/api/samples/#{sample.id}", { version: 9, position: "47.9 15.2" })
    expect(late).to be_refused(409, nil, /changed in another window/)
    expect(late["standing"]["values"]).to eq("position" => nil)
  end

  it "changes a palmful that belongs to no profile" do
    reading = begin_reading
    sample = Reading.find(reading["id"]).sample
    changed = api_patch("/api/samples/#{sample.id}", { version: sample.lock_version, label: "from the spoil" })
    expect([last_response.status, changed["label"]]).to eq [200, "from the spoil"]
  end

  it "prints and draws what was kept before such names were refused" do
    profile = profile_with(["A", 0, 20])
    Profile.where(id: profile.id).update_all(name: "Pit\u0007 \u{FFFE}1 \u{1F33E} \u5CA9")
    %w[pdf svg triangle json package].each do |format|
      get "/api/export?format=#{format}&of=profile&id=#{profile.id}", {}, { "HTTP_HOST" => "127.0.0.1" }
      expect([format, last_response.status, last_response.body]).to match [format, 200, be_a(String)]
      expect(last_response.body).not_to match(/\u0007/) if format == "svg"
    end
  end

  # One layer's lower boundary, moved twice on what both saw.
  it "accepts one of two moves on the same version, also where the first changed nothing" do
    profile = profile_with(["A", 0, 20], ["B", 20, 50])
    horizon = profile.horizons.first
    move = lambda { |depth|
      api_post("/api/horizons/#{horizon.id}/boundary", { version: horizon.lock_version, lower_cm: depth }) &&
        last_response.status
    }
    expect([move[20], move[25]]).to eq [200, 409]
  end

  {
    { "sites" => [{ "id" => {} }] } => %r{sites, row 1|sites/0|id must be a whole number},
    { "sites" => [{ "id" => 1, "name" => ["a"] }] } => /name/,
    { "sites" => [7] } => /./,
    { "sites" => "all" } => /./,
    { "sites" => [{ "id" => 1, "name" => "a\u0007" }] } => /character/,
    {
      "sites" => [{ "id" => 1, "name" => "S" }],
      "profiles" => [{ "id" => 1, "site_id" => 1, "name" => "P", "kind" => "pit", "increments" => "deep" }]
    } =>
      /increments/,
    {
      "sites" => [{ "id" => 1, "name" => "S" }],
      "profiles" => [{ "id" => 1, "site_id" => 1, "name" => "P", "kind" => "pit", "increments" => [3] }]
    } =>
      /increments/
  }.each do |rows, said|
    it "names what is wrong with a file of its own format: #{rows.to_json[-50..]}" do
      file = { "format" => Exchange::JsonBook::FORMAT, "version" => Exchange::VERSION }.merge(rows)
      post "/api/imports", JSON.generate(file), head.merge("CONTENT_TYPE" => "application/octet-stream")
      answer = JSON.parse(last_response.body)
      sentences = [answer["detail"], *Array(answer["problems"]).map(&:to_s)].compact.join(" ")
      expect([last_response.status, sentences]).to match [be_between(200, 422), said]
      expect(sentences).not_to match(/undefined method|#<|nil/)
    end
  end
end
