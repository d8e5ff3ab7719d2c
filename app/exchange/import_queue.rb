# frozen_string_literal: true

require_relative "../background"

module Exchange
  # Takes in what waits, one file at a time in each process, whoever was asked for it.
  class ImportQueue
    # Seconds between two looks.
    EVERY = 1

    # Goes on as long as the process does.
    # @return [Thread]
    def self.start = Background.every(EVERY, "imports") { new.work }

    # The next that waits, if any.
    # @return [ImportJob, nil] that was taken in, or failed
    def work
      job = ImportJob.waiting.order(:id).first or return
      return unless job.claim
      return give_up(job) if job.tries > ImportJob::MOST_TRIES

      take_in(Import.of(job))
      job
    rescue Errno::ENOENT
      give_up(job)
    end

    private

    # A second thread gives signs of life, on a connection of its own: what this one writes nobody sees before it is all
    # there.
    def take_in(import)
      over = false
      signs = Thread.new do
        until over
          import.job.report(import.done.to_i)
          import.stop if import.job.cancelled?
          ActiveRecord::Base.connection_handler.clear_active_connections!
          sleep ImportJob::SIGN_EVERY
        end
      end
      import.take_in
    ensure
      over = true
      signs&.join
    end

    def give_up(job)
      ImportJob.where(id: job.id).update_all(state: "failed", failure: Import::FAILED)
      job
    end
  end
end
