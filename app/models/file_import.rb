# frozen_string_literal: true

# A file that was imported, so that all that came with it can be deleted at once. What stands by itself of it, sites and
# samples of no place, knows its import; the rest hangs on those.
class FileImport < ApplicationRecord
  belongs_to :fieldbook, default: -> { Fieldbook.current }
  has_many :sites, -> { kept }, dependent: :restrict_with_exception, inverse_of: :file_import
  has_many :samples, -> { kept }, dependent: :restrict_with_exception, inverse_of: :file_import
  attribute :counts, ActiveRecord::Type::Json.new

  # @return [Boolean] whether anything of it is still there
  def standing? = sites.exists? || samples.exists?

  def name_or_file = name.presence || "A file"
end
