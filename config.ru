# frozen_string_literal: true

require_relative "app/api"

Database.connect

use RequestLog
use Page, root: File.expand_path("web/dist", __dir__)
run Api
