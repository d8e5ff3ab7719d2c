# frozen_string_literal: true

# Palmfuls from anywhere, newest first, and what they are looked for by.
class QuickReadings
  # Something was answered, made or written down. What was only opened is not kept.
  TOUCHED = <<~SQL.squish.freeze
    readings.lock_version > 0 OR samples.label IS NOT NULL OR samples.described IS NOT NULL
    OR EXISTS (SELECT 1 FROM answers WHERE answers.reading_id = readings.id)
    OR EXISTS (SELECT 1 FROM ribbons WHERE ribbons.reading_id = readings.id)
    OR EXISTS (SELECT 1 FROM photos WHERE photos.of = 'reading' AND photos.of_id = readings.id)
  SQL
  # Seconds after which one that was opened and left as it was is removed. [our own]
  LEFT_AFTER = 3600
  # What a text is looked for in, beside the class.
  TEXTS = ["samples.label", "samples.described", "observers.name", "sites.name"].freeze
  # By the class that was given last.
  LAST_CLASS = <<~SQL.squish.freeze
    EXISTS (SELECT 1 FROM assignments WHERE assignments.reading_id = readings.id AND %s AND NOT EXISTS
      (SELECT 1 FROM assignments later WHERE later.reading_id = readings.id AND later.id > assignments.id))
  SQL
  SITE = "LEFT JOIN sites ON sites.id = samples.site_id"

  # @param fieldbook [Fieldbook]
  # @param params [Hash{String=>String}] text, class (SYSTEM:CODE), from, to, near ("48.2 16.37")
  def initialize(fieldbook, params)
    @fieldbook = fieldbook
    @params = params.slice("text", "class", "from", "to", "near").compact_blank
  end

  # @return [ActiveRecord::Relation] newest first, or nearest first
  # @raise [Grittle::InvalidInput]
  def relation
    found = @fieldbook.quick_readings.where(TOUCHED)
    found = with_text(found) if @params["text"]
    found = with_class(found) if @params["class"]
    found = between(found)
    @params["near"] ? nearest(found) : found.order(id: :desc)
  end

  # The method and the people of the last one, else of the settings.
  # @return [Hash] attributes of a reading
  def self.method_of_last(fieldbook = Fieldbook.current)
    mine = Acting.person ? { begun_by_id: Acting.person.id } : {}
    last = fieldbook.quick_readings.where(mine).order(id: :desc).first
    return last.attributes.slice(*Methodical::COPIED) if last

    fieldbook.defaults.then do |set|
      set.merge(textured_by: Observer.named(set[:textured_by]), recorded_by: Observer.named(set[:recorded_by]))
    end
  end

  # Removes those that were opened and left untouched.
  def self.sweep(fieldbook)
    left = fieldbook.quick_readings.where(classed: false, lock_version: 0, started_at: ...(Time.now.utc - LEFT_AFTER))
                    .where.not(TOUCHED)
    left.preload(:sample).find_each { |reading| forget(reading) }
  end

  # @param reading [Reading]
  # @return [Boolean] whether nothing was done with it, so that it is gone now
  def self.forgotten?(fieldbook, reading)
    return false unless fieldbook.quick_readings.where.not(TOUCHED).exists?(reading.id)

    forget(reading)
    true
  end

  def self.forget(reading)
    sample = reading.sample
    Reading.where(id: reading.id).delete_all
    Sample.where(id: sample.id).delete_all unless Reading.exists?(sample_id: sample.id)
  end
  private_class_method :forget

  private

  def with_text(found)
    SearchTerm.words(@params["text"]).reduce(found.left_joins(:textured_by).joins(SITE)) do |left, word|
      like = "%#{ActiveRecord::Base.sanitize_sql_like(word)}%"
      in_texts = TEXTS.map { |column| "#{column} LIKE :like" }.join(" OR ")
      in_class = format(LAST_CLASS, "assignments.code IN (:codes)")
      left.where("#{in_texts} OR #{in_class}", like: like, codes: [*codes_said(word), ""])
    end
  end

  # @return [Array<String>] codes whose names hold the word
  def codes_said(word)
    Grittle::Names.all.select { |entry| entry.name.downcase.include?(word) }.map(&:code).uniq
  end

  def with_class(found)
    system, code = @params["class"].split(":", 2)
    found.where(format(LAST_CLASS, "assignments.system = :system AND assignments.code = :code"),
                system: system, code: code)
  end

  def between(found)
    from, to = %w[from to].map { |name| SiteSearch.day(@params[name], name) }
    found = found.where(started_at: from.beginning_of_day..) if from
    to ? found.where(started_at: ...(to + 1).beginning_of_day) : found
  end

  def position
    Grittle::Entry::Position.parse(@params["near"])
  rescue Grittle::InvalidInput => e
    raise Grittle::InvalidInput, [Grittle::Problem.new(pointer: "/near", sentence: e.message)]
  end

  # Those with a place, nearest first.
  def nearest(found)
    at = position
    latitude, longitude = %w[latitude longitude].map { |name| "JSON_VALUE(samples.described, '$.#{name}')" }
    narrow = Math.cos(at.latitude * Math::PI / 180)
    away = ["POW(#{latitude} - ?, 2) + POW((#{longitude} - ?) * ?, 2)", at.latitude, at.longitude, narrow]
    found.where("#{latitude} IS NOT NULL AND #{longitude} IS NOT NULL")
         .order(Arel.sql(ActiveRecord::Base.sanitize_sql_array(away)), id: :desc)
  end
end
