# frozen_string_literal: true

require "prawn"
require "prawn-svg"
require "prawn/table"

module Exchange
  # The field sheet: each profile with its column, its table of horizons, and how every class was reached, to be printed
  # and filed.
  class FieldSheet
    MEDIA_TYPE = "application/pdf"
    # More is a book, not a sheet, and would be held in memory.
    MOST = 60
    # What of a horizon is said in the table beside depth, class, ribbon and clay, column by column.
    SEEN = {
      "Colour, mottles" => %w[mottle_abundance mottle_kind mottle_colour],
      "Structure, consistence" => %w[
        structure_grade
        structure_type
        structure_size
        moist_consistence
        stickiness
        plasticity
      ],
      "Roots, stones, acid" => %w[roots fragments_percent fragments_size effervescence],
      "Note" => %w[moisture odour note]
    }.freeze
    # Points of the columns that hold numbers.
    WIDTHS = { 0 => 34, 1 => 44, 3 => 56, 4 => 42 }.freeze
    CAUTIONS = %w[exposure sampling results].freeze
    SITE = %w[project date observer slope_percent aspect land_use vegetation geology weather].freeze
    PROFILE = %w[date excavated_depth_cm water_table_cm stopped_by drainage_class parent_material].freeze
    FIELDS = Grittle::Entry::Fields

    # @param scope [Scope]
    # @raise [Grittle::InvalidInput] for more profiles than a sheet holds
    def initialize(scope)
      @profiles = scope.relation(Tables::BY_NAME["profiles"]).order(:site_id, :id).limit(MOST + 1).to_a
      return if @profiles.size <= MOST

      raise Grittle::InvalidInput,
            [Grittle::Problem.new(pointer: "/of", sentence: "A field sheet holds #{MOST} profiles: export one site.")]
    end

    # @yieldparam piece [String]
    def each = yield(render)

    # @return [String]
    def render
      @pdf =
        Prawn::Document.new(
          page_size: "A4",
          margin: [42, 42, 50, 42],
          info: {
            Title: "Field sheet",
            Creator: "Grittle"
          }
        )
      Fonts.into(@pdf, size: 9.5)
      @pdf.text("There is no profile yet.") if @profiles.empty?
      @profiles.each_with_index do |profile, at|
        @pdf.start_new_page unless at.zero?
        sheet(profile)
      end
      footer
      @pdf.render
    end

    private

    def sheet(profile)
      heading(profile)
      column(profile)
      horizons(profile)
      samples(profile)
      reading_down(profile)
      readings(profile)
      cautions
    end

    # What was kept before it was refused at the door is left out, not left to stop the sheet.
    def print(text, **how) = @pdf.text(PlainText.clean(text), **how)

    def heading(profile)
      print(profile.name, size: 20, style: :bold)
      print("#{profile.site.name}. #{Grittle::Profiles::EXPOSURES[profile.kind]}. #{profile.field_method.name}.")
      people = [["Textured by", profile.textured_by], ["recorded by", profile.recorded_by]].filter_map do |role, person|
        "#{role} #{person.name}" if person
      end
      facts = [people.join(", ").presence, profile.site.position&.to_s, *said("site", profile.site.seen.slice(*SITE)),
               *said("profile", profile.seen.slice(*PROFILE)), profile.site.note, profile.note].compact
      print(facts.join(". "), color: ink(Drawing::PENCIL)) if facts.any?
      @pdf.move_down(8)
    end

    # @return [Array<String>] "Label value" of what was written down
    def said(kind, seen)
      seen.map { |name, value| "#{FIELDS::ALL[kind][name].label}: #{FIELDS::ALL[kind][name].say(value)}" }
    end

    def column(profile)
      return if profile.horizons.empty?

      drawing = ColumnSvg.new(Scope.new("profile", profile.id), height: 330).to_s
      @pdf.svg(drawing, width: @pdf.bounds.width * 0.82, enable_web_requests: false)
      @pdf.move_down(6)
    end

    def horizons(profile)
      return if profile.horizons.empty?

      title("Horizons")
      rows = [["", "Depth, cm", "Texture", "Ribbon", "Clay %", *SEEN.keys]] +
             profile.horizons.map { |horizon| row(horizon).map { |cell| cell && PlainText.clean(cell) } }
      cells = { size: 8, padding: [3, 4], border_width: 0.5, border_color: ink(Drawing::RULE) }
      @pdf.table(rows, header: true, width: @pdf.bounds.width, cell_style: cells, column_widths: WIDTHS) do |table|
        table.row(0).font_style = :bold
        table.column(0).font_style = :bold
      end
      @pdf.move_down(6)
    end

    def row(horizon)
      verdict = horizon.verdict
      [
        horizon.designation,
        [horizon.upper_cm, horizon.lower_cm].map { |cm| Grittle::Units.number(cm.to_f) }.join("–"),
        horizon.class_given&.full_name || "not textured",
        verdict&.fetch("ribbon_text", nil),
        clay(verdict),
        *SEEN.map { |name, fields| seen(horizon, name, fields) }
      ]
    end

    # The surveyor's own figure first, and the estimate beside it.
    def clay(verdict)
      own, found = verdict&.values_at("own_clay", "clay")
      estimate = found && "#{found['mean'].round} (#{found['range'].join('–')})"
      own ? ["#{Grittle::Units.number(own)} own", estimate && "est. #{estimate}"].compact.join("; ") : estimate
    end

    def seen(horizon, name, fields)
      words = fields.filter_map { |field| horizon.seen[field] && FIELDS::HORIZON[field].say(horizon.seen[field]) }
      words.unshift(horizon.moist_colour) if name.start_with?("Colour") && horizon.moist_colour
      words << "#{horizon.boundary.tr('_', ' ')} boundary" if name == "Note" && horizon.boundary
      words.join(", ")
    end

    def samples(profile)
      found = profile.samples.map { |sample| DescriptionSerializer.sample(sample) }
      return if found.empty?

      title("Samples at depths")
      found.each do |sample|
        findings = sample[:findings].map { |one| "#{one[:said]} (#{one[:seen_at][0, 16].tr('T', ' ')})" }
        facts = [sample[:kind_name], sample[:label], sample[:disturbed], *findings].compact
        @pdf.text("<b>#{escape(sample[:depth])}</b>  #{escape(facts.join(', '))}", inline_format: true)
      end
      @pdf.move_down(6)
    end

    def reading_down(profile)
      facts = profile.read_down
      lines =
        facts["contrasts"].map { |one| contrast_line(one) } +
        %w[perching sandwiches].flat_map { |part| facts[part].map { |one| one["sentence"] } } +
        [facts["wetness"]["sentence"], facts["form"]&.fetch("sentence")].compact +
        facts["questions"].map { |one| one["sentence"] }
      return if lines.empty?

      title("Reading down")
      lines.each { |line| print(line) }
      @pdf.move_down(6)
    end

    def contrast_line(one)
      [
        "At #{Grittle::Units.number(one['depth_cm'])} cm, #{one['upper']} over #{one['lower']}: #{one['sentence']}",
        one["disagreement"],
        *one["tests"].map { |test| test["sentence"] },
        one["origin"]&.fetch("sentence")
      ].compact.join(" ")
    end

    def readings(profile)
      made = profile.horizons.flat_map { |horizon| horizon.readings.map { |reading| [horizon, reading] } }
      return if made.empty?

      title("How each class was reached")
      made.each { |horizon, reading| reading(horizon, reading) }
    end

    def reading(horizon, reading)
      name = reading.class_given&.full_name || "not assigned yet"
      mark = reading.id == horizon.speaks_id ? "" : ", not the one reported"
      @pdf.text("<b>#{escape(horizon.designation)}: #{escape(name)}</b>#{mark}", inline_format: true)
      key = reading.assessment.main
      way = key["path"].map { |step| step["text"] }.join(" › ").presence
      lengths = reading.record.ribbons.map { |ribbon| Grittle::Units.number(ribbon["length_mm"], reading.unit) }
      facts = [("Ribbons #{lengths.join(', ')} #{reading.unit}" if lengths.any?), way,
               key["sentence"].delete_suffix("."), reason(reading)&.delete_suffix(".")].compact
      print("#{facts.join('. ')}.")
      @pdf.text(record(reading), size: 8, color: ink(Drawing::PENCIL))
      @pdf.move_down(4)
    end

    def reason(reading)
      assigned = reading.assignments.last
      "Not the key's class: #{assigned.reason}" if assigned&.override
    end

    def record(reading)
      key = reading.field_method.key_class
      ["#{key::NAME}, #{key::SOURCE}", ("textured by #{reading.textured_by.name}" if reading.textured_by),
       (if reading.recorded_by
          "recorded by #{reading.recorded_by.name}"
        end), reading.started_at.strftime("%Y-%m-%d %H:%M UTC"),
       "rules #{reading.assignments.last&.rules_version || Grittle::RULES_VERSION}"].compact.join("; ")
    end

    def cautions
      @pdf.move_down(6)
      CAUTIONS.each do |name|
        caution = Grittle::Tests::CAUTIONS[name]
        @pdf.text("#{caution[:sentence]} #{caution[:more]}", size: 8)
      end
    end

    def title(text)
      @pdf.start_new_page if @pdf.cursor < 70
      @pdf.text(text, size: 12, style: :bold)
    end

    def footer
      @pdf.number_pages("Grittle, rules #{Grittle::RULES_VERSION}. Printed #{Time.now.utc.strftime('%Y-%m-%d')}. " \
                        "Page <page> of <total>",
                        at: [0, -16], size: 8, width: @pdf.bounds.width, align: :right)
    end

    def ink(hex) = hex.delete("#")
    def escape(text) = CGI.escapeHTML(PlainText.clean(text.to_s))
  end
end
