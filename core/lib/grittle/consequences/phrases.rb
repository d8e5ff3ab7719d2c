# frozen_string_literal: true

module Grittle
  module Consequences
    # What people say of soils by their class. [common practice] Of the class that was assigned: the estimate only says
    # how surely.
    module Phrases
      COLUMNS = { "S" => 0, "LS" => 0, "SL" => 1, "L" => 2, "SIL" => 3, "SI" => 3, "SCL" => 4, "CL" => 4, "SICL" => 4,
                  "SC" => 5, "SIC" => 5, "C" => 5 }.freeze
      ROWS = {
        "water" => ["holds little water", "holds some water", "holds much water", "holds most water",
                    "holds much water, part of it tightly", "holds much water, part of it out of reach"],
        "rain" => ["rain is taken at once", "rain is taken fast", "rain is taken readily",
                   "rain is taken until it crusts", "rain is taken slowly", "rain runs off once cracks close"],
        "wetness" => ["dries first", "drains well", "drains fairly", "drains slowly", "stays wet for days",
                      "waterlogs"],
        "spring" => ["early in spring", "early in spring", "middling in spring", "late in spring if wet",
                     "late in spring", "late and cold in spring"],
        "nutrients" => ["few nutrients, and they leach: little and often", "some nutrients",
                        "a good store of nutrients", "a good store of nutrients", "a large store of nutrients",
                        "the largest store of nutrients, given slowly"],
        "working" => ["can be worked nearly always", "can be worked soon after rain", "has a wide window for work",
                      "turns dusty dry and smears wet", "has a narrow window for work", "gives clods dry, smears wet"],
        "wheels" => ["wheels do little harm", "wheels pack it dense", "wheels harm it if wet",
                     "wheels harm it easily", "wheels harm it if wet", "wheels harm it long if wet"],
        "surface" => ["blows", "crusts lightly", "crusts some", "crusts and washes", "washes some", "sheds water"],
        "suits" => ["suits early and root crops", "suits vegetables", "suits nearly all", "suits cereals and grass",
                    "suits cereals and grass", "suits grass and trees; outlasts drought once wet"],
        "help" => ["organic matter, mulch and small waterings help", "organic matter helps", "organic matter helps",
                   "cover and organic matter help", "organic matter and beds help",
                   "organic matter, drains, beds and dry work help"]
      }.freeze

      module_function

      # @param code [String] USDA class
      # @return [Hash{String=>String}] by subject
      def of(code) = ROWS.transform_values { |row| row[COLUMNS.fetch(code)] }
    end
  end
end
