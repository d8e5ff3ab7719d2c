# frozen_string_literal: true

module Exchange
  # Raised for a file that cannot be read at all.
  class Unreadable < Grittle::InvalidInput
    def initialize(sentence) = super([Grittle::Problem.new(pointer: "/file", sentence: sentence)])
  end

  # What is wrong in a file, row by row. All are counted, the first are named.
  class Problems
    MOST_NAMED = 500

    attr_reader :count

    def initialize
      @named = []
      @count = 0
    end

    # @param place [String] such as "horizons, row 12"
    def add(place, sentence)
      @count += 1
      @named << { place: place, sentence: sentence } if @named.size < MOST_NAMED
    end

    # Gathers what the block raises.
    # @return [Object, nil] what the block gives; nil when it raised
    def within(place)
      yield
    rescue Grittle::InvalidInput => e
      e.problems.each { |problem| add(place, problem.sentence) }
      nil
    end

    # Every bad row with its sentence.
    # @raise [Grittle::InvalidInput] where there is one
    def refuse_any
      return if empty?

      raise Grittle::InvalidInput, (to_a.map do |one|
        sentence = "#{one[:place].capitalize}: #{one[:sentence]}"
        Grittle::Problem.new(pointer: "/#{one[:place].tr(' ', '/')}", sentence: sentence)
      end)
    end

    # @return [Boolean]
    def empty? = @count.zero?

    # @return [Array<Hash>] those that are named
    def to_a = @named
  end
end
