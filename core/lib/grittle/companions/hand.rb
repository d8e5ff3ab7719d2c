# frozen_string_literal: true

module Grittle
  # Companion tests: what their looks come to.
  module Companions
    # What the hand says of a layer, for a companion test to stand beside: shares, how fast water would go, what its
    # clay would do.
    # @param estimate [Evidence::Estimate]
    # @param named [NamedClass, nil] that was assigned
    # @return [Hash{String=>Object}, nil] "name", "sand", "silt", "clay", "ksat" {p10, p90}, "shrink_swell"; nil where
    #   nothing was felt
    def self.hand(estimate, named)
      return if estimate.empty?

      given = named&.texture? ? estimate.given(named) : estimate
      figures = Consequences::HorizonFigures.new(estimate, assigned: named)
      ksat = figures.ksat
      claim = Consequences::Claim.of(figures.categories(Consequences["shrink_swell"]))
      means = given.margins.moments.transform_values { |mean, _| mean.round(1) }.transform_keys(&:to_s)
      name = named&.name || Grittle.triangle("usda")[figures.likeliest].name
      { "name" => name, **means.slice("sand", "silt", "clay"),
        "ksat" => ksat && { "p10" => ksat.p10, "p90" => ksat.p90 }, "shrink_swell" => Consequences::Claim.say(claim) }
    end
  end
end
