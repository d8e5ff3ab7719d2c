# frozen_string_literal: true

require_relative "app/api"

Database.connect(patience: Database::PATIENCE)

use RequestLog
use Page, root: File.expand_path("web/dist", __dir__)
run Api
