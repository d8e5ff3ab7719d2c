# frozen_string_literal: true

# One hand-texturing of one sample. What happened to it are rows that are added and never overwritten; what stands, what
# is refused and what follows is the core's Record. This only stores and loads it.
class Reading < ApplicationRecord
  belongs_to :sample
  belongs_to :textured_by, class_name: "Observer", optional: true
  belongs_to :recorded_by, class_name: "Observer", optional: true
  # Who was signed in.
  belongs_to :begun_by, class_name: "Observer", optional: true
  # The hand it is assessed with, as it was learnt when the reading was begun.
  belongs_to :own_hand, optional: true
  has_many :answers, -> { order(:id) }, dependent: :restrict_with_exception, inverse_of: :reading
  has_many :ribbons, -> { order(:id) }, dependent: :restrict_with_exception, inverse_of: :reading
  has_many :assignments, -> { order(:id) }, dependent: :restrict_with_exception, inverse_of: :reading
  attribute :verdict, ActiveRecord::Type::Json.new
  include Methodical
  include Deletable

  # How all that its bench shows beside it stood when it was loaded.
  attr_accessor :around

  delegate :horizon, to: :sample

  STEPS = Grittle::Tests::Steps::ALL
  # Estimates of what speaks for horizons, each with what follows from it: about 1 MB.
  ESTIMATES = Recent.new(most: 40)
  # The first taps of every reading are the same.
  ASSESSED = Recent.new(most: 100)

  # @param horizon [Horizon, nil] nil, without a sample, begins a quick reading
  # @param sample [Sample, nil] one that was taken before
  # @param step [String, nil] where the bench stands at first; nil is the first of all
  # @param method [Hash{String=>Object}, nil] parts of a method; nil takes the profile's, or the last one's
  # @raise [Grittle::UnknownName]
  def self.make(horizon: nil, sample: nil, label: nil, textured_by: nil, recorded_by: nil, step: nil, method: nil)
    one_of(:step, step, STEPS)
    profile = horizon&.profile || sample&.profile
    method ||= profile ? profile.attributes.slice(*COPIED) : QuickReadings.method_of_last
    people = people_of(method, textured_by: Observer.named(textured_by), recorded_by: Observer.named(recorded_by))
    sample ||=
      Sample.create!(horizon: horizon, upper_cm: horizon&.upper_cm, lower_cm: horizon&.lower_cm, label: label.presence)
    begun = {
      sample: sample,
      rules_version: Grittle::RULES_VERSION,
      step: step || STEPS.keys.first,
      started_at: Acting.now
    }
    new(**begun, **method, **people).tap do |reading|
      reading.own_hand = reading.textured_by&.own_hand
      reading.save!
      reading.tell_profile
    end
  end

  # Who is signed in writes it down, and textures it unless somebody else is named, here or by the method for which they
  # wrote before.
  # @param method [Hash] with textured_by_id and recorded_by_id of what came before
  # @return [Hash{Symbol=>Observer}]
  def self.people_of(method, **named)
    person = Acting.person
    return named.compact unless person

    goes_on = method["recorded_by_id"] == person.id && method["textured_by_id"]
    { begun_by: person, recorded_by: person, **(goes_on ? {} : { textured_by: person }), **named.compact }
  end
  private_class_method :people_of

  # Whether it is the reading of a person, who alone changes it; one that names nobody is everybody's.
  # @param person [Observer, nil] nil for who works alone
  # @return [Boolean]
  def of?(person)
    people = [begun_by_id, textured_by_id, recorded_by_id].compact
    person.nil? || people.empty? || people.include?(person.id)
  end

  # @return [Grittle::Record] of the version that was loaded
  def record
    (@records ||= {})[[lock_version, field_method]] ||=
      Grittle::Record.new(events, method: field_method, hand: own_hand&.practised)
  end
  delegate :assessment, :observations, :assigned, :expected, :superseded, to: :record

  # Gives, corrects or takes back answers, and changes the method.
  # @param answers [Hash{String=>Object}] observations by name
  # @param moisture [String, nil] what the ball that did not hold was
  # @param kept [Hash, nil] :rule of a contradiction and the :reason it is kept for; a nil reason takes that back
  # @raise [Grittle::InvalidInput, ApplicationRecord::Stale]
  def answer(version, answers: {}, moisture: nil, method: {}, kept: nil)
    write(version) do
      change_method(method) unless method.empty?
      add(record.answer(answers))
      add(record.moisture(moisture)) if moisture
      add(record.keep(kept[:rule], kept[:reason])) if kept
    end
  end

  def reload(*)
    @events = @records = @pictures = nil
    super
  end

  # What was worked out is left behind, what was loaded stays.
  # @return [Reading]
  def put_away = tap { @records = nil }

  # @return [Array<Photo>]
  def pictures = @pictures ||= Photo.of(self).to_a

  # @param evidence [String] how much of the second opinion
  # @return [Hash] as Grittle::Assessment#to_h
  def assessed(evidence: "full")
    ASSESSED.fetch([observations, field_method.to_h, evidence, own_hand_id]) { assessment.to_h(evidence: evidence) }
  end

  # @param observations [Hash{String=>Object}]
  # @param curve [String]
  # @param hand [Hash{String=>Object}, nil] of who felt it, as Grittle::Practice::OwnHand#to_h
  # @return [Grittle::Evidence::Estimate] in the classes of the USDA, kept as long as it is asked for
  def self.estimate(observations, curve, hand = nil)
    ESTIMATES.fetch([observations, curve, hand]) do
      Grittle::Consequences::Interpretation.estimate(observations, curve, hand)
    end
  end

  # @return [Grittle::Evidence::Estimate] of what was felt, with the hand it was felt with
  def estimate
    Reading.estimate(observations, field_method.curve || Grittle::Curves::DEFAULT, own_hand&.numbers)
  end

  # What the estimate would be with a hand of which nothing is known.
  # @return [Hash{String=>Object}, nil] "clay_range", "mean", "class"; nil where no own hand is in use
  def without_hand
    return unless own_hand

    ASSESSED.fetch([observations, field_method.to_h, "without"]) do
      Reading.plain(Grittle.assess(observations, method: field_method, evidence: "none").estimate)
    end
  end

  # @api private
  def self.plain(estimate)
    return {} if estimate.empty?

    code, share = estimate.classes.first
    { "mean" => estimate.mean.transform_values { |part| part.round(1) }, "clay_range" => estimate.margins.clay_range,
      "class" => Grittle.triangle(estimate.system)[code].name, "percent" => (100 * share).round }
  end

  # What the hand expects before any water.
  # @param code [String, nil] a class of the reading's key; nil takes it back
  # @raise [Grittle::UnknownName, ApplicationRecord::Stale]
  def expect(version, code) = write(version) { add(record.expect(code)) }

  # @param entered [Numeric] length in +unit+
  # @param shape [Hash] thickness_mm, width_mm, working_minute, carried_own_weight, ended
  # @param corrects [Ribbon, nil] the earlier ribbon that this one stands for
  # @raise [Grittle::InvalidInput, ApplicationRecord::Stale]
  def add_ribbon(version, entered:, unit:, corrects: nil, photo: nil, marks: nil, **shape)
    write(version) do
      add(record.ribbon(entered: entered, unit: unit, corrects: corrects&.id, **shape), photo: photo, marks: marks)
    end
  end

  # A ribbon marked on a photograph: its length and what it may be off by come from the marks.
  # @param marks [Hash{Symbol=>Object}] ruler, ribbon, second, click_px as Grittle::RibbonOnPhoto has them
  # @raise [Grittle::InvalidInput, ApplicationRecord::Stale]
  def add_measured_ribbon(version, photo:, marks:, **shape)
    found = Reading.measure(marks, size: [photo.width, photo.height])
    add_ribbon(version, entered: found.length_mm.round(1), unit: "mm", photo: photo, marks: marks,
                        reading_error_mm: found.error_mm.round(2), **shape)
  end

  # @param marks [Hash{Symbol=>Object}]
  # @param size [Array<Integer>, nil] of the picture, px
  # @return [Grittle::RibbonOnPhoto]
  def self.measure(marks, size: nil)
    rulers = %i[ruler second].to_h { |name| [name, marks[name]&.transform_keys(&:to_s)] }
    Grittle::RibbonOnPhoto.new(**marks.slice(:ribbon, :click_px).compact, **rulers, size: size)
  end

  # @raise [Grittle::InvalidInput, ApplicationRecord::Stale]
  def take_back(version, ribbon) = write(version) { add(record.take_back(ribbon.id)) }

  # @param added [Hash{Symbol=>Object}] what else belongs to the name
  # @raise [Grittle::InvalidInput] for an unknown class, or another than the key's without a reason
  # @raise [ApplicationRecord::Stale]
  def assign(version, code, reason: nil, **added)
    first = !classed
    write(version) { add(record.assign(code, reason: reason, **added)) }
    tell_profile
    DoubleReading.draw(self) if first
  end

  # Where the bench stands; no part of the record, so no version.
  # @raise [Grittle::UnknownName]
  def stand_at(step: nil, unit: nil)
    self.class.one_of(:step, step, STEPS)
    self.class.one_of(:unit, unit, Grittle::Units::LENGTHS)
    update_columns({ step: step, unit: unit }.compact.merge(updated_at: Time.now.utc))
  end

  # @return [Grittle::NamedClass, nil] the class that was assigned, without the rest of the record
  def class_given = assignments.last&.named

  # @return [Observer, nil] whose answer the next one is
  def writer = Acting.writer(recorded_by)

  # What lists and profiles read of it: kept for this version of the reading and of the rules.
  # @return [Hash{String=>Object}] as Grittle::Verdict has it
  def kept_verdict
    current = "#{lock_version}/#{Grittle::RULES_VERSION}/#{unit}"
    return verdict if verdict_for == current

    Grittle::Verdict.of(assessment, assigned).tap { |found| altered?({ verdict: found, verdict_for: current }) }
  end

  # @return [String] what a person calls it, anywhere: by its label, its horizon, or its number
  def name = sample.label || (horizon ? "#{profile.name} #{horizon.designation}" : "Palmful #{id}")

  # @return [Profile, nil]
  def profile = horizon&.profile || sample.profile

  # What a horizon is called, and what is still open, follow from its readings.
  def tell_profile = profile&.refresh(touch: true)

  # Reads what was recorded of many at once, where each would ask for its own.
  # @param readings [Array<Reading>]
  def self.read_events(readings)
    found = [Answer, Ribbon, Assignment].map do |model|
      rows_of(model, readings.map(&:id)).group_by { |row| row["reading_id"] }
    end
    readings.each { |one| one.lay_events(*found.map { |rows| rows.fetch(one.id, []) }) }
  end

  # Read past the models, which would take most of the time of an answer.
  # @api private
  # @return [Array<Hash{String=>Object}>]
  def self.rows_of(model, ids)
    names = model.column_names
    model.where(reading_id: ids).order(:id).pluck(*names).map { |row| names.zip(row).to_h }
  end

  # @api private
  def lay_events(answers, ribbons, assignments)
    @events = [
      *answers.map { |row| Answer.event(row) },
      *ribbons.flat_map { |row| Ribbon.events(row) },
      *assignments.map { |row| Assignment.event(row) }
    ].sort_by.with_index { |event, at| [event["at"], at] }
  end

  private

  # What is added in a change is laid behind.
  def events
    @events || lay_events(*[Answer, Ribbon, Assignment].map { |model| Reading.rows_of(model, id) })
  end

  # The version moves on first, also when only rows are added: that locks the reading, so that of two writers on one
  # version the second is told, and what was loaded in that version still holds. All that one change adds has one time.
  def write(version)
    transaction do
      now = Time.now.utc.round(6)
      raise Stale, reload unless lock_version == version &&
                                 altered?({ lock_version: version + 1, updated_at: now }, lock_version: version)

      @now = moment
      yield
      update_columns(changes.transform_values(&:last)) if changed?
    end
    @records = nil
  end

  # When what is done was given; never before what stands already, whatever a device's clock says.
  def moment
    last = events.last&.fetch("at")
    [Acting.now.round(6), (last + 1e-6 if last)].compact.max
  end

  # Keeps what the core says has happened. What is only added is laid behind what was read; what changes earlier rows is
  # read anew.
  def add(happened, **more)
    before = events
    added = happened.map { |event| keep(event, **more) }
    @events = (before + added.flatten if added.all?)
    @records = nil
  end

  # @return [Array<Hash{String=>Object}>, nil] the events as they will be read, nil where earlier rows changed
  def keep(event, photo: nil, marks: nil)
    case event["kind"]
    when "ribbon" then keep_ribbon(event, photo, marks)
    when "ribbon_back" then made(event["id"]).update!(taken_back_at: @now, taken_back_by: writer) && nil
    when "class" then keep_class(event)
    else
      Answer.lay(
        reading_id: id,
        observation: Answer.name_of(event),
        value: event["value"],
        recorded_by_id: writer&.id,
        given_at: @now
      )
      [{ "at" => @now, "by" => writer&.id }.merge(event)]
    end
  end

  # The ribbon as it was loaded, so that what is changed of it is seen without loading all again.
  def made(id) = ribbons.to_a.find { |ribbon| ribbon.id == id }

  def keep_ribbon(event, photo, marks)
    earlier = event["corrects"] && made(event["corrects"])
    earlier&.update!(taken_back_at: @now, taken_back_by: writer)
    ribbon =
      ribbons.create!(
        length_mm: event["length_mm"],
        entered_length: event["entered"],
        entered_unit: event["unit"],
        corrects: earlier,
        made_at: earlier&.made_at || @now,
        entered_at: @now,
        recorded_by: writer,
        photo: photo,
        marks: marks,
        **event.slice(*Ribbon::SHAPE, "carried_own_weight", "ended")
      )
    Ribbon.events(ribbon.attributes) unless earlier
  end

  def keep_class(event)
    given = ClassColumns.columns(Grittle::NamedClass.from(event["value"]))
    assignments.create!(
      **given,
      override: event["override"],
      reason: event["reason"],
      recorded_by: writer,
      result: assessment.key.to_h,
      rules_version: Grittle::RULES_VERSION,
      assigned_at: @now
    )
    self.classed = true
    nil
  end

  # Answers belong to tests and not to keys, so nothing is lost; only the bench may have to stand at another step.
  def change_method(method)
    assign_attributes(Methodical.checked(method.except(:label)))
    self.own_hand = textured_by&.own_hand if textured_by_id_changed?
    sample.update!(label: method[:label].presence) if method.key?(:label)
    self.step = "more" unless Grittle::Tests::Steps.of(key).any? { |one| one[:id] == step }
    @records = nil
  end
end
