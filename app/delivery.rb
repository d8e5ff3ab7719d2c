# frozen_string_literal: true

# Writes that were made on a device without signal, one after another as they were made there, each once: through the
# same routes as any other, under the word it was given on the device. The first that is refused ends it; what comes
# after may have been made on it.
class Delivery
  # Models whose records a device names.
  NAMED = [Site, Profile, Horizon, Sample, Reading, Ribbon, Finding, Photo, CompanionTest, CompanionPlace].freeze
  # What a version belongs to, by its part of a path.
  VERSIONED = { "sites" => Site, "profiles" => Profile, "horizons" => Horizon, "samples" => Sample,
                "readings" => Reading, "companion-tests" => CompanionTest }.freeze
  RECORD = %r{\A/api/(#{VERSIONED.keys.join('|')})/(\d+)}
  # What another request is told of by this one.
  OF_REQUEST = /\A(?:sinatra|committee|rack\.request|rack\.input|CONTENT_|HTTP_IDEMPOTENCY|grittle\.(?!fieldbook\z))/

  # @param uid [String]
  # @return [Integer, nil] the number the record has here
  def self.number(uid) = NAMED.lazy.filter_map { |model| model.where(uid: uid).pick(:id) }.first

  # @param env [Hash] of the request that brings them
  # @param clock [Time] what the device's clock said when it sent them
  # @param app [#call] that answers each
  def initialize(env, device:, clock:, app: Api)
    @env = env.reject { |name, _| name.match?(OF_REQUEST) }
    @device = device
    @behind = Time.now.utc - clock
    @app = app
    @left = {}
  end

  # @param events [Array<Hash{Symbol=>Object}>] :key, :method, :path, :query, :body; :version it was made on, or :after,
  #   the key of the event that left it; :at, when
  # @return [Array<Hash>] :key, :status, and :version that it left or the :problem; as many as were looked at
  def take(events)
    Acting.fieldbook && note(events.size)
    events.each_with_object([]) do |event, results|
      results << (found = once(event))
      break results if found[:status] >= 400
    end
  end

  private

  # How far its clock is off is noted; within one device the order of the events is the order of their sending.
  def note(count)
    ActiveRecord::Base.connection.execute(
      ActiveRecord::Base.sanitize_sql_array(
        ["INSERT INTO deliveries (fieldbook_id, account_id, device, offset_ms, events, received_at) " \
         "VALUES (?, ?, ?, ?, ?, ?)", Acting.fieldbook.id, Acting.account&.id, @device, (@behind * 1000).round, count,
         Time.now.utc]
      )
    )
  end

  # What was answered is known for a month, what was made is there for good.
  def once(event)
    status, version = KeptResponse.where(idempotency_key: event[:key]).pick(:status, :left_version)
    status ||= 201 if Delivery.number(event[:key])
    found = status ? { key: event[:key], status: status, version: version } : sent(event)
    @left[event[:key]] = found[:version] if found[:version]
    found
  end

  def sent(event)
    path = known(event[:path])
    return { key: event[:key], status: 404, problem: missing } unless path

    status, _, body = @app.call(request(event, path))
    text = +""
    body.each { |part| text << part }
    answered = { key: event[:key], status: status }
    return answered.merge(problem: JSON.parse(text)) if status >= 400

    answered.merge(version: left(event[:key], path))
  end

  def missing = Problem.new(404, "What this belongs to is not here: it may have been removed.").to_h

  # @return [String, nil] with the numbers that records have here in place of the names that the device gave them
  def known(text) = text.gsub(Uid::NAME) { |uid| (Delivery.number(uid) || (return nil)).to_s }

  def request(event, path)
    version = version_of(event, path)
    query = [event[:query], ("version=#{version}" if event[:method] == "DELETE")].compact_blank.join("&")
    { **@env, "REQUEST_METHOD" => event[:method], "PATH_INFO" => path, "QUERY_STRING" => known(query) || query,
      "HTTP_IDEMPOTENCY_KEY" => event[:key], "grittle.at" => time(event[:at]), **body(event, version) }
  end

  def body(event, version)
    return { "rack.input" => StringIO.new, "CONTENT_LENGTH" => nil } if event[:method] == "DELETE"

    given = (event[:body] || {}).then { |one| version ? one.merge(version: version) : one }
    text = JSON.generate(given).gsub(/"(#{Uid::NAME})"/) do
      (Delivery.number(::Regexp.last_match(1)) || ::Regexp.last_match(0)).to_s
    end
    { "CONTENT_TYPE" => "application/json", "rack.input" => StringIO.new(text), "CONTENT_LENGTH" => text.bytesize.to_s }
  end

  # What is only added to a reading is added to it as it stands; elsewhere two people's changes are told apart.
  def version_of(event, path)
    kind, id = path.match(RECORD)&.captures
    return unless event[:version] || event[:after]
    return Reading.where(id: id).pick(:lock_version) if kind == "readings"

    @left.fetch(event[:after]) { event[:version] }
  end

  def left(key, path)
    kind, id = path.match(RECORD)&.captures
    version = kind && VERSIONED[kind].where(id: id).pick(:lock_version)
    KeptResponse.where(idempotency_key: key).update_all(left_version: version) if version
    version
  end

  # By this clock, and never later than now.
  def time(text) = [Time.iso8601(text) + @behind, Time.now.utc].min
end
