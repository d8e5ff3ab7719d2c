# frozen_string_literal: true

# The values a site, profile, horizon or sample had before it was changed.
class Revision < ApplicationRecord
  belongs_to :by, class_name: "Observer", optional: true
  attribute :was, ActiveRecord::Type::Json.new
end
