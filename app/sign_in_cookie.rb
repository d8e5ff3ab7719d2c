# frozen_string_literal: true

require "rack/utils"

# What keeps somebody signed in: a signed word in a cookie that no script reads and no other page sends along.
class SignInCookie
  PURPOSE = :sign_in

  # @param env [Hash] of the request
  def initialize(env)
    @env = env
  end

  # @return [String, nil] token of the sign-in
  def token
    Reach.signer.verified(Rack::Utils.parse_cookies(@env)[name], purpose: PURPOSE)
  end

  # @param token [String]
  # @return [String] header Set-Cookie
  def write(token)
    value = Reach.signer.generate(token, purpose: PURPOSE, expires_in: SignIn::LONGEST.seconds)
    Rack::Utils.set_cookie_header(name, { value: value, max_age: SignIn::LONGEST, **flags })
  end

  # @return [String] header Set-Cookie
  def erase = Rack::Utils.set_cookie_header(name, { value: "", max_age: 0, **flags })

  private

  # Cookies do not tell ports apart, and one set over TLS hides another of its name.
  def name = secure? ? "__Host-grittle-#{port}" : "grittle-#{port}"
  def port = @env["SERVER_PORT"].to_s[/\d+/]
  def secure? = Reach.tls?(@env)
  def flags = { path: "/", httponly: true, same_site: :strict, secure: secure? }
end
