# frozen_string_literal: true

require "zlib"
require "active_support/cache"
require "sinatra/base"
require "committee"

require_relative "database"
require_relative "models"
require_relative "fonts"
require_relative "exchange"
require_relative "reports"
require_relative "laboratory/queue"
require_relative "gps_receiver"
require_relative "problem"
require_relative "gate"
require_relative "reach"
require_relative "sign_in_cookie"
require_relative "needs"
require_relative "trouble"
require_relative "mirror"
require_relative "delivery"
require_relative "serializers/account_serializer"
require_relative "serializers/companion_serializer"
require_relative "serializers/catalogue_serializer"
require_relative "serializers/deletion_serializer"
require_relative "serializers/description_serializer"
require_relative "serializers/import_serializer"
require_relative "serializers/practice_serializer"
require_relative "serializers/profile_serializer"
require_relative "serializers/reading_serializer"
require_relative "serializers/report_serializer"
require_relative "serializers/side_by_side_serializer"
require_relative "serializers/standing_serializer"
require_relative "serializers/submission_serializer"
require_relative "serializers/work_serializer"
require_relative "middleware/access"
require_relative "middleware/door"
require_relative "middleware/fieldbook_place"
require_relative "middleware/guard"
require_relative "middleware/limits"
require_relative "middleware/metrics"
require_relative "middleware/request_log"
require_relative "middleware/last_resort"
require_relative "middleware/plain_request"
require_relative "middleware/json_body"
require_relative "middleware/schema_error"
require_relative "middleware/idempotency"
require_relative "middleware/page"
require_relative "routes/support"
require_relative "routes/assessor_tables"
require_relative "routes/bin"
require_relative "routes/catalogue"
require_relative "routes/descriptions"
require_relative "routes/device"
require_relative "routes/exchange"
require_relative "routes/fieldbook"
require_relative "routes/companions"
require_relative "routes/hands"
require_relative "routes/interpretation"
require_relative "routes/laboratory"
require_relative "routes/history"
require_relative "routes/members"
require_relative "routes/network"
require_relative "routes/own_things"
require_relative "routes/practice"
require_relative "routes/readings"
require_relative "routes/reports"
require_relative "routes/sign_in"
require_relative "routes/survey"

# The routes under /api, and where the core's refusals become statuses.
class Api < Sinatra::Base
  SCHEMA = File.expand_path("../api/openapi.yaml", __dir__)
  ABSENT = {
    "Site" => "site",
    "Profile" => "profile",
    "Horizon" => "horizon",
    "Reading" => "reading",
    "Ribbon" => "ribbon",
    "Sample" => "sample",
    "Photo" => "photo",
    "Import" => "import",
    "FileImport" => "import",
    "Deletion" => "deletion",
    "Observer" => "person",
    "ReferenceSet" => "set of reference samples",
    "PracticeSession" => "session",
    "Turn" => "sample of a session",
    "SurveyMap" => "survey map",
    "DoubleReading" => "double reading that waits",
    "Submission" => "submission",
    "KeyDrill" => "reading of a key",
    "Membership" => "member",
    "Invitation" => "invitation",
    "SignIn" => "sign-in"
  }.freeze

  configure do
    set :show_exceptions, false
    set :raise_errors, false
    set :dump_errors, false
    set :logging, false
    # Another name in the Host header could be a page elsewhere that resolves to this machine.
    set :host_authorization, permitted_hosts: Reach.hosts
  end

  use LastResort
  use PlainRequest
  use Access, Needs.in(SCHEMA)
  use JsonBody
  use Committee::Middleware::RequestValidation, schema_path: SCHEMA, error_class: SchemaError, strict: false,
                                                strict_reference_validation: true
  use Idempotency

  helpers Routes::Support
  register Routes::AssessorTables
  register Routes::Bin
  register Routes::Catalogue
  register Routes::Companions
  register Routes::Descriptions
  register Routes::Device
  register Routes::Exchange
  register Routes::Fieldbook
  register Routes::Interpretation
  register Routes::Hands
  register Routes::History
  register Routes::Laboratory
  register Routes::Members
  register Routes::Network
  register Routes::OwnThings
  register Routes::Practice
  register Routes::Readings
  register Routes::Reports
  register Routes::SignIn
  register Routes::Survey

  # What a query can get wrong; anything else that a reading of data refuses is a mistake of ours.
  QUERY = [
    "of", "id", "of_id", "format", "from", "to", "text", "class", "page", "name", "near", "readings", "sort",
    *Routes::Interpretation::ASSUMED.keys, *Routes::Interpretation::OF_HORIZON.keys
  ].freeze

  error(Grittle::InvalidInput) { |error| askable?(error) ? refuse(Problem.of(error)) : trouble(error) }
  error(ActiveRecord::RecordNotFound) do |error|
    refuse Problem.new(404, "There is no #{ABSENT.fetch(error.model.to_s, 'such thing')} #{error.id || params[:id]}. " \
                            "It may have been moved or removed.")
  end
  error(ActiveModel::RangeError) { refuse Problem.new(404, "There is no such thing: the number is too large.") }
  error(ApplicationRecord::Stale) { |error| refuse stale(error.record) }
  error(Gate::Busy) do |error|
    headers "retry-after" => error.seconds.to_s
    refuse Problem.new(503, error.message)
  end
  error { |error| trouble(error) }
  # A route that found nothing has said so itself.
  not_found do
    next response.body if env["grittle.problem"]

    refuse Problem.new(404, "There is nothing at #{request.path_info}.")
  end

  helpers do
    def refuse(problem, error = nil)
      _, headers, body = problem.response(env)
      env["grittle.problem"] += Trouble.log(error) if error
      halt problem.status, headers, body
    end

    def trouble(error) = refuse(Trouble.problem(error, env), error)

    # A write says what it wants; a reading can only have a bad query.
    def askable?(error)
      !request.get? || error.problems.any? { |problem| QUERY.include?(problem.pointer.delete_prefix("/")) }
    end

    # Of a table, how the horizon of the row stands that was made on an earlier version.
    def standing(record, yours)
      place = yours[:rows]&.index { |row| row[:id] == record.id }
      names = place ? yours[:rows][place].keys - %i[id version] : yours.keys
      row = place ? { row: place, of: record.designation } : {}
      { standing: { **row, **StandingSerializer.call(record, names) } }
    end

    # Both versions, so that the page can show what was kept beside what was not.
    def stale(record)
      yours = request.delete? ? {} : changes
      kept = record.is_a?(Reading) ? { current: ReadingSerializer.call(record) } : standing(record, yours)
      Problem.new(409, Problem::STALE, **kept, yours: yours)
    end
  end

  after do
    unless ActiveRecord::Base.connection.transaction_open?
      ActiveRecord::Base.connection_handler.clear_active_connections!
    end
  end
end
