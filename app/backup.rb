# frozen_string_literal: true

require "digest"
require "fileutils"
require "json"
require "open3"
require "rubygems/package"
require "tempfile"
require "uri"
require "zlib"
require_relative "database"
require_relative "files"

# One file with everything: the database as SQL, the photographs, and a list of both with their digests. Written while
# the application runs: the database is read as it stood at one moment, and a photograph lies in its folder before its
# row is there.
module Backup
  FORMAT = "grittle-backup"
  VERSION = 1
  LIST = "list.json"
  SQL = "database.sql"
  PHOTOS = "photos/"
  PIECE = 1024 * 1024
  # Those that are written by themselves; older ones go. [our own]
  KEPT = 14
  FOLDER = ENV.fetch("GRITTLE_BACKUPS", File.expand_path("../var/backups", __dir__))

  # Something is wrong with the file, or the database does not take it; nothing was touched.
  class Refused < StandardError; end

  module_function

  # @param label [String] of a file in the folder of backups
  # @return [String] its path
  def place(label) = File.join(FOLDER, "grittle-#{Time.now.utc.strftime('%Y%m%d-%H%M%S')}-#{label}.tar.gz")

  # @param path [String] of the file to write
  # @return [Hash{String=>Object}] its list
  # @raise [Refused]
  def write(path)
    FileUtils.mkdir_p(File.dirname(path), mode: 0o700)
    partial = "#{path}.partial"
    Tempfile.create("grittle", File.dirname(path)) do |sql|
      Client.new.dump(sql)
      list = list_of(sql)
      File.open(partial, File::WRONLY | File::CREAT | File::TRUNC, 0o600) { |file| pack(file, list, sql) }
      Archive.new(partial).check
      File.rename(partial, path)
      list
    end
  ensure
    FileUtils.rm_f(partial) if partial
  end

  # The oldest of those that were written by themselves.
  def thin
    Dir[File.join(FOLDER, "grittle-*-scheduled.tar.gz")][0...-KEPT].each { |path| FileUtils.rm_f(path) }
  end

  def list_of(sql)
    paths = { SQL => sql.path }
    pictures.each { |path| paths[PHOTOS + path.delete_prefix("#{Files.folder('photos')}/")] = path }
    entries = paths.map do |name, path|
      { "name" => name, "bytes" => File.size(path), "sha256" => Digest::SHA256.file(path).hexdigest }
    end
    { "format" => FORMAT, "version" => VERSION, "rules_version" => Grittle::RULES_VERSION,
      "schema" => Database.version, "made_at" => Time.now.utc.iso8601, "entries" => entries }
  end

  # Whole ones: what is written just now has no ending of theirs, and is of no row yet.
  def pictures = Dir[File.join(Files.folder("photos"), "??", "*")].grep(/\.(jpg|png|webp)\z/)

  def pack(file, list, sql)
    zip = Zlib::GzipWriter.new(file, Zlib::BEST_SPEED)
    tar = Gem::Package::TarWriter.new(zip)
    text = JSON.pretty_generate(list)
    tar.add_file_simple(LIST, 0o600, text.bytesize) { |out| out.write(text) }
    list["entries"].each do |entry|
      path = entry["name"] == SQL ? sql.path : File.join(Files.folder("photos"), entry["name"].delete_prefix(PHOTOS))
      tar.add_file_simple(entry["name"], 0o600, entry["bytes"]) do |out|
        File.open(path, "rb") { |from| out.write(from.readpartial(PIECE)) until from.eof? }
      end
    end
    tar.close
    zip.finish
    file.fsync
  end
  private_class_method :list_of, :pictures, :pack

  # MariaDB's own programs, which get the password in a file that nobody else reads.
  class Client
    # @return [String] name of the database
    attr_reader :database

    # @param url [String] of the database, as Database.connect takes it
    def initialize(url = ENV.fetch("DATABASE_URL"))
      @uri = URI(url)
      @database = @uri.path.delete_prefix("/")
    end

    # @param file [File]
    # @raise [Refused]
    def dump(file)
      options = %w[--single-transaction --quick --skip-lock-tables --hex-blob --no-tablespaces --skip-comments
                   --default-character-set=utf8mb4]
      run("mariadb-dump", *options, @database, out: file.path)
      file.rewind
    end

    # @param sql [String] statements
    # @raise [Refused]
    def execute(sql) = run("mariadb", "--batch", stdin_data: sql)

    # @param into [String] name of a database
    # @yieldparam input [IO] for the statements
    # @raise [Refused]
    def load(into)
      with_password do |file|
        _, wrong, status = Open3.popen3("mariadb", file, "--default-character-set=utf8mb4",
                                        into) do |input, _, err, run|
          reader = Thread.new { err.read }
          begin
            yield input
          rescue Errno::EPIPE
            nil # it says why
          end
          input.close
          [nil, reader.value, run.value]
        end
        raise Refused, "The database did not take the backup: #{wrong.lines.first&.strip}" unless status.success?
      end
    end

    private

    def run(program, *arguments, out: nil, stdin_data: "")
      with_password do |file|
        command = [program, file, *arguments]
        said, wrong, status =
          out ? ["", *dumped(command, out)] : Open3.capture3(*command, stdin_data: stdin_data)
        raise Refused, "#{program} failed: #{wrong.lines.last&.strip}" unless status.success?

        said
      end
    rescue Errno::ENOENT
      raise Refused, "#{program} is missing: install Debian's mariadb-client."
    end

    def dumped(command, path)
      reader, writer = IO.pipe
      process = spawn(*command, out: path, err: writer, in: File::NULL)
      writer.close
      wrong = reader.read
      _, status = Process.wait2(process)
      [wrong, status]
    end

    def with_password
      Tempfile.create("grittle") do |file|
        file.write(<<~TEXT)
          [client]
          host=#{@uri.host}
          port=#{@uri.port || 3306}
          user=#{@uri.user}
          password="#{URI.decode_www_form_component(@uri.password.to_s).gsub(/["\\]/) { |sign| "\\#{sign}" }}"
        TEXT
        file.flush
        yield "--defaults-file=#{file.path}"
      end
    end
  end

  # A backup as a file, read from its beginning to its end.
  class Archive
    DAMAGED = "The backup is damaged or is something else: %s. Nothing was touched."

    # @param path [String]
    def initialize(path)
      @path = path
    end

    # @return [Hash{String=>Object}] its list
    # @raise [Refused]
    def check
      found = {}
      list = nil
      each do |entry|
        next list = parse(entry.read) if list.nil?

        found[entry.full_name] = digest(entry)
      end
      damaged("it is empty") unless list
      wanted = list["entries"].to_h { |entry| [entry["name"], entry["sha256"]] }
      wrong = ((wanted.to_a - found.to_a) | (found.to_a - wanted.to_a)).first
      damaged("#{wrong.first} is not what was written") if wrong
      list
    end

    # @yieldparam entry [Gem::Package::TarReader::Entry] the list first
    # @raise [Refused]
    def each(&)
      File.open(@path, "rb") do |file|
        zip = Zlib::GzipReader.new(file)
        Gem::Package::TarReader.new(zip).each(&)
        zip.read # to the end, where its own check stands
      end
    rescue Errno::ENOENT, Errno::EISDIR
      raise Refused, "There is no file #{@path}."
    rescue Zlib::Error, Gem::Package::Error, EOFError, ArgumentError, NoMethodError, TypeError => e
      damaged(e.message[0, 80])
    end

    private

    def parse(text)
      list = JSON.parse(text)
      fine = list.is_a?(Hash) && list["format"] == FORMAT && list["entries"].is_a?(Array)
      damaged("it is no backup of Grittle") unless fine
      raise Refused, "This backup was written by a newer Grittle. Nothing was touched." if list["version"] > VERSION

      list
    rescue JSON::ParserError
      damaged("it is no backup of Grittle")
    end

    def digest(entry)
      digest = Digest::SHA256.new
      until entry.eof?
        piece = entry.read(PIECE) or break
        digest << piece
      end
      digest.hexdigest
    end

    def damaged(why) = raise(Refused, format(DAMAGED, why))
  end

  # A backup on its way back, into an empty or a running installation.
  class Restoring
    # @param path [String]
    def initialize(path)
      @archive = Archive.new(path)
      @client = Client.new
    end

    # @return [Hash{String=>Object}] what would come back
    # @raise [Refused]
    def list
      @list ||= @archive.check.tap do |found|
        known = Database.newest
        next if found["schema"] <= known

        raise Refused, "This backup was written by a newer Grittle (#{found['schema']}; this one knows #{known}). " \
                       "Nothing was touched."
      end
    end

    # Beside what is there first; then both change places at once, and what was there goes.
    # @raise [Refused] with everything as it was
    def run
      list
      begin
        prepare
        fill
        change_places
        remove_other_pictures
      ensure
        [beside, before].each { |name| @client.execute("DROP DATABASE IF EXISTS #{name};") }
      end
    end

    private

    def beside = "#{@client.database}_restoring"
    def before = "#{@client.database}_before"

    def prepare
      [beside, before].each do |name|
        @client.execute("DROP DATABASE IF EXISTS #{name}; CREATE DATABASE #{name} CHARACTER SET utf8mb4 " \
                        "COLLATE utf8mb4_unicode_ci;")
      end
    end

    def fill
      @archive.each do |entry|
        if entry.full_name == SQL
          @client.load(beside) { |input| input.write(entry.read(PIECE)) until entry.eof? }
        elsif entry.full_name.start_with?(PHOTOS)
          picture(entry)
        end
      end
    end

    # Pictures are named by what they hold: one that is there is the same.
    def picture(entry)
      name = entry.full_name.delete_prefix(PHOTOS)
      return unless name.match?(%r{\A\h\h/\h{64}(-\d+)?\.(jpg|png|webp)\z})

      path = File.join(Files.folder("photos"), name)
      return if File.size?(path) == entry.header.size

      FileUtils.mkdir_p(File.dirname(path))
      Files.write(path, entry.read || "")
    end

    def tables(database)
      said = @client.execute("SELECT table_name FROM information_schema.tables WHERE table_schema = '#{database}'")
      said.lines.drop(1).map(&:strip)
    end

    def change_places
      moves = tables(@client.database).map { |name| "#{@client.database}.#{name} TO #{before}.#{name}" } +
              tables(beside).map { |name| "#{beside}.#{name} TO #{@client.database}.#{name}" }
      @client.execute("SET FOREIGN_KEY_CHECKS = 0; RENAME TABLE #{moves.join(', ')};")
    end

    def remove_other_pictures
      kept = list["entries"].map { |entry| entry["name"] }
      Dir[File.join(Files.folder("photos"), "??", "*")].each do |path|
        FileUtils.rm_f(path) unless kept.include?(PHOTOS + path.delete_prefix("#{Files.folder('photos')}/"))
      end
    end
  end
end
