# frozen_string_literal: true

module Grittle
  module Companions
    # A crumb in still water, looked at four times; what it comes to is Profiles::CrumbTest's. A ball of the same soil
    # that was remoulded wet is looked at alike, and only tells whether it disperses.
    class Crumb < AtPlace
      READ = %w[slaking dispersion].freeze
      LABELS = ["First look", "Second look", "Provisional class", "Last look"].freeze

      # Once the class is decided the rest of the looks is not asked for.
      def due
        all = FIGURES["crumb_looks"].zip(LABELS).map { |at, label| fixed(at, label) }
        done? ? all.select { |due| due.minutes <= (minutes.max || 0) * (1 + FIGURES["look_within"]) } : all
      end

      # @return [Boolean] whether it is a remoulded ball
      def remoulded? = self["remoulded"] == true

      def said
        return "no look yet" unless read?
        return test.sentence unless remoulded?

        "remoulded, #{milky? ? 'it disperses' : 'clear so far'}"
      end

      def advice
        return test.advice unless remoulded?

        milky? ? "Write at its crumb: remoulded, it disperses." : "Still clear after 20 h: write at its crumb so."
      end

      def done? = remoulded? ? milky? : %w[decided void].include?(test.state)
      def void? = !remoulded? && test.state == "void"

      def figures
        return { "remoulded_disperses" => milky? } if remoulded?

        { "classes" => test.classes, "state" => test.state, "dispersive" => test.dispersive? }
      end

      def self.together(crumbs)
        milky = crumbs.select { |crumb| crumb.read? && crumb.figures["dispersive"] }
        return [] if milky.empty?

        ["Dispersive #{milky.filter_map { |crumb| crumb.where['name'] }.join(', ')}: a warning for dams, tunnels and " \
         "effluent."]
      end

      private

      def milky? = looks.any? { |look| %w[some complete].include?(look["dispersion"]) }
      def test = @test ||= Profiles::Findings.crumb(looks)
    end
  end
end
