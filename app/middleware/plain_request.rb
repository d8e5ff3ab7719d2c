# frozen_string_literal: true

# Refuses what no caller of ours sends, before anything trips over it: a path or query that is no text, names that nest,
# pages beyond counting, and a write from another page.
class PlainRequest
  ESCAPE = /%(?!\h\h)/
  # A query of ours is short.
  LONGEST = 4096
  MOST_PAGES = 1_000_000
  # How a browser says that its own page asks; who is no browser says nothing. [published: W3C Fetch Metadata]
  OWN_SITE = [nil, "same-origin", "none"].freeze
  READS = %w[GET HEAD OPTIONS].freeze

  def initialize(app)
    @app = app
  end

  def call(env)
    refusal = unreadable(env) || foreign(env)
    refusal ? refusal.response(env) : @app.call(env)
  end

  private

  def unreadable(env)
    path, query = env.values_at("PATH_INFO", "QUERY_STRING").map(&:to_s)
    return Problem.new(400, "The address is longer than #{LONGEST} characters.") if path.length + query.length > LONGEST
    unless [path, query].all? { |text| text?(text) }
      return Problem.new(400, "The address cannot be read: it is no UTF-8 text.")
    end
    return Problem.new(400, "Names in a query do not nest.") if query.match?(/\[|%5b/i)

    page = query[/(?:\A|&)page=([^&]*)/, 1] or return
    return if page.match?(/\A\d{1,9}\z/) && page.to_i.between?(1, MOST_PAGES)

    Problem.new(
      400,
      "page is a whole number from 1."
    )
  end

  def text?(text)
    return false if text.match?(ESCAPE)

    plain = text.b.gsub(/%(\h\h)/) { Regexp.last_match(1).hex.chr }
    PlainText.fine?(plain)
  rescue ArgumentError
    false
  end

  # A page elsewhere may send what it likes to this machine; it has another origin.
  def foreign(env)
    return if READS.include?(env["REQUEST_METHOD"])

    origin = env["HTTP_ORIGIN"]
    own = (origin.nil? || origin == Reach.origin(env)) && OWN_SITE.include?(env["HTTP_SEC_FETCH_SITE"])
    Problem.new(403, "Changes are made from Grittle's own page only.") unless own
  end
end
