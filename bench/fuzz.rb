# frozen_string_literal: true

# Random and mutated requests, made from the API's description, against the whole application on a database of its own
# with the demo: none may be answered with 5xx or a stack trace, every answer must be as the description says, and what
# is stored afterwards must be what an import would take.
#
#   BUNDLE_GEMFILE=Gemfile BUNDLE_PATH=vendor/bundle ruby --yjit -rbundler/setup bench/fuzz.rb [requests] [seed]

require "json"
require "tmpdir"
require "rack/mock"
require "yaml"
require_relative "../bin/support/maria_db"

COUNT = Integer(ARGV[0] || 20_000)
SEED = Integer(ARGV[1] || 20_261_127)
ENV["GRITTLE_FILES"] = Dir.mktmpdir
database = MariaDb.new("bench_fuzz", fleeting: true).start
at_exit do
  database.stop
  FileUtils.rm_rf(ENV.fetch("GRITTLE_FILES"))
end
ENV["DATABASE_URL"] = database.url
require_relative "../app/api"
require_relative "../db/demo_practice"
require_relative "../db/demo_people"
Database.connect
Database.migrate
Demo.load
Demo::Practice.load
Demo::People.load

LOG = StringIO.new
DESCRIBED = YAML.safe_load_file(Api::SCHEMA)
SERVER = Rack::Builder.app do
  use RequestLog, output: LOG
  use Guard
  use FieldbookPlace
  use Committee::Middleware::ResponseValidation, schema_path: Api::SCHEMA, raise: true, strict: false,
                                                 strict_reference_validation: true,
                                                 parse_response_by_content_type: true
  run Api
end

# Bodies, paths and queries as the description has them, and then not quite.
class Requests
  VERBS = %w[get post put patch delete].freeze
  # What programs choke on.
  ODD = [nil, "", " ", "0", "-1", "1e999", "NaN", "\u0000", "\uFEFF", "\u202E", "é" * 300, "' OR 1=1 --", "<script>",
         "../../etc/passwd", "%s%n", "𝕏", "x" * 5000, 0, -1, 1, 2**31, 2**63, 2**70, 1.5, 1e308, -0.0, true, false, [],
         {}, [[]], [nil], { "a" => { "b" => [1] } }, "2026-02-30", "10YR 4/3", "usda", "SL", "metric", "mm"].freeze
  # Share of bodies and queries that are changed.
  MUTATED = 0.6
  DEEPEST = 5
  WORDS = %w[usda ribbon_and_rub metric mm A Bt wet_rub neither ball_holds percolation crumb pit fieldbook json site
             lead reader ph value Maren laboratory].freeze

  def initialize(seed)
    @random = Random.new(seed)
    @operations = DESCRIBED["paths"].flat_map do |path, all|
      all.slice(*VERBS).map { |verb, operation| [verb, path, operation, all["parameters"] || []] }
    end
  end

  # @return [Array] verb, address, body, content type
  def draw
    verb, path, operation, shared = one(@operations)
    parameters = (shared + (operation["parameters"] || [])).map { |found| resolved(found) }
    address = path.gsub(/\{(\w+)\}/) { number(Regexp.last_match(1)) } + query(parameters)
    content = resolved(operation["requestBody"] || {})["content"] || {}
    type, described = content.first
    return [verb, address, nil, type] if type.nil?
    return [verb, address, bytes, type] unless type.include?("json")

    body = value(described["schema"], 0)
    body = mutated(body) if chance?(MUTATED)
    [verb, address, text(body), type]
  end

  def chance?(share) = @random.rand < share
  def one(list) = list[@random.rand(list.size)]

  private

  def text(body)
    written = begin
      JSON.generate(body)
    rescue JSON::GeneratorError, Encoding::UndefinedConversionError
      "{}"
    end
    chance?(0.03) ? written[0, @random.rand(written.size + 1)] : written
  end

  # Most of what is there has a small number.
  def number(name)
    return one(%w[f1e2d3c4b5a69788 nothing]) if name == "import_id"
    return one(%w[ABC123 abcdef]) if name == "code"

    chance?(0.9) ? (1 + @random.rand(40)).to_s : one(%w[0 -1 99999999999999999999 x 1.5 %00 ..])
  end

  def query(parameters)
    asked = parameters.select { |one| one["in"] == "query" && (one["required"] || chance?(0.5)) }
    return "" if asked.empty?

    "?#{asked.map { |one| "#{one['name']}=#{escaped(value(one['schema'] || {}, 0))}" }.join('&')}"
  end

  def escaped(given)
    given = one(ODD) if chance?(MUTATED / 2)
    Rack::Utils.escape(given.is_a?(String) ? given : given.to_s)
  end

  def bytes = chance?(0.2) ? "Pit,Layer,Top,Bottom\nP,A,0,#{@random.rand(40)}\n" : @random.bytes(@random.rand(400))

  def resolved(node)
    node = node["$ref"].delete_prefix("#/").split("/").reduce(DESCRIBED) { |at, part| at[part] } while node["$ref"]
    node
  end

  def value(schema, depth)
    schema = resolved(schema)
    return nil if schema["nullable"] && chance?(0.2)
    return one(schema["enum"]) if schema["enum"]

    schema["allOf"] ? all_of(schema["allOf"], depth) : of_type(schema, depth)
  end

  def all_of(parts, depth) = parts.map { |part| value(part, depth) || {} }.reduce({}, :merge)

  def of_type(schema, depth)
    case schema["type"]
    when "object" then object(schema, depth)
    when "array" then Array.new(depth > DEEPEST ? 0 : @random.rand(4)) { value(schema["items"] || {}, depth + 1) }
    when "integer" then chance?(0.8) ? @random.rand(1..40) : one([0, -1, 2**31, 2**62])
    when "number" then chance?(0.8) ? (@random.rand * 100).round(2) : one([0, -1, 1e9, 1e-9])
    when "boolean" then chance?(0.5)
    else word
    end
  end

  def object(schema, depth)
    known = (schema["properties"] || {}).select { |name, _| schema["required"]&.include?(name) || chance?(0.5) }
    made = known.transform_values { |one| value(one, depth + 1) }
    more = schema["additionalProperties"]
    made[word] = value(more == true ? {} : more, depth + 1) if more && chance?(0.5)
    made
  end

  def word = chance?(0.7) ? one(WORDS) : one(ODD.grep(String))

  # Something in it is another, is gone, or is added.
  def mutated(body)
    return one(ODD) if !body.respond_to?(:each) || body.empty? || chance?(0.1)

    return body.map.with_index { |one, at| at.zero? ? mutated(one) : one } if body.is_a?(Array)

    name = one(body.keys)
    case @random.rand(3)
    when 0 then body.merge(name => mutated(body[name]))
    when 1 then body.except(name)
    else body.merge(word.to_s => one(ODD))
    end
  end
