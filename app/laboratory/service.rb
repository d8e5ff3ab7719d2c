# frozen_string_literal: true

require "json"
require "net/http"
require "time"
require "uri"

module Laboratory
  # It gave no answer in time, or none that can be read: to be tried again.
  class Unreachable < StandardError; end
  # It will not have it, and says why.
  class Refused < StandardError; end
  # It has no such submission.
  class Unknown < StandardError; end

  # A laboratory's service over HTTP: the one place that knows how it is spoken to, so that another can take its place.
  class Service
    # Seconds.
    OPEN = 2
    READ = 5
    # What a network can do.
    SILENCE = [SystemCallError, SocketError, Timeout::Error, EOFError, Net::ProtocolError,
               OpenSSL::SSL::SSLError].freeze
    # Where the stand-in listens.
    USUAL = "http://127.0.0.1:4680"

    # How a submission stands: +state+ is received, in_analysis or reported.
    Standing = Struct.new(:state, :due_at, :revision, keyword_init: true)

    # @param url [String]
    def initialize(url = ENV.fetch("GRITTLE_LABORATORY", USUAL))
      @url = URI(url)
    end

    # @param submission [Submission]
    # @return [Array] its number, and when it is due
    # @raise [Unreachable, Refused]
    def submit(submission)
      bags = submission.bags.map do |bag|
        { id: bag.sample_id.to_s, label: bag.label, method: submission.analysis }
      end
      said = json(Net::HTTP::Post, "/submissions", { key: submission.token, samples: bags })
      [said.fetch("number").to_s, time(said["due"])]
    end

    # @return [Standing]
    # @raise [Unreachable, Refused, Unknown]
    def standing(number)
      said = json(Net::HTTP::Get, "/submissions/#{path(number)}")
      Standing.new(state: said.fetch("state"), due_at: time(said["due"]), revision: (said["revision"] || 1).to_i)
    end

    # @return [String] CSV
    # @raise [Unreachable, Refused, Unknown]
    def results(number) = ask(Net::HTTP::Get, "/submissions/#{path(number)}/results").body.to_s.force_encoding("UTF-8")

    private

    def path(number) = URI.encode_www_form_component(number)
    def time(text) = text && Time.parse(text).utc

    def json(verb, path, body = nil)
      JSON.parse(ask(verb, path, body).body)
    rescue JSON::ParserError, KeyError, ArgumentError
      raise Unreachable, "The laboratory's answer cannot be read."
    end

    def ask(verb, path, body = nil)
      asked = verb.new(path, "content-type" => "application/json", "accept" => "application/json, text/csv")
      asked.body = JSON.generate(body) if body
      secure = @url.scheme == "https"
      timed = { open_timeout: OPEN, read_timeout: READ, use_ssl: secure }
      answered(Net::HTTP.start(@url.host, @url.port, **timed) { |http| http.request(asked) })
    rescue *SILENCE
      raise Unreachable, "The laboratory cannot be reached."
    end

    # At most 200 characters of it.
    def said(answer) = PlainText.clean(answer.body.to_s.dup.force_encoding("UTF-8"))[0, 200]

    def answered(answer)
      case answer.code.to_i
      when 200..299 then answer
      when 404 then raise Unknown, "The laboratory does not know the submission."
      when 400..499 then raise Refused, "The laboratory refused it: #{said(answer)}"
      else raise Unreachable, "The laboratory answered #{answer.code}."
      end
    end
  end
end
