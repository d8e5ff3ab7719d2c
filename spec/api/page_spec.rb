# frozen_string_literal: true

RSpec.describe "what is served beside the API" do
  def fetch(path)
    get path, {}, { "HTTP_HOST" => "127.0.0.1" }
    last_response
  end

  %w[/ /profiles/1 /readings/7 /nowhere/at/all].each do |path|
    it("is the page, at #{path}, never from a cache") do
      expect(fetch(path).status).to eq 200
      expect(last_response.body).to include '<div id="app">'
      expect(last_response.headers["cache-control"]).to eq "no-cache"
    end
  end

  it "is scripts, styles and the typeface, of this server alone, kept for good" do
    assets = fetch("/").body.scan(%r{/assets/[^"]+})
    expect(assets).to include(a_string_ending_with(".js"), a_string_ending_with(".css"))
    assets.each do |asset|
      expect(fetch(asset).status).to eq 200
      expect(last_response.headers["cache-control"]).to include "immutable"
    end
    style = fetch(assets.grep(/css/).first).body
    expect(style[/url\(([^)]+woff2)\)/, 1]).to match(%r{\A"?/assets/})
    expect(style).not_to match(%r{(url\(|@import )["']?(https?:)?//})
  end

  it "sends scripts compressed where they are taken so, the same either way" do
    script = fetch("/").body[%r{/assets/[^"]+js}]
    plain = fetch(script).body
    get script, {}, { "HTTP_HOST" => "127.0.0.1", "HTTP_ACCEPT_ENCODING" => "gzip" }
    expect(last_response.headers).to include("content-encoding" => "gzip", "content-type" => "text/javascript")
    expect(Zlib.gunzip(last_response.body)).to eq plain
  end

  it "tells the page which catalogue there is: that one is kept for good, any other asked for again" do
    version = fetch("/").body[/<meta name="catalogue" content="([^"]+)"/, 1]
    expect(version).to start_with Grittle::RULES_VERSION
    caches =
      ["?v=#{version}", "?v=older", ""].map { |query| fetch("/api/catalogue#{query}").headers["cache-control"].to_s }
    expect(caches.map { |cache| cache.include?("immutable") }).to eq [true, false, false]
  end

  it "lets the page load nothing from anywhere else" do
    policy = fetch("/").headers["content-security-policy"]
    expect(policy).to include "default-src 'self'"
    expect(policy).not_to include "unsafe-eval"
  end

  it "is no file outside the page's folder" do
    ["/../config.ru", "/..%2f..%2fconfig.ru", "/assets/../../package.json"].each do |path|
      expect(fetch(path).body).not_to include("RequestLog", "grittle-web")
    end
  end

  it "writes one line a request, whatever stands in the address" do
    lines = log_of { fetch("/api/a%0aFORGED%20200") }
    expect(lines.size).to eq 1
    expect(lines.first).to include " 404 "
  end
end
