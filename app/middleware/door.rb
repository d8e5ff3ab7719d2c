# frozen_string_literal: true

require "erb"

# Plain HTTP on a network leads to TLS and to nothing else: a page that says where, and how the local authority is put
# onto a phone. From this machine itself nothing stands between.
class Door
  AUTHORITY = "/grittle-authority.crt"
  PAGE = ERB.new(File.read(File.expand_path("../door.html.erb", __dir__)), trim_mode: "-")
  STYLE = File.read(File.expand_path("../door.css", __dir__))
  POLICY = { "content-security-policy" => "default-src 'none'; style-src 'self'; frame-ancestors 'none'" }.freeze

  def initialize(app)
    @app = app
  end

  def call(env)
    return @app.call(env) if !Reach.lan? || Reach.tls?(env) || Reach.loopback?(env["REMOTE_ADDR"])

    answer(env)
  end

  # @return [Array] the local authority's certificate, as phones take it
  def self.authority
    [200, { "content-type" => "application/x-x509-ca-cert",
            "content-disposition" => 'attachment; filename="grittle-authority.crt"' },
     [File.read(ENV.fetch("GRITTLE_AUTHORITY"))]]
  end

  private

  def answer(env)
    case env["PATH_INFO"]
    when AUTHORITY then Door.authority
    when "/door.css" then [200, { "content-type" => "text/css" }, [STYLE]]
    else [env["PATH_INFO"].start_with?("/api") ? 403 : 200, { "content-type" => "text/html; charset=utf-8", **POLICY },
          [PAGE.result_with_hash(address: Reach.lan_address(env["HTTP_HOST"]), authority: AUTHORITY)]]
    end
  end
end
