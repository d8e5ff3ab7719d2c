# frozen_string_literal: true

# The values a site, profile or horizon had before it was changed.
class Revision < Record
  attribute :was, ActiveRecord::Type::Json.new
end
