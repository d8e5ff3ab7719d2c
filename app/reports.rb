# frozen_string_literal: true

# Reports for a client or an authority.
module Reports
end

require_relative "reports/shape"
require_relative "reports/content"
require_relative "reports/of_profile"
require_relative "reports/changes"
require_relative "reports/tagged_document"
require_relative "reports/pdf"
