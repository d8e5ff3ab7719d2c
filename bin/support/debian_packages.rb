# frozen_string_literal: true

require_relative "shell"

# Debian packages the project needs, each with the reason. Only what is missing is installed.
module DebianPackages
  RUN = {
    "mariadb-server" => "the database",
    "bundler" => "installs the gems", "ruby-dev" => "compiles gems", "build-essential" => "compiles gems",
    "pkg-config" => "compiles gems", "libssl-dev" => "compiles the database driver", "libyaml-dev" => "compiles gems",
    "libvips42" => "reads and shrinks photographs"
  }.freeze
  TEST = {
    "chromium" => "the browser of the tests", "chromium-driver" => "drives the browser",
    "r-base-core" => "checks statistics", "r-cran-vcd" => "checks statistics",
    "libxml2-dev" => "compiles the tests' HTML reader", "libxslt1-dev" => "compiles the tests' HTML reader"
  }.freeze
  # Seconds to wait for another program's package lock.
  PATIENCE = Integer(ENV.fetch("GRITTLE_APT_WAIT", "120"))
  NODE_NEEDED = [20, 19].freeze

  module_function

  # @param packages [Hash{String=>String}] package to reason
  # @raise [Stop]
  def ensure!(packages)
    check_node
    missing = packages.reject { |name, _| installed?(name) }
    return if missing.empty?

    say "installing Debian packages: #{missing.map { |name, why| "#{name} (#{why})" }.join(', ')}"
    command = "apt-get install -y --no-install-recommends #{missing.keys.join(' ')}"
    raise Stop, "That needs root. Run as root, or first: #{command}" unless Process.uid.zero?

    install(missing.keys)
  end

  def check_node
    found = Shell.there?("node") && Shell.there?("npm") ? `node --version`.scan(/\d+/).map(&:to_i) : nil
    raise Stop, "Node.js and npm are needed; install Node #{NODE_NEEDED.join('.')} or newer." unless found
    return if (found.first(2) <=> NODE_NEEDED) >= 0

    raise Stop, "Node #{NODE_NEEDED.join('.')} or newer is needed; this is #{found.join('.')}."
  end

  def installed?(name)
    out, = Open3.capture2e("dpkg-query", "-W", "-f", "${db:Status-Status}", name)
    out == "installed" || (name == "bundler" && Shell.there?("bundle"))
  rescue Errno::ENOENT
    raise Stop, "This is not a Debian system: dpkg-query is missing. Grittle's set-up is made for Debian."
  end

  def install(names)
    env = { "DEBIAN_FRONTEND" => "noninteractive" }
    patiently { Shell.run!("the package list", "apt-get", "update", env: env) }
    patiently do
      Shell.run!("Debian packages", "apt-get", "install", "-y", "--no-install-recommends",
                 "-o", "DPkg::Lock::Timeout=#{PATIENCE}", *names, env: env)
    end
  end

  # apt-get update does not wait for its lock by itself.
  def patiently
    deadline = Process.clock_gettime(Process::CLOCK_MONOTONIC) + PATIENCE
    begin
      yield
    rescue Stop => e
      raise if !e.message.start_with?("Another program") || Process.clock_gettime(Process::CLOCK_MONOTONIC) > deadline

      sleep 3
      retry
    end
  end
end