end

# Each account signs in once; now and then somebody who is nobody asks.
COOKIES = [nil, *Account.order(:id).map do |account|
  SignInCookie.new({ "SERVER_PORT" => "80", "rack.url_scheme" => "http" }).write(SignIn.begin(account).last)[/\A[^;]+/]
end].freeze
TRACE = /\.rb:\d+|\bbacktrace\b|Trilogy|ActiveRecord|Mysql|SQLSTATE/

requests = Requests.new(SEED)
statuses = Hash.new(0)
wrong = []
# A sign-out or a new password would end the run for that account.
ENDS = %r{\A(get|post|put|delete) /api/(session|account/)|\Adelete /api/members}
COUNT.times do |turn|
  verb, address, body, type = requests.draw
  verb, address, body, type = requests.draw while "#{verb} #{address}".match?(ENDS)

  cookie = requests.chance?(0.75) ? COOKIES[1] : requests.one(COOKIES)
  headers = { "HTTP_HOST" => "127.0.0.1", "SERVER_PORT" => "80", "HTTP_IDEMPOTENCY_KEY" => "fuzz-#{SEED}-#{turn}",
              "CONTENT_TYPE" => type, "HTTP_COOKIE" => cookie, "HTTP_GRITTLE_KEY" => "0" * 32 }.compact
  begin
    answer = Rack::MockRequest.new(SERVER).request(verb.upcase, address, **headers, **(body ? { input: body } : {}))
    statuses[answer.status] += 1
    trace = answer.content_type.to_s.include?("json") && answer.body.match?(TRACE)
    wrong << [answer.status, verb, address, body, LOG.string.lines.last] if answer.status > 499 || trace
  rescue StandardError => e
    wrong << [e.class, verb, address, body, e.message]
  end
  LOG.truncate(0) && LOG.rewind
end

puts "#{COUNT} requests, seed #{SEED}: #{statuses.sort.map { |status, count| "#{status} #{count} times" }.join(', ')}"
wrong.group_by { |found| [found[0], found[1], found[2][/\A[^?\d]+/]] }.each_value do |all|
  puts "#{all.size} times:", *all.first.map { |part| "  #{part.to_s[0, 500]}" }
end

# What is stored is what an import would take.
book = +""
Acting.in(Fieldbook.first_of_all) do
  Exchange::JsonBook.new(Exchange::Scope.new("fieldbook")).each { |part| book << part }
end
problems = Exchange::ImportFile.call(book, "fuzz.json").last.problems.to_a
puts "#{problems.size} stored rows that the schema forbids", *problems.first(5).map(&:to_s)
exit 1 if wrong.any? || problems.any?
