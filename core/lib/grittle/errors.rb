# frozen_string_literal: true

module Grittle
  # Whatever the core refuses: the caller's bad input, never a bug of ours.
  class Error < StandardError; end

  # One thing wrong with the input: where (a JSON pointer) and what, as a sentence for the person.
  Problem = Struct.new(:pointer, :sentence, keyword_init: true) do
    # @param prefix [String] a JSON pointer, such as "/observations"
    # @return [Problem] the same problem, placed below the prefix
    def under(prefix) = self.class.new(pointer: "#{prefix}#{pointer}", sentence: sentence).freeze
  end

  # Input with one or more problems, all gathered before raising.
  class InvalidInput < Error
    attr_reader :problems

    # @param problems [Array<Problem>]
    def initialize(problems)
      @problems = problems.freeze
      super(problems.map(&:sentence).join(" "))
    end
  end

  # Raised by Composition: fractions that are missing, out of range or do not add up.
  class InvalidComposition < InvalidInput; end

  # Raised by Observations: unknown names, unknown answers, lengths and percentages out of range.
  class InvalidObservations < InvalidInput; end

  # Raised by Profiles::DepthRange and HorizonSequence: depths upside down, negative, or overlapping.
  class InvalidDepths < InvalidInput; end

  # A name that is not in the core's tables: a system, a key, a limit set, a unit.
  class UnknownName < InvalidInput
    # @param kind [String, Symbol] what was asked for, such as "system"; also the field
    # @param allowed [Array<String>]
    def initialize(kind, value, allowed)
      sentence = "There is no #{kind.to_s.tr('_', ' ')} “#{Spoken.of(value)}”. Use one of: #{allowed.join(', ')}."
      super([Problem.new(pointer: "/#{kind}", sentence: sentence)])
    end
  end
end
