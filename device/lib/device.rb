# frozen_string_literal: true

require "grittle/pit"
require "device/language"
require "device/tables"
require "device/relation"
require "device/records"
require "acting"
require "uid"
require "recent"
require "models/application_record"
require "models/describable"
require "models/methodical"
require "models/deletable"
require "models/photo_owners"
require "models/class_columns"
require "device/on_device"
require "models/own_hand"
require "models/site"
require "models/profile"
require "models/horizon"
require "models/layer_change"
require "models/layers"
require "models/sample"
require "models/finding"
require "models/companion_test"
require "models/companion_place"
require "models/timers"
require "models/laboratory_result"
require "models/assessor_table"
require "models/answer"
require "models/ribbon"
require "models/assignment"
require "models/reported_class"
require "models/reading"
require "models/revision"
require "models/work"
require "models/named_thing"
require "problem"
require "serializers/companion_serializer"
require "serializers/description_serializer"
require "serializers/profile_serializer"
require "serializers/reading_serializer"
require "serializers/side_by_side_serializer"
require "serializers/standing_serializer"
require "serializers/work_serializer"
require "routes/support"
require "device/api"
require "routes/assessor_tables"
require "routes/catalogue"
require "routes/companions"
require "routes/descriptions"
require "routes/fieldbook"
require "routes/interpretation"
require "routes/own_things"
require "routes/readings"
require "device/rooms"

# What the page asks of the fieldbook that lies on the device: see device/lib/bench.rb.
module Device
  # @param columns [Hash{String=>Array}] by table: name, type and default of each column
  # @param rows [Hash{String=>Array<Hash>}] by table
  # @param first [Integer] what the next record is numbered that is made here
  # @return [nil]
  def self.load(columns, rows, first = Tables::FIRST_OWN)
    Tables.describe(columns)
    Tables.load(rows, first)
    nil
  end

  # @param rows [Array<Array>] table, number and row of what the server has changed meanwhile
  # @return [nil]
  def self.lay(rows)
    rows.each { |table, id, row| Tables.write(table, id, row) }
    nil
  end

  # A reader was about to change something.
  class Forbidden < StandardError; end
  # The page has seen a newer version than lies here: only the server knows what stands.
  class Behind < StandardError; end

  # @param asked [Hash{String=>Object}] "method", "path", "query", "body", "key" (a UUID of version 7); "person", the
  #   number of who is signed in, and their "role"
  # @return [Hash{String=>Object}, nil] "status", "body" and "changes", rows by table and number; nil where only the
  #   server answers
  def self.request(asked)
    said, changes = Tables.together do
      answered = acting(asked) { answer(asked) }
      raise Forbidden if Tables.changed? && asked["method"] != "GET" && asked["role"] == "reader"

      answered
    end
    said && { "status" => said[0], "body" => said[1], "changes" => changes }
  rescue Grittle::InvalidInput => e
    refused(Problem.of(e))
  rescue Forbidden
    refused(Problem.new(403, "A reader cannot do this: it takes a surveyor."))
  rescue ApplicationRecord::Stale => e
    return if behind?(e.record, asked)

    refused(Problem.new(409, Problem::STALE,
                        **standing(e.record, asked), yours: (asked["body"] || {}).except("version")))
  rescue Behind, ActiveRecord::RecordNotFound
    nil
  end

  def self.answer(asked) = Api.call(asked["method"], asked["path"], *on_what_stands(asked))

  # What is only added to a reading is added to it as it stands here, as the server does with what a device brings.
  def self.on_what_stands(asked)
    query = asked["query"] || {}
    body = asked["body"]
    id = asked["path"][%r{^/api/readings/(\d+)}, 1]
    reading = id && Reading.find_by(id: id.to_i)
    return [query, body] unless reading
    raise Behind if behind?(reading, asked)

    version = reading.lock_version
    query = query.merge("version" => version.to_s) if query.key?("version")
    [query, body&.key?("version") ? body.merge("version" => version) : body]
  end

  # Whether a write was made on a later version of the record than lies here.
  def self.behind?(record, asked)
    body = asked["body"] || {}
    row = (body["rows"] || []).find { |one| one["id"] == record.id } || body
    version = row["version"] || (asked["query"] || {})["version"]
    !version.nil? && version.to_i > record.lock_version
  end

  def self.acting(asked, &block)
    person = asked["person"] && Observer.find_by(id: asked["person"])
    state = Acting::State.new(fieldbook: Fieldbook.first, person: person, role: asked["role"])
    Acting.as(state) { Acting.writing(asked["key"] || "", &block) }
  end

  def self.refused(problem) = { "status" => problem.status, "body" => problem.to_h, "changes" => [] }

  def self.standing(record, asked)
    return { current: ReadingSerializer.call(record) } if record.is_a?(Reading)

    { standing: StandingSerializer.call(record, (asked["body"] || {}).except("version").keys) }
  end
  private_class_method :answer, :on_what_stands, :behind?, :acting, :refused, :standing
end
