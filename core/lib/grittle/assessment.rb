# frozen_string_literal: true

module Grittle
  # Everything the core makes of one set of observations, as on the wire.
  class Assessment
    attr_reader :observations, :key

    # @param observations [Observations]
    # @param system [String] triangle of the two numbers
    # @param key [String] the main key: the one that is assigned by
    # @param limit_set [String] which limits the flow key goes by
    # @param ribbon_counts_from [String] what counts as a ribbon at all, in the flow key
    # @param curve [String] which curve makes clay of a ribbon, in the two numbers
    # @param unit [String] unit of lengths in sentences
    # @raise [UnknownName]
    def initialize(observations, system: "usda", key: "ribbon_and_rub", limit_set: Keys::LimitSets::DEFAULT,
                   ribbon_counts_from: Keys::LimitSets::DEFAULT_COUNTS_FROM, curve: Curves::DEFAULT, unit: "mm")
      @observations = observations
      @triangle = Grittle.triangle(system)
      @options = { ribbon_counts_from: ribbon_counts_from, curve: Curves[curve].id, system: system, unit: unit }
      @walk = Keys[key].new(observations, limit_set: limit_set, **@options)
      @key = @walk.result
      @limit_set = limit_set
    end

    # @return [Array<Keys::Result>] every key, the main one first
    def keys
      @keys ||= [key, *(Keys::ALL - [@walk.class]).map { |other| other.new(observations, limit_set: @limit_set, **@options).result }]
    end

    # @return [Hash] names and values of the wire, lengths in mm
    def to_h
      {
        "rules_version" => RULES_VERSION,
        "ribbon_set" => ribbon_set,
        "curves" => curves,
        "keys" => keys.map { |result| result == key ? main : named(result) },
        "contradictions" => Contradictions.new(observations, keys).to_a,
        "rules_of_thumb" => RulesOfThumb.for(observations)
      }
    end

    # @return [Hash] the main key as on the wire, with what each limit set says of the same observations
    def main = named(key).merge("limit_sets" => limit_sets, "sentence" => sentence)

    # @return [Hash, nil] the ribbon set as on the wire, with the odds at the main key's limits
    def ribbon_set
      set = observations.ribbon_set or return
      return set.to_h if set.empty?

      limits = @walk.limits.map do |limit|
        { "key" => key.key, "limit_mm" => limit.mm, "probability_above" => set.probability_above(limit.mm).round(3) }
      end
      set.to_h.merge("limits" => limits)
    end

    # @return [String] what the key says, for a person
    def sentence
      names = key.outcomes.map { |code, weight| [@walk.class.name_of(code), (100 * weight).round] }
      return open_sentence if names.empty?
      return "#{names.first.first.capitalize}." if names.size == 1

      "On the limit: #{names.map { |name, share| "#{name} #{share} %" }.join(', ')}."
    end

    # @return [Hash] what a ruler shows: the key's tiers, and the bell of the true length
    def ruler
      set = observations.ribbon_set
      { "tiers" => @walk.tiers.to_a, "density" => set && !set.empty? ? set.density : [] }
    end

    private

    # A key's result with its name, its own names for its outcomes, and whether its first agrees with the main key's.
    def named(result)
      owner = Keys[result.key]
      outcomes = result.outcomes.map { |code, weight| { "code" => code, "name" => owner.name_of(code), "weight" => weight.round(3) } }
      result.to_h.merge("name" => owner::NAME, "outcomes" => outcomes, "agreement" => agreement(result))
    end

    # @return [String, nil] "agree", "one_off" or "two_off"; nil for the main key, groups, and keys not at their end
    def agreement(result)
      return if result == key || key.outcomes.empty? || result.outcomes.empty? || !Agreement::KEYS.include?(result.key)

      Agreement.of(*[key, result].map { |one| [one.system, one.outcomes.first.first] }).to_s
    end

    def curves
      set = observations.ribbon_set
      set.nil? || set.empty? ? [] : Curves.of(set.mean)
    end

    # What each limit set says of the same observations.
    def limit_sets
      Keys::LimitSets::ALL.map do |name, limits|
        result = Keys::RibbonAndRub.new(observations, limit_set: name, **@options).result.to_h
        { "limit_set" => name, "name" => limits[:name] }.merge(result.slice("outcomes", "possible", "tiers", "on_the_limit"))
      end
    end

    def open_sentence
      "#{key.possible.size} of #{Grittle.triangle(key.system).classes.size} classes are still possible."
    end
  end
end
