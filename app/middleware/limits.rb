# frozen_string_literal: true

require "etc"
require "rack/attack"

# How often somebody may ask: far more than a person at a bench, far less than a program that tries things out. Each
# process of the server counts its share; on one's own machine alone nothing is counted.
module Limits
  # Requests a minute. [our own]
  SIGNED_IN = 1200
  NOT_SIGNED_IN = 240
  # Of passwords, words and links that could be guessed; FailedSignIn counts wrong passwords over all processes.
  TRIES = 20
  GUESSED = %w[/api/session /api/accounts/first /api/invitations/look /api/invitations/accept].freeze
  MINUTE = 60
  SENTENCE = "Too many requests from here. What you gave is kept on this device and sent a little later."

  module_function

  # @param env [Hash] of a request
  # @return [Boolean]
  def counted?(env) = (Reach.network? || Reach.behind_proxy?) && env["PATH_INFO"].start_with?("/api")

  # @return [Integer] of this process
  def share(limit) = (limit / Float(ENV.fetch("GRITTLE_PROCESSES") { [Etc.nprocessors, 2].min })).ceil

  # @return [String, nil] the sign-in, as the browser says it; that it holds is seen later
  def sign_in(env) = SignInCookie.new(env).token&.then { |token| SignIn.digest(token) }

  # @return [Array] a Rack response
  def refuse(request)
    status, headers, body = Problem.new(429, SENTENCE).response(request.env)
    found = request.env["rack.attack.match_data"]
    wait = found[:period] - (found[:epoch_time] % found[:period])
    [status, headers.merge("retry-after" => wait.to_s), body]
  end
end

Rack::Attack.cache.store = ActiveSupport::Cache::MemoryStore.new(size: 8 * 1024 * 1024)
Rack::Attack.throttled_responder = Limits.method(:refuse)
Rack::Attack.throttle("signed in", limit: Limits.share(Limits::SIGNED_IN), period: Limits::MINUTE) do |request|
  Limits.sign_in(request.env) if Limits.counted?(request.env)
end
Rack::Attack.throttle("address", limit: Limits.share(Limits::NOT_SIGNED_IN), period: Limits::MINUTE) do |request|
  Reach.address(request.env) if Limits.counted?(request.env) && !Limits.sign_in(request.env)
end
Rack::Attack.throttle("guesses", limit: Limits.share(Limits::TRIES), period: Limits::MINUTE) do |request|
  guesses = request.post? && Limits::GUESSED.include?(request.path_info)
  Reach.address(request.env) if guesses && Limits.counted?(request.env)
end
