# frozen_string_literal: true

# A sample that is read twice without the second knowing of the first: by another person, or by the first again. Drawn
# once the first reading has its class, so that nobody knows beforehand.
class DoubleReading < ApplicationRecord
  KINDS = { "other" => "by another person", "self" => "by the same person again" }.freeze
  # Shares of readings that are drawn; and at least one a day.
  SHARES = Grittle::Practice::FIGURES["double_shares"]
  # Bytes of a digest that a draw is made of.
  BYTES = 8

  belongs_to :first, class_name: "Reading"
  belongs_to :second, class_name: "Reading", optional: true

  # @return [ActiveRecord::Relation] of readings that stand
  def self.standing(fieldbook) = where(first_id: fieldbook.readings.select(:id), declined_at: nil)

  # Whether a reading that has just got its first class is drawn: by its number and the day, so that asking again draws
  # nothing else.
  # @param reading [Reading]
  def self.draw(reading)
    return unless reading.profile && Fieldbook.current.doubles? && !exists?(first_id: reading.id)

    place = place(reading)
    kind = SHARES.find { |_, share| (place -= share).negative? }&.first
    create!(first: reading, kind: kind, drawn_at: Time.now.utc) if kind
  end

  # Days that ended without a draw get one, of their readings.
  # @param fieldbook [Fieldbook]
  def self.catch_up(fieldbook, today = Time.now.utc.to_date)
    return unless fieldbook.doubles?

    since = fieldbook.doubles_since or return
    classed = fieldbook.readings.where(classed: true, started_at: since...today).where.not(samples: { horizon_id: nil })
    classed.group_by { |reading| reading.started_at.to_date }.each_value do |all|
      next if exists?(first_id: all.map(&:id))

      create!(first: all.min_by { |reading| place(reading) }, kind: "other", drawn_at: Time.now.utc)
    end
  end

  def self.place(reading)
    digest = Digest::SHA256.hexdigest("double #{reading.id} #{reading.started_at.to_date}")
    digest[0, BYTES].to_i(16) / (16.0**BYTES)
  end
  private_class_method :place

  # On a sample of its own, so that nothing of the first stands beside it.
  # @param name [String] who reads
  # @return [Reading]
  # @raise [Grittle::InvalidInput]
  def begin(name)
    return second if second

    check(Observer.named(name))
    sample = Sample.create!(label: "Double #{id}", practice: true)
    made = Reading.make(sample: sample, method: first.field_method.to_h, textured_by: name)
    update!(second: made)
    made
  end

  # @return [Boolean] whether both have a class
  def done? = !second&.class_given.nil?

  # @return [Integer, nil] classes of the USDA to cross from one to the other
  def steps
    codes = [first, second].map { |reading| reading.class_given&.then { |given| given.code if given.system == "usda" } }
    Grittle::Practice::Credits.steps(*codes) if codes.all? { |code| Grittle::Triangles::USDA.classes.key?(code) }
  end

  # @return [Float, nil] points of clay, the second less the first
  def clay
    both = [second, first].map(&:estimate)
    both.map { |estimate| estimate.mean["clay"] }.reduce(:-) unless both.any?(&:empty?)
  end

  private

  def check(person)
    sentence = if person.nil?
                 "Say who reads."
               elsif kind == "other" && person == first.textured_by
                 "#{person.name} read it first: somebody else reads it now."
               elsif kind == "self" && first.textured_by && person != first.textured_by
                 "#{first.textured_by.name} reads it again."
               end
    raise Grittle::InvalidInput, [Grittle::Problem.new(pointer: "/name", sentence: sentence)] if sentence
  end
end
