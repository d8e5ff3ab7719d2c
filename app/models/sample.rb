# frozen_string_literal: true

# A piece of soil that something was done to; of a horizon, a profile at a depth, a site, or of nothing yet.
class Sample < Record
  belongs_to :horizon, optional: true
  belongs_to :profile, optional: true
  belongs_to :site, optional: true
  has_many :readings, dependent: :restrict_with_exception, inverse_of: :sample
end
