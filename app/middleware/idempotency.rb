# frozen_string_literal: true

require "digest"

# Every write carries a word of its caller's own. The write and its answer are kept in one transaction: the same word
# again gets the same answer and makes no second record, and a write that failed or was cut off leaves nothing behind.
class Idempotency
  WRITES = %w[POST PUT PATCH DELETE].freeze
  # These keep nothing, or each of their parts has a word of its own.
  FREE = %w[/api/assessments /api/compositions /api/comparisons /api/halvings /api/ribbon-measurements /api/positions
            /api/positions/here /api/deliveries].freeze
  # Of these neither a password nor a cookie is laid by, nor a digest that could be guessed from.
  SECRET = %w[/api/session /api/session/demo /api/accounts/first /api/account/password /api/invitations
              /api/invitations/look /api/invitations/accept].freeze
  # Writes below these are answered with the whole record that stands there.
  ANSWERED_WHOLE = %r{\A/api/readings/\d{1,18}(?=/|\z)}
  LENGTH = (8..80)
  PIECE = 256 * 1024
  # Printable ASCII without blanks.
  PLAIN = /\A[!-~]+\z/

  def initialize(app)
    @app = app
  end

  def call(env)
    return @app.call(env) unless WRITES.include?(env["REQUEST_METHOD"]) && kept?(env["PATH_INFO"])

    key = env["HTTP_IDEMPOTENCY_KEY"].to_s.b
    unless LENGTH.cover?(key.length) && key.match?(PLAIN)
      return Problem.new(422,
                         "Every write needs an Idempotency-Key header of #{LENGTH.begin} to #{LENGTH.end} plain " \
                         "characters.").response(env)
    end

    once(env, key)
  end

  private

  def kept?(path) = !FREE.include?(path) && !SECRET.include?(path)

  def once(env, key)
    response = nil
    ActiveRecord::Base.transaction(requires_new: true) do
      likely = likely_outcome(env)
      KeptResponse.lay(idempotency_key: key, request_digest: digest(env), created_at: Time.now.utc, **likely)
      response = Acting.writing(key) { @app.call(env) }
      raise ActiveRecord::Rollback unless (200..299).cover?(response.first)

      outcome = outcome(env, response)
      KeptResponse.alter({ idempotency_key: key }, outcome) unless outcome == likely
    end
    response
  rescue ActiveRecord::RecordNotUnique # waits for a twin under way, so its answer is there
    replay(env, key)
  end

  # A record that can be read again is not kept a second time: the replay reads it.
  def outcome(env, response)
    replay = env["grittle.replay"]
    { status: response.first, replay: replay, body: replay ? nil : read(response) }
  end

  # What a bench is told is known before, which saves its every answer a second write.
  def likely_outcome(env)
    record = env["PATH_INFO"][ANSWERED_WHOLE] or return {}
    { status: env["REQUEST_METHOD"] == "POST" ? 201 : 200, replay: record, body: nil }
  end

  def replay(env, key)
    kept = KeptResponse.find_by!(idempotency_key: key)
    unless kept.request_digest == digest(env)
      return Problem.new(422, "This Idempotency-Key was used for another write.").response(env)
    end

    [kept.status, { "content-type" => "application/json", "idempotent-replay" => "true" },
     [kept.replay ? read_again(env, kept.replay) : kept.body]]
  end

  def read_again(env, path)
    asked =
      env.merge(
        "REQUEST_METHOD" => "GET",
        "PATH_INFO" => path,
        "QUERY_STRING" => "",
        "rack.input" => StringIO.new,
        "CONTENT_LENGTH" => nil
      )
    read(@app.call(asked.except("HTTP_IDEMPOTENCY_KEY", "HTTP_ACCEPT_ENCODING", "sinatra.route", "CONTENT_TYPE")))
  end

  def digest(env)
    body = digest_of(env["rack.input"])
    # Nobody is given what another wrote, whoever knows its word.
    who = [Acting.account&.id, Acting.fieldbook&.id]
    Digest::SHA256.hexdigest([*who, env["REQUEST_METHOD"], env["PATH_INFO"], env["QUERY_STRING"], body].join("\n"))
  end

  # Piece by piece: a file may be large.
  def digest_of(input)
    return "" unless input

    found = Digest::SHA256.new
    while (piece = input.read(PIECE))
      found << piece
    end
    input.rewind
    found.hexdigest
  end

  def read(response)
    text = +""
    response.last.each { |part| text << part }
    text
  end
end
