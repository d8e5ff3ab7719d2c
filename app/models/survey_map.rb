# frozen_string_literal: true

# A soil survey's map as GeoJSON, looked up once a class was assigned. It says what to expect of a polygon, and nothing
# of a pit.
class SurveyMap < ApplicationRecord
  belongs_to :fieldbook, default: -> { Fieldbook.current }
  attribute :document, ActiveRecord::Type::Json.new
  scope :standing, -> { where(removed_at: nil) }

  MOST_BYTES = 4 * 1024 * 1024
  # mm of the map that are drawn to every side of a site. [our own]
  AROUND_MM = 25
  # Classes that are told of what the map expects. [our own]
  MOST_TOLD = 4

  # @param text [String] GeoJSON
  # @return [SurveyMap]
  # @raise [Grittle::InvalidInput]
  def self.make(name, text)
    refuse("The map is larger than #{MOST_BYTES / 1_048_576} MB.") if text.bytesize > MOST_BYTES
    document = JSON.parse(text)
    Grittle::Practice::SurveyMap.new(document)
    create!(name: required_text(:name, name, "map"), document: document, added_at: Time.now.utc)
  rescue JSON::ParserError
    refuse("The file is no JSON.")
  end

  def self.refuse(sentence)
    raise Grittle::InvalidInput, [Grittle::Problem.new(pointer: "/geojson", sentence: sentence)]
  end
  private_class_method :refuse

  # @return [Grittle::Practice::SurveyMap]
  def read = @read ||= Grittle::Practice::SurveyMap.new(document)

  # The newest map that knows the place of a profile, and what it expects of the horizons that have a class.
  # @param profile [Profile]
  # @return [Hash{Symbol=>Object}]
  def self.of(profile)
    maps = standing.where(fieldbook: Fieldbook.current).order(id: :desc).to_a
    at = profile.site.position
    found = at && maps.find { |map| map.read.at(at.longitude, at.latitude) }
    { maps: maps.map { |map| { id: map.id, name: map.name, units: map.read.units.size } },
      place: at&.to_s, found: found&.look_up(profile, at) }
  end

  # @param at [Grittle::Entry::Position]
  def look_up(profile, at)
    place = [at.longitude, at.latitude]
    units = read.about(*place, profile.site.seen["accuracy_m"] || 0)
    around = units.first.scale / 1000.0 * AROUND_MM
    { map: name, scale: units.first.scale, around_m: around, warning: Grittle::Practice::SurveyMap.warn(units),
      units: read.units.map { |unit| drawn(unit, place, units) },
      horizons: profile.horizons.map { |horizon| horizon(horizon, units.first) } }
  end

  private

  def drawn(unit, place, units)
    { name: unit.name, here: unit == units.first, near: units.drop(1).include?(unit),
      rings: Grittle::Practice::SurveyMap.drawn(unit, *place).map { |ring| ring.map { |one| one.map(&:round) } } }
  end

  # Nothing of what it expects before there is a class.
  def horizon(horizon, unit)
    given = horizon.class_given
    said = { designation: horizon.designation, upper_cm: horizon.upper_cm.to_f, lower_cm: horizon.lower_cm.to_f,
             assigned: given&.full_name }
    unless given&.system == "usda" && Grittle::Triangles::USDA.classes.key?(given.code)
      why = given ? "The map speaks in the USDA's classes." : "Looked up once a class is assigned."
      return { **said, ratio: nil, sentence: why, expected: [] }
    end

    expected = Grittle::Practice::SurveyMap.expected(unit, horizon.upper_cm.to_f, horizon.lower_cm.to_f)
    ratio = Grittle::Practice::SurveyMap.ratio(expected, given.code)
    { **said, ratio: ratio.round(2), sentence: Grittle::Practice::SurveyMap.say(ratio), expected: told(expected) }
  end

  def told(expected)
    expected.max_by(MOST_TOLD) { |_, share| share }.map do |code, share|
      { name: Grittle::Triangles::USDA[code].name, percent: (100 * share).round }
    end
  end
end
