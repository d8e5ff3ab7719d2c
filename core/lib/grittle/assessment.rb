# frozen_string_literal: true

module Grittle
  # Everything the core makes of one set of observations, as on the wire.
  class Assessment
    # The estimate with suggestions what to test next, the estimate alone, or neither.
    EVIDENCE = %w[full estimate none].freeze
    ORGANIC =
      "Marked as organic. Organic soil gets no texture class: call it #{Names::ORGANIC.values[0...-1].join(', ')} or " \
      "#{Names::ORGANIC.values.last}, or give a reason for a class.".freeze

    attr_reader :observations, :key, :method

    # @param observations [Observations]
    # @param method [FieldMethod] the key that is assigned by, with its limits, curve and unit
    # @param evidence_system [String, nil] the triangle the estimate names its classes in; nil takes the method's own
    # @param evidence [String] how much of the second opinion: one of EVIDENCE
    # @param model [Evidence::Model] how likely each answer is, and the hand that felt it
    # @param hand [Practice::OwnHand, nil] of who felt it: its model and curve take the place of the others
    # @raise [UnknownName]
    def initialize(
      observations,
      method: FieldMethod.new,
      evidence_system: nil,
      evidence: "full",
      model: Evidence::STANDARD,
      hand: nil
    )
      @observations = observations
      @method = method
      @evidence = known(evidence)
      @hand = hand
      @model = hand&.model || model
      @evidence_system = Grittle.triangle(evidence_system || method.evidence_system).id
      @walk = method.walk(observations)
      @key = named_by_no_ball? ? without_class(@walk.result) : @walk.result
    end

    # @return [Array<Keys::Result>] every key, the main one first
    def keys = @keys ||= walks.map { |walk| walk == @walk ? key : spared(walk.result) }

    # @param evidence [String] how much of the second opinion: one of EVIDENCE
    # @return [Hash] names and values of the wire, lengths in mm
    # @raise [UnknownName]
    def to_h(evidence: @evidence)
      {
        "rules_version" => RULES_VERSION,
        "ribbon_set" => ribbon_set,
        "reworked" => Reworking.of(observations, method),
        "curves" => curves,
        "curve_spread" => set && Curves.spread(set.mean).round(1),
        "keys" => keys.map { |result| result == key ? main : named(result) },
        "limit_sets" => limit_sets,
        "systems" => systems,
        "evidence" => second_opinion(evidence),
        "contradictions" => contradictions,
        "rules_of_thumb" => RulesOfThumb.for(observations, clear: key.outcomes.size == 1)
      }
    end

    # @return [Hash] the main key as on the wire, with the odds of its tiers of length and what to do about a limit
    def main
      { "tiers" => tier_odds }.merge(named(key)).merge("sentence" => sentence, "advice" => advice, "notes" => notes)
    end

    # @return [Hash, nil] the ribbon set as on the wire, with the odds at the main key's limits
    def ribbon_set
      set = observations.ribbon_set or return
      return set.to_h if set.empty?

      limits = @walk.tiers.limits.select { |limit| limit.mm.positive? }.map do |limit|
        { "key" => key.key, "limit_mm" => limit.mm, "probability_above" => set.probability_above(limit.mm).round(3) }
      end
      set.to_h.merge("limits" => limits)
    end

    # @return [String] what the key says, for a person
    def sentence
      return ORGANIC if organic?

      names = key.outcomes.map { |code, _| method.named(code).name }
      return open_sentence if names.empty?
      return "#{names.first.capitalize}." if names.size == 1

      "On the limit: #{names.zip(percents(key)).map { |name, share| "#{name} #{share} %" }.join(', ')}."
    end

    # @return [Boolean] whether the soil is marked as organic: no class follows from a key without a reason
    def organic? = Array(observations["blind_spots"]).include?("organic")

    # @return [Hash] what a ruler shows: the key's tiers, the bell of the true length, and which lengths it asks about
    def ruler = { "tiers" => @walk.tiers.to_a, "density" => set ? set.density : [], "slips" => RibbonSet.slips(set) }

    # @return [Evidence::Estimate] what everything that was felt says, beside the keys
    def estimate
      @estimate ||= Evidence::Estimate.new(observations, system: @evidence_system, curve: @hand&.curve || method.curve,
                                                         model: @model)
    end

    # @return [Array<NamedClass>] what the key says, most weight first
    def outcomes = key.outcomes.map { |code, _| method.named(code) }

    # The names a person may end with for what the key says, and for a class of their own.
    # @param seen [Hash{String=>Object}] what was written down of the horizon
    # @return [Offers]
    def offers(seen = {}) = Offers.new(observations, method, seen)

    # What is ready to be assigned, first things first: all names of the first class, the fullest of the others; for
    # organic soil the words it has in place of a class.
    # @param seen [Hash{String=>Object}] what was written down of the horizon
    # @return [Array<NamedClass>]
    def proposals(seen = {})
      return Names::ORGANIC.keys.map { |code| method.named(code) } if organic?

      first, *others = outcomes.map { |named| offers(seen).for(named.code) }
      [*first, *others.map(&:first)]
    end

    # @return [String, nil] the step at which the key has ended before its last: without a ball, or without a ribbon
    def ended_at
      return if key.outcomes.empty? || set

      facts = Facts.new(observations, counts_from_mm: Keys::Opening::STUB_MM)
      return "ball" if facts.ball&.value == false

      "ribbon" if facts.ribbon_forms&.value == false && key.next_question.nil?
    end

    # Whether a class given by a person goes with the key, so that it needs no reason.
    # @param named [NamedClass]
    def agrees_with?(named)
      return !named.texture? if organic?

      outcomes.include?(named.plain) && offers.support?(named)
    end

    # Whether another name stands for the same soil as the main key's first outcome.
    # @param other [NamedClass]
    # @return [String, nil] "agree", "one_off" or "two_off"; nil while the key is not at its end, or names a group
    def agreement_with(other)
      first = outcomes.first
      return if first.nil? || first.kind == :group || other.kind == :group

      first.agreement(other)&.to_s
    end

    # @return [Array<Hash>] "rule", "sentence", "repeat" and "decides"
    def contradictions = @contradictions ||= Contradictions.new(observations, keys).to_a

    private

    # Sand, only because nothing holds together: organic soil does not either.
    def named_by_no_ball?
      organic? && Facts.new(observations, counts_from_mm: Keys::Opening::STUB_MM).ball&.value == false
    end

    def without_class(result)
      note = { "rule" => "organic", "sentence" => "A ball that does not hold says nothing of organic soil." }
      result.dup.tap do |bare|
        bare.outcomes = []
        bare.possible = []
        bare.on_the_limit = false
        bare.notes = [*result.notes, note]
      end
    end

    def spared(result) = named_by_no_ball? ? without_class(result) : result
    def walks = @walks ||= [@walk, *(Keys::ALL - [@walk.class]).map { |other| method.walk(observations, by: other) }]

    def known(evidence)
      raise UnknownName.new("evidence", evidence, EVIDENCE) unless EVIDENCE.include?(evidence)

      evidence
    end

    def second_opinion(how_much)
      return if known(how_much) == "none"

      beside = Evidence::BesideKey.new(self, contradicted: contradictions.any? { |one| !one["repeat"].empty? })
      # What is settled by the tests stands beside the key only where the key has come to an end as well.
      found = estimate.to_h.merge("settled" => estimate.settled? && !key.outcomes.empty?, "beside_key" => beside.to_h)
      return found if how_much == "estimate"

      suggested = Evidence::NextTests.new(estimate).to_a
      found.merge(
        "one_class_off" => one_class_off,
        "next_tests" => suggested,
        "next_sentence" => (Evidence::NextTests::NOTHING_WORTH_IT if suggested.empty?)
      )
    end

    # What hangs on the class, in the classes of the USDA, which what follows is reckoned by; nothing where nothing was
    # felt.
    def one_class_off
      return if estimate.empty? || organic?

      usda = estimate.system == "usda" ? estimate : estimate.named_by("usda")
      Consequences::OneClassOff.of(usda)
    end

    # A key's result with its name, its own names for its outcomes, and whether its first agrees with the main key's.
    def named(result)
      outcomes = result.outcomes.zip(percents(result)).map do |(code, weight), percent|
        {
          "code" => code,
          "name" => Names.fetch(result.system, code).name,
          "weight" => weight.round(3),
          "percent" => percent
        }
      end
      whole =
        result.to_h.merge("name" => Keys[result.key]::NAME, "outcomes" => outcomes, "agreement" => agreement(result))
      whole["tiers"] ? whole.merge("tiers" => with_percents(whole["tiers"])) : whole
    end

    def with_percents(tiers)
      tiers.zip(Percents.of(tiers.map { |tier| tier["odds"] })).map { |tier, percent| tier.merge("percent" => percent) }
    end

    def percents(result) = Percents.of(result.outcomes.map(&:last))

    # nil for the main key, groups, and keys not at their end
    def agreement(result)
      return if result == key || result.outcomes.empty?

      agreement_with(result.first)
    end

    def set
      made = observations.ribbon_set
      made unless made.nil? || made.empty?
    end

    # What to know of the ribbons stands beside whichever key leads; the flow key says it itself, with its own limit.
    def notes
      return key.notes if set.nil? || @walk.is_a?(Keys::RibbonAndRub)

      Keys::RibbonNotes.for(set, unit: method.unit, stub: false) + key.notes
    end

    def curves = set ? Curves.of(set.mean) : []
    def advice = Keys::Advice.for(set, @walk.tiers, method.unit)

    def tier_odds
      return [] unless set

      with_percents(@walk.tiers.odds(set).map { |tier, share| { "tier" => tier, "odds" => share.round(3) } })
    end

    # What each limit set of the flow key says of the same observations.
    def limit_sets
      Keys::LimitSets::ALL.map do |name, limits|
        result = flow_key(name)
        { "limit_set" => name, "name" => limits[:name] }
          .merge(named(result).slice("outcomes", "possible", "tiers", "on_the_limit", "agreement"))
      end
    end

    # Walked already for the set that the assessment goes by.
    def flow_key(limit_set)
      return keys.find { |result| result.key == Keys::RibbonAndRub::ID } if limit_set == method.limit_set

      spared(method.with(limit_set: limit_set).walk(observations, by: Keys::RibbonAndRub).result)
    end

    # What each system calls the two numbers, once there are two.
    def systems
      composition = walks.find { |walk| walk.is_a?(Keys::TwoNumbers) }.composition or return []

      TRIANGLES.values.map do |triangle|
        found, *near = triangle.near(composition)
        {
          "system" => triangle.id,
          "name" => triangle.name,
          "code" => found.code,
          "class" => found.name,
          "near" => near.map(&:name),
          "agreement" => agreement_with(NamedClass.new(system: triangle.id, code: found.code))
        }
      end
    end

    def open_sentence
      "#{key.possible.size} of #{method.codes.size} classes are still possible."
    end
  end
end
