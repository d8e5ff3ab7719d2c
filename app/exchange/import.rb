# frozen_string_literal: true

require "securerandom"

module Exchange
  # One file on its way in: opened and checked, mapped if it is a table, then taken in as a whole or not at all. Kept in memory
  # only: what was not taken in when the server stops has changed nothing, and is sent again.
  class Import
    MOST_BYTES = 64 * 1024 * 1024
    KEPT_FOR = 3600 # seconds
    MOST = 5
    @standing = {}
    @lock = Mutex.new

    class << self
      # @param bytes [String]
      # @param name [String] of the file
      # @return [Import]
      # @raise [Unreadable]
      def open(bytes, name)
        import = new(*Opened.call(bytes, name), Opened.title(name))
        @lock.synchronize do
          @standing.delete_if { |_, old| old.over? }
          @standing.delete(@standing.keys.first) while @standing.size >= MOST
          @standing[import.id] = import
        end
      end

      # @raise [ActiveRecord::RecordNotFound]
      def find(id) = @lock.synchronize { @standing[id] } || raise(ActiveRecord::RecordNotFound.new(nil, "Import", "id", id))
    end

    attr_reader :id, :format, :source, :name, :state, :done, :failure

    def initialize(format, source, name)
      @id = SecureRandom.hex(8)
      @format = format
      @source = source
      @name = name
      @state = "checked"
      @done = 0
      @opened_at = now
    end

    # @raise [Grittle::InvalidInput] for what is no table, or a mapping that does not fit
    def map(targets, unit:)
      refuse("Only a table of horizons has columns to map.") unless format == "table"
      refuse("It is being taken in already.") unless state == "checked"
      source.map(targets, unit: unit)
    end

    # Takes everything in, in the background.
    # @return [Thread]
    # @raise [Grittle::InvalidInput] while something is wrong
    def run
      refuse("Nothing is taken in while something is wrong in the file.") unless source.problems.empty?
      refuse("It is being taken in already.") unless state == "checked"
      @state = "running"
      Thread.new { take_in }
    end

    # In the caller's own thread: all of it in one transaction.
    def take_in
      ActiveRecord::Base.connection_pool.with_connection do
        ActiveRecord::Base.transaction { source.take_in { @done += 1 } }
      end
      @state = "done"
    rescue StandardError => e
      warn "import #{id}: #{e.class}: #{e.message[0, 300]} (#{e.backtrace&.first})"
      @failure = e.is_a?(Grittle::InvalidInput) ? e.message : "It could not be taken in. Nothing was changed."
      @done = 0
      @state = "failed"
    end

    # @return [Boolean] whether nobody comes back for it
    def over? = now - @opened_at > KEPT_FOR

    private

    def now = Process.clock_gettime(Process::CLOCK_MONOTONIC)
    def refuse(sentence) = raise(Grittle::InvalidInput, [Grittle::Problem.new(pointer: "", sentence: sentence)])
  end
end
