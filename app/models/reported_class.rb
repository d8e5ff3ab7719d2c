# frozen_string_literal: true

# A class of a horizon that came without a reading, from somebody's table: as it was written, with its person and date
# where the file says so. Only ever added: the newest stands, until a reading speaks for the horizon.
class ReportedClass < Record
  belongs_to :horizon
  belongs_to :by, class_name: "Observer", optional: true
  include ClassColumns
end
