# frozen_string_literal: true

module Reports
  # The sections of a report that speak of one profile.
  class OfProfile
    U = Grittle::Units
    FIGURES = Grittle::Consequences.method(:figures)
    # What of a horizon is said elsewhere in its block.
    ELSEWHERE = %w[moist_colour dry_colour].freeze
    # Figures of every horizon that stand in the table of water and work, beside the range.
    TOLD = %w[available_water ksat intake nutrients shrink_swell working frost erodibility].freeze

    # @param profile [Profile]
    # @param report [Report]
    def initialize(profile, report)
      @profile = profile
      @report = report
      @layers = profile.horizons.to_a
      @down = profile.read_down
      @found = profile.interpret(assumed: report.assumed, table: report.table)
    end

    # @return [Array<Array>] title and blocks, in the order in which a reader asks
    def sections
      [
        ["Methods", [methods]], ["Column", [column]], ["Horizons", horizons], ["Texture contrast", [contrast]],
        ["Water", water], ["Limits", limits], ["Wetness", [list([@down["wetness"]["sentence"]])]],
        ["Companion tests", tests], ["Laboratory", laboratory],
        ["Authority's table", table],
        ["Not tested, assumed", [list(open)]], ["Classes that are not the key's", [list(overrides)]]
      ]
    end

    private

    def facts(rows) = { "kind" => "facts", "rows" => rows.reject { |_, value| value.blank? } }
    def list(items) = { "kind" => "list", "items" => items.compact }
    def text(said) = { "kind" => "text", "text" => said }
    def heading(said) = { "kind" => "heading", "text" => said }

    # @param widths [Array<Numeric>] shares of the page
    def table_of(head, rows, widths) = { "kind" => "table", "head" => head, "rows" => rows, "widths" => widths }
    def readings = @layers.flat_map(&:readings)

    def methods
      made = (readings.map(&:field_method).uniq.presence || [@profile.field_method]).map do |method|
        key = method.key_class
        parts = method.to_h
        curve = Grittle::Curves::ALL.find { |one| one.id == parts[:curve] }
        ["Key", [key::NAME, key::SOURCE, limits_of(parts), curve && "ribbon to clay: #{curve.name}",
                 "lengths in #{parts[:unit]}"].compact.join("; ")]
      end
      facts([*made, ["Rules", "Grittle #{Grittle::RULES_VERSION}"]])
    end

    def limits_of(parts)
      set = Grittle::Keys::LimitSets::ALL[parts[:limit_set]]
      set && "limits: #{set[:name]} (#{set[:source]})"
    end

    def column
      return text("No horizon was described.") if @layers.empty?

      classes = @layers.map { |layer| "#{layer.designation} #{layer.depths}: #{named(layer)}" }
      drawing = Exchange::ColumnSvg.new(Exchange::Scope.new("profile", @profile.id), height: 330)
      { "kind" => "column", "svg" => drawing.to_s,
        "alt" => "The column of #{@profile.name} to depth: #{classes.join('; ')}." }
    end

    def named(layer) = layer.class_given&.full_name || "not textured"

    def horizons
      @layers.zip(@found["horizons"], @down["horizons"]).flat_map do |layer, found, read|
        [heading("#{layer.designation}, #{layer.depths}: #{named(layer)}"), facts(horizon(layer, found, read))]
      end
    end

    def horizon(layer, found, read)
      speaks = layer.speaks
      verdict = layer.verdict
      [
        ["Class", class_said(layer, verdict)], ["Others", others(layer, read)],
        ["Ribbons", (ribbons(speaks, verdict) if speaks)], ["Sand, silt, clay, %", parts(found["parts"])],
        ["Estimated with", (own_hand(speaks) if speaks)],
        ["Clay by the hand", verdict&.fetch("own_clay", nil) && "#{U.number(verdict['own_clay'])} %"],
        ["Colour", [layer.moist_colour && "#{layer.moist_colour} moist", layer.dry_colour && "#{layer.dry_colour} dry"]
          .compact.join(", ")],
        ["Lower boundary", layer.boundary&.tr("_", " ")],
        ["Seen", Content.said("horizon", layer.seen.except(*ELSEWHERE)).map { |label, value| "#{label}: #{value}" }
                        .join("; ")]
      ]
    end

    # Named where a person's own hand stands in the estimate.
    def own_hand(reading)
      hand = reading.own_hand or return
      "#{hand.observer.name}'s own hand, learnt from #{hand.pairs} pairs, #{hand.made_at.to_date.iso8601}"
    end

    def class_said(layer, verdict)
      return "not textured" unless verdict || layer.class_given

      odds = (verdict&.fetch("outcomes", nil) || []).map { |one| "#{one['name']} #{one['percent']} %" }
      reported = layer.speaks ? "assigned" : "as it came, without a reading"
      ["#{named(layer)}, #{reported}", ("the key: #{odds.join(', ')}" if odds.any?)].compact.join("; ")
    end

    # Who read it otherwise, and by how many classes.
    def others(layer, read)
      layer.readings.zip(read["readings"]).filter_map do |reading, found|
        next if found["speaks"]

        "#{reading.textured_by&.name || 'somebody'}: #{[found.dig('named', 'full_name') || 'no class',
                                                        found['apart_text']].compact.join(', ')}"
      end.join("; ")
    end

    def ribbons(reading, verdict)
      lengths = reading.record.ribbons.map { |ribbon| U.number(ribbon["length_mm"], reading.unit) }
      return if lengths.empty?

      set = verdict["ribbon_set"]
      interval = set && set["interval_mm"]&.map { |mm| U.number(mm, reading.unit) }
      "#{lengths.join(', ')} #{reading.unit}#{" (90 % interval of the length #{interval.join(' to ')})" if interval}"
    end

    def parts(found)
      found&.values_at("sand", "silt", "clay")&.map do |part|
        "#{part['mean'].round} (#{part['range'].join(' to ')})"
      end&.join(", ")
    end

    def contrast
      lines = @down["contrasts"].flat_map do |one|
        ["#{one['upper']} over #{one['lower']} at #{U.number(one['depth_cm'])} cm: #{one['sentence']}",
         one["disagreement"], *one["tests"].map { |test| test["sentence"] }, one["origin"]&.fetch("sentence")]
      end
      list([*lines, @down["form"]&.fetch("sentence"),
            ("No two horizons with a texture touch." if lines.compact.empty?)])
    end

    def water
      lines = [*held, *watered, *%w[perching sandwiches].flat_map { |part| @found[part].map { |one| one["sentence"] } },
               "Hydrologic group: #{@found['groups']['by_ksat']['sentence']}"]
      [list(lines), figures, sources, list(@found["matters"].filter_map { |one| matters(one) })]
    end

    # mm for plants, to where and why.
    def held
      found = @found["water"]
      mean, low, high = found.values_at("mean", "p10", "p90").map(&FIGURES)
      ["#{'At least ' if found['at_least']}#{mean} mm for plants to #{U.number(found['to_cm'])} cm (80 % interval " \
       "#{low} to #{high}): #{found['why'].delete_suffix('.')}.",
       found["category"] && "To 150 cm #{found['category']}.", without(found)]
    end

    def watered
      wetting, plan = @found.values_at("wetting", "irrigation")
      mean = plan["plans"]["mean"]
      ["A rain or watering of #{U.number(wetting['amount_mm'])} mm wets it to about " \
       "#{U.number(wetting['front_cm'].round)} cm.",
       "Watering with #{U.number(plan['daily_mm'])} mm used a day: #{FIGURES.call(mean['gross_mm'])} mm every " \
       "#{mean['interval_days']} days.", plan["warning"]]
    end

    def without(found) = ("Without #{found['without'].join(', ')}: no texture or no figure." if found["without"].any?)

    def figures
      rows = @found["horizons"].flat_map do |horizon|
        horizon["figures"].select { |one| TOLD.include?(one["id"]) }.map do |one|
          [horizon["designation"], one["label"], one["claim"].to_s, range(one)]
        end
      end
      table_of(["Horizon", "What", "By texture", "Middle (80 % interval)"], rows, [0.11, 0.34, 0.25, 0.3])
    end

    def sources
      told = @found["horizons"].flat_map { |horizon| horizon["figures"] }.select { |one| TOLD.include?(one["id"]) }
      said = told.uniq { |one| one["id"] }.map { |one| "#{one['label']}: #{one['source']}" }
      text("Sources. #{said.join('. ')}.") if said.any?
    end

    def range(one)
      return one["problem"].to_s if one["p50"].nil?

      "#{FIGURES.call(one['p50'])} (#{FIGURES.call(one['p10'])} to #{FIGURES.call(one['p90'])}) #{one['unit']}"
    end

    def matters(one)
      return unless one["verdict"] == "yes"

      test = one["test"]
      "One class away matters for #{one['label'][0].downcase}#{one['label'][1..]} (#{one['horizons'].join(', ')})" \
        "#{"; #{test['name']} of #{test['horizon']} would settle most of it" if test}."
    end

    def limits
      rows = @found["limits"].map do |one|
        [U.number(one["depth_cm"]), one["reason"], one["roots"].to_s, one["water"].to_s]
      end
      seen = @layers.last
      [table_of(["Depth, cm", "Reason", "Roots", "Water, effluent, stormwater"], rows, [0.1, 0.5, 0.17, 0.23]),
       text(seen ? "Below #{U.number(seen.lower_cm.to_f)} cm nothing was seen." : "Nothing was seen.")]
    end

    def tests
      rows = @found["tests"].map do |one|
        said = [one["void"] ? "void: #{one['said']}" : one["said"], one["beside"], *one["problems"]].compact
        [one["horizon"], "#{one['title']}, #{one['name']}", said.join(". ").gsub("..", ".")]
      end
      looks = @profile.samples.flat_map { |sample| late(sample) }
      [rows.any? ? table_of(["Horizon", "Test", "What it came to"], rows, [0.11, 0.29, 0.6]) : text("None was made."),
       (list(looks) if looks.any?)]
    end

    # Looks off their times, by the sheets they were made on.
    def late(sample)
      sample.findings.filter_map(&:companion_place).uniq.flat_map do |place|
        marks = Grittle.companion_test(
          "test" => place.companion_test.test, "places" => [place.describe(beside: false, now: Time.now.utc)]
        )["places"].first["marks"]
        marks.compact.map { |mark| "#{place.companion_test.kind.title}, #{place.name}: a look #{mark}." }
      end
    end

    # The newest result of each sample, beside the hand where it was textured.
    def laboratory
      rows = @profile.samples.filter_map do |sample|
        result = sample.laboratory_results.last or next
        reading = sample.readings.last
        beside = reading && result.beside(reading)
        [sample.place_name, result.read.to_s, [beside && beside["sentence"], *result.read.done].compact.join("; ")]
      end
      return [text("No laboratory result was entered.")] if rows.empty?

      [table_of(["Sample", "Laboratory", "Beside the hand"], rows, [0.2, 0.35, 0.45])]
    end

    def table
      found = @found["table"] or return [text("No table of an authority was given.")]
      rows = found["rows"].map do |one|
        value = [one["value"].is_a?(Numeric) ? U.number(one["value"]) : one["value"], one["unit"]].compact.join(" ")
        ["#{one['horizon']}, #{U.number(one['upper_cm'])} to #{U.number(one['lower_cm'])} cm", one["what"].to_s,
         (one["odds"] ? "#{(100 * one['odds']).round} %" : ""), value, [one["note"], one["says"]].compact.join("; ")]
      end
      [text("#{found['name']}, #{found['authority']}, #{found['dated_on']}. The rows are the authority's, the most " \
            "limiting first; nothing is added to them."),
       table_of(%w[Layer Texture Odds Value Note], rows, [0.2, 0.24, 0.1, 0.16, 0.3])]
    end

    def open
      [*@down["questions"].map { |one| one["sentence"] },
       organic_assumed,
       ("Root depth: #{@found['water']['why'].delete_suffix('.')}." if @report.assumed["root_depth_cm"].nil?),
       *@layers.reject(&:class_given).map { |layer| "#{layer.designation} was not textured." }]
    end

    def organic_assumed
      assumed = @found["horizons"].select { |one| one["organic_matter"]["assumed"] }
      said = assumed.map { |one| "#{one['designation']} #{U.number(one['organic_matter']['percent'])} %" }
      "Organic matter assumed: #{said.join(', ')}." if said.any?
    end

    def overrides
      found = readings.filter_map do |reading|
        given = reading.assignments.last
        next unless given&.override

        who = reading.textured_by&.name || "somebody"
        "#{reading.horizon.designation}, #{who}: #{given.named.full_name}. #{given.reason}"
      end
      found.presence || ["None: every class is the key's."]
    end
  end
end
