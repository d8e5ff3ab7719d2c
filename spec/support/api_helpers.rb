# frozen_string_literal: true

require "rack/test"
require "zlib"
require "securerandom"

# Speaks to the API as the page does.
module ApiHelpers
  include Rack::Test::Methods

  def app = WholeApp

  # Cookies belong to the host that is asked.
  def default_host = "127.0.0.1"

  %w[get post put patch delete].each do |verb|
    # @return [Hash] the answer's body
    define_method("api_#{verb}") do |path, body = nil, key: SecureRandom.uuid|
      headers = { "CONTENT_TYPE" => "application/json", "HTTP_IDEMPOTENCY_KEY" => key, "HTTP_HOST" => "127.0.0.1" }
      public_send(verb, path, body && (body.is_a?(String) ? body : JSON.generate(body)), headers)
      warn WholeApp::LOG.string.lines.last if last_response.status == 500 # why, for whoever reads the failure
      JSON.parse(last_response.body)
    end
  end

  # A profile with horizons, as [designation, upper, lower].
  def profile_with(*horizons, **facts)
    profile = Profile.make(Site.make(name: "Slope"), { name: "Slope 1", kind: "pit", **facts })
    horizons.each { |name, upper, lower| Horizon.make(profile, designation: name, upper_cm: upper, lower_cm: lower) }
    profile
  end

  # @return [Hash] a reading begun over the API
  def begin_reading(horizon = nil) = api_post("/api/readings", { horizon_id: horizon&.id }.compact)

  # Changes a reading on the version it has; each change is [:answer, hash] and the like.
  def give(reading, **answers)
    api_patch("/api/readings/#{reading['id']}", { version: reading["version"], answers: answers })
  end

  def push(reading, *lengths, unit: "mm", **fields)
    lengths.reduce(reading) do |last, length|
      api_post(
        "/api/readings/#{reading['id']}/ribbons",
        { version: last["version"], length: length, unit: unit, **fields }
      )
    end
  end

  def assign(reading, code, **more)
    api_post("/api/readings/#{reading['id']}/assignments", { version: reading["version"], code: code, **more })
  end

  # What the server wrote to its log during the block.
  def log_of
    before = WholeApp::LOG.string.lines.size
    yield
    WholeApp::LOG.string.lines.drop(before)
  end
end

RSpec.configure { |config| config.include ApiHelpers }

# Passes when the last answer has the status, and a sentence at the field that matches.
RSpec::Matchers.define :be_refused do |status, pointer, sentence|
  match do |answer|
    @status = last_response.status
    error = answer["errors"].find { |found| found["pointer"] == pointer } if pointer
    @status == status && sentence === (pointer ? error&.fetch("detail") : answer["detail"])
  end
  failure_message { |answer| "was #{@status}: #{answer}" }
end
