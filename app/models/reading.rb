# frozen_string_literal: true

# One hand-texturing of one sample. Answers, ribbons and assignments are added to it and never overwritten; what the
# core makes of them is computed afresh each time.
class Reading < Record
  belongs_to :sample
  belongs_to :hand, class_name: "Observer", optional: true
  belongs_to :pen, class_name: "Observer", optional: true
  has_many :answers, -> { order(:id) }, dependent: :restrict_with_exception, inverse_of: :reading
  has_many :ribbons, -> { order(:id) }, dependent: :restrict_with_exception, inverse_of: :reading
  has_many :assignments, -> { order(:id) }, dependent: :restrict_with_exception, inverse_of: :reading
  has_one :horizon, through: :sample

  STEPS = Grittle::Tests::Steps::ALL
  METHOD_COLUMNS = (Profile::METHOD_DEFAULTS.keys.map(&:to_s) + %w[hand_id pen_id]).freeze

  # @param horizon [Horizon, nil] nil, without a sample, begins a quick reading
  # @param sample [Sample, nil] one that was taken before
  def self.begin(horizon: nil, sample: nil, label: nil, hand: nil, pen: nil)
    profile = horizon&.profile || sample&.profile
    method = profile ? profile.attributes.slice(*METHOD_COLUMNS) : Profile::METHOD_DEFAULTS
    people = { hand: Observer.named(hand), pen: Observer.named(pen) }.compact
    sample ||= Sample.create!(horizon: horizon, upper_cm: horizon&.upper_cm, lower_cm: horizon&.lower_cm, label: label.presence)
    create!(sample: sample, rules_version: Grittle::RULES_VERSION, step: STEPS.keys.first, started_at: Time.now.utc, **method, **people)
  end

  # Gives, corrects or takes back answers, and changes the method.
  # @param answers [Hash{String=>Object}] observations by name
  # @param moisture [String, nil] what the ball that did not hold was
  # @param kept [Hash, nil] :rule of a contradiction and the :reason it is kept for; a nil reason takes that back
  # @raise [Grittle::InvalidInput, Record::Stale]
  def answer(version, answers: {}, moisture: nil, method: {}, kept: nil)
    write(version) do
      check_answers(answers)
      change_method(method) unless method.empty?
      answers.each { |name, value| add_answer(name, value) unless standing[name] == value }
      add_moisture_answer(moisture) if moisture
      keep_contradiction(**kept) if kept
    end
  end

  # What the hand expects before any water.
  # @param code [String, nil] a class of the reading's key; nil takes it back
  # @raise [Grittle::UnknownName, Record::Stale]
  def expect(version, code)
    write(version) do
      add_answer(Answer::EXPECTED, code && { "system" => naming_system, "code" => assignable(code), "key" => key })
    end
  end

  # @param entered [Numeric] length in +unit+
  # @param shape [Hash] thickness_mm, width_mm, working_minute, carried_own_weight, ended
  # @param corrects [Ribbon, nil] the earlier ribbon that this one stands for
  # @raise [Grittle::InvalidInput, Record::Stale]
  def add_ribbon(version, entered:, unit:, corrects: nil, **shape)
    write(version) do
      length = Grittle::Units.to_mm(entered, unit)
      shape = shape.compact
      check_ribbon(shape.except(:photo, :marks).transform_keys(&:to_s).merge("length_mm" => length), entered, unit)
      refuse_eleventh unless corrects
      corrects&.update!(taken_back_at: Time.now.utc)
      ribbons.create!(length_mm: length, entered_length: entered, entered_unit: unit, **shape,
                      corrects: corrects, made_at: corrects&.made_at || Time.now.utc, pen: pen)
    end
  end

  # A ribbon marked on a photograph: its length and what it may be off by come from the marks.
  # @param marks [Hash{Symbol=>Object}] ruler, ribbon, second, click_px as Grittle::RibbonOnPhoto has them
  # @raise [Grittle::InvalidInput, Record::Stale]
  def add_measured_ribbon(version, photo:, marks:, **shape)
    found = Reading.measure(marks)
    add_ribbon(version, entered: found.length_mm.round(1), unit: "mm", photo: photo, marks: marks,
                        reading_error_mm: found.error_mm.round(2), **shape)
  end

  # @param marks [Hash{Symbol=>Object}]
  # @return [Grittle::RibbonOnPhoto]
  def self.measure(marks)
    rulers = %i[ruler second].to_h { |name| [name, marks[name]&.transform_keys(&:to_s)] }
    Grittle::RibbonOnPhoto.new(**marks.slice(:ribbon, :click_px).compact, **rulers)
  end

  # @raise [Record::Stale]
  def take_back(version, ribbon) = write(version) { ribbon.update!(taken_back_at: Time.now.utc) }

  # @raise [Grittle::InvalidInput, Record::Stale] for an unknown class, or another than the key's without a reason
  def assign(version, code, reason: nil)
    write(version) do
      result = assessment.key
      override = result.outcomes.none? { |outcome, _| outcome == assignable(code) }
      reason = reason.to_s.strip.presence
      refuse_silent_override(code) if override && reason.nil?
      assignments.create!(code: code, override: override, reason: reason, pen: pen, result: result.to_h,
                          rules_version: Grittle::RULES_VERSION, assigned_at: Time.now.utc)
    end
  end

  # Where the bench stands; no part of the record, so no version.
  # @raise [Grittle::UnknownName]
  def stand_at(step: nil, unit: nil)
    self.class.one_of(:step, step, STEPS)
    self.class.one_of(:unit, unit, Grittle::Units::LENGTHS)
    update_columns({ step: step, unit: unit }.compact.merge(updated_at: Time.now.utc))
  end

  # @return [Assignment, nil]
  def assigned = assignments.last

  # @return [Array<Ribbon>] those not taken back, in the order they were made
  def standing_ribbons = ribbons.reject(&:taken_back_at).sort_by { |ribbon| [ribbon.made_at, ribbon.id] }

  # @return [Hash{String=>Object}] observations as on the wire, those taken back left out
  def observations
    given = standing.slice(*Grittle::Tests::Vocabulary::ALL.keys)
    rounds = moisture_loop.moisture_rounds(given["ball_holds"])
    made = standing_ribbons.map(&:observation)
    given.merge({ "moisture_rounds" => rounds, "ribbons" => made.presence }.compact).compact
  end

  # @return [Grittle::MoistureLoop] of the answers given after a ball that did not hold
  def moisture_loop
    Grittle::MoistureLoop.new(answers.select { |answer| answer.observation == Answer::MOISTURE && answer.value }.map(&:value))
  end

  # Kept for the version it was made of: a profile asks for it more than once.
  # @return [Grittle::Assessment]
  def assessment
    (@assessments ||= {})[[lock_version, attributes.slice(*METHOD_COLUMNS)]] ||= assess
  end

  def assess
    Grittle.assess(observations, key: key, limit_set: limit_set, ribbon_counts_from: ribbon_counts_from, unit: unit,
                                 system: system, curve: curve, older_grades: older_grades, evidence_system: evidence_system)
  end

  private :assess

  # @return [String] the triangle of the second opinion: the key's own, and the USDA's where the key names grades
  def evidence_system = Grittle::TRIANGLES.key?(naming_system) ? naming_system : Grittle::Triangles::USDA.id

  # What follows from the reading goes by the estimate given the assigned class, or by the estimate alone.
  # @return [Array<Float>, nil] one share a cell of Grittle::Evidence::Grid; nil where nothing is known
  def shares
    estimate = assessment.estimate
    return estimate.given(assigned.code, naming: assigned.result["system"]).shares if assigned

    estimate.shares unless estimate.empty?
  end

  # Two readings by one hand on one day share that hand's bias.
  def same_hand?(other) = !hand_id.nil? && hand_id == other.hand_id && started_at.to_date == other.started_at.to_date

  # @return [String] the system in whose names the key answers
  def naming_system = key == Grittle::Keys::TwoNumbers::ID ? system : Grittle::Keys[key]::SYSTEM

  # @return [Hash, nil] "system", "code" and "key" of what was expected
  def expected = standing[Answer::EXPECTED]

  # @return [Hash{String=>String}] reason by the rule of a contradiction that is kept
  def kept_contradictions
    standing.select { |name, value| name.start_with?(Answer::KEPT) && value }.transform_keys { |name| name.delete_prefix(Answer::KEPT) }
  end

  # @return [Profile, nil] with its horizons and their classes at hand
  def profile
    id = horizon&.profile_id || sample.profile_id
    id && Profile.includes(:site, horizons: { readings: :assignments }).find(id)
  end

  private

  # The newest value of each name.
  def standing = answers.to_h { |answer| [answer.observation, answer.value] }

  # Locks the reading, so that of two writers on one version the second is told.
  def write(version)
    with_lock do
      raise Stale, self unless lock_version == version

      yield
      [answers, ribbons, assignments].each(&:reset)
      self.updated_at = Time.now.utc # moves the version on, also when only a row was added
      save!
    end
  end

  # Answers belong to tests and not to keys, so nothing is lost; only the bench may have to stand at another step.
  def change_method(method)
    assign_attributes(Profile.checked(method).except(:label))
    sample.update!(label: method[:label].presence) if method.key?(:label)
    self.step = "more" unless Grittle::Tests::Steps.of(key).any? { |one| one[:id] == step }
  end

  # @raise [Grittle::InvalidInput] for an unknown rule, or no reason
  def keep_contradiction(rule:, reason:)
    self.class.one_of(:rule, rule, Grittle::Contradictions::RULES)
    raise Grittle::InvalidInput, [Grittle::Problem.new(pointer: "/kept/reason", sentence: "Write one line why you keep both.")] \
      if reason && reason.strip.empty?

    add_answer("#{Answer::KEPT}#{rule}", reason&.strip)
  end

  # @return [String] the code, if the key has it
  # @raise [Grittle::UnknownName]
  def assignable(code)
    codes = Grittle::Keys[key].codes(naming_system)
    codes.include?(code) ? code : raise(Grittle::UnknownName.new("class", code, codes))
  end

  def add_answer(name, value) = answers.create!(observation: name, value: value, pen: pen, given_at: Time.now.utc)

  # Too dry or too wet: the ball has to be made again, so its answer is taken back; the record keeps both.
  def add_moisture_answer(moisture)
    self.class.one_of(:moisture_answer, moisture, Grittle::MoistureLoop::ANSWERS.to_h { |answer| [answer, answer] })
    unless standing["ball_holds"] == false
      raise Grittle::InvalidInput, [Grittle::Problem.new(pointer: "/moisture_answer",
                                                         sentence: "Moisture is asked after a ball that did not hold.")]
    end
    add_answer(Answer::MOISTURE, moisture)
    answers.reset
    add_answer("ball_holds", nil) unless moisture_loop.over?
  end

  def check_answers(answers)
    derived = answers.keys & %w[ribbons moisture_rounds]
    unless derived.empty?
      raise Grittle::InvalidInput, [Grittle::Problem.new(pointer: "/answers/#{derived.first}",
                                                         sentence: "#{derived.first} is recorded step by step, not as one answer.")]
    end
    Grittle::Observations.new(answers)
  rescue Grittle::InvalidObservations => e
    raise(Grittle::InvalidObservations, e.problems.map { |problem| problem.under("/answers") })
  end

  # The core speaks of mm; the person typed another unit perhaps, and is answered in that one.
  def check_ribbon(fields, entered, unit)
    Grittle::Ribbon.new(fields)
  rescue Grittle::InvalidObservations => e
    raise Grittle::InvalidObservations, (e.problems.map do |problem|
      next problem unless problem.pointer == "/length_mm"

      limits = [Grittle::Ribbon::LENGTH_MM.begin, Grittle::Ribbon::LENGTH_MM.end].map { |mm| Grittle::Units.number(mm, unit) }
      Grittle::Problem.new(pointer: "/length", sentence: "A ribbon is #{limits.join(' to ')} #{unit} long, not #{entered}.")
    end)
  end

  def refuse_eleventh
    return if standing_ribbons.size < Grittle::RibbonSet::COUNT.end

    raise Grittle::InvalidInput, [Grittle::Problem.new(pointer: "/length", sentence: "#{Grittle::RibbonSet::COUNT.end} ribbons " \
                                                                                     "are enough: take one back first.")]
  end

  def refuse_silent_override(code)
    name = Grittle::Keys[key].name_of(code, naming_system)
    raise Grittle::InvalidInput, [Grittle::Problem.new(pointer: "/reason", sentence: "The key does not say #{name}. " \
                                                                                     "Write one line why you do.")]
  end
end
