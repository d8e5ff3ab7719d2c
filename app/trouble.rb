# frozen_string_literal: true

# What a failure that nobody asked for means to the person: try again, make room, or a mistake of ours under its number.
module Trouble
  # The same write succeeds once the database answers, or the other writer is done.
  PASSING = [
    ActiveRecord::ConnectionNotEstablished,
    ActiveRecord::ConnectionFailed,
    ActiveRecord::Deadlocked,
    ActiveRecord::LockWaitTimeout,
    ActiveRecord::ConnectionTimeoutError
  ].freeze
  # Error numbers of a full disk or table. [published: MariaDB error codes 1021, 1114; errno 28 in its messages]
  FULL = /\b(1021|1114)\b|errno: 28|No space left|Disk full|is full/i

  module_function

  # @param error [StandardError]
  # @return [Problem]
  def problem(error, env)
    case error
    when *PASSING then Problem.new(503, "The database did not answer. Nothing was changed; try again.")
    when Errno::ENOSPC, Errno::EDQUOT then full
    when ActiveRecord::StatementInvalid then error.message.match?(FULL) ? full : mistake(env)
    else mistake(env)
    end
  end

  # @return [Boolean] whether the same may succeed later
  def passing?(error) = PASSING.any? { |kind| error.is_a?(kind) }

  # @return [String] for the log
  def log(error) = " #{error.class}: #{error.message[0, 300]} (#{error.backtrace&.first})"

  def full = Problem.new(507, "The disk is full. Nothing was changed: make room, then try again.")

  def mistake(env)
    Problem.new(500, "This is a mistake of ours, number #{env['grittle.number']} in the log. Nothing was changed.")
  end
  private_class_method :full, :mistake
end
