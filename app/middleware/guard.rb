# frozen_string_literal: true

# What every answer says to the browser of how it may be used, whatever it is.
class Guard
  HEADERS = {
    "x-content-type-options" => "nosniff", "x-frame-options" => "DENY", "referrer-policy" => "no-referrer",
    "cross-origin-resource-policy" => "same-origin",
    "permissions-policy" => "camera=(self), geolocation=(self), microphone=(), payment=(), usb=(), interest-cohort=()",
    "content-security-policy" => "default-src 'none'; frame-ancestors 'none'; base-uri 'none'; form-action 'none'"
  }.freeze
  # Seconds that a browser remembers to come by TLS: where a name is served by a proxy for good.
  STRICT = "max-age=31536000"

  def initialize(app)
    @app = app
  end

  def call(env)
    status, headers, body = @app.call(env)
    said = { **HEADERS, **apart(env), "cache-control" => "no-store", **strict(env), **headers.to_h }
    [status, said, body]
  end

  private

  # Browsers take this word over TLS and on this machine alone.
  def apart(env)
    here = Reach.tls?(env) || env["HTTP_HOST"].to_s.start_with?(*Reach::LOOPBACK)
    here ? { "cross-origin-opener-policy" => "same-origin" } : {}
  end

  def strict(env)
    Reach.behind_proxy? && Reach.tls?(env) ? { "strict-transport-security" => STRICT } : {}
  end
end
