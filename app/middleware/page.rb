# frozen_string_literal: true

require "rack/files"

# The built page: its files as they are, and index.html for every place of its own.
class Page
  # Nothing is fetched from anywhere else.
  HEADERS = {
    "content-security-policy" => "default-src 'self'; style-src 'self'; img-src 'self' data:; " \
                                 "base-uri 'none'; frame-ancestors 'none'; form-action 'self'",
    "x-content-type-options" => "nosniff", "referrer-policy" => "no-referrer"
  }.freeze
  # What the build did not make is not the page.
  NOTHING = [404, { "content-type" => "text/plain" }, ["There is no such file.\n"]].freeze
  FOREVER = "public, max-age=31536000, immutable"

  def initialize(app, root:)
    @app = app
    @files = Rack::Files.new(root)
    @root = root
  end

  def call(env)
    path = env["PATH_INFO"]
    return @app.call(env) if path.start_with?("/api")

    return NOTHING if path.start_with?("/assets/") && !file?(path)

    name = file?(path) ? path : "/index.html"
    status, headers, body = @files.call(env.merge("PATH_INFO" => name))
    cache = name.start_with?("/assets/") ? FOREVER : "no-cache"
    [status, headers.merge(HEADERS, "cache-control" => cache), body]
  end

  private

  def file?(path) = path != "/" && !path.include?("..") && File.file?(File.join(@root, path))
end
