# frozen_string_literal: true

module Grittle
  module Companions
    # A penetrometer pushed in several times at one depth: the middle one counts.
    class ProbeAtDepth < AtPlace
      READ = %w[mpa].freeze
      BAD = {
        "dry" => [:void, "Dry ground reads hard whatever its packing: wait until it is moist."],
        "stone" => [:doubt, "A stone was hit: push again 30 cm aside; that push does not count."]
      }.freeze
      # MPa that a hand pushes at most. [common practice]
      READ_TO = 5
      WORDS = { "free" => "roots grow freely", "slowed" => "roots are slowed",
                "stopped" => "roots are stopped, but for cracks" }.freeze

      def said
        return super unless median

        count = "#{pushes.size} #{pushes.size == 1 ? 'push' : 'pushes'}"
        "#{Units.number(median.round(2))} MPa, #{WORDS.fetch(grade)} (#{count})"
      end

      def advice
        return if done?

        "Push #{FIGURES['pushes']} times, a hand apart, in moist ground: the middle one counts."
      end

      def scales = { "mpa" => [0, READ_TO, 0.1] }
      def done? = pushes.size >= FIGURES["pushes"]
      def figures = median ? { "median_mpa" => median.round(2), "pushes" => pushes.size, "grade" => grade } : {}

      # @return [Float, nil] MPa
      def median
        return if pushes.empty?

        sorted = pushes.sort
        (sorted[(sorted.size - 1).div(2)] + sorted[sorted.size.div(2)]) / 2.0
      end

      # @return [String] of WORDS
      def grade = FIGURES["probe_mpa"].find { |_, under| under.nil? || median < under }.first

      def self.together(places)
        read = places.reject(&:void?).select(&:median).sort_by { |one| one.where["depth_cm"] || 0 }
        limit = FIGURES["probe_mpa"]["slowed"]
        read.each_with_index.filter_map do |place, at|
          softer = read.drop(at + 1).any? { |below| below.median <= place.median - FIGURES["pan_less"] }
          if place.median > limit && softer
            "A pan at #{place.where['name']}: harder than #{limit} MPa, and softer below."
          end
        end
      end

      private

      def pushes = looks.reject { |look| look["stone"] }.filter_map { |look| look["mpa"] }

      # A stone speaks of its own push alone.
      def bad
        BAD.select { |name, _| name == "stone" ? looks.any? { |look| look["stone"] } : self[name] == true }.values
      end
    end
  end
end
