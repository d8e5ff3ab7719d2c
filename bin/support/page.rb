# frozen_string_literal: true

require_relative "gems"
require_relative "shell"

# The page: its npm modules, the Ruby that runs in it, and the build in web/dist.
module PageBuild
  WEB = Place.at("web")
  SOURCES = [*%w[src public].map { |name| File.join(WEB, name) },
             *%w[index.html vite.config.ts package-lock.json].map { |name| File.join(WEB, name) },
             Place.at("api/openapi.yaml")].freeze
  # Compiled to script by ruby_for_page.rb.
  RUBY = %w[core/lib device/lib bin/support/ruby_for_page.rb Gemfile.lock].map { |name| Place.at(name) }.freeze

  # Without a network npm would go on trying for minutes.
  IMPATIENT = %w[--fetch-retries=1 --fetch-retry-mintimeout=2000 --fetch-retry-maxtimeout=4000].freeze

  module_function

  # @raise [Stop]
  def ensure_modules!
    FileUtils.rm_f(Place.at("var/stamps/modules")) unless File.directory?(File.join(WEB, "node_modules"))
    Stamp.unless_same("modules", [File.join(WEB, "package-lock.json")]) do
      say "installing npm modules"
      Shell.run!("npm modules", "npm", "ci", "--no-audit", "--no-fund", *IMPATIENT, dir: WEB)
    end
  end

  # @raise [Stop]
  def ensure_built!
    FileUtils.rm_f(Place.at("var/stamps/page")) unless File.exist?(File.join(WEB, "dist/index.html"))
    Shell.run!("types of the API", "npm", "run", "--silent", "types", dir: WEB) unless types_fresh?
    ensure_ruby!
    Stamp.unless_same("page", SOURCES) do
      say "building the page"
      Shell.run!("the page", "npm", "run", "--silent", "build", dir: WEB)
    end
  end

  # @raise [Stop]
  def ensure_ruby!
    FileUtils.rm_f(Place.at("var/stamps/ruby-for-page")) unless File.directory?(File.join(WEB, "src/device/ruby"))
    Stamp.unless_same("ruby-for-page", RUBY) do
      say "compiling the core for the page"
      Shell.run!("the core for the page", "ruby", "-rbundler/setup", Place.at("bin/support/ruby_for_page.rb"),
                 env: Gems.env)
    end
  end

  def types_fresh?
    types = File.join(WEB, "src/api/schema.ts")
    File.exist?(types) && File.mtime(types) >= File.mtime(Place.at("api/openapi.yaml"))
  end
end
