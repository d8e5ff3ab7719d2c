# frozen_string_literal: true

module Grittle
  module Keys
    # What to know about a ribbon set beside the class it leads to, as rules with a sentence each.
    module RibbonNotes
      # mm; a mean under half an inch is hardly a ribbon.
      NEAR_STUB_MM = Data::RIBBONS["near_stub"]

      # mm a ribbon may be wider or narrower than a school's before it is marked.
      WIDTH_OFF_MM = Data::RIBBONS["width_off"]

      # mm over which a ribbon's thickness is worth asking.
      ASK_THICKNESS_OVER_MM = Data::CONTRADICTIONS["ask_thickness_over"]

      module_function

      # @param set [RibbonSet] with at least one length
      # @param unit [String] of lengths in sentences
      # @param stub [Boolean, nil] whether a short ribbon may be none: the ball holds, and the soil is not smooth
      # @return [Array<Hash>] "rule" and "sentence"
      def for(set, unit:, stub: true)
        lengths = set.counted.map(&:length_mm)
        [
          [stub && near_stub?(set), "near_stub",
           "#{say(set.mean, unit)} is near the limit between loamy sand and sandy loam: a stub no longer than the " \
           "thumb's " \
           "own squeeze is hardly a ribbon."],
          [set.count == 1, "one_ribbon", "One ribbon only. Make a second: agreement is the sign of a good result."],
          [set.drifting?, "drifting",
           "The ribbons grow with working, from #{say(lengths.first, unit)} to #{say(lengths.last, unit)}. Work it " \
           "until " \
           "they stop growing, and take back the early ones if they should not count."],
          [set.uneven?, "uneven_thickness",
           "The ribbons differ in thickness by more than #{say(RibbonSet::EVEN_THICKNESS_MM, 'mm')}: their lengths " \
           "cannot " \
           "be compared."],
          [set.counted.any?(&:never_broke?), "never_broke",
           "A ribbon that never broke is too thick. Its length is a lower bound: push a thinner one."],
          [set.mean > ASK_THICKNESS_OVER_MM && set.counted.none?(&:thickness_mm), "how_thick",
           "Over #{say(ASK_THICKNESS_OVER_MM, unit)}, as heavy clay makes them. How thick were they? Two to three mm " \
           "is usual."]
        ].filter_map { |holds, rule, sentence| { "rule" => rule, "sentence" => sentence } if holds }
      end

      # A ribbon of another shape than the school's is used all the same, never converted, and marked.
      # @param set [RibbonSet, nil]
      # @param thickness_mm, width_mm [Range, Numeric, nil] as the school wants it; nil where it does not say
      # @return [Hash, nil] "rule" and "sentence"
      def geometry(set, thickness_mm, width_mm = nil)
        return unless set

        off = [*off(set.counted.map(&:thickness_mm), thickness_mm, "thick"),
               *off(
                 set.counted.map(&:width_mm),
                 width_mm && ((width_mm - WIDTH_OFF_MM)..(width_mm + WIDTH_OFF_MM)),
                 "wide",
                 width_mm
               )]
        return if off.empty?

        {
          "rule" => "not_this_schools_ribbon",
          "sentence" => "Not this school's ribbon: it wants one #{off.join(' and ')}."
        }
      end

      # @return [Array<String>] what is wanted, where a measure is outside it
      def off(measures, range, word, wanted = nil)
        return [] if range.nil? || measures.compact.all? { |measure| range.cover?(measure) }

        ["#{wanted || [range.begin, range.end].compact.map { |mm| Units.number(mm) }.join(' to ')} mm #{word}"]
      end
      private_class_method :off

      # @return [Boolean]
      def near_stub?(set) = NEAR_STUB_MM.cover?(set.mean)

      # @return [String] a length as it is spoken of: whole mm, or as the other units are read
      def say(millimetres, unit) = Units.say(unit == "mm" ? millimetres.round : millimetres, unit)
    end
  end
end
