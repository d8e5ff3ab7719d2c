# frozen_string_literal: true

require "securerandom"

module Exchange
  # One file on its way in: opened and checked, mapped if it is a table, then imported as a whole or not at all. The
  # file lies beside the database, how far it has come stands in it, so that every process of the server finds both and
  # a restart loses neither; each opens the file for itself when it is asked for it.
  class Import
    MOST_BYTES = 64 * 1024 * 1024
    # Files that nobody came back for go after a day, and the oldest of too many. [our own]
    KEPT_FOR = 24 * 3600 # seconds
    MOST = 20
    ID = /\A\h{16}\z/
    FAILED = "It could not be imported. Nothing was changed."
    # Raised within, when somebody cancels.
    class Cancelled < StandardError; end
    @opened = {}
    @lock = Mutex.new

    class << self
      # @param sent [IO]
      # @param name [String] of the file
      # @return [Import]
      # @raise [Unreadable]
      def open(sent, name)
        job = ImportJob.new(token: SecureRandom.hex(8), name: name.to_s[0, 200], state: "checked",
                            made_at: Time.now.utc, by: Acting.person)
        FileUtils.mkdir_p(File.dirname(path(job.token, "file")), mode: 0o700)
        File.open(path(job.token, "file"), "wb") { |file| IO.copy_stream(sent, file) }
        import = new(job)
        @lock.synchronize { @opened = { job.token => import } }
        job.save!
        clear
        import
      rescue Unreadable
        FileUtils.rm_rf(File.dirname(path(job.token, "file")))
        raise
      end

      # @param fieldbook [Fieldbook]
      # @raise [ActiveRecord::RecordNotFound]
      def find(id, fieldbook = Fieldbook.current)
        job = ImportJob.where(fieldbook: fieldbook).find_by(token: id) if id.match?(ID)
        raise ActiveRecord::RecordNotFound.new(nil, "Import", "id", id) unless job && File.exist?(path(id, "file"))

        of(job)
      end

      # One open file a process: it may be large.
      # @param job [ImportJob]
      # @return [Import]
      def of(job)
        import = @lock.synchronize do
          @opened[job.token] || (@opened = { job.token => new(job) })[job.token]
        end
        import.follow(job)
      end

      # @return [String] where what is kept of an import is
      def path(id, file) = File.join(Files.folder("imports"), id, file)

      private

      def clear
        late = ImportJob.where.not(state: "running").where(made_at: ...(Time.now.utc - KEPT_FOR))
        many = ImportJob.where.not(state: "running").order(id: :desc).offset(MOST)
        gone = (late.limit(MOST).to_a + many.limit(MOST).to_a).uniq
        gone.each { |job| FileUtils.rm_rf(File.dirname(path(job.token, "file"))) }
        ImportJob.where(id: gone).delete_all
      end
    end

    attr_reader :job, :format, :source

    # @param job [ImportJob] whose file lies in its place
    # @raise [Unreadable]
    def initialize(job)
      @job = job
      @format, @source = ImportFile.call(File.open(self.class.path(id, "file"), "rb"), job.name)
      use_mapping
    end

    def id = job.token
    def name = ImportFile.title(job.name)

    # @return [Array<String>] who is named in it
    def people = source.respond_to?(:people) ? source.people : []

    # @return [Array<String>] of those, who are others than the people of the fieldbook who are called so
    def others = job.mapping.to_h.fetch("others", [])

    # What another process did with it since.
    # @return [Import] itself
    def follow(job)
      mapped = @job.mapping
      @job = job
      use_mapping unless job.mapping == mapped
      self
    end

    # @raise [Grittle::InvalidInput] for what is no table, or a mapping that does not fit
    def map(targets, unit:)
      refuse("Only a table of horizons has columns to map.") unless format == "table"
      refuse("It is being imported already.") unless job.state == "checked"
      source.map(targets, unit: unit)
      job.update!(mapping: job.mapping.to_h.merge("targets" => targets, "unit" => unit))
    end

    # @param names [Array<String>] of the file, who are others than those of the fieldbook
    # @raise [Grittle::InvalidInput]
    def tell_apart(names)
      refuse("It is being imported already.") unless job.state == "checked"
      unknown = names - people
      refuse("The file names nobody called #{unknown.first}.") if unknown.any?
      job.update!(mapping: job.mapping.to_h.merge("others" => names))
    end

    # From now on it waits for its turn.
    # @raise [Grittle::InvalidInput] while something is wrong
    def run
      refuse("Nothing is imported while something is wrong in the file.") unless source.problems.empty?
      queued = ImportJob.where(id: job.id, state: "checked").update_all(state: "queued")
      refuse("It is being imported already.") unless queued == 1
      job.reload
    end

    # All of it in one transaction, and that it is done as well: whatever happens, both are so or neither.
    def take_in
      ActiveRecord::Base.transaction do
        Acting.as(acting) do
          kept = FileImport.create!(name: name.to_s[0, 200], counts: source.counts, imported_at: Time.now.utc)
          @done = 0
          source.take_in(kept) { count }
        end
        ended("done", done: @done)
      end
    rescue Cancelled
      ended("cancelled", done: 0)
    rescue StandardError => e
      warn "import #{id}: #{e.class}: #{e.message[0, 300]} (#{e.backtrace&.first})"
      ended("failed", done: 0, failure: e.is_a?(Grittle::InvalidInput) ? e.message : FAILED)
    end

    # @return [Integer] rows that were taken in so far
    attr_reader :done

    # From another thread: no further row is taken in.
    def stop = @stopped = true

    private

    # As who sent it, in the fieldbook that it was sent to.
    def acting
      Acting::State.new(fieldbook: job.fieldbook, person: job.by, namesakes: others.to_h { |one| [one.downcase, nil] })
    end

    def count
      raise Cancelled if @stopped

      @done += 1
    end

    def ended(state, **columns)
      ImportJob.where(id: job.id).update_all(state: state, beat_at: Time.now.utc, **columns)
      job.reload
    end

    def use_mapping
      found = job.mapping.to_h
      source.map(found["targets"], unit: found["unit"]) if found["targets"]
    end

    def refuse(sentence) = raise(Grittle::InvalidInput, [Grittle::Problem.new(pointer: "", sentence: sentence)])
  end
end
