# frozen_string_literal: true

module Grittle
  module Profile
    # A crumb in still water: whether it slakes, and whether its clay goes into the water by itself. Ends in a class from 1
    # (disperses) to 8 (does nothing), in the manner of Emerson. Dispersive subsoil is a warning for dams, tunnels and effluent.
    # [from memory: Emerson 1967; AS 1289.3.8.1]
    class CrumbTest
      # step => what it asks, and for each answer the next step or the class
      STEPS = {
        "slakes" => { true => "dispersion", false => "swells" },
        "swells" => { true => 7, false => 8 },
        "dispersion" => { "complete" => 1, "some" => 2, "none" => "remoulded_disperses" },
        "remoulded_disperses" => { true => 3, false => "carbonate_or_gypsum" },
        "carbonate_or_gypsum" => { true => 4, false => "suspension" },
        "suspension" => { "disperses" => 5, "flocculates" => 6 }
      }.each_value(&:freeze).freeze
      # Classes whose clay disperses in still water.
      DISPERSIVE = [1, 2].freeze

      # @return [Integer, nil] 1 to 8; nil while a step is open
      attr_reader :number

      # @return [String, nil] the step to look at next
      attr_reader :next_step

      # @param seen [Hash{String=>Object}] answers by step
      # @raise [InvalidInput] for an unknown step or answer
      def initialize(seen)
        refuse(seen)
        at = STEPS.keys.first
        at = STEPS[at][seen[at]] while STEPS.key?(at) && seen.key?(at)
        @number, @next_step = at.is_a?(Integer) ? [at, nil] : [nil, at]
        freeze
      end

      # @return [Boolean]
      def dispersive? = DISPERSIVE.include?(number)

      private

      def refuse(seen)
        problems = seen.filter_map do |step, answer|
          next Problem.new(pointer: "/#{step}", sentence: "The crumb test has no step “#{step}”.") unless STEPS.key?(step)

          answers = STEPS[step].keys
          Problem.new(pointer: "/#{step}", sentence: "“#{answer}” is no answer to #{step}. Use one of: #{answers.join(', ')}.") \
            unless answers.include?(answer)
        end
        raise InvalidInput, problems unless problems.empty?
      end
    end
  end
end
