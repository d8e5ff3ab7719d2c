# frozen_string_literal: true

module Exchange
  # What profiles mean for water, roots and work, as one CSV table: a line a figure of a horizon, a limit, the water of
  # a profile, what a companion test found.
  class InterpretationTable
    MEDIA_TYPE = "text/csv; charset=utf-8"
    MOST = 60
    COLUMNS = %w[site profile horizon upper_cm lower_cm what unit middle low high says one_class_away source].freeze

    # @param scope [Scope]
    # @raise [Grittle::InvalidInput] for more profiles than a table holds
    def initialize(scope)
      @profiles = scope.relation(Tables::BY_NAME["profiles"]).order(:site_id, :id).limit(MOST + 1)
                       .preload(Profile::WITH_READINGS).to_a
      return if @profiles.size <= MOST

      raise Grittle::InvalidInput,
            [Grittle::Problem.new(pointer: "/of", sentence: "The table holds #{MOST} profiles: export one site.")]
    end

    # @yieldparam piece [String]
    def each
      yield line(COLUMNS)
      @profiles.each do |profile|
        rows(profile).each { |row| yield line([profile.site.name, profile.name, *row]) }
      end
    end

    private

    def rows(profile)
      found = profile.interpret
      found["horizons"].flat_map { |horizon| horizon["figures"].map { |one| figure(horizon, one) } } +
        found["limits"].map { |one| limit(one) } + found["tests"].map { |one| test(one) } + [water(found["water"])]
    end

    def figure(horizon, one)
      [*horizon.values_at("designation", "upper_cm", "lower_cm"), one["label"], one["unit"],
       *one.values_at("p50", "p10", "p90"), [one["claim"], one["problem"]].compact.join("; "),
       one["one_class_off"]["verdict"], one["source"]]
    end

    def limit(one)
      says = [one["reason"], one["roots"] && "roots: #{one['roots']}", one["water"] && "water: #{one['water']}"]
      [nil, one["depth_cm"], nil, "Limit", nil, nil, nil, nil, says.compact.join(" "), nil, nil]
    end

    def test(one)
      [one["horizon"], nil, nil, "#{one['title']}, #{one['name']}", nil, nil, nil, nil,
       [one["said"], one["beside"], *one["problems"]].compact.join(". "), nil, "companion test"]
    end

    def water(found)
      [nil, 0, found["to_cm"], "Water that plants can take, to the root limit", "mm",
       *found.values_at("mean", "p10", "p90"), found["why"], nil, "Saxton & Rawls 2006"]
    end

    # A text that a spreadsheet would run is written as text, as in the other tables.
    def line(cells) = CSV.generate_line(cells.map { |cell| cell.is_a?(String) ? Cells.guard(cell) : cell })
  end
end
