# frozen_string_literal: true

require "json"

# An error for the page: application/problem+json (RFC 9457) with a sentence for the person and pointers to the fields.
class Problem
  TYPE = "application/problem+json"
  TITLES = {
    400 => "The request cannot be read",
    401 => "Not signed in",
    404 => "Not found",
    405 => "Not possible here",
    403 => "Not open to you",
    409 => "Changed meanwhile",
    413 => "Too large",
    415 => "Not JSON",
    422 => "Something needs correcting",
    429 => "Too many",
    500 => "Our mistake",
    503 => "Not now",
    507 => "No room"
  }.freeze

  # Of a change on an earlier version.
  STALE = "This was changed in another window or by somebody else. Your change is not saved yet: see both and choose."

  attr_reader :status

  # @param status [Integer] HTTP status
  # @param problems [Array<Grittle::Problem>] the fields, if any
  # @param extra [Hash] further members
  def initialize(status, detail, problems: [], **extra)
    @status = status
    @detail = detail
    @problems = problems
    @extra = extra
  end

  # @param error [Grittle::InvalidInput]
  def self.of(error, status = 422) = new(status, error.message, problems: error.problems)

  # @return [Hash]
  def to_h
    { type: "about:blank", title: TITLES.fetch(status, "Something went wrong"), status: status, detail: @detail,
      errors: @problems.map { |problem| { pointer: problem.pointer, detail: problem.sentence } } }.merge(@extra)
  end

  # @return [Array] a Rack response; the log line takes the sentence from env
  def response(env)
    env["grittle.problem"] = @detail
    [status, { "content-type" => TYPE }, [JSON.generate(to_h)]]
  end
end
