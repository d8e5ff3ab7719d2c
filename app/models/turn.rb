# frozen_string_literal: true

# One tub, or one simulated sample, in one person's hand. What was said of it is kept when the turn is closed; a later
# change counts nowhere.
class Turn < ApplicationRecord
  P = Grittle::Practice
  # Percent that a person may say.
  NUMBERS = { "clay" => 0..100, "sand" => 0..100 }.freeze

  belongs_to :practice_person
  belongs_to :tub, optional: true
  belongs_to :reading, optional: true
  attribute :given, ActiveRecord::Type::Json.new
  attribute :said, ActiveRecord::Type::Json.new

  delegate :practice_session, to: :practice_person
  delegate :observer, to: :practice_person

  # Turns whose truth the person has seen.
  # @return [ActiveRecord::Relation] newest first
  def self.seen(observer)
    where.not(closed_at: nil).where.not(shown_at: nil)
         .joins(:practice_person).where(practice_people: { observer_id: observer.id }).order(closed_at: :desc)
  end

  # Those of them that were soil.
  # @return [ActiveRecord::Relation] newest first
  def self.taught(observer) = seen(observer).where.not(tub_id: nil).includes(:practice_person, tub: :reference_set)

  # Puts the sample on the bench.
  # @return [Reading]
  # @raise [Grittle::InvalidInput]
  def begin
    return reading if reading

    refuse("This session has ended.") if practice_session.ended?
    refuse("Close code #{practice_person.current.code} first.") unless practice_person.current == self
    sample = Sample.create!(label: "Code #{code}", practice: true)
    made = Reading.make(sample: sample, method: practice_session.field_method, textured_by: observer.name)
    update!(reading: made)
    made
  end

  # The answer of a simulated sample to a test, given to the reading.
  # @param test [String] "ribbons", or an observation with answers
  # @raise [Grittle::InvalidInput, ApplicationRecord::Stale]
  def feel(version, test)
    refuse("Only a simulated sample is felt by itself.") unless given
    refuse("It is closed.") if closed_at

    found = felt[test]
    return found.each { |one| version = ribbon(version, one) } if test == "ribbons" && found

    refuse("A simulated sample cannot be asked for #{Grittle::Spoken.of(test)}.") if found.nil?
    reading.answer(version, answers: { test => found })
  end

  # What was called is kept, and may open the truth.
  # @param input [Hash{String=>Object}] perhaps "second" class, "clay" and "sand" in percent; "class" of a simulated
  #   sample
  # @raise [Grittle::InvalidInput]
  def close(input = {})
    with_lock do
      refuse("It is closed already.") if closed_at
      refuse("This session has ended.") if practice_session.ended?
      refuse("Code #{code} is not on the bench.") unless reading
      update!(said: saying(input), closed_at: Time.now.utc)
    end
    show
  end

  # @return [Boolean] whether the person may see the truth
  def open? = !shown_at.nil?

  # @return [Grittle::Composition]
  def truth
    tub ? tub.truth : Grittle::Composition.new(sand: given["sand"], clay: given["clay"])
  end

  # @return [Grittle::Practice::Scored] by the session's scheme, or another
  def scored(scheme = practice_session.scheme) = P::Scored.new(said, truth, scheme: scheme)

  # @return [Hash{String=>Object}, nil] why it was missed, see Grittle::Practice::Miss; nil where it was not
  def miss
    found = scored("practice")
    return if found.called.nil? || found.credit >= 1

    P::Miss.new(said["observations"], called: found.called, truth: truth,
                                      method: Grittle::FieldMethod.new(**said["method"].transform_keys(&:to_sym))).to_h
  end

  # @return [Grittle::Observations] when it was closed
  def observations = Grittle::Observations.new(said["observations"])

  # Whether the person could not have known the truth: it was shown to them in no session of the days before, and they
  # did not make the set.
  def blind?
    return true unless tub
    return false if tub.reference_set.known_to?(observer)

    days = P::FIGURES["forgotten_days"] * 86_400
    Turn.joins(:practice_person).where(practice_people: { observer_id: observer.id }, tub_id: tub_id,
                                       shown_at: (closed_at - days)...closed_at).none?
  end

  private

  # The truth opens at once, unless others wait for it or the tub comes again.
  def show
    return if practice_session.group?

    same = given ? [self] : practice_person.turns.reload.select { |turn| turn.tub_id == tub_id }
    return unless same.all?(&:closed_at)

    Turn.where(id: same.map(&:id)).update_all(shown_at: Time.now.utc)
    reload
    practice_session.close if !given && practice_person.turns.all?(&:closed_at)
  end

  def saying(input)
    call = given ? input["class"] : reading.class_given&.then { |named| named.code if named.system == "usda" }
    unless Grittle::Triangles::USDA.classes.key?(call)
      refuse(given ? "Call a class first." : "Assign a class first, one of the USDA's.")
    end
    { "class" => call, "second" => input["second"], **numbers(input), **beside,
      "observations" => reading.observations, "method" => reading.field_method.to_h }.compact
  end

  # A person's own numbers, else those of the estimate given the class.
  def numbers(input)
    given = reading.estimate.empty? ? {} : reading.estimate.mean.slice("clay", "sand")
    NUMBERS.to_h do |name, range|
      said = input[name]
      refuse("#{name.capitalize} is a percentage.") if said && !(said.is_a?(Numeric) && range.cover?(said))
      [name, (said || given[name])&.round(1)]
    end
  end

  def beside
    key = reading.assessment.key.outcomes.max_by(&:last)&.first
    estimate = reading.estimate
    odds = estimate.empty? ? {} : estimate.classes
    { "key" => key, "first" => odds.keys.first, "odds" => odds.transform_values { |share| share.round(4) },
      "guess" => reading.expected&.code }
  end

  # All that the sample would say, drawn once by its seed.
  def felt
    @felt ||= begin
      tests = Grittle::Evidence::STANDARD.likelihoods.keys - %w[ball_holds ribbon_forms ribbons]
      answers = Grittle::Evidence::Simulator.new(given["seed"]).feel(truth, tests: tests)
      answers["ribbon_forms"] = false unless answers.key?("ribbon_forms")
      answers
    end
  end

  def ribbon(version, one)
    reading.add_ribbon(version, entered: one["length_mm"], unit: "mm", ended: one["ended"])
    reading.lock_version
  end

  def refuse(sentence) = raise(Grittle::InvalidInput, [Grittle::Problem.new(pointer: "", sentence: sentence)])
end
