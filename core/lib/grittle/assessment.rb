# frozen_string_literal: true

module Grittle
  # Everything the core makes of one set of observations, as on the wire.
  class Assessment
    # The estimate with suggestions what to test next, the estimate alone, or neither.
    EVIDENCE = %w[full estimate none].freeze

    attr_reader :observations, :key

    # @param observations [Observations]
    # @param system [String] triangle of the two numbers
    # @param key [String] the main key: the one that is assigned by
    # @param limit_set [String] which limits the flow key goes by
    # @param ribbon_counts_from [String] what counts as a ribbon at all, in the flow key
    # @param older_grades [Boolean] whether the field grades include sandy clay and silty clay, as the list of 1979 does
    # @param curve [String] which curve makes clay of a ribbon, in the two numbers
    # @param unit [String] unit of lengths in sentences
    # @param evidence_system [String, nil] the triangle the estimate names its classes in; nil takes +system+
    # @param evidence [String] how much of the second opinion: one of EVIDENCE
    # @raise [UnknownName]
    def initialize(observations, system: "usda", key: "ribbon_and_rub", limit_set: Keys::LimitSets::DEFAULT,
                   ribbon_counts_from: Keys::LimitSets::DEFAULT_COUNTS_FROM, older_grades: false, curve: Curves::DEFAULT, unit: "mm",
                   evidence_system: nil, evidence: "full")
      raise UnknownName.new("evidence", evidence, EVIDENCE) unless EVIDENCE.include?(evidence)

      @observations = observations
      @triangle = Grittle.triangle(system)
      @options = { ribbon_counts_from: ribbon_counts_from, older_list: older_grades, curve: Curves[curve].id, system: system,
                   unit: unit }
      @limit_set = limit_set
      @evidence = evidence
      @evidence_system = Grittle.triangle(evidence_system || system).id
      @walk = Keys[key].new(observations, limit_set: limit_set, **@options)
      @key = @walk.result
    end

    # @return [Array<Keys::Result>] every key, the main one first
    def keys = @keys ||= walks.map { |walk| walk == @walk ? key : walk.result }

    # @return [Hash] names and values of the wire, lengths in mm
    def to_h
      {
        "rules_version" => RULES_VERSION,
        "ribbon_set" => ribbon_set,
        "reworked" => Reworking.of(observations, **@options),
        "curves" => curves,
        "curve_spread" => set && Curves.spread(set.mean).round(1),
        "keys" => keys.map { |result| result == key ? main : named(result) },
        "limit_sets" => limit_sets,
        "systems" => systems,
        "evidence" => evidence,
        "contradictions" => Contradictions.new(observations, keys).to_a,
        "rules_of_thumb" => RulesOfThumb.for(observations)
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
      names = key.outcomes.map { |code, weight| [@walk.class.name_of(code, key.system), (100 * weight).round] }
      return open_sentence if names.empty?
      return "#{names.first.first.capitalize}." if names.size == 1

      "On the limit: #{names.map { |name, share| "#{name} #{share} %" }.join(', ')}."
    end

    # @return [Hash] what a ruler shows: the key's tiers, and the bell of the true length
    def ruler = { "tiers" => @walk.tiers.to_a, "density" => set ? set.density : [] }

    # @return [Evidence::Estimate] what everything that was felt says, beside the keys
    def estimate = @estimate ||= Evidence::Estimate.new(observations, system: @evidence_system, curve: @options[:curve])

    # Whether another name stands for the same soil as the main key's first outcome.
    # @return [String, nil] "agree", "one_off" or "two_off"; nil while the key is not at its end, or names a group
    def agreement_with(system, code)
      return if key.outcomes.empty? || !Agreement::KEYS.include?(key.key)

      Agreement.of([key.system, key.outcomes.first.first], [system, code]).to_s
    end

    private

    def walks
      @walks ||= [@walk, *(Keys::ALL - [@walk.class]).map { |other| other.new(observations, limit_set: @limit_set, **@options) }]
    end

    def evidence
      return if @evidence == "none"

      found = estimate.to_h.merge("beside_key" => Evidence::BesideKey.new(key, estimate).to_h)
      return found if @evidence == "estimate"

      suggested = Evidence::NextTests.new(estimate).to_a
      found.merge("next_tests" => suggested, "next_sentence" => (Evidence::NextTests::NOTHING_WORTH_IT if suggested.empty?))
    end

    # A key's result with its name, its own names for its outcomes, and whether its first agrees with the main key's.
    def named(result)
      owner = Keys[result.key]
      outcomes = result.outcomes.map do |code, weight|
        { "code" => code, "name" => owner.name_of(code, result.system), "weight" => weight.round(3) }
      end
      result.to_h.merge("name" => owner::NAME, "outcomes" => outcomes, "agreement" => agreement(result))
    end

    # nil for the main key, groups, and keys not at their end
    def agreement(result)
      return if result == key || result.outcomes.empty? || !Agreement::KEYS.include?(result.key)

      agreement_with(result.system, result.outcomes.first.first)
    end

    def set
      made = observations.ribbon_set
      made unless made.nil? || made.empty?
    end

    # What to know of the ribbons stands beside whichever key leads; the flow key says it itself, with its own limit.
    def notes
      return key.notes if set.nil? || @walk.is_a?(Keys::RibbonAndRub)

      Keys::RibbonNotes.for(set, unit: @options[:unit], ball: false) + key.notes
    end

    def curves = set ? Curves.of(set.mean) : []
    def advice = Keys::Advice.for(set, @walk.tiers, @options[:unit])
    def tier_odds = set ? @walk.tiers.odds(set).map { |tier, odds| { "tier" => tier, "odds" => odds.round(3) } } : []

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
      return keys.find { |result| result.key == Keys::RibbonAndRub::ID } if limit_set == @limit_set

      Keys::RibbonAndRub.new(observations, limit_set: limit_set, **@options).result
    end

    # What each system calls the two numbers, once there are two.
    def systems
      composition = walks.find { |walk| walk.is_a?(Keys::TwoNumbers) }.composition or return []

      TRIANGLES.values.map do |triangle|
        found, *near = triangle.near(composition)
        { "system" => triangle.id, "name" => triangle.name, "code" => found.code, "class" => found.name,
          "near" => near.map(&:name), "agreement" => agreement_with(triangle.id, found.code) }
      end
    end

    def open_sentence
      "#{key.possible.size} of #{@walk.class.codes(key.system).size} classes are still possible."
    end
  end
end
