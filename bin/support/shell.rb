# frozen_string_literal: true

require "fileutils"
require "open3"
require_relative "place"

# Runs programs for set-up. Their output goes to a log; what went wrong is read from it and said in a sentence.
module Shell
  CAUSES = {
    /No space left on device|ENOSPC|Disk quota exceeded/i =>
      "The disk is full. Free some space and run the command again.",
    /Could not get lock|Unable to acquire the dpkg|is another process using it|Unable to lock/i =>
      "Another program is installing Debian packages just now. Run the command again when it is done.",
    Regexp.new(
      [
        "Could not resolve",
        "Could not reach",
        "Could not fetch",
        "Failed to fetch",
        "Temporary failure",
        "ENOTFOUND",
        "EAI_AGAIN",
        "ECONNREFUSED",
        "ETIMEDOUT",
        "ENETUNREACH",
        "Network is unreachable",
        "network request",
        "Connection (refused|timed out)"
      ].join("|"),
      Regexp::IGNORECASE
    ) =>
      "The packages could not be downloaded. Set-up needs the network once: run the command again when there is one.",
    /EACCES|Permission denied/i => "A folder cannot be written to."
  }.freeze

  module_function

  # @param what [String] names the log, and is named when nothing better is known
  # @raise [Stop]
  def run!(what, *command, env: {}, dir: Place::ROOT)
    FileUtils.mkdir_p(Place::LOGS)
    log = File.join(Place::LOGS, "#{what.tr(' ', '-')}.log")
    return if system(env, *command, chdir: dir, out: log, err: %i[child out], in: File::NULL)

    said = File.exist?(log) ? File.read(log, encoding: "UTF-8").scrub : ""
    raise Stop, "#{cause(said) || "Setting up #{what} failed."} Details: #{log.delete_prefix("#{Place::ROOT}/")}"
  end

  # @return [String, nil]
  def cause(text) = CAUSES.find { |pattern, _| text.match?(pattern) }&.last

  def there?(program) = ENV.fetch("PATH", "").split(":").any? { |dir| File.executable?(File.join(dir, program)) }
end

# Remembers what was set up from which files, so that a second run does nothing.
module Stamp
  module_function

  # Yields unless the files are the same as when it last succeeded.
  # @param name [String]
  # @param paths [Array<String>] files and folders it depends on
  def unless_same(name, paths)
    path = File.join(Place::VAR, "stamps", name)
    digest = digest(paths)
    return if File.exist?(path) && File.read(path) == digest

    yield
    FileUtils.mkdir_p(File.dirname(path))
    File.write(path, digest)
  end

  def digest(paths)
    require "digest"
    files =
      paths.flat_map do |path|
        File.directory?(path) ? Dir.glob("#{path}/**/*").select { |file| File.file?(file) } : [path]
      end
    Digest::SHA256.hexdigest(files.sort.map do |file|
      "#{file.delete_prefix(Place::ROOT)} #{Digest::SHA256.file(file).hexdigest}"
    end.join("\n"))
  end
end
