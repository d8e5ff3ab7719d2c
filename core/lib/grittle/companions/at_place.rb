# frozen_string_literal: true

module Grittle
  module Companions
    # One companion test at one place (a jar, a hole, a crumb, a tube), from the looks at it, oldest first. What stands
    # of each part is the newest. Each test is a class of its own and says when it asks for looks (#due), what they come
    # to (#said, #figures), what to do next (#advice), and what all places come to together (.together).
    class AtPlace
      # What spoils a reading: whether it makes it void or leaves it in doubt, and the sentence.
      BAD = {}.freeze
      # Which part of a look is what was read.
      READ = [].freeze

      # @return [Array<Hash{String=>Object}>] with "minutes" where they were made by the clock
      attr_reader :looks

      # @return [Hash{String=>Object}] "layer" and "depth_cm" where it is of one; "hand", what the hand says
      attr_reader :where

      def initialize(looks, where = {})
        @looks = looks.sort_by.with_index { |look, at| [look["minutes"] || 0, at] }
        @where = where
        @standing = Profiles::Findings.standing(@looks)
      end

      # @return [Array<Due>]
      def due = []

      # @return [String] what it came to, for a person
      def said = "no reading yet"

      # @return [String, nil] what to do or look at next
      def advice = nil

      # @return [Hash{String=>Object}] figures with their units in the names
      def figures = {}

      # @return [String, nil] what it says beside the hand, never averaged with it
      def beside = nil

      # @return [Boolean] whether nothing more is asked for
      def done? = false

      # @return [Array<Array>] [minutes, mm] to draw
      def curve = []

      # From where to where a part is read, and in what steps.
      # @return [Hash{String=>Array<Numeric>}] by part
      def scales = {}

      # @return [Boolean] whether anything was read
      def read? = looks.any? { |look| counts?(look) }

      # @return [Boolean] whether what was read may not be used
      def void? = bad.any? { |effect, _| effect == :void }

      # @return [Array<String>] what is wrong with it, for a person
      def problems = bad.map(&:last)

      # @return [Array<Numeric>] minutes of looks at which something was read
      def minutes = looks.select { |look| counts?(look) }.filter_map { |look| look["minutes"] }

      # @param places [Array<AtPlace>] of this test, in order
      # @return [Array<String>] what they say together
      def self.together(_places) = []

      private

      def [](name) = @standing[name]
      def counts?(look) = self.class::READ.any? { |name| look.key?(name) }
      def bad = self.class::BAD.select { |name, _| self[name] == true }.values

      def fixed(minutes, label) = Due.new(minutes: minutes, label: label, from: 0)
    end
  end
end
