# frozen_string_literal: true

require "rack/files"

# The built page: its files as they are, compressed where the browser takes them so, and index.html for every place of
# its own.
class Page
  # Nothing is fetched from anywhere else.
  HEADERS = {
    "content-security-policy" => "default-src 'self'; script-src 'self'; style-src 'self'; " \
                                 "img-src 'self' data: blob:; object-src 'none'; frame-src 'none'; " \
                                 "base-uri 'none'; frame-ancestors 'none'; form-action 'self'"
  }.freeze
  # What the build did not make is not the page.
  NOTHING = [404, { "content-type" => "text/plain" }, ["There is no such file.\n"]].freeze
  CATALOGUE = /<meta name="catalogue" content=""/
  # What the build lays beside a file, by the browser's word for it.
  PACKED = { "br" => ".br", "gzip" => ".gz" }.freeze
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

    return 200, HEADERS.merge("content-type" => "text/html", "cache-control" => "no-cache"), [index] unless file?(path)

    coding = coding(env, path)
    status, headers, body = coding ? packed(env, path, coding) : @files.call(env)
    cache = path.start_with?("/assets/") ? FOREVER : "no-cache"
    [status, headers.merge(HEADERS, "cache-control" => cache, "vary" => "accept-encoding"), body]
  end

  private

  # With the catalogue's version in it, so that the browser asks for no catalogue that it has.
  def index
    File
      .read(File.join(@root, "index.html"))
      .sub(CATALOGUE) { %(<meta name="catalogue" content="#{CatalogueSerializer.version}") }
  end

  # @return [String, nil] how a file is packed for this browser, the tightest first
  def coding(env, path)
    taken = env["HTTP_ACCEPT_ENCODING"].to_s.split(/[\s,;]+/)
    PACKED.keys.find { |coding| taken.include?(coding) && file?("#{path}#{PACKED[coding]}") }
  end

  def packed(env, path, coding)
    status, headers, body = @files.call(env.merge("PATH_INFO" => "#{path}#{PACKED[coding]}"))
    [
      status,
      headers.merge("content-type" => Rack::Mime.mime_type(File.extname(path)), "content-encoding" => coding),
      body
    ]
  end

  def file?(path) = path != "/" && !path.include?("..") && File.file?(File.join(@root, path))
end
