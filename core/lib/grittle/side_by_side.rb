# frozen_string_literal: true

module Grittle
  # Several readings from anywhere, set beside one another: their ribbons and clay, and what differs. Two intervals of
  # ribbons, or two ranges of clay, that do not meet are called a difference; others are not. [our own model]
  class SideBySide
    # Readings: so many columns stand on a page. [our own]
    MOST = 6
    FEWEST = 2
    # What is shown by itself, or says nothing of the soil.
    APART = %w[ribbons moisture_rounds].freeze

    # One of them. Frozen.
    #   name: what a person calls it    assessment: [Assessment]    named: [NamedClass, nil] the class that was assigned
    Item = Struct.new(:name, :assessment, :named, keyword_init: true) do
      # @return [Hash{String=>Object}, nil] "interval_mm" and what else the ribbons say; nil without a whole ribbon
      def ribbons = assessment.ribbon_set&.then { |set| set if set["mean_mm"] }

      # @return [Verdict] as it is kept of a reading
      def verdict = @verdict ||= Verdict.of(assessment, named)

      # @return [Hash{String=>Object}, nil] "mean" and "range" in percent
      def clay = verdict["clay"]
    end

    # @param items [Array<Item>]
    # @raise [InvalidInput] for too few or too many
    def initialize(items)
      unless items.size.between?(FEWEST, MOST)
        raise InvalidInput,
              [Problem.new(pointer: "/readings", sentence: "Set #{FEWEST} to #{MOST} readings side by side.")]
      end

      @items = items
      freeze
    end

    # @return [Hash{String=>Object}] "items", "answers" by test, and "differences" as sentences
    def to_h
      { "items" => @items.map { |item| shown(item) }, "answers" => answers, "differences" => differences }
    end

    private

    def shown(item)
      estimate = item.assessment.estimate
      {
        "name" => item.name,
        "class" => item.named&.full_name,
        "sentence" => item.assessment.sentence,
        "ribbons" => item.ribbons,
        "lengths_mm" => Array(item.assessment.observations["ribbons"]).map { |ribbon| ribbon["length_mm"] },
        "clay" => item.clay,
        "own_clay" => item.verdict["own_clay"],
        "estimate" => (estimate.to_h.merge("beside_key" => nil) unless estimate.empty?)
      }
    end

    # @return [Array<Hash>] "test", "name", "said" in the order of the items, and whether they differ
    def answers
      tests = @items.flat_map { |item| item.assessment.observations.to_h.keys }.uniq - APART
      tests.map do |test|
        said = @items.map { |item| said(item.assessment.observations, test) }
        differ = said.compact.uniq.size > 1
        { "test" => test, "name" => Tests::Catalogue.short(test), "said" => said, "differ" => differ }
      end
    end

    def said(observations, test) = (Tests::Catalogue.word(test, observations[test]) if observations.given?(test))

    def differences
      @items.combination(2).flat_map { |pair| [classes(*pair), ribbons(*pair), clays(*pair)].compact }
    end

    def classes(one, other)
      return unless one.named && other.named

      apart = one.named.apart(other.named)
      return if apart.nil? || apart.zero?

      "#{one.name} and #{other.name}: #{one.named.full_name} against #{other.named.full_name}, " \
        "#{NamedClass.say_apart(apart)}."
    end

    def ribbons(one, other)
      sets = [one.ribbons, other.ribbons]
      return if sets.any?(&:nil?) || meet?(*sets.map { |set| set["interval_mm"] })

      lengths = [one, other].zip(sets).map { |item, set| length(item, set) }
      "#{one.name} and #{other.name}: ribbons of #{lengths.join(' against ')}; their intervals do not meet."
    end

    def length(item, set)
      unit = item.assessment.method.unit
      Units.say(unit == "mm" ? set["mean_mm"].round : set["mean_mm"], unit)
    end

    def clays(one, other)
      ranges = [one.clay, other.clay].map { |clay| clay&.fetch("range") }
      return if ranges.any?(&:nil?) || meet?(*ranges)

      said = ranges.map { |low, high| "#{low} to #{high}" }
      "#{one.name} and #{other.name}: clay #{said.join(' against ')} % (80 % intervals); they do not meet."
    end

    def meet?(one, other) = one.first <= other.last && other.first <= one.last
  end
end
