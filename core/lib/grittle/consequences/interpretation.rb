# frozen_string_literal: true

module Grittle
  module Consequences
    # What a described profile means for water, roots and work: for each horizon and down the profile, with how surely.
    # A hash in, a hash out.
    #
    #   as Profiles::ReadDown has it, where each reading has "observations" and "method", each horizon may have "tests"
    #   (see FoundTests), and further
    #   "table"    the assessor's own: "rows" and "limiting" (see AssessorTable), "name", "authority", "dated_on",
    #              "base_cm", "interest_cm"
    #   "seen"     fields of Entry::Fields::PROFILE
    #   "assumed"  "root_depth_cm", "amount_mm", "daily_mm", "share", "efficiency", "rate_mm_h"; per horizon
    #              "organic_matter" and "density_factor"
    class Interpretation
      # Percent clay, within which of two classes neither is called the finer. [our own]
      ALIKE_CLAY = 3
      USUAL = { "amount_mm" => 25, "share" => 0.5, "efficiency" => 0.75, "daily_mm" => 5 }.freeze
      PERCENT = /\A\s*(\d+(?:[.,]\d+)?)\s*%?\s*\z/
      # cm under which a horizon is no topsoil.
      TOPSOIL_CM = FIGURES["organic_by_depth"].first.first
      # cm that a class of the water of a profile is of.
      CLASSED_TO = 150

      # One horizon with what follows from it; figures is nil where it has no texture.
      # +from+: whether it is reckoned from the hand or from a laboratory's result.
      Layer = Struct.new(:described, :figures, :assumed, :organic_matter, :by, :tests, :from, keyword_init: true) do
        # What is said of it: of organic carbon only where it is known, and in topsoil.
        # @return [Array<Consequence>]
        def consequences
          return [] unless figures
          return ALL.values unless assumed || described.depths.upper >= TOPSOIL_CM

          ALL.values - [Consequences["carbon"]]
        end

        # @return [Float] share of the volume
        def fragments = (described.seen["fragments_percent"] || 0) / 100.0
      end

      # @param profile [Hash{String=>Object}]
      # @param estimates [#call, nil] from observations, curve and hand to an Evidence::Estimate, so that one there is
      #   is not worked out again
      # @raise [InvalidInput]
      def initialize(profile, estimates: nil)
        @down = Profiles::ReadDown.new(profile)
        @profile = profile
        @seen = profile["seen"] || {}
        @given = USUAL.merge((profile["assumed"] || {}).compact)
        @estimates = estimates || Interpretation.method(:estimate)
        tests = profile["horizons"].map { |horizon| horizon["tests"] }
        @layers = @down.speaking.zip(tests).map { |(described, reading), found| layer(described, reading, found) }
      end

      # @param observations [Hash{String=>Object}]
      # @param curve [String]
      # @param hand [Hash{String=>Object}, nil] of who felt it, as Practice::OwnHand#to_h
      # @return [Evidence::Estimate]
      def self.estimate(observations, curve, hand = nil)
        own = hand && Practice::OwnHand.new(hand)
        Evidence::Estimate.new(Observations.new(observations), curve: own&.curve || curve,
                                                               model: own&.model || Evidence::STANDARD)
      end

      # @return [Hash{String=>Object}] "horizons", "matters", "limits", "water", "wetting", "irrigation", "groups",
      #   "downward_mm_h", "tests", "table", and what ReadDown says of "perching", "sandwiches" and "wetness"
      def to_h
        {
          "horizons" => @layers.map { |layer| horizon(layer) },
          "matters" => matters,
          "limits" => limits.map { |limit| limit.to_h.transform_keys(&:to_s) },
          "water" => water,
          "wetting" => wetting,
          "irrigation" => irrigation,
          "groups" => groups,
          "downward_mm_h" => downward,
          "tests" => @layers.flat_map { |layer| layer.tests.to_a },
          "table" => table,
          "assumed" => @given.except("horizons")
        }.merge(@down.to_h.slice("perching", "sandwiches", "wetness"))
      end

      private

      def layer(described, reading, tests)
        depths = described.depths
        told = described.seen["organic_matter"].to_s[PERCENT, 1]&.tr(",", ".")&.to_f
        organic = given_of(described, "organic_matter") || told ||
                  Consequences.assumed_organic_matter(depths.upper, depths.lower)
        Layer.new(described: described, figures: figures(described, reading, organic), organic_matter: organic,
                  tests: found(tests, described, reading), by: reading&.values_at("by", "day"),
                  from: reading && reading["laboratory"] ? "laboratory" : "hand",
                  assumed: told.nil? && given_of(described, "organic_matter").nil?)
      end

      def found(tests, described, reading)
        hand = Companions.hand(estimated(reading || {}), described.named) if tests&.any?
        FoundTests.new(tests, described.designation, hand)
      end

      # What the person assumes of one horizon, by its designation.
      def given_of(described, name) = (@given["horizons"] || {}).dig(described.designation, name)

      def figures(described, reading, organic)
        return if described.organic?

        estimate = estimated(reading || {})
        return if estimate.empty? && described.named.nil?

        more = { organic_matter: organic, fragments: (described.seen["fragments_percent"] || 0) / 100.0,
                 density_factor: given_of(described, "density_factor") || 1.0 }
        estimate.keep([described.named&.to_h, more]) { HorizonFigures.new(estimate, assigned: described.named, **more) }
      end

      # What the laboratory found takes the place of what was felt where it is given.
      def estimated(reading)
        found = reading["laboratory"]
        return Practice::MeasuredEstimate.new(*found.values_at("percents", "sds")) if found

        method = (reading["method"] || {}).transform_keys(&:to_s)
        @estimates.call(reading["observations"] || {}, method["curve"] || Curves::DEFAULT, reading["hand"])
      end

      def horizon(layer)
        described = layer.described
        {
          "designation" => described.designation, "upper_cm" => described.depths.upper,
          "lower_cm" => described.depths.lower, "named" => described.named&.describe,
          "from" => layer.from, "organic_matter" => { "percent" => layer.organic_matter, "assumed" => layer.assumed },
          "fragments_percent" => described.seen["fragments_percent"],
          "held" => held(layer), "parts" => layer.figures&.parts,
          "neighbours" => neighbours(layer),
          "figures" => layer.consequences.map { |one| figure(layer, one) },
          "phrases" => phrases(layer)
        }
      end

      # The classes one step away, in the USDA's names, the coarsest first: for what would follow from them.
      def neighbours(layer)
        code = layer.figures&.likeliest or return []
        own = NamedClass.new(system: "usda", code: code)
        found = own.neighbours.sort_by { |one| one.middle.clay }
        found.map do |one|
          more = one.middle.clay - own.middle.clay
          { "code" => one.code, "name" => one.name, "finer" => (more.positive? if more.abs > ALIKE_CLAY) }
        end
      end

      # mm of water in the whole horizon: what plants can take, with its range, and what is out of their reach.
      def held(layer)
        return unless figured?(layer)

        spread = layer.figures.spread(Consequences["available_water"])
        thick = (layer.described.depths.lower - layer.described.depths.upper) / 10.0
        %w[p10 p50 p90].to_h { |point| [point, (spread.public_send(point) * thick).round(1)] }
                       .merge("out_of_reach" => (layer.figures.out_of_reach_mm * thick).round(1))
      end

      def figure(layer, consequence)
        odds = layer.figures.categories(consequence)
        claim = Claim.of(odds) unless odds.empty?
        {
          "id" => consequence.id, "label" => consequence.label, "unit" => consequence.unit,
          "source" => consequence.source, "says" => consequence.says,
          "measured" => layer.tests.measured(consequence.id), **values(layer, consequence),
          "categories" => categories(odds),
          "claim" => claim && Claim.say(claim), "strength" => claim && claim["strength"],
          "one_class_off" => layer.figures.one_class_off(consequence).to_h
        }
      end

      def categories(odds)
        odds.zip(Percents.of(odds.values)).map do |(name, share), percent|
          { "name" => name, "share" => share.round(3), "percent" => percent }
        end
      end

      def values(layer, consequence)
        return {} if consequence.by_class?

        found = consequence.id == "ksat" ? layer.figures.ksat : layer.figures.spread(consequence)
        plain = layer.figures.spread(consequence)
        shown = !found.nil? && plain.shown? && !plain.p50.nil?
        points = %w[p10 p50 p90].to_h { |point| [point, (found.public_send(point).round(4) if shown)] }
        points.merge("outside" => plain.outside.round(3), "problem" => (problem(layer, consequence) unless shown))
      end

      def problem(layer, consequence)
        return SoilWater::ORGANIC if layer.organic_matter > SoilWater::VALID_ORGANIC
        return SoilWater::STONY if layer.fragments > SoilWater::VALID_FRAGMENTS
        return SoilWater::TIGHT if consequence.id == "ksat" && figured?(layer)

        SoilWater::HEAVY
      end

      def phrases(layer)
        named = layer.described.named
        code = named && named.system == "usda" && Phrases::COLUMNS.key?(named.code) ? named.code : likeliest(layer)
        code ? Phrases.of(code) : {}
      end

      def likeliest(layer) = layer.figures&.likeliest

      # whether it matters to be one class away, over all horizons: the worst of each.
      def matters
        ALL.values.filter_map do |consequence|
          said_of = @layers.select { |layer| layer.consequences.include?(consequence) }
          next if said_of.empty?

          verdicts = said_of.map { |layer| [layer, layer.figures.one_class_off(consequence).verdict] }
          _, worst = verdicts.min_by { |_, verdict| OneClassOff::WORST.index(verdict) }
          those = verdicts.select { |_, verdict| verdict == worst }.map(&:first)
          { "id" => consequence.id, "label" => consequence.label, "verdict" => worst,
            "horizons" => those.map { |layer| layer.described.designation },
            "test" => (settling(those.first, consequence) if OneClassOff::TOLD.include?(worst)) }
        end
      end

      # What would tell most of it, of the first horizon where it matters.
      def settling(layer, consequence)
        found = layer.figures.settling(consequence) or return
        found.merge("horizon" => layer.described.designation)
      end

      def limits
        @limits ||= Limits.new(
          @layers.map do |layer|
            Limits::Seen.new(described: layer.described, ksat: layer.figures&.ksat&.p50,
                             code: layer.figures&.likeliest, tests: layer.tests)
          end,
          @seen,
          Profiles::Wetness.new(@layers.map(&:described))
        ).to_a
      end

      def seen_to = @layers.map { |layer| layer.described.depths.lower }.max || 0

      # @return [Array] cm, why, and whether the limit is only where the digging ended
      def root_limit
        given = @given["root_depth_cm"]
        return [given, "the depth you gave", false] if given

        stop = limits.find { |limit| limit.roots == "stops" }
        stop ? [stop.depth_cm, stop.reason, false] : [seen_to, "as deep as was seen", true]
      end

      def water
        depth, why, least = root_limit
        hinders = limits.find { |limit| limit.roots == "hinders" && limit.depth_cm < depth }
        {
          "to_cm" => depth, "why" => why, "at_least" => least, **sum(depth),
          "category" => category, "without" => lacking(depth),
          "hindered" => hinders && { "to_cm" => hinders.depth_cm, "why" => hinders.reason, **sum(hinders.depth_cm) },
          "roots_to_cm" => roots_to
        }
      end

      # @return [Hash{String=>Float}] mm to that depth
      def sum(depth)
        (@sums ||= {})[depth] ||= begin
          factors = figured.map do |layer|
            depths = layer.described.depths
            [[depths.lower, depth].min - depths.upper, 0].max / 10.0 * (1 - layer.fragments)
          end
          found = profile_water.over(factors)
          { "mean" => found.mean.round(1), "p10" => found.p10.round(1), "p90" => found.p90.round(1) }
        end
      end

      def profile_water
        @profile_water ||= ProfileWater.new(figured.map { |layer| layer.figures.part }, same_hand: same_hand?)
      end

      def figured = @figured ||= @layers.select { |layer| figured?(layer) }

      # The class of a profile's water is that of 150 cm: open where less was seen.
      def category
        return if seen_to < CLASSED_TO

        mm = sum(CLASSED_TO)["mean"]
        FIGURES["profile_water"].find { |_, under| under.nil? || mm < under }.first
      end

      def lacking(depth)
        found = @layers.reject { |layer| figured?(layer) || layer.described.depths.upper >= depth }
        found.map { |layer| layer.described.designation }
      end

      # Whether its water has a figure that is shown.
      def figured?(layer)
        spread = layer.figures&.spread(Consequences["available_water"])
        !spread.nil? && spread.shown? && !spread.p50.nil?
      end

      def roots_to
        rooted = @layers.reject { |layer| layer.described.seen.fetch("roots", "none") == "none" }
        rooted.map { |layer| layer.described.depths.lower }.max
      end

      # One hand on one day shares its bias over all horizons.
      def same_hand?
        by = @layers.select(&:figures).map(&:by)
        by.size > 1 && by.all? { |one| one&.first } && by.uniq.size == 1
      end

      # At the tenth, the middle and nine tenths of what each layer holds.
      def wetting
        amount = @given["amount_mm"]
        limit = root_limit.first * 10
        points = %i[p90 p50 p10].map { |point| Wetting.new(amount, water_layers(point), root_limit_mm: limit) }
        shallow, middle, deep = points
        { "amount_mm" => amount, "front_cm" => (middle.front_mm / 10).round(1),
          "range_cm" => [shallow.front_mm, deep.front_mm].map { |mm| (mm / 10).round(1) },
          "surplus_mm" => middle.surplus_mm.round(1), "further" => middle.further,
          "intake" => @layers.first&.figures && top_intake }
      end

      def top_intake
        odds = @layers.first.figures.categories(Consequences["intake"])
        Claim.say(Claim.of(odds))
      end

      def water_layers(point)
        depth = 0.0
        @layers.flat_map do |layer|
          depths = layer.described.depths
          gap = depths.upper - depth
          depth = depths.lower
          spread = layer.figures&.spread(Consequences["available_water"])
          own = WaterLayer.new(mm: (depths.lower - depths.upper) * 10.0, left: left(layer),
                               per_mm: (spread&.public_send(point) || 0.0) / 100)
          gap.positive? ? [WaterLayer.new(mm: gap * 10.0, per_mm: 0.0, left: 0.0), own] : [own]
        end
      end

      def left(layer) = FIGURES["left"].fetch(layer.described.seen["moisture"], 0.0)

      def irrigation
        depth, = root_limit
        WateringPlan.new(@given, sum(depth), root_depth_cm: depth, top: @layers.first&.figures).to_h
      end

      # What the assessor's own table says, where one was given.
      def table
        given = @profile["table"] or return

        rows = AssessorTable.new(given["rows"], limiting: given["limiting"] || "lowest")
        found = rows.look_up(@layers.map { |layer| for_table(layer) }, base_cm: given["base_cm"],
                                                                       interest_cm: given["interest_cm"])
        given.slice("name", "authority", "dated_on", "base_cm", "interest_cm").merge("rows" => found)
      end

      def for_table(layer)
        described = layer.described
        { designation: described.designation, upper_cm: described.depths.upper, lower_cm: described.depths.lower,
          seen: described.seen, grade: (described.named.code if described.named&.system == "australia"),
          odds: layer.figures ? layer.figures.classes_and_categories : {} }
      end

      def groups
        ProfileGroup.new(
          @layers,
          rock_cm: limits.find { |limit| limit.water == "stops" }&.depth_cm,
          water_cm: [@seen["water_table_cm"], Profiles::Wetness.new(@layers.map(&:described)).depth_cm].compact.min
        ).to_h
      end

      def downward
        layers = @layers.map { |layer| [layer.described.depths, layer.figures&.ksat&.p50] }
        return if layers.empty? || layers.any? { |_, ksat| ksat.nil? }

        Consequences.in_series(layers.map { |depths, ksat| [(depths.lower - depths.upper) * 10, ksat] }).round(2)
      end
    end
  end
end
