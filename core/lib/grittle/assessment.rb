# frozen_string_literal: true

module Grittle
  # Everything the core makes of one set of observations, as on the wire.
  class Assessment
    attr_reader :observations, :key

    # @param observations [Observations]
    # @param system [String] triangle of the class names
    # @param key [String] the key to walk
    # @param limit_set [String] which limits the flow key goes by
    # @param ribbon_counts_from [String] what counts as a ribbon at all
    # @param unit [String] unit of lengths in sentences
    # @raise [UnknownName]
    def initialize(observations, system: "usda", key: "ribbon_and_rub", limit_set: Keys::LimitSets::DEFAULT,
                   ribbon_counts_from: Keys::LimitSets::DEFAULT_COUNTS_FROM, unit: "mm")
      @observations = observations
      @triangle = Grittle.triangle(system)
      @options = { ribbon_counts_from: ribbon_counts_from, unit: unit }
      @walk = Keys[key].new(observations, limit_set: limit_set, **@options)
      @key = @walk.result
    end

    # @return [Hash] names and values of the wire, lengths in mm
    def to_h
      {
        "rules_version" => RULES_VERSION,
        "ribbon_set" => ribbon_set,
        "keys" => [key.to_h.merge("limit_sets" => limit_sets, "sentence" => sentence)]
      }
    end

    # @return [String] what the key says, for a person
    def sentence
      names = key.outcomes.map { |code, weight| [@triangle[code].name, (100 * weight).round] }
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

    def ribbon_set
      set = observations.ribbon_set or return
      return set.to_h if set.empty?

      limits = @walk.limits.map do |limit|
        { "key" => key.key, "limit_mm" => limit.mm, "probability_above" => set.probability_above(limit.mm).round(3) }
      end
      set.to_h.merge("limits" => limits)
    end

    # What each limit set says of the same observations.
    def limit_sets
      Keys::LimitSets::ALL.map do |name, limits|
        result = Keys::RibbonAndRub.new(observations, limit_set: name, **@options).result.to_h
        { "limit_set" => name, "name" => limits[:name] }.merge(result.slice("outcomes", "possible", "tiers", "on_the_limit"))
      end
    end

    def open_sentence
      "#{key.possible.size} of #{@triangle.classes.size} classes are still possible."
    end
  end
end
