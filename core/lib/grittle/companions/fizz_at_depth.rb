# frozen_string_literal: true

module Grittle
  module Companions
    # A drop of acid at one depth of a series.
    class FizzAtDepth < AtPlace
      READ = %w[effervescence].freeze
      BAD = {}.freeze

      def due = [fixed(FIGURES["fizz_min"], "Look and listen")]
      def said = read? ? Profiles::Findings.say("fizz", looks) : super
      def done? = read?
      def fizzes? = read? && self["effervescence"] != "none"

      def problems
        [("Only once it was crushed: dolomite fizzes slowly." if self["only_crushed"]),
         (if read? && !fizzes? && !self["acid_tried"]
            "No effervescence: try the acid on a piece of lime first."
          end)].compact
      end

      def advice
        "Specks that do not fizz are white clay or gypsum." if read? && !fizzes? && self["specks"]
      end

      def self.together(places)
        read = places.select(&:read?).sort_by { |one| one.where["depth_cm"] || 0 }
        first = read.find(&:fizzes?)
        return [] if read.empty?

        [first ? "Effervescence from #{first.where['name']} down." : "No effervescence as deep as it was tried."]
      end
    end
  end
end
