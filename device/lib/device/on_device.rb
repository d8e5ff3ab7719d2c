# frozen_string_literal: true

# Where the server asks its database in the database's own language, or does what only a server does, this device has
# its own way.
class ApplicationRecord
  def self.lay(row) = create!(**row)

  def self.alter(which, row)
    found = where(which).to_a
    found.each { |record| record.update_columns(row) }
    found.size
  end
end

# The fieldbook whose rows lie here; there is one at a time.
class Fieldbook < ActiveRecord::Base
  include PhotoOwners::Within

  PEOPLE = %i[textured_by recorded_by].freeze

  def self.current = Acting.fieldbook
  def sites = Site.kept
  def samples = Sample.kept.where(practice: false)
  def observers = Observer.all
  def profiles = Profile.kept
  def horizons = Horizon.kept
  def on_bench = Reading.kept
  alias readings on_bench
  def companion_tests = CompanionTest.kept
  def photos = Photo.standing
  def assessor_tables = AssessorTable.kept
  def quick_readings = readings.select { |one| one.sample.horizon_id.nil? && one.sample.profile_id.nil? }

  def defaults
    usual = { **Grittle::FieldMethod::DEFAULTS, **PEOPLE.to_h { |name| [name, nil] } }
    usual.merge((settings || {}).slice(*usual.keys))
  end

  def doubles? = false
end

# Somebody of the fieldbook.
class Observer < ApplicationRecord
  belongs_to :fieldbook, default: -> { Fieldbook.current }
  belongs_to :own_hand, optional: true

  def self.named(name)
    name = name.to_s.strip
    name.empty? ? nil : find_by(name: name) || create!(name: name)
  end
end

# A photograph, whose picture lies beside the rows.
class Photo < ApplicationRecord
  extend PhotoOwners

  belongs_to :fieldbook, default: -> { Fieldbook.current }
  belongs_to :by, class_name: "Observer", optional: true
  scope :standing, -> { where(removed_at: nil, deletion_id: nil) }

  # @param picture [Hash] width, height, bytes and media type, as the page has read them
  def self.make(owner, picture, name: nil, token: nil)
    known = token && find_by(token: token)
    known || create!(of: PhotoOwners::OWNERS.key(owner.class.name), of_id: owner.id, digest: "", token: token,
                     added_at: Time.now.utc, by: Acting.person, caption: name&.split(%r{[/\\]})&.last, **picture)
  end
end

# Lists read the rows themselves.
class SearchTerm
  def self.words(*) = []
  def self.keep(*) = nil
end

# The server draws when it hears of the class.
class DoubleReading
  def self.draw(*) = nil
end

# A reading of a session stands with the server.
class Turn
  def self.where(*) = Turn
  def self.pick(*) = nil
end

# How many of what costs a server much go on at once; here one at a time.
class Gate
  class Busy < StandardError; end

  def initialize(*, **) = nil
  def pass = yield
end

# Numbers are numbers here.
class BigDecimal; end

# Nothing is laid aside: a request reads the rows that are here.
module LoadedReadings
  def self.take(fieldbook, id) = fieldbook.on_bench.find(id)
  def self.put_back(*) = nil
end

module Stamp
  def self.profile(id) = id
  def self.reading(_id) = []
  def self.sites(ids) = ids
end

# What was put into the bin came from the server and goes back there.
class Deletion
  def self.standing = self
  def self.where(*) = ActiveRecord::Found.new([])
end

# These stand with the server alone.
class Report; end
class FileImport; end

class QuickReadings
  TOUCHED = ""

  def initialize(fieldbook, params)
    @fieldbook = fieldbook
    @params = params
  end

  # @return [Array<Reading>] newest first
  def relation
    found = @fieldbook.quick_readings.select { |reading| QuickReadings.touched?(reading) }
    text = @params["text"].to_s.downcase
    found = found.select { |reading| QuickReadings.said(reading).include?(text) } if text.present?
    ActiveRecord::Found.new(found.sort_by { |reading| -reading.id })
  end

  def self.said(reading)
    sample = reading.sample
    [sample.label, *sample.seen.values, reading.textured_by&.name, reading.class_given&.full_name].join(" ").downcase
  end

  def self.touched?(reading)
    reading.lock_version.positive? || reading.sample.label || reading.sample.described || reading.answers.any? ||
      reading.ribbons.any? || Photo.of(reading).any?
  end

  def self.method_of_last(fieldbook = Fieldbook.current)
    mine = fieldbook.quick_readings
    mine = mine.select { |reading| reading.begun_by_id == Acting.person.id } if Acting.person
    last = mine.max_by(&:id)
    return last.attributes.slice(*Methodical::COPIED) if last

    fieldbook.defaults.then do |set|
      set.merge(textured_by: Observer.named(set[:textured_by]), recorded_by: Observer.named(set[:recorded_by]))
    end
  end

  def self.sweep(*) = nil

  def self.forgotten?(_fieldbook, reading)
    return false if touched?(reading) || reading.sample.horizon_id || reading.sample.profile_id

    sample = reading.sample
    reading.destroy!
    sample.destroy! if sample.readings.empty?
    true
  end
end

# Sites in their order, those in which every word is found.
class SiteSearch
  ORDERS = { "own" => ->(site) { [site.place, site.id] }, "name" => ->(site) { [site.name.downcase, site.id] },
             "newest" => ->(site) { [-site.id] } }.freeze

  def initialize(params, fieldbook)
    @fieldbook = fieldbook
    @words = params["text"].to_s.downcase.split
    @sort = ORDERS.fetch(params["sort"].presence || "own")
    @unfinished = params["unfinished"].present?
    @class = params["class"].presence
  end

  def page(page, size)
    found = @fieldbook.sites.select { |site| holds?(site) }.sort_by(&@sort)
    [found.drop((page - 1) * size).first(size).map(&:id),
     { page: page, pages: [(found.size / size.to_f).ceil, 1].max, total: found.size, more: false }]
  end

  private

  def holds?(site)
    profiles = site.profiles.to_a
    return false if @unfinished && profiles.none?(&:open)
    return false if @class && profiles.none? { |profile| profile.horizons.any? { |layer| of_class?(layer) } }

    words = words_of(site, profiles)
    @words.all? { |word| words.include?(word) }
  end

  def of_class?(layer) = "#{layer.class_system}:#{layer.class_code}" == @class

  def words_of(site, profiles)
    of_profiles = profiles.map { |profile| [profile.name, profile.note, profile.horizons.map(&:designation)] }
    [site.name, site.note, site.landform, site.seen.values, of_profiles].flatten.compact.join(" ").downcase
  end
end
