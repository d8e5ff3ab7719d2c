# frozen_string_literal: true

# A class of a horizon that came without a reading, from somebody's table: as it was written, with its person and date
# where the file says so. Only ever added: the newest stands, until a reading speaks for the horizon.
class ReportedClass < ApplicationRecord
  belongs_to :horizon
  belongs_to :by, class_name: "Observer", optional: true
  include ClassColumns

  # @param text [String] a class in any system that there is, as people write it
  # @param system [String, nil] where the text alone does not say
  # @return [Hash{Symbol=>Object}] columns, with what was said
  # @raise [Grittle::InvalidInput] at /texture
  def self.read(text, system = nil)
    named = Grittle::Written.read(text, system: system)
    return { **ClassColumns.columns(named), said: text[0, Grittle::Written::LONGEST] } if named

    sentence = "There is no texture class “#{text[0, 40]}”#{" of #{system}" if system}. " \
               "Use a name such as SL, sandy loam, light clay, or moderately fine."
    raise Grittle::InvalidInput, [Grittle::Problem.new(pointer: "/texture", sentence: sentence)]
  end
end
