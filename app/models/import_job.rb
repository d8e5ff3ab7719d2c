# frozen_string_literal: true

# A file on its way in, and how far it has come: checked, then waiting for its turn, then taken in as a whole by one of
# the processes. What was begun by one that is gone, which left nothing behind, is begun again by another.
class ImportJob < ApplicationRecord
  # Seconds after which a process that gives no sign is gone; it gives one so often. [our own]
  GONE_AFTER = 15
  SIGN_EVERY = 0.5
  # What ends three processes is the file's fault.
  MOST_TRIES = 3

  belongs_to :fieldbook, default: -> { Fieldbook.current }
  belongs_to :by, class_name: "Observer", optional: true
  attribute :mapping, ActiveRecord::Type::Json.new

  # @return [ActiveRecord::Relation] what may be taken up now
  def self.waiting(now = Time.now.utc)
    where(state: "queued").or(where(state: "running", beat_at: ...(now - GONE_AFTER)))
  end

  # For this process and no other.
  # @return [ImportJob, nil] nil where another was first
  def claim(now = Time.now.utc)
    taken = self.class.waiting(now).where(id: id).update_all(
      ["state = 'running', beat_at = ?, tries = tries + 1, done = 0", now]
    )
    reload if taken == 1
  end

  # A sign of life, and how far it has come.
  def report(done) = self.class.where(id: id, state: "running").update_all(done: done, beat_at: Time.now.utc)

  # @return [Boolean] whether somebody has cancelled it while it ran; asked for anew
  def cancelled? = self.class.where(id: id).where.not(cancel_at: nil).exists?

  # @raise [Grittle::InvalidInput] when it is over already
  def cancel
    at_once = self.class.where(id: id, state: %w[checked queued]).update_all(state: "cancelled")
    running = at_once.zero? && self.class.where(id: id, state: "running").update_all(cancel_at: Time.now.utc)
    reload
    return if at_once == 1 || running == 1

    raise Grittle::InvalidInput, [Grittle::Problem.new(pointer: "", sentence: "It is over already.")]
  end
end
