# frozen_string_literal: true

module Grittle
  # Companion tests: what their looks come to.
  module Companions
    # A companion test under way or done: what its looks come to at each place and together, and what it asks for
    # next. A hash in, a hash out; times are minutes since each place began.
    #
    #   "test"    one of TESTS
    #   "places"  each with "name", "layer", "depth_cm", "hand" (see Companions.hand), all optional; "looks" (values as
    #             Profiles::Findings keeps them, with "minutes"), and "now", minutes since it began, nil before
    class Running
      SAID = %i[said advice problems figures curve scales beside].freeze

      # @param document [Hash{String=>Object}]
      # @raise [UnknownName]
      def initialize(document)
        @test = TESTS[document["test"]] || raise(UnknownName.new("test", document["test"], TESTS.keys))
        @given = document["places"]
        @places = @given.map do |one|
          @test.place_class.new(one["looks"] || [], one.slice("name", "layer", "depth_cm", "hand"))
        end
      end

      # @return [Hash{String=>Object}] "places" (each "said", "advice", "problems", "figures", "curve", "scales",
      #   "beside", "done", "void", "due" and "marks", why a look counts for no time, by the place of the look) and
      #   "together"
      def to_h
        { "places" => @places.zip(@given).map { |place, one| place(place, one) },
          "together" => @test.place_class.together(@places) }
      end

      # Only what is asked for, place by place: for the timers.
      # @return [Array<Array<Timetable::Entry>>]
      def due = @places.zip(@given).map { |place, one| timetable(place, one).entries }

      private

      def place(place, one)
        times = timetable(place, one)
        said = SAID.to_h { |name| [name.to_s, place.public_send(name)] }
        { **said, "done" => place.done?, "void" => place.void?,
          "due" => times.entries.map { |entry| entry(entry) }, "marks" => marks(place, times, one) }
      end

      def timetable(place, one) = Timetable.new(place.due, place.minutes, now: one["now"])

      def entry(entry)
        due = entry.due
        { "minutes" => due.minutes, "label" => due.label, "state" => entry.state, "looked_at" => entry.looked_at,
          "reminder_min" => due.reminder, "span_min" => due.span }
      end

      # By the order in which the looks were given.
      def marks(place, times, one)
        (one["looks"] || []).map { |look| times.mark(look["minutes"]) if place.minutes.include?(look["minutes"]) }
      end
    end
  end
end
