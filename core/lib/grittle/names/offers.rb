# frozen_string_literal: true

module Grittle
  # The names that are ready to be assigned for a class: what was felt of the sand's grade, of fragments and of the clay
  # belongs to the name that people end with.
  class Offers
    # @param observations [Observations]
    # @param method [FieldMethod]
    # @param seen [Hash{String=>Object}] fields of Entry::Fields::HORIZON, for what the face showed of fragments
    def initialize(observations, method, seen = {})
      @observations = observations
      @method = method
      @seen = seen
    end

    # @param code [String] a class of the method's key
    # @return [Array<NamedClass>] the fullest name first, the plain class last
    # @raise [UnknownName]
    def for(code)
      plain = @method.named(code)
      return [plain] unless plain.texture? && plain.kind != :group

      belonging = { **sand_grade(plain), **fragments }
      light = position(plain)
      own = own_clay
      return [plain] unless light || own || !belonging.empty?

      [
        (plain.with(**belonging, position: light) if light),
        plain.with(**belonging),
        (plain.with(**belonging, clay: own) if own),
        plain
      ].compact.uniq
    end

    # Whether light or heavy within a class goes with the key, the curve, or the hand's own clay.
    # @param named [NamedClass]
    # @return [Boolean]
    def support?(named) = named.position.nil? || named.position == position(named.plain)

    private

    # Medium sand has no word, and only sandy classes are graded.
    def sand_grade(plain)
      grade = @observations["sand_grade"]
      grade && plain.with(sand_grade: grade).qualified? ? { sand_grade: grade } : {}
    end

    def fragments
      percent = @observations["coarse_fragments_percent"] || @seen["fragments_percent"]
      return {} unless percent && percent >= FullName::FRAGMENTS_FROM

      { fragments: percent, fragment_size: FullName.size_word(@seen["fragments_size"]) }.compact
    end

    def own_clay = @observations["clay_estimate"]&.fetch("percent", nil)

    def position(plain) = clay && plain.position_of(clay)

    # The same for every class.
    def clay
      @clay = own_clay || by_the_ribbon unless defined?(@clay)
      @clay
    end

    def by_the_ribbon
      set = @observations.ribbon_set
      Curves[@method.curve].clay(set.mean) unless set.nil? || set.empty?
    end
  end
end
