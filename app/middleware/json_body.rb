# frozen_string_literal: true

require "json"
require "stringio"

# Refuses a body that is too large or no JSON object, before anything looks at it; files pass as they are, up to their
# own size.
class JsonBody
  # Bytes: a reading's largest change is under 4 kB.
  LIMIT = 256 * 1024
  # Bytes of a file, by where it goes.
  FILES = { "/api/photos" => Photo::MOST_BYTES, "/api/title-block/logo" => Photo::MOST_BYTES,
            "/api/imports" => Exchange::Import::MOST_BYTES }.freeze
  FILE_TYPE = "application/octet-stream"
  # A request of ours nests no deeper.
  MOST_NESTING = 20

  def initialize(app)
    @app = app
  end

  def call(env)
    return @app.call(env) unless %w[POST PUT PATCH].include?(env["REQUEST_METHOD"])

    refusal = env["REQUEST_METHOD"] == "POST" && FILES.key?(env["PATH_INFO"]) ? refuse_file(env) : refuse(env)
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

  def refuse_file(env)
    limit = FILES[env["PATH_INFO"]]
    return Problem.new(415, "Send the file as #{FILE_TYPE}.") unless env["CONTENT_TYPE"].to_s.start_with?(FILE_TYPE)
    return too_large(limit) if env["CONTENT_LENGTH"].to_i > limit

    # A large one lies in a file of the server's by now, and stays there.
    input = env["rack.input"] ||= StringIO.new
    too_large(limit) if input.size > limit
  end

  def json?(env) = env["CONTENT_TYPE"].to_s.start_with?("application/json")

  def broken(text)
    unless text.dup.force_encoding("UTF-8").valid_encoding?
      return Problem.new(400, "The body is no UTF-8 text. Nothing was changed.")
    end

    body = JSON.parse(text.dup.force_encoding("UTF-8"), max_nesting: MOST_NESTING)
    return Problem.new(400, "The body must be a JSON object, such as {}.") unless body.is_a?(Hash)

    flaw = PlainText.flaw(body) or return
    Problem.new(
      422,
      PlainText::SENTENCE,
      problems: [Grittle::Problem.new(pointer: flaw, sentence: PlainText::SENTENCE)]
    )
  rescue JSON::ParserError
    Problem.new(400, "The body is not valid JSON. Nothing was changed.")
  end

  def too_large(limit = LIMIT) = Problem.new(413, "The body is larger than #{limit / 1024} kB. Nothing was changed.")
end
