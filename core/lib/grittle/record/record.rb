# frozen_string_literal: true

module Grittle
  # The record of a reading: everything that happened to it, oldest first, with who and when. What stands, what is
  # refused and why, and the observations follow from it. Nothing in it is overwritten: a correction is a further event.
  #
  # Each change is asked of the record, which answers with the events to add to it, or refuses. Plain Ruby over plain
  # hashes, so that it runs wherever Ruby does. Frozen.
  class Record
    # What can happen. Every event has "kind", "at" (anything that can be ordered, such as a Time) and "by".
    #
    #   answer       "name", "value"; a nil value takes the answer back
    #   moisture     "value": what the ball that did not hold was
    #   expected     "value": the class that was expected before any water, as NamedClass#to_h, or nil
    #   kept         "name" of a contradiction's rule, "value": the reason to keep it, or nil
    #   ribbon       "id", "length_mm", "entered", "unit", "corrects" (the id it stands for), the fields of PushedRibbon
    #   ribbon_back  "id"
    #   class        "value": as NamedClass#to_h, "override", "reason"
    KINDS = %w[answer moisture expected kept ribbon ribbon_back class].freeze
    # Recorded step by step, not as one answer.
    DERIVED = %w[ribbons moisture_rounds].freeze
    # Answers that say there is no ribbon: they and measured ribbons do not stand together.
    NO_RIBBON = { "ribbon_forms" => false, "ribbon_character" => "none" }.freeze

    attr_reader :events, :method

    # @param events [Array<Hash{String=>Object}>] oldest first
    # @param method [FieldMethod]
    # @param hand [Practice::OwnHand, nil] of who felt it
    def initialize(events = [], method: FieldMethod.new, hand: nil)
      @events = events.freeze
      @method = method
      @hand = hand
      @kept = {}
    end

    # @param added [Array<Hash>] events, in order
    # @return [Record] with more that happened
    def with(added, at: nil, by: nil)
      Record.new(events + added.map { |event| { "at" => at, "by" => by }.merge(event) }, method: method, hand: @hand)
    end

    # What stands.

    # @return [Hash{String=>Object}] the newest answer of each test, those taken back left out
    def answers = once(:answers) { newest("answer").compact }

    # @return [Array<Hash>] ribbon events not taken back, in the order they were made; a corrected one keeps its place
    def ribbons
      once(:ribbons) do
        gone = of("ribbon_back").map { |event| event["id"] } + of("ribbon").filter_map { |event| event["corrects"] }
        of("ribbon").reject { |event| gone.include?(event["id"]) }.sort_by { |event| place(event) }
      end
    end

    # @return [MoistureLoop] of the answers given after a ball that did not hold
    def moisture_loop = MoistureLoop.new(of("moisture").map { |event| event["value"] })

    # @return [Boolean] whether the loop waits for an answer
    def moisture_open? = answers["ball_holds"] == false && !moisture_loop.over?

    # @return [Hash{String=>Object}] observations as on the wire
    def observations
      once(:observations) do
        given = answers.slice(*Tests::Vocabulary::ALL.keys)
        rounds = moisture_loop.moisture_rounds(given["ball_holds"])
        made = ribbons.map { |event| event.slice(*PushedRibbon::FIELDS).compact }
        given.merge({ "moisture_rounds" => rounds, "ribbons" => (made unless made.empty?) }.compact)
      end
    end

    # @return [NamedClass, nil] the class that was assigned
    def assigned = once(:assigned) { (event = of("class").last) && NamedClass.from(event["value"]) }

    # @return [NamedClass, nil] what was expected before any water
    def expected = (value = of("expected").last&.fetch("value")) && NamedClass.from(value)

    # @return [Hash{String=>String}] reason by the rule of a contradiction that is kept
    def kept = newest("kept").compact

    # @return [Assessment]
    def assessment = once(:assessment) { Grittle.assess(observations, method: method, hand: @hand) }

    # @return [String, nil] what the newest statement about a ribbon took back, for a person
    def superseded
      last = events.last or return
      together = events.reverse.take_while { |event| event["at"] == last["at"] }
      if said_no?(together) && back?(together)
        return "You said that no ribbon forms, so the measured ones were taken back."
      end

      "A ribbon was measured, so that none forms was taken back." if together.any? do |event|
        event["kind"] == "ribbon"
      end && withdrawn?(together)
    end

    # What may happen next. Each of these gives the events to add.

    # @param given [Hash{String=>Object}] observations by name; nil takes one back
    # @raise [InvalidObservations, InvalidInput]
    def answer(given)
      check_answers(given)
      changed = given.reject { |name, value| answers[name] == value }
      changed.map { |name, value| event("answer", name: name, value: value) } +
        (says_no?(changed) ? all_ribbons_back : [])
    end

    # Too dry or too wet: the ball has to be made again, so its answer is taken back; the record keeps both. That can be
    # said of a ball that holds too.
    # @param said [String] of MoistureLoop::ANSWERS
    # @raise [InvalidInput]
    def moisture(said)
      raise UnknownName.new("moisture_answer", said, MoistureLoop::ANSWERS) unless MoistureLoop::ANSWERS.include?(said)

      holds = answers["ball_holds"]
      refuse("/moisture_answer", "Moisture is asked after a ball.") if holds.nil?
      if holds && said == "neither"
        refuse(
          "/moisture_answer",
          "Of a ball that holds, only too dry or too wet is worth saying."
        )
      end
      told = event("moisture", value: said)
      !holds && with([told]).moisture_loop.over? ? [told] : [told, event("answer", name: "ball_holds", value: nil)]
    end

    # @param code [String, nil] a class of the method's key; nil takes it back
    # @raise [UnknownName]
    def expect(code) = [event("expected", value: code && method.named(code).to_h)]

    # @param rule [String] a contradiction's name
    # @param reason [String, nil] nil takes it back
    # @raise [InvalidInput]
    def keep(rule, reason)
      raise UnknownName.new("rule", rule, Contradictions::RULES.keys) unless Contradictions::RULES.key?(rule)

      refuse("/kept/reason", "Write one line why you keep both.") if reason && reason.strip.empty?
      [event("kept", name: rule, value: reason&.strip)]
    end

    # @param entered [Numeric] length in +unit+
    # @param shape [Hash{Symbol=>Object}] further fields of Ribbon; what nobody measured is left out
    # @param corrects [Object, nil] the id of the ribbon that this one stands for
    # @raise [InvalidObservations, InvalidInput, UnknownName]
    def ribbon(entered:, unit:, corrects: nil, **shape)
      length = Units.to_mm(entered, unit)
      fields = shape.compact.transform_keys(&:to_s)
      check_ribbon(fields.merge("length_mm" => length), entered, unit)
      refuse("/length", "#{RibbonSet::COUNT.end} ribbons are enough: take one back first.") \
        if corrects.nil? && ribbons.size >= RibbonSet::COUNT.end

      [*no_ribbon_back,
       event(
         "ribbon",
         length_mm: length,
         entered: entered,
         unit: unit,
         corrects: corrects,
         **fields.transform_keys(&:to_sym)
       )]
    end

    # @param id [Object] of a ribbon
    # @raise [InvalidInput] for one that does not stand
    def take_back(id)
      refuse("", "That ribbon has been taken back already.") unless ribbons.any? { |event| event["id"] == id }
      [event("ribbon_back", id: id)]
    end

    # @param code [String] a class of the method's key, or a word for organic soil
    # @param reason [String, nil] needed where the key does not say so
    # @param added [Hash{Symbol=>Object}] what belongs to the name: see {NamedClass::QUALIFIERS}
    # @raise [UnknownName, InvalidInput]
    def assign(code, reason: nil, **added)
      named = method.named(code, **added.compact)
      override = !assessment.agrees_with?(named)
      reason = reason.to_s.strip
      refuse("/reason", silent_override(named)) if override && reason.empty?
      [event("class", value: named.to_h, override: override, reason: (reason unless reason.empty?))]
    end

    private

    def once(name) = @kept.key?(name) ? @kept[name] : (@kept[name] = yield)
    def of(kind) = events.select { |event| event["kind"] == kind }
    def newest(kind) = of(kind).to_h { |event| [event["name"], event["value"]] }
    def event(kind, **rest) = { "kind" => kind, **rest.transform_keys(&:to_s) }.freeze

    # Where in the order of making a ribbon stands: where the first of its corrections stood.
    def place(ribbon)
      all = of("ribbon")
      first = ribbon
      while first["corrects"] && (earlier = all.find { |event| event["id"] == first["corrects"] })
        first = earlier
      end
      all.index(first)
    end

    def says_no?(given) = NO_RIBBON.any? { |name, value| given.key?(name) && given[name] == value }
    def all_ribbons_back = ribbons.map { |ribbon| event("ribbon_back", id: ribbon["id"]) }

    def no_ribbon_back
      NO_RIBBON
        .select { |name, value| answers[name] == value }
        .keys
        .map { |name| event("answer", name: name, value: nil) }
    end

    def said_no?(together)
      together.any? do |event|
        event["kind"] == "answer" && NO_RIBBON.key?(event["name"]) && NO_RIBBON[event["name"]] == event["value"]
      end
    end

    def back?(together) = together.any? { |event| event["kind"] == "ribbon_back" }

    def withdrawn?(together)
      together.any? { |event| event["kind"] == "answer" && NO_RIBBON.key?(event["name"]) && event["value"].nil? }
    end

    def check_answers(given)
      derived = given.keys & DERIVED
      unless derived.empty?
        refuse(
          "/answers/#{derived.first}",
          "#{derived.first} is recorded step by step, not as one answer."
        )
      end
      Observations.new(given)
    rescue InvalidObservations => e
      raise(InvalidObservations, e.problems.map { |problem| problem.under("/answers") })
    end

    # The core speaks of mm; the person typed another unit perhaps, and is answered in that one.
    def check_ribbon(fields, entered, unit)
      PushedRibbon.new(fields.slice(*PushedRibbon::FIELDS))
    rescue InvalidObservations => e
      raise InvalidObservations, (e.problems.map do |problem|
        next problem unless problem.pointer == "/length_mm"

        limits = [PushedRibbon::LENGTH_MM.begin, PushedRibbon::LENGTH_MM.end].map { |mm| Units.number(mm, unit) }
        Problem.new(
          pointer: "/length",
          sentence: "A ribbon is #{limits.join(' to ')} #{unit} long, not #{Units.plain(entered)}."
        )
      end)
    end

    def silent_override(named)
      return Assessment::ORGANIC if assessment.organic?
      if assessment.outcomes.include?(named.plain)
        return "Nothing felt says that it is #{named.position}. Write one line why you do."
      end

      "The key does not say #{named.name}. Write one line why you do."
    end

    def refuse(pointer, sentence) = raise(InvalidInput, [Problem.new(pointer: pointer, sentence: sentence)])
  end
end
