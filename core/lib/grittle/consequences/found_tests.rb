# frozen_string_literal: true

module Grittle
  module Consequences
    # What companion tests found in one horizon: what each says, and the limits that follow from it.
    class FoundTests
      DISPERSES = [[1], [2], [1, 2]].freeze
      REMOULDED = [3].freeze
      ACID, ALKALINE = FIGURES["acid_hinders"]

      # One test at one place.
      Found = Struct.new(:test, :name, :depth_cm, :place, keyword_init: true)

      # @param tests [Array<Hash>, nil] each with "test" (a name of Companions::TESTS), "name", "depth_cm" and "looks"
      # @param designation [String]
      # @param hand [Hash, nil] see Companions.hand
      # @raise [UnknownName]
      def initialize(tests, designation, hand)
        @designation = designation
        made = (tests || []).map do |one|
          kind = Companions::TESTS[one["test"]] || raise(UnknownName.new("test", one["test"], Companions::TESTS.keys))
          place = kind.place_class.new(one["looks"] || [], { "layer" => designation, "hand" => hand,
                                                             **one.slice("name", "depth_cm") })
          Found.new(test: kind, name: one["name"], depth_cm: one["depth_cm"], place: place)
        end
        @found = made.select { |one| one.place.read? }
      end

      # @return [Array<Hash>] "horizon", "test", "title", "name", "said", "problems", "beside", "void"
      def to_a
        @found.map do |one|
          { "horizon" => @designation, "test" => one.test.name, "title" => one.test.title, "name" => one.name,
            "said" => one.place.said, "problems" => one.place.problems, "beside" => one.place.beside,
            "void" => one.place.void? }
        end
      end

      # @param upper_cm [Numeric] of the horizon: crumbs and pH speak for all of it, a probe for its own depth
      # @return [Array<Limits::Limit>]
      def limits(upper_cm)
        @found.reject { |one| one.place.void? }.filter_map { |one| limit(one, upper_cm) }
      end

      # What was measured of a consequence that texture only suggests.
      # @param id [String] of a consequence
      # @return [Array<String>]
      def measured(id)
        test = { "shrink_swell" => "rod", "ksat" => "percolation" }[id]
        @found.select { |one| one.test.name == test && !one.place.void? }
              .map { |one| "#{one.test.title}, #{one.name}: #{one.place.said}." }
      end

      private

      def limit(one, upper_cm)
        case one.test.name
        when "crumb" then crumb(one.place, upper_cm)
        when "probe" then hard(one, upper_cm)
        when "ph" then acid(one.place, upper_cm)
        end
      end

      def crumb(place, upper_cm)
        classes = place.figures["classes"] || []
        return unless DISPERSES.include?(classes) || classes == REMOULDED

        worked = " once it is worked wet" if classes == REMOULDED
        Limits::Limit.new(depth_cm: upper_cm, roots: "hinders", water: "seals, tunnels, fails dams",
                          reason: "A crumb disperses in water#{worked} (class #{classes.join(' to ')}).")
      end

      def hard(one, upper_cm)
        return unless one.place.grade == "stopped"

        Limits::Limit.new(depth_cm: one.depth_cm || upper_cm, reason: "Penetration resistance #{one.place.said}.",
                          roots: "hinders", water: "slow")
      end

      def acid(place, upper_cm)
        return if place.middle.between?(ACID, ALKALINE)

        Limits::Limit.new(depth_cm: upper_cm, reason: "pH #{Units.number(place.middle)} by kit.", roots: "hinders")
      end
    end
  end
end
