# frozen_string_literal: true

# What is to be looked at next, over all companion tests of a fieldbook that run.
class Timers
  # +due_at+ and +remind_at+ are times; +interval+ the minutes that this look's own time runs for.
  Timer = Struct.new(:place, :label, :due_at, :remind_at, :interval, :state, keyword_init: true)

  # @param fieldbook [Fieldbook]
  def initialize(fieldbook)
    @fieldbook = fieldbook
  end

  # Soonest first; of two at once the one with the shorter time.
  # @return [Array<Timer>] the next look of each place
  def to_a
    tests = @fieldbook.companion_tests.running.preload(:profile, :site, places: [:looks, { sample: :horizon }]).to_a
    tests.flat_map { |test| of(test) }.sort_by { |timer| [timer.due_at, timer.interval, timer.place.id] }
  end

  private

  def of(test)
    due = Grittle::Companions::Running.new(test.describe(beside: false)).due
    test.places.zip(due).filter_map do |place, entries|
      following = entries.find { |entry| entry.state == "open" }
      timer(place, following.due) if following && place.started_at
    end
  end

  def timer(place, due)
    at = place.started_at + (due.minutes * 60)
    Timer.new(place: place, label: due.label, due_at: at, remind_at: [at - (due.reminder * 60), place.started_at].max,
              interval: due.span)
  end
end
