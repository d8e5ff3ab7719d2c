# frozen_string_literal: true

# No registry's host is written here or in the lock: bin/ points Bundler's mirror at the source this machine's own
# RubyGems uses (bin/support/gems.rb). By hand: BUNDLE_MIRROR__ALL="$(ruby -e 'print Gem.sources.first.uri')" bundle …
source "https://gems.invalid"

gem "activerecord", "~> 7.2.2"
gem "bcrypt", "~> 3.1"
gem "committee", "~> 5.6"
gem "css_parser", "~> 1.21" # of prawn-svg; 2 and later want a newer Ruby than Debian 12 has
gem "ffi", "~> 1.16.3" # 1.17 wants a newer RubyGems than Debian 12 has
gem "opal", "~> 1.8", require: false # compiles the core for the page
gem "prawn", "~> 2.5"
gem "prawn-svg", "~> 0.40"
gem "prawn-table", "~> 0.2"
gem "prometheus-client", "~> 4.2"
gem "puma", "~> 8.0"
gem "rack", "~> 3.2"
gem "rack-attack", "~> 6.7"
gem "rackup", "~> 2.3"
gem "rqrcode", "~> 2.2"
gem "ruby-vips", "~> 2.2"
gem "sinatra", "~> 4.2"
gem "trilogy", "~> 2.9"
gem "zip_kit", "~> 6.3"

group :test do
  gem "bundler-audit", "~> 0.9", require: false
  gem "capybara", "~> 3.40"
  gem "database_cleaner-active_record", "~> 2.2"
  gem "json_schemer", "~> 2.3"
  gem "pdf-reader", "~> 2.12"
  gem "rack-test", "~> 2.2"
  gem "rspec", "~> 3.13"
  gem "rubocop", "~> 1.80", require: false
  gem "rubocop-rspec", "~> 3.6", require: false
  gem "selenium-webdriver", "~> 4.32"
end
