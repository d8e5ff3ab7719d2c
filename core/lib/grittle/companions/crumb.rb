# frozen_string_literal: true

module Grittle
  module Companions
    # A crumb in still water, looked at four times; what it comes to is Profiles::CrumbTest's.
    class Crumb < AtPlace
      READ = %w[slaking dispersion].freeze
      LABELS = ["First look", "Second look", "Provisional class", "Last look"].freeze

      # Once the class is decided the rest of the looks is not asked for.
      def due
        all = FIGURES["crumb_looks"].zip(LABELS).map { |at, label| fixed(at, label) }
        done? ? all.select { |due| due.minutes <= (minutes.max || 0) * (1 + FIGURES["look_within"]) } : all
      end

      def said = read? ? test.sentence : "no look yet"
      def advice = test.advice
      def done? = %w[decided void].include?(test.state)
      def void? = test.state == "void"
      def figures = { "classes" => test.classes, "state" => test.state, "dispersive" => test.dispersive? }

      def self.together(crumbs)
        milky = crumbs.select { |crumb| crumb.read? && crumb.send(:test).dispersive? }
        return [] if milky.empty?

        ["Dispersive #{milky.filter_map { |crumb| crumb.where['name'] }.join(', ')}: a warning for dams, tunnels and " \
         "effluent."]
      end

      private

      def test = @test ||= Profiles::Findings.crumb(looks)
    end
  end
end
