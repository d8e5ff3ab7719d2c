# frozen_string_literal: true

require "securerandom"

module Exchange
  # One file on its way in: opened and checked, mapped if it is a table, then imported as a whole or not at all. The
  # file and how far it has come are kept beside the database, where every process of the server finds them; each opens
  # the file for itself when it is asked for it. What was not imported when the server stops has changed nothing, and is
  # sent again.
  class Import
    MOST_BYTES = 64 * 1024 * 1024
    KEPT_FOR = 3600 # seconds
    MOST = 5
    ID = /\A\h{16}\z/
    # Seconds between two notes of how far it has come.
    NOTED_EVERY = 0.5
    @opened = {}
    @lock = Mutex.new

    class << self
      # @param bytes [String]
      # @param name [String] of the file
      # @return [Import]
      # @raise [Unreadable]
      def open(bytes, name)
        import = new(SecureRandom.hex(8), bytes, "name" => name.to_s, "state" => "checked", "done" => 0)
        @lock.synchronize do
          import.keep(bytes)
          clear(import.id)
          @opened = { import.id => import }
        end
        import
      end

      # @raise [ActiveRecord::RecordNotFound]
      def find(id)
        kept = id.match?(ID) && File.exist?(path(id, "facts.json"))
        raise ActiveRecord::RecordNotFound.new(nil, "Import", "id", id) unless kept

        # One open file a process: it may be large.
        import =
          @lock.synchronize do
            @opened[id] || (@opened = { id => new(id, File.binread(path(id, "file")), facts(id)) })[id]
          end
        import.follow
      end

      # @return [String] where what is kept of an import is
      def path(id, file) = File.join(Files.folder("imports"), id, file)

      def facts(id) = JSON.parse(File.read(path(id, "facts.json")))

      private

      # Those that nobody comes back for, and the oldest of too many.
      def clear(newest)
        folders =
          Dir
          .children(Files.folder("imports"))
          .grep(ID)
          .without(newest)
          .map { |id| File.join(Files.folder("imports"), id) }
        oldest_last = folders.sort_by { |folder| File.mtime(folder) }.reverse
        late = Time.now - KEPT_FOR
        FileUtils.rm_rf(
          oldest_last.each_with_index.filter_map { |folder, at| folder if at >= MOST - 1 || File.mtime(folder) < late }
        )
      end
    end

    attr_reader :id, :format, :source

    # @param facts [Hash{String=>Object}] name, state, done; failure, process, targets and unit where there are any
    # @raise [Unreadable]
    def initialize(id, bytes, facts)
      @id = id
      @format, @source = ImportFile.call(bytes, facts["name"])
      @facts = facts
      use_mapping
    end

    def name = ImportFile.title(@facts["name"])
    def state = @facts["state"]
    def done = @facts["done"]
    def failure = @facts["failure"]

    # @param bytes [String] of the file
    def keep(bytes)
      FileUtils.mkdir_p(File.dirname(place("file")), mode: 0o700)
      Files.write(place("file"), bytes)
      note
    end

    # What another process did with it since.
    # @return [Import] itself
    def follow
      return self if @thread&.alive?

      mapped = @facts.values_at("targets", "unit")
      @facts = self.class.facts(id)
      use_mapping unless @facts.values_at("targets", "unit") == mapped
      fail_with("The server was stopped. Nothing was changed.") if state == "running" && !running?
      self
    end

    # @raise [Grittle::InvalidInput] for what is no table, or a mapping that does not fit
    def map(targets, unit:)
      refuse("Only a table of horizons has columns to map.") unless format == "table"
      refuse("It is being imported already.") unless state == "checked"
      source.map(targets, unit: unit)
      note("targets" => targets, "unit" => unit)
    end

    # Takes everything in, in the background.
    # @return [Thread]
    # @raise [Grittle::InvalidInput] while something is wrong
    def run
      refuse("Nothing is imported while something is wrong in the file.") unless source.problems.empty?
      refuse("It is being imported already.") unless state == "checked" && claim
      note("state" => "running", "process" => Process.pid)
      @thread = Thread.new { take_in }
    end

    # In the caller's own thread: all of it in one transaction.
    def take_in
      ActiveRecord::Base.connection_pool.with_connection do
        ActiveRecord::Base.transaction do
          kept = FileImport.create!(name: name.to_s[0, 200], counts: source.counts, imported_at: Time.now.utc)
          source.take_in(kept) { count }
        end
      end
      note("state" => "done")
    rescue StandardError => e
      warn "import #{id}: #{e.class}: #{e.message[0, 300]} (#{e.backtrace&.first})"
      fail_with(e.is_a?(Grittle::InvalidInput) ? e.message : "It could not be imported. Nothing was changed.")
    end

    private

    def place(file) = self.class.path(id, file)

    # @return [Boolean] whether no other process was first
    def claim
      File.open(place("claim"), File::WRONLY | File::CREAT | File::EXCL) { true }
    rescue Errno::EEXIST
      false
    end

    def count
      @facts["done"] += 1
      note if @noted.nil? || now - @noted > NOTED_EVERY
    end

    def fail_with(sentence) = note("state" => "failed", "failure" => sentence, "done" => 0)

    def note(facts = {})
      @noted = now
      Files.write(place("facts.json"), JSON.generate(@facts.merge!(facts)))
    end

    def use_mapping
      source.map(@facts["targets"], unit: @facts["unit"]) if @facts["targets"]
    end

    def running?
      @facts["process"] == Process.pid ? @thread&.alive? : Process.kill(0, @facts["process"]).positive?
    rescue Errno::ESRCH
      false
    end

    def now = Process.clock_gettime(Process::CLOCK_MONOTONIC)
    def refuse(sentence) = raise(Grittle::InvalidInput, [Grittle::Problem.new(pointer: "", sentence: sentence)])
  end
end
