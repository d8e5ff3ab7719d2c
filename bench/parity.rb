# frozen_string_literal: true

# Whether the core comes to the same natively and in the page's build, for 5,000 random sets of observations, and what
# either takes. The page must be built (bin/test or bin/start does).
#
#   BUNDLE_GEMFILE=Gemfile BUNDLE_PATH=vendor/bundle ruby -rbundler/setup bench/parity.rb [SETS] [SEED]

require_relative "../spec/support/parity"

count = (ARGV[0] || 5000).to_i
seed = (ARGV[1] || 1).to_i
parity = Parity.new(count, seed: seed).run
puts "#{count} sets, seed #{seed}: #{parity.differences.size} differences"
parity.differences.first(20).each { |one| puts "  #{one}" }
exit parity.differences.empty?
