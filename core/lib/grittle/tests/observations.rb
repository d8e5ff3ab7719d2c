# frozen_string_literal: true

module Grittle
  # A checked set of observations: every name and value is one of Tests::Vocabulary. Frozen.
  class Observations
    # @param given [Hash] names to values; a nil value is a test not made
    # @raise [InvalidObservations] with every bad name and value
    def initialize(given)
      unless given.is_a?(Hash)
        raise InvalidObservations,
              [Problem.new(pointer: "", sentence: "Observations are an object of names and values.")]
      end

      @values = given.transform_keys(&:to_s).compact
      @problems = []
      @values.each { |name, value| check(name, value) }
      @ribbons = build_ribbons
      raise InvalidObservations, @problems unless @problems.empty?

      late, early = (@ribbons || []).partition(&:reworked?)
      # Worked ten minutes is another state of the soil: never averaged with the first, and the first is the one that
      # counts.
      @ribbon_set, @reworked_set =
        (early.empty? ? [late, []] : [early, late]).map { |made| RibbonSet.new(made) unless made.empty? }
      freeze
    end

    # @return [RibbonSet, nil] the ribbons that count
    attr_reader :ribbon_set

    # @return [RibbonSet, nil] ribbons made after ten minutes' working, beside earlier ones
    attr_reader :reworked_set

    # @return [Observations] the same, with the ribbons of the ten minutes alone
    def reworked = Observations.new(to_h.merge("ribbons" => @ribbons.select(&:reworked?).map(&:to_h)))

    # @return [Object, nil] the value as given
    def [](name) = @values[name]

    def given?(name) = @values.key?(name)

    # @return [Hash{String=>Object}] as given, without the tests not made
    def to_h = @values.dup

    private

    def check(name, value)
      kind = Tests::Vocabulary::ALL[name]
      return refuse(name, "There is no observation “#{name}”. Use one of: #{Tests::Vocabulary::ALL.keys.join(', ')}.") \
        unless kind

      send(:"check_#{kind[:kind]}", "/#{name}", name, value, kind)
    end

    def check_states(pointer, name, value, kind)
      return if kind[:states].include?(value)

      refuse(pointer, "“#{Spoken.of(value)}” is no answer to #{name}. Use one of: #{kind[:states].join(', ')}.")
    end

    def check_flag(pointer, name, value, _kind)
      return if [true, false].include?(value)

      refuse(
        pointer,
        "#{name} is either true or false, not “#{Spoken.of(value)}”."
      )
    end

    def check_count(pointer, name, value, _kind)
      return if value.is_a?(Integer) && value >= 0

      refuse(pointer, "#{name} is a whole number from 0, not “#{Spoken.of(value)}”.")
    end

    def check_number(pointer, name, value, kind)
      return if value.is_a?(Numeric) && kind[:range].cover?(value)

      refuse(
        pointer,
        "#{name} goes from #{kind[:range].begin} to #{kind[:range].end} #{kind[:unit]}, not “#{Spoken.of(value)}”."
      )
    end

    def check_words(pointer, name, value, kind)
      return refuse(pointer, "#{name} is a list of words.") unless value.is_a?(Array)

      value.each_with_index { |word, index| check_states("#{pointer}/#{index}", name, word, kind) }
    end

    def check_parts(pointer, name, value, kind)
      return refuse(pointer, "#{name} is an object with #{kind[:parts].keys.join(' and ')}.") unless value.is_a?(Hash)

      parts = value.transform_keys(&:to_s)
      (kind[:required] - parts.keys).each { |part| refuse("#{pointer}/#{part}", "#{name} needs #{part}.") }
      parts.each do |part, number|
        next refuse("#{pointer}/#{part}", "#{name} has no “#{part}”.") unless kind[:parts].key?(part)

        check_number("#{pointer}/#{part}", "#{name} #{part}", number, kind[:parts][part])
      end
    end

    def check_ribbons(pointer, name, value, _kind)
      return if value.is_a?(Array) && value.all?(Hash) && value.size <= RibbonSet::COUNT.end

      refuse(pointer, "#{name} is a list of at most #{RibbonSet::COUNT.end} ribbons, each with its length_mm.")
    end

    # An empty list is a test not made.
    def build_ribbons
      given = @values["ribbons"]
      unless given.is_a?(Array) && given.all?(Hash) && given.size.between?(RibbonSet::COUNT.begin, RibbonSet::COUNT.end)
        return
      end

      given.each_with_index.filter_map do |fields, index|
        PushedRibbon.new(fields.transform_keys(&:to_s))
      rescue InvalidObservations => e
        @problems.concat(e.problems.map { |problem| problem.under("/ribbons/#{index}") })
        nil
      end
    end

    def refuse(pointer, sentence)
      pointer = "/#{pointer}" unless pointer.start_with?("/")
      @problems << Problem.new(pointer: pointer, sentence: sentence)
    end
  end
end
