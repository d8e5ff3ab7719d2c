# frozen_string_literal: true

require "digest"

# Every write carries a word of its caller's own. The write and its answer are kept in one transaction: the same word
# again gets the same answer and makes no second record, and a write that failed or was cut off leaves nothing behind.
class Idempotency
  WRITES = %w[POST PUT PATCH DELETE].freeze
  # These keep nothing.
  FREE = %w[/api/assessments /api/compositions /api/comparisons /api/halvings /api/ribbon-measurements /api/positions
            /api/positions/here].freeze
  LENGTH = (8..80)

  def initialize(app)
    @app = app
  end

  def call(env)
    return @app.call(env) unless WRITES.include?(env["REQUEST_METHOD"]) && !FREE.include?(env["PATH_INFO"])

    key = env["HTTP_IDEMPOTENCY_KEY"].to_s
    unless LENGTH.cover?(key.length)
      return Problem.new(422, "Every write needs an Idempotency-Key header of #{LENGTH.begin} to #{LENGTH.end} characters.").response(env)
    end

    once(env, key)
  end

  private

  def once(env, key)
    response = nil
    ActiveRecord::Base.transaction(requires_new: true) do
      kept = keep(key, digest(env))
      response = @app.call(env)
      raise ActiveRecord::Rollback unless (200..299).cover?(response.first)

      kept.update!(status: response.first, body: read(response))
    end
    response
  rescue ActiveRecord::RecordNotUnique # waits for a twin under way, so its answer is there
    replay(env, key)
  end

  def keep(key, digest) = KeptResponse.create!(idempotency_key: key, request_digest: digest, created_at: Time.now.utc)

  def replay(env, key)
    kept = KeptResponse.find_by!(idempotency_key: key)
    return Problem.new(422, "This Idempotency-Key was used for another write.").response(env) unless kept.request_digest == digest(env)

    [kept.status, { "content-type" => "application/json", "idempotent-replay" => "true" }, [kept.body]]
  end

  def digest(env)
    body = env["rack.input"]&.read.to_s
    env["rack.input"]&.rewind
    Digest::SHA256.hexdigest([env["REQUEST_METHOD"], env["PATH_INFO"], env["QUERY_STRING"], body].join("\n"))
  end

  def read(response)
    text = +""
    response.last.each { |part| text << part }
    text
  end
end
