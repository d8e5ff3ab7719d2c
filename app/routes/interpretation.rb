# frozen_string_literal: true

module Routes
  # What a profile means for water, roots and work.
  module Interpretation
    # From what consequences are reckoned.
    FROM = { "hand" => "What the hand felt", "laboratory" => "The laboratory’s result" }.freeze
    # What a person may assume of the profile, and within what.
    ASSUMED = {
      "amount_mm" => 0..500, "root_depth_cm" => 1..1000, "daily_mm" => 0.1..50, "share" => 0.05..1,
      "efficiency" => 0.05..1, "rate_mm_h" => 0.1..1000
    }.freeze
    # Of horizons, as ID:NUMBER with commas between.
    OF_HORIZON = {
      "organic_matter" => 0..100, "density_factor" => Range.new(*Grittle::Consequences::FIGURES["packing"])
    }.freeze

    def self.registered(app)
      app.get "/api/profiles/:id/interpretation" do
        profile = fieldbook.profiles.preload(Profile::WITH_READINGS).find(params[:id])
        taken_for = params["taken_for"].presence ? { params["horizon_id"].to_i => params["taken_for"] } : {}
        from = params["from"].presence || "hand"
        ApplicationRecord.one_of(:from, from, FROM)
        found = profile.interpret(assumed: Interpretation.assumed(params, profile.horizons), what_if: taken_for,
                                  table: Interpretation.table(params, fieldbook), from: from)
        answer found.merge("measured" => profile.horizons.any?(&:laboratory_result))
      end
    end

    # @param params [Hash{String=>Object}]
    # @param horizons [Array<Horizon>]
    # @return [Hash{String=>Object}] as Profile#interpret has it
    # @raise [Grittle::InvalidInput]
    def self.assumed(params, horizons)
      of_profile = params.slice(*ASSUMED.keys)
      numbers(of_profile, ASSUMED).merge("horizons" => of_horizons(params, horizons))
    end

    # Depths that a table is looked up between, cm.
    TABLE = { "base_cm" => 0..1000, "interest_cm" => 1..1000 }.freeze

    # @return [Hash{String=>Object}, nil] the assessor's own table that was asked for
    def self.table(params, fieldbook)
      return unless params["table_id"].to_s.match?(/\A\d+\z/)

      depths = numbers(params.slice(*TABLE.keys).reject { |_, text| text.strip.empty? }, TABLE)
      fieldbook.assessor_tables.find(params["table_id"]).describe(**depths.transform_keys(&:to_sym))
    end

    def self.of_horizons(params, horizons)
      horizons.each_with_object({}) do |horizon, found|
        own = params.slice(*OF_HORIZON.keys).transform_values do |text|
          text[/(?:\A|,)#{horizon.id}:([^,]*)/, 1].presence
        end
        found[horizon.designation] = numbers(own.compact, OF_HORIZON) if own.compact.any?
      end
    end

    def self.numbers(texts, ranges)
      given = Grittle::Compute::Given.new(texts.transform_values { |text| Float(text, exception: false) || text })
      texts.keys.to_h { |name| [name, given.number(name, range: ranges.fetch(name))] }
    end
    private_class_method :of_horizons, :numbers
  end
end
