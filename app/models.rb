# frozen_string_literal: true

# What is kept, in MariaDB. Loads without the web.
require "active_record"
require_relative "../core/lib/grittle"

require_relative "models/record"
require_relative "models/observer"
require_relative "models/site"
require_relative "models/profile"
require_relative "models/horizon"
require_relative "models/layer_change"
require_relative "models/layers"
require_relative "models/sample"
require_relative "models/answer"
require_relative "models/ribbon"
require_relative "models/assignment"
require_relative "models/reading"
require_relative "models/revision"
require_relative "models/kept_response"
require_relative "models/work"
