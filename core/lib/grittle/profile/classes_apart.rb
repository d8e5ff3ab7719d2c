# frozen_string_literal: true

module Grittle
  module Profile
    # By how many classes two names for one soil differ. Within a triangle: how many boundaries lie between them. Across systems,
    # and among grades, only what Agreement says: none, one, or two and more.
    module ClassesApart
      # From here on two readings are hardly of one soil. [common practice]
      FAR = 2
      WORDS = { 0 => "the same", 1 => "one class apart" }.freeze

      module_function

      # @param one, other [Array<String>] a system and a code each
      # @return [Integer] 2 stands for two and more where they cannot be counted
      def count(one, other)
        return 0 if one == other

        system = one.first
        return steps(Grittle.triangle(system), one.last, other.last) if system == other.first && TRIANGLES.key?(system)

        { agree: 0, one_off: 1, two_off: 2 }.fetch(Agreement.of(one, other))
      end

      # @return [String] for a person
      def say(count) = WORDS.fetch(count) { "#{count} classes apart" }

      def steps(triangle, from, to)
        reached = [from]
        count = 0
        until reached.include?(to)
          reached |= reached.flat_map { |code| triangle.neighbours(code) }
          count += 1
        end
        count
      end
      private_class_method :steps
    end
  end
end
