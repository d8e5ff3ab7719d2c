# frozen_string_literal: true

require "fileutils"

# What is kept beside the database, in var/: photographs, and files on their way in.
module Files
  ROOT = ENV.fetch("GRITTLE_FILES", File.expand_path("../var/files", __dir__))

  module_function

  # @param name [String] one of our own
  # @return [String] path of the folder, made if need be
  def folder(name) = File.join(ROOT, name).tap { |path| FileUtils.mkdir_p(path) }

  # Whole or not at all.
  def write(path, bytes)
    partial = "#{path}.#{Process.pid}.#{Thread.current.object_id}"
    File.binwrite(partial, bytes)
    File.rename(partial, path)
  end
end
