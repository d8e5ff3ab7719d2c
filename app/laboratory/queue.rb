# frozen_string_literal: true

require_relative "service"
require_relative "../background"

module Laboratory
  # Sends what waits and asks after what is under way. All that it knows stands in the database, so that it goes on
  # where it was after a restart; of several processes one works at a time.
  class Queue
    # Seconds between two looks at what is due.
    EVERY = 2
    LOCK = "grittle_laboratory"

    # Goes on as long as the process does.
    # @return [Thread]
    def self.start = Background.every(EVERY, "laboratory") { new.work }

    # @param service [Service]
    def initialize(service = Service.new)
      @service = service
    end

    # Everything that is due, once each.
    def work(now = Time.now.utc)
      return unless Submission.due(now).exists?

      alone { Submission.due(now).order(:next_at).each { |submission| look(submission) } }
    end

    # One submission, whether it is due or not.
    def look(submission)
      Acting.in(submission.fieldbook) { submission.state == "queued" ? send(submission) : ask(submission) }
    rescue Unreachable => e
      submission.failed(e.message)
    rescue Unknown
      submission.unknown
    rescue Refused => e
      submission.refused(e.message)
    end

    private

    def send(submission) = submission.accepted(*@service.submit(submission))

    def ask(submission)
      found = @service.standing(submission.number)
      submission.stands(found.state, found.due_at, found.revision)
      return unless submission.state == "reported"

      submission.import(@service.results(submission.number))
    end

    def alone
      connection = ActiveRecord::Base.connection
      return unless connection.select_value("SELECT GET_LOCK('#{LOCK}', 0)").to_i == 1

      begin
        yield
      ensure
        connection.select_value("SELECT RELEASE_LOCK('#{LOCK}')")
      end
    end
  end
end
