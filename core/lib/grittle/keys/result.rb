# frozen_string_literal: true

module Grittle
  module Keys
    # What a key makes of a set of observations.
    #
    #   outcomes           [[code, weight], …] most weight first; weights add up to 1; empty while a question is open
    #   possible           codes the key can still end at
    #   path               [{ "question", "answer", "text", … }, …] in the order the key asked
    #   next_question      the observation the key asks for next, or nil
    #   disagreeing_tests  observations that contradict the outcome
    #   notes              [{ "rule", "sentence" }, …] what to know beside the outcome
    Result = Struct.new(:key, :system, :outcomes, :possible, :path, :next_question, :on_the_limit,
                        :disagreeing_tests, :notes, :details, keyword_init: true) do
      # @return [NamedClass, nil] the outcome with the most weight
      def first = outcomes.empty? ? nil : NamedClass.new(key: key, system: system, code: outcomes.first.first)

      # @return [Hash] as on the wire
      def to_h
        {
          "key" => key, "system" => system,
          "outcomes" => outcomes.map { |code, weight| { "code" => code, "weight" => weight.round(3) } },
          "possible" => possible, "path" => path, "next_question" => next_question,
          "on_the_limit" => on_the_limit, "disagreeing_tests" => disagreeing_tests, "notes" => notes
        }.merge(details || {})
      end
    end
  end
end
