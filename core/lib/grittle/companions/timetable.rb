# frozen_string_literal: true

module Grittle
  # Companion tests: what their looks come to.
  module Companions
    # When a test asks for a look: +minutes+ from its start, counted +from+ the minute that its own time runs from.
    # +longer+: more than its time does no harm.
    Due = Struct.new(:minutes, :label, :from, :longer, keyword_init: true) do
      # @return [Numeric] minutes that its time runs for
      def span = minutes - (from || 0)

      # @return [Boolean] whether a look at that minute counts for it
      def on_time?(look)
        within = (FIGURES["look_within"] * span) + 1e-9
        look >= minutes - within && (longer || look <= minutes + within)
      end

      # @return [Numeric] minutes before it at which somebody is reminded
      def reminder = FIGURES["reminder_min"].find { |least, _| span >= least }.last
    end

    # The looks that a test asks for, and those that were made: a look counts for the time that is nearest to it by
    # their ratio, if it is within a fifth of it; others are kept with their real minutes and marked. Frozen.
    class Timetable
      # "done": a look counts for it; "late": one was made, but off its time; "missed": the next look's time has come
      # without one; "open": still to come, or overdue
      STATES = %w[done late missed open].freeze
      Entry = Struct.new(:due, :state, :looked_at, keyword_init: true)

      # @return [Array<Entry>] soonest first
      attr_reader :entries

      # @param dues [Array<Due>]
      # @param looks [Array<Numeric>] minutes of those that were made
      # @param now [Numeric, nil] minutes since the start; nil before it
      def initialize(dues, looks, now: nil)
        @dues = dues.sort_by(&:minutes)
        @looks = looks.sort
        @entries = @dues.each_with_index.map { |due, at| entry(due, @dues[at + 1], now) }.freeze
        freeze
      end

      # @return [Entry, nil] what is asked for next
      def next = entries.find { |entry| entry.state == "open" }

      # @param look [Numeric] minutes
      # @return [String, nil] why it counts for no time, for a person
      def mark(look)
        due = nearest(look)
        return if due.nil? || due.on_time?(look)

        "after #{Companions.minutes(look)}, asked for after #{Companions.minutes(due.minutes)}: kept, counts for no " \
          "time"
      end

      private

      def entry(due, following, now)
        own = @looks.select { |look| nearest(look) == due }
        on_time = own.find { |look| due.on_time?(look) }
        state = if on_time then "done"
                elsif own.any? then "late"
                elsif passed?(following, now) then "missed"
                else "open"
                end
        Entry.new(due: due, state: state, looked_at: on_time || own.last).freeze
      end

      def nearest(look) = @dues.min_by { |due| ratio(look - (due.from || 0), due.span) }

      def ratio(elapsed, span)
        return elapsed.to_f.abs if span <= 0

        elapsed.positive? ? Math.log(elapsed / span.to_f).abs : Float::INFINITY
      end

      def passed?(following, now)
        now && following && now >= following.minutes - (FIGURES["look_within"] * following.span)
      end
    end

    # @param value [Numeric] minutes
    # @return [String] "45 s", "8 min", "7 h 50 min", "2 days"
    def self.minutes(value)
      seconds = (value * 60).round
      return "#{seconds} s" if seconds < 120 && (seconds % 60).positive?
      return "#{Units.number(value.round(1))} min" if value < 10
      return "#{value.round} min" if value.round < 120

      hours, rest = value.round.divmod(60)
      return "#{hours.div(24)} days" if hours >= 48 && (hours % 24).zero? && rest.zero?

      ["#{hours} h", ("#{rest} min" if rest.positive?)].compact.join(" ")
    end
  end
end
