# frozen_string_literal: true

require "committee"

# What the API description finds wrong with a request, as a sentence at the field.
class SchemaError < Committee::ValidationError
  KINDS = { "integer" => "a whole number", "number" => "a number", "string" => "text", "boolean" => "true or false",
            "object" => "an object", "array" => "a list" }.freeze

  # @return [Array] a Rack response
  def render
    return Problem.new(404, "There is nothing at #{request.path_info}.").response(request.env) if bad_place?

    found = problems
    Problem.new(422, found.map(&:sentence).join(" "), problems: found).response(request.env)
  end

  private

  # An id in the path, /api/readings/ID/ribbons/ID, that is no number.
  def bad_place?
    ids = request.path_info.split("/").values_at(3, 5).compact
    message.match?(/expected integer/) && pointer.empty? && ids.any? { |id| !id.match?(/\A\d+\z/) }
  end

  def problems
    case message
    when /missing required parameters?: (.+)$/
      Regexp.last_match(1).split(/,\s*/).map { |name| problem(below(name), "#{words(name)} is needed.") }
    when /does not define properties: (.+)$/
      Regexp.last_match(1).split(/,\s*/).map { |name| problem(below(name), "There is no field “#{name}” here.") }
    when /expected (\w+), but received \w+: (.*)$/m
      wanted, found = Regexp.last_match.captures
      [problem(pointer, "#{words(field)} must be #{KINDS.fetch(wanted, wanted)}, not #{shown(found)}.")]
    when /longer than max length/ then [problem(pointer, "#{words(field)} is too long.")]
    when /does not allow null values|is required/ then [problem(pointer, "#{words(field)} is needed.")]
    else [problem(pointer, "#{words(field)} cannot be read.")]
    end
  end

  # A value as the validator prints it.
  def shown(text)
    case text
    when /\A\{/ then "an object"
    when /\A\[/ then "a list"
    when "", "nil" then "nothing"
    else text[0, Grittle::Spoken::LONGEST]
    end
  end

  # The description's own place, "#/…/properties/upper_cm expected …", as a pointer into the request.
  def pointer = message.scan(%r{properties/([^/\s]+)}).flatten.map { |name| "/#{name}" }.join

  def below(name) = "#{pointer}/#{name.delete_prefix('/')}"

  def field = pointer.split("/").last || message[/parameter (\S+)/, 1] || "the request"

  def words(name) = name.sub(/_cm$/, "_depth").sub(/_mm$/, "").tr("_", " ").capitalize

  def problem(pointer, sentence) = Grittle::Problem.new(pointer: pointer, sentence: sentence)
end
