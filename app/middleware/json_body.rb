# frozen_string_literal: true

require "json"
require "stringio"

# Refuses a body that is too large or no JSON object, before anything looks at it.
class JsonBody
  # Bytes: a reading's largest change is under 4 kB.
  LIMIT = 256 * 1024

  def initialize(app)
    @app = app
  end

  def call(env)
    return @app.call(env) unless %w[POST PUT PATCH].include?(env["REQUEST_METHOD"])

    refusal = refuse(env)
    refusal ? refusal.response(env) : @app.call(env)
  end

  private

  def refuse(env)
    return too_large if env["CONTENT_LENGTH"].to_i > LIMIT

    text = env["rack.input"]&.read(LIMIT + 1).to_s # a chunked body has no length
    return too_large if text.bytesize > LIMIT
    return Problem.new(415, "Send JSON: the content type must be application/json.") unless json?(env)

    env["rack.input"] = StringIO.new(text)
    broken(text)
  end

  def json?(env) = env["CONTENT_TYPE"].to_s.start_with?("application/json")

  def broken(text)
    body = JSON.parse(text.dup.force_encoding("UTF-8").scrub)
    Problem.new(400, "The body must be a JSON object, such as {}.") unless body.is_a?(Hash)
  rescue JSON::ParserError
    Problem.new(400, "The body is not valid JSON. Nothing was changed.")
  end

  def too_large = Problem.new(413, "The body is larger than #{LIMIT / 1024} kB. Nothing was changed.")
end
