# frozen_string_literal: true

require "rack/protection"
require_relative "app/api"

Database.connect(patience: Database::PATIENCE)

needs = Needs.in(Api::SCHEMA)

use RequestLog
use Metrics, needs: needs if ENV["GRITTLE_METRICS"] == "1"
use Guard
use Rack::Protection::HostAuthorization, permitted_hosts: Reach.hosts, logging: false
use Door
use FieldbookPlace
use Rack::Attack # with Limits
# Answers, not exports, which are written while they are sent; short ones fit into one packet as they are.
use Rack::Deflater, include: %w[application/json], if: lambda { |_, _, headers, body|
  !headers.key?("content-disposition") && body.respond_to?(:to_ary) && body.to_ary.sum(&:bytesize) > 1400
}
use Page, root: File.expand_path("web/dist", __dir__)
run Api
