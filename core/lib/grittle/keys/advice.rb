# frozen_string_literal: true

module Grittle
  module Keys
    # What to do about a limit of the key that a ribbon set's interval still holds.
    module Advice
      module_function

      # @param set [RibbonSet, nil]
      # @param tiers [Tiers] the scale of lengths the key reads
      # @param unit [String] unit of lengths in sentences
      # @return [Hash, nil] "state", "limit_mm" (nil when no limit is held) and "sentence"; nil without a length
      def for(set, tiers, unit)
        return if set.nil? || set.empty?

        limit = tiers.undecided(set).reject { |held| held.mm.zero? }.min_by { |held| (held.mm - set.mean).abs }
        return clear(set, tiers) unless limit

        said = RibbonNotes.say(limit.mm, unit)
        state, sentence =
          case set.count
          when 1..2 then ["make_another", "Make another: the interval still holds #{said}."]
          when 3..4 then ["one_more", "One more may settle it: the interval holds #{said}."]
          else ["on_the_limit", "On the limit of #{said}: both classes are named."]
          end
        { "state" => state, "limit_mm" => limit.mm, "sentence" => sentence }
      end

      def clear(set, tiers)
        if set.count == 1
          sentence = "Make a second ribbon to be sure of it."
          return { "state" => "make_another", "limit_mm" => nil, "sentence" => sentence }
        end

        sentence = tiers.limits.empty? ? "This key has no limit of length." : "Clear of every limit of this key."
        { "state" => "clear", "limit_mm" => nil, "sentence" => sentence }
      end
      private_class_method :clear
    end
  end
end
