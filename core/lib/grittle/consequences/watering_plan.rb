# frozen_string_literal: true

module Grittle
  module Consequences
    # How much to water, how often and how long, at the middle and the ends of what the soil may hold. Frozen.
    class WateringPlan
      # The most that a band of intake takes, mm/h.
      INTAKE_MOST = { "over 30" => nil, "20 to 30" => 30, "10 to 20" => 20, "5 to 10" => 10, "1 to 5" => 5 }.freeze

      # @param given [Hash{String=>Object}] "share", "daily_mm", "adjust_share", "efficiency", "rate_mm_h"
      # @param totals [Hash{String=>Float}] mm that plants can take to the root depth, by "mean", "p10" and "p90"
      # @param top [HorizonFigures, nil] of the first horizon
      def initialize(given, totals, root_depth_cm:, top:)
        @given = given
        @plans = totals.transform_values { |total| plan(total) }
        @root_depth_cm = root_depth_cm
        @top = top
        freeze
      end

      # @return [Hash{String=>Object}] "root_depth_cm", "share", "plans" by point, "warning", and what was given
      def to_h
        { "root_depth_cm" => @root_depth_cm, "share" => @plans["mean"].share,
          "plans" => @plans.transform_values { |one| shown(one) }, "warning" => too_fast,
          **@given.slice("daily_mm", "efficiency", "rate_mm_h") }
      end

      private

      def plan(total)
        Irrigation.new(total_mm: total, share: @given["share"], daily_mm: @given["daily_mm"],
                       adjust: @given["adjust_share"] || false, efficiency: @given["efficiency"],
                       rate_mm_h: @given["rate_mm_h"])
      end

      def shown(plan)
        { "total_mm" => plan.total_mm.round(1), "net_mm" => plan.net_mm.round(1),
          "interval_days" => plan.interval_days, "gross_mm" => plan.gross_mm.round(1), "hours" => plan.hours&.round(1) }
      end

      def too_fast
        rate = @given["rate_mm_h"]
        return unless rate && @top

        band = @top.categories(Consequences["intake"]).max_by(&:last).first
        most = INTAKE_MOST[band]
        "It takes about #{band} mm/h once wet: what is given faster runs off." if most && rate > most
      end
    end
  end
end
