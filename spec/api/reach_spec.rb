# frozen_string_literal: true

require_relative "../../bin/support/certificates"

# What stands before the application: plain HTTP on a network, how often one may ask, and what a server's keeper sees.
RSpec.describe "the way in" do
  def told(**env)
    before = env.keys.to_h { |name| [name.to_s, ENV.fetch(name.to_s, nil)] }
    env.each { |name, value| ENV[name.to_s] = value }
    yield
  ensure
    before.each { |name, value| ENV[name] = value }
  end

  describe "plain HTTP on the local network" do
    let(:door) { Rack::MockRequest.new(Door.new(->(_) { [200, {}, ["inside"]] })) }
    let(:dir) { Dir.mktmpdir }

    around do |example|
      made = Certificates.new(dir: dir, addresses: ["192.168.1.20"], names: %w[localhost]).tap(&:renew)
      told(GRITTLE_LAN: "192.168.1.20", GRITTLE_HOSTS: "192.168.1.20", GRITTLE_TLS_PORT: "4643",
           GRITTLE_AUTHORITY: made.authority_path) { example.run }
      FileUtils.rm_rf(dir)
    end

    it "leads to TLS and gives the authority's certificate, and nothing else" do
      asked = { "REMOTE_ADDR" => "192.168.1.31", "HTTP_HOST" => "192.168.1.20:4600" }
      expect(door.get("/profiles/1", asked).body).to include("https://192.168.1.20:4643/").and exclude_inside
      expect([door.get("/api/sites", asked).status, door.post("/api/session", asked).status]).to eq [403, 403]
      expect(door.get(Door::AUTHORITY, asked).body).to start_with "-----BEGIN CERTIFICATE-----"
      evil = door.get("/", asked.merge("HTTP_HOST" => 'x"><script>'))
      expect(evil.body).not_to include "<script>"
    end

    it "is not in the way of this machine, nor of TLS" do
      expect(door.get("/", "REMOTE_ADDR" => "127.0.0.1").body).to eq "inside"
      expect(door.get("/", "REMOTE_ADDR" => "192.168.1.31", "rack.url_scheme" => "https").body).to eq "inside"
    end

    RSpec::Matchers.define(:exclude_inside) { match { |body| !body.include?("inside") } }
  end

  it "slows down who tries words and links, over a network alone" do
    server = Rack::MockRequest.new(Rack::Attack.new(->(_) { [200, {}, ["fine"]] }))
    ask = lambda do
      Array.new(Limits::TRIES + 1) { server.post("/api/invitations/look", "REMOTE_ADDR" => "192.0.2.9").status }
    end
    expect(ask.call.uniq).to eq [200]
    told(GRITTLE_NETWORK: "1") { expect(ask.call.uniq).to eq [200, 429] }
  ensure
    Rack::Attack.cache.store.clear
  end

  it "counts by the address that the proxy saw, and not by what anybody may write before it" do
    env = { "REMOTE_ADDR" => "127.0.0.1", "HTTP_X_FORWARDED_FOR" => "1.2.3.4, 203.0.113.7" }
    expect(Reach.address(env)).to eq "127.0.0.1"
    told(GRITTLE_BEHIND_PROXY: "1") { expect(Reach.address(env)).to eq "203.0.113.7" }
  end

  it "takes the proxy's word for TLS only where one stands in front" do
    env = { "rack.url_scheme" => "http", "HTTP_X_FORWARDED_PROTO" => "https", "HTTP_HOST" => "grittle.example" }
    expect(Reach.origin(env)).to eq "http://grittle.example"
    told(GRITTLE_BEHIND_PROXY: "1") { expect(Reach.origin(env)).to eq "https://grittle.example" }
  end

  it "says whether it may be sent work" do
    expect(api_get("/api/ready")).to eq("ready" => true, "schema" => Database.newest)
    allow(Database).to receive(:ready?).and_return(false)
    api_get("/api/ready")
    expect(last_response.status).to eq 503
  end

  it "writes its log as JSON where that is asked for" do
    output = StringIO.new
    told(GRITTLE_LOG: "json") do
      Rack::MockRequest.new(RequestLog.new(->(_) { [404, {}, []] }, output: output)).get("/api/x?near=47.1")
    end
    expect(JSON.parse(output.string)).to include("verb" => "GET", "path" => "/api/x", "status" => 404)
  end

  it "shows counts in the text format to this machine, or to who has the word" do
    Dir.mktmpdir do |dir|
      Metrics.keep_in(dir)
      server = Rack::MockRequest.new(Metrics.new(->(_) { [200, {}, ["x"]] }, needs: Needs.in(Api::SCHEMA)))
      server.get("/api/sites/12/profiles")
      expect(server.get("/metrics", "REMOTE_ADDR" => "127.0.0.1").body)
        .to match(%r{grittle_requests_total\{.*path="/api/sites/\{id\}/profiles",status="200".*\} 1.0})
      expect(server.get("/metrics", "REMOTE_ADDR" => "192.0.2.9").status).to eq 403
      told(GRITTLE_METRICS_WORD: "a-word") do
        expect(server.get("/metrics", "REMOTE_ADDR" => "127.0.0.1").status).to eq 403
        expect(server.get("/metrics", "HTTP_AUTHORIZATION" => "Bearer a-word").status).to eq 200
      end
    end
  end
end
