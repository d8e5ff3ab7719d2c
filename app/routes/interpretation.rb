# frozen_string_literal: true

module Routes
  # What a profile means for water, roots and work.
  module Interpretation
    # What a person may assume, and within what.
    ASSUMED = {
      "amount_mm" => 0..500, "root_depth_cm" => 1..1000, "daily_mm" => 0.1..50, "share" => 0.05..1,
      "efficiency" => 0.05..1, "rate_mm_h" => 0.1..1000, "organic_matter" => 0..100, "density_factor" => 0.9..1.3
    }.freeze
    OF_HORIZON = %w[organic_matter density_factor].freeze

    def self.registered(app)
      app.get "/api/profiles/:id/interpretation" do
        profile = fieldbook.profiles.preload(Fieldbook::WITH_READINGS).find(params[:id])
        horizon = params["horizon_id"] && profile.horizons.find { |one| one.id == params["horizon_id"].to_i }
        taken_for = horizon && params["taken_for"].presence ? { horizon.id => params["taken_for"] } : {}
        answer profile.interpret(assumed: Interpretation.assumed(params, horizon), what_if: taken_for)
      end
    end

    # @param params [Hash{String=>Object}]
    # @param horizon [Horizon, nil] whose organic matter and packing are meant
    # @return [Hash{String=>Object}] as Profile#interpret has it
    # @raise [Grittle::InvalidInput]
    def self.assumed(params, horizon)
      asked = params.slice(*ASSUMED.keys).transform_values { |text| Float(text, exception: false) || text }
      given = Grittle::Compute::Given.new(asked)
      read = asked.keys.to_h { |name| [name, given.number(name, range: ASSUMED.fetch(name))] }
      own = read.slice(*OF_HORIZON)
      read.except(*OF_HORIZON).merge(horizon && own.any? ? { "horizons" => { horizon.designation => own } } : {})
    end
  end
end
