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
