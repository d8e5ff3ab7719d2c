# frozen_string_literal: true

require "etc"
require "rack/attack"

# How often somebody may ask: far more than a person at a bench, far less than a program that tries things out. Each
# process of the server counts its share; on one's own machine alone nothing is counted.
class Limits < Rack::Attack
  # Requests a minute. [our own]
  SIGNED_IN = 1200
  NOT_SIGNED_IN = 240
  # Of passwords, words and links that could be guessed; FailedSignIn counts wrong passwords over all processes.
  TRIES = 20
  GUESSED = %w[/api/session /api/accounts/first /api/invitations/look /api/invitations/accept].freeze
  MINUTE = 60
  SENTENCE = "Too many requests from here. What you gave is kept on this device and sent a little later."

  @configuration = Rack::Attack::Configuration.new
  cache.store = ActiveSupport::Cache::MemoryStore.new(size: 8 * 1024 * 1024)

  class << self
    # @param env [Hash] of a request
    # @return [Boolean]
    def counted?(env) = (Reach.network? || Reach.behind_proxy?) && env["PATH_INFO"].start_with?("/api")

    # @return [Integer] of this process
    def share(limit) = (limit / Float(ENV.fetch("GRITTLE_PROCESSES") { [Etc.nprocessors, 2].min })).ceil

    # @return [String, nil] the sign-in, as the browser says it; that it holds is seen later
    def sign_in(env) = SignInCookie.new(env).token&.then { |token| SignIn.digest(token) }
  end

  throttle("signed in", limit: share(SIGNED_IN), period: MINUTE) do |request|
    sign_in(request.env) if counted?(request.env)
  end
  throttle("address", limit: share(NOT_SIGNED_IN), period: MINUTE) do |request|
    Reach.address(request.env) if counted?(request.env) && !sign_in(request.env)
  end
  throttle("guesses", limit: share(TRIES), period: MINUTE) do |request|
    guesses = request.post? && GUESSED.include?(request.path_info)
    Reach.address(request.env) if guesses && counted?(request.env)
  end

  self.throttled_responder = lambda do |request|
    status, headers, body = Problem.new(429, SENTENCE).response(request.env)
    wait = request.env["rack.attack.match_data"].then { |match| match[:period] - (match[:epoch_time] % match[:period]) }
    [status, headers.merge("retry-after" => wait.to_s), body]
  end
end
