# frozen_string_literal: true

require "device/preview"

module Device
  # What a bench asks, asked of no soil in particular before anybody does: the core works its tables out, and the
  # browser compiles what it runs often.
  module WarmUp
    # As often as it takes until the times stand still. [our own: measured]
    TIMES = 18
    EVIDENCE = %w[none estimate none full].cycle.first(TIMES).freeze
    RUBS = %w[neither very_gritty very_smooth].cycle.first(TIMES).freeze
    READING = {
      "method" => {},
      "observations" => { "ball_holds" => true },
      "moisture" => { "answers" => [] },
      "ribbons" => [{ "id" => 1, "length_mm" => 41 }, { "id" => 2, "length_mm" => 47 }],
      "own_hand" => nil,
      "assessment" => { "contradictions" => [] }
    }.freeze

    # @return [Array<Array>] reading, writes and evidence, as {Device.preview} takes them
    QUESTIONS = EVIDENCE.zip(RUBS).each_with_index.map do |(evidence, rub), at|
      ribbon = { "method" => "POST", "path" => "/api/readings/1/ribbons",
                 "body" => { "length" => 30 + at, "unit" => "mm" } }
      answer = { "method" => "PATCH", "path" => "/api/readings/1", "body" => { "answers" => { "wet_rub" => rub } } }
      [READING, at.odd? ? [ribbon, answer] : [answer], evidence]
    end.freeze

    # The part of the triangle that each name of a system stands for: every verdict compares them, and no answer
    # changes them.
    def self.compare(system) = Grittle::Names.of(system).each_value { |name| name.region&.beside }
  end

  # One step of it, so that what is asked meanwhile need not wait for all.
  # @param nth [Integer] from 0
  # @return [Boolean] whether there is another
  def self.warm(nth)
    systems = Grittle::Names.systems
    if nth < systems.size
      WarmUp.compare(systems[nth])
    else
      preview(*WarmUp::QUESTIONS[nth - systems.size])
    end
    nth + 1 < systems.size + WarmUp::QUESTIONS.size
  end
end
