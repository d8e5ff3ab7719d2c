# frozen_string_literal: true

require "yaml"

# What a request needs of who makes it, as it stands beside each operation in the API's description: x-needs. What
# stands nowhere is open to nobody.
class Needs
  # nobody: no account; account: any; the others are roles in the fieldbook.
  ALL = ["nobody", "account", *Membership::ROLES.keys].freeze
  PART = /\{\w+\}/
  VERBS = %w[get post put patch delete].freeze

  # @param description [Hash] the API's description
  def initialize(description)
    @of = Hash.new { |_, _| {} }
    VERBS.each { |verb| @of[verb.upcase] = {} }
    description.fetch("paths").each do |path, operations|
      operations.slice(*VERBS).each { |verb, operation| add(verb.upcase, path, operation["x-needs"]) }
    end
  end

  # @param file [String] path of the description
  def self.in(file) = new(YAML.safe_load_file(file))

  # @param verb [String]
  # @param path [String]
  # @return [String, nil] one of ALL; nil where nothing is
  def of(verb, path) = find(verb, path)&.fetch(1)

  # @return [String, nil] the path as it stands in the description, such as /api/sites/{id}
  def template(verb, path) = find(verb, path)&.fetch(2)

  private

  def find(verb, path)
    parts = path.split("/", -1)
    (@of[verb == "HEAD" ? "GET" : verb][parts.size] || []).find { |wanted, *| fits?(wanted, parts) }
  end

  # A part that is written out stands before one that may be anything.
  def add(verb, path, need)
    raise ArgumentError, "#{verb} #{path} says nothing of who may: x-needs" unless ALL.include?(need)

    parts = path.split("/").map { |part| part.include?("{") ? pattern(part) : part }
    (@of[verb][parts.size] ||= []) << [parts, need, path]
    @of[verb][parts.size].sort_by! { |wanted, *| wanted.count { |part| part.is_a?(Regexp) } }
  end

  def pattern(part) = /\A#{part.split(PART, -1).map { |text| Regexp.escape(text) }.join('.+')}\z/

  def fits?(wanted, parts)
    wanted.zip(parts).all? { |one, part| one.is_a?(Regexp) ? one.match?(part) : one == part }
  end
end
