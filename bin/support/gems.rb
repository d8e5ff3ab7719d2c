# frozen_string_literal: true

require_relative "shell"

# The gems, in vendor/bundle, exactly as locked.
module Gems
  module_function

  # Gemfile and lock name no registry: the mirror is whatever this machine's own RubyGems uses. Frozen, so the lock
  # stays as it is. A locale, because a bare machine has none.
  # @return [Hash{String=>String}] the environment of every Ruby that uses the gems
  def env(with_tests: false)
    base = {
      "BUNDLE_GEMFILE" => Place.at("Gemfile"),
      "BUNDLE_PATH" => Place.at("vendor/bundle"),
      "BUNDLE_FROZEN" => "true",
      "BUNDLE_MIRROR__ALL" => Gem.sources.first.uri.to_s,
      "BUNDLE_BUILD__NOKOGIRI" => "--use-system-libraries",
      "BUNDLE_JOBS" => "2",
      "MAKEFLAGS" => "-j2",
      "BUNDLE_SILENCE_ROOT_WARNING" => "true",
      "LANG" => "C.UTF-8"
    }
    with_tests ? base : base.merge("BUNDLE_WITHOUT" => "test")
  end

  # @raise [Stop]
  def ensure!(with_tests: false)
    FileUtils.rm_rf(Place.at("var/stamps")) unless File.directory?(Place.at("vendor/bundle"))
    Stamp.unless_same(with_tests ? "gems-with-tests" : "gems", [Place.at("Gemfile.lock")]) do
      say "installing gems into vendor/bundle"
      Shell.run!("gems", "bundle", "install", env: env(with_tests: with_tests))
    end
  end
end
