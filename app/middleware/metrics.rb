# frozen_string_literal: true

require "prometheus/client"
require "prometheus/client/data_stores/direct_file_store"
require "prometheus/client/formats/text"

# Counts and times of requests for whoever watches over a server, in the text format of Prometheus, of all processes
# together. Given out to this machine, or to who brings the word that the server was started with.
class Metrics
  PATH = "/metrics"
  # Seconds. [our own: around what an answer at a bench may take]
  STEPS = [0.01, 0.025, 0.05, 0.1, 0.15, 0.25, 0.5, 1, 2.5, 10].freeze
  # Paths that the API's description does not know.
  OTHER = "other"

  # @param folder [String] where the processes keep what they count, emptied at each start
  def self.keep_in(folder)
    FileUtils.rm_rf(folder)
    FileUtils.mkdir_p(folder, mode: 0o700)
    Prometheus::Client.config.data_store = Prometheus::Client::DataStores::DirectFileStore.new(dir: folder)
  end

  def initialize(app, needs:, registry: Prometheus::Client::Registry.new)
    @app = app
    @needs = needs
    @registry = registry
    @requests = registry.counter(:grittle_requests_total, docstring: "Requests", labels: %i[verb path status])
    @seconds = registry.histogram(:grittle_request_seconds, docstring: "Seconds until the answer", buckets: STEPS,
                                                            labels: %i[verb path])
    @busy = registry.gauge(:grittle_database_connections, docstring: "Connections to the database of this process",
                                                          labels: %i[state])
  end

  def call(env)
    return answer(env) if env["PATH_INFO"] == PATH

    started = Process.clock_gettime(Process::CLOCK_MONOTONIC)
    status, headers, body = @app.call(env)
    count(env, status, Process.clock_gettime(Process::CLOCK_MONOTONIC) - started)
    [status, headers, body]
  end

  private

  def count(env, status, took)
    verb = env["REQUEST_METHOD"][0, 8]
    path = @needs.template(verb, env["PATH_INFO"]) || OTHER
    @requests.increment(labels: { verb: verb, path: path, status: status.to_s })
    @seconds.observe(took, labels: { verb: verb, path: path })
  end

  def answer(env)
    return Problem.new(403, "Not from here.").response(env) unless open?(env)

    ActiveRecord::Base.connection_pool.stat.slice(:size, :busy, :idle, :waiting).each do |state, number|
      @busy.set(number, labels: { state: state })
    end
    text = Prometheus::Client::Formats::Text.marshal(@registry)
    [200, { "content-type" => Prometheus::Client::Formats::Text::CONTENT_TYPE }, [text]]
  end

  def open?(env)
    word = ENV.fetch("GRITTLE_METRICS_WORD", "")
    said = env["HTTP_AUTHORIZATION"].to_s.delete_prefix("Bearer ")
    return Rack::Utils.secure_compare(word, said) unless word.empty?

    Reach.loopback?(Reach.address(env))
  end
end
