# frozen_string_literal: true

module Grittle
  # What the trade says at a glance: cross-checks, never a class on their own. [common practice, no source]
  module RulesOfThumb
    THREE_INCHES = Data::RULES_OF_THUMB["three_inches"]
    HALF_INCH = Data::RULES_OF_THUMB["half_inch"]

    # name => [when it applies, what it says]; o = observations, mean = mm or nil
    RULES = {
      "thumbprint" => [->(o, _) { o["thumbprint"] == true }, "Takes a thumbprint: about 20 % clay or more."],
      "toss_breaks" => [
        ->(o, _) { o["toss"] == "breaks" },
        "The ball breaks when it is tossed and caught: sand or loamy sand."
      ],
      "over_three_inches" => [
        ->(_, mean) { mean && mean > THREE_INCHES },
        "A ribbon over 75 mm: over 40 % clay, perhaps 50 %."
      ],
      "half_inch" => [
        ->(_, mean) { mean && mean >= HALF_INCH },
        "A ribbon of half an inch or more: a sandy loam or finer."
      ],
      "clods_shatter" => [
        ->(o, _) { o["dry_clod"] == "loose" },
        "Dry clods that shatter to single grains: very little clay."
      ],
      "gritty_guess" => [->(o, _) { o["wet_rub"] == "very_gritty" }, "Gritty, as a last guess: sandy loam."],
      "smooth_guess" => [->(o, _) { o["wet_rub"] == "very_smooth" }, "Smooth, as a last guess: silt loam."],
      "sticky_guess" => [
        ->(o, _) { %w[moderately very].include?(o["stickiness"]) },
        "Sticky, as a last guess: clay loam."
      ]
    }.each_value(&:freeze).freeze

    # @param observations [Observations]
    # @param clear [Boolean] whether the key has come to one class: then they keep quiet
    # @return [Array<Hash>] "rule" and "sentence" of those that apply
    def self.for(observations, clear: false)
      return [] if clear

      set = observations.ribbon_set
      mean = set.mean unless set.nil? || set.empty?
      RULES.filter_map do |name, (applies, sentence)|
        { "rule" => name, "sentence" => sentence } if applies.call(observations, mean)
      end
    end
  end
end
