# frozen_string_literal: true

require "securerandom"

# One line a request to the API, under a number of its own; a refused one says why, on the same line.
class RequestLog
  def initialize(app, output: $stdout)
    @app = app
    @output = output
    @json = ENV["GRITTLE_LOG"] == "json"
  end

  def call(env)
    started = Process.clock_gettime(Process::CLOCK_MONOTONIC)
    env["grittle.number"] = SecureRandom.hex(4)
    status, headers, body = @app.call(env)
    log(env, status, started) if env["PATH_INFO"].start_with?("/api")
    [status, headers, body]
  end

  private

  def log(env, status, started)
    took = ((Process.clock_gettime(Process::CLOCK_MONOTONIC) - started) * 1000).round
    why = env["grittle.problem"]&.tr("\r\n", "  ")
    @output.puts line(at: Time.now.utc.strftime("%FT%TZ"), number: env["grittle.number"],
                      verb: env["REQUEST_METHOD"], path: path(env), status: status, ms: took, says: why)
  rescue SystemCallError, IOError
    nil # on a full disk the answer still goes out
  end

  # For people, or, where it is asked for, as JSON.
  def line(**said)
    return JSON.generate(said.compact) if @json

    said.merge(ms: "#{said[:ms]}ms").values.compact.join(" ")
  end

  # Without its query, in which positions and words of a search stand.
  def path(env) = "#{env['SCRIPT_NAME']}#{env['PATH_INFO']}".inspect[1..-2]
end
