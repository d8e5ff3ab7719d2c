# frozen_string_literal: true

module Exchange
  # The columns of one profile or several, to one depth scale, as an SVG.
  class ColumnSvg
    MEDIA_TYPE = "image/svg+xml"
    MOST = 40
    HEIGHT = 560
    HEAD = 60
    COLUMN = 90
    WORDS = 270
    TAPE = 44
    CLAY = 120
    D = Drawing

    # @param scope [Scope]
    # @param height [Numeric] px of the deepest column
    # @raise [Grittle::InvalidInput] for more columns than a drawing holds
    def initialize(scope, height: HEIGHT)
      @profiles = scope.relation(Tables::BY_NAME["profiles"]).limit(MOST + 1).to_a
      @height = height
      return if @profiles.size <= MOST

      raise Grittle::InvalidInput,
            [Grittle::Problem.new(pointer: "/of", sentence: "A drawing holds #{MOST} columns: export one site.")]
    end

    # @yieldparam piece [String]
    def each = yield(to_s)

    # @return [String]
    def to_s
      depth = [@profiles.flat_map { |profile| profile.horizons.map(&:lower_cm) }.max.to_f, 10].max
      @per_cm = @height / depth
      each = TAPE + COLUMN + CLAY + WORDS + 20
      D.svg([each * @profiles.size, 300].max, HEAD + @height + 30, label,
            @profiles.each_with_index.map { |profile, at| column(profile, at * each, depth) })
    end

    private

    def label = "Profiles #{@profiles.map(&:name).join(', ')}, to depth scale"
    def y(cm) = HEAD + (cm.to_f * @per_cm)

    def column(profile, x, depth)
      words = spread(profile.horizons)
      [
        D.text(x + 4, 20, "#{profile.name}, #{profile.site.name}", bold: true, size: 16),
        D.text(x + 4, 46, "cm", size: 12),
        D.text(x + TAPE + COLUMN + 14, 46, "clay %", size: 12),
        tape(x, depth),
        clay_axis(x, depth),
        profile.horizons.zip(words).map { |horizon, at| layer(horizon, x, at) }
      ]
    end

    def tape(x, depth)
      step = [5, 10, 20, 50, 100].find { |cm| cm * @per_cm >= 26 } || 200
      (0..(depth / step).floor).map do |tick|
        [D.path("M#{x + TAPE - 8} #{D.n(y(tick * step))}h8"),
         D.text(x + TAPE - 12, y(tick * step) + 4, tick * step, size: 12, anchor: "end")]
      end
    end

    def clay_axis(x, depth)
      [20, 40, 60, 80].map do |percent|
        [D.path("M#{D.n(clay_x(x, percent))} #{HEAD}V#{D.n(y(depth))}", stroke: "#d6c8ab"),
         D.text(clay_x(x, percent), HEAD - 3, percent, size: 10, anchor: "middle", fill: D::PENCIL)]
      end
    end

    def clay_x(x, percent) = x + TAPE + COLUMN + 12 + (percent * (CLAY - 20) / 80.0).clamp(0, CLAY - 12)

    # The words of thin layers are moved down until they have room.
    def spread(horizons)
      lowest = HEAD
      horizons.map { |horizon| (lowest = [y(horizon.upper_cm) + 16, lowest].max).tap { lowest += 34 } }
    end

    def layer(horizon, x, words)
      top = y(horizon.upper_cm)
      bottom = y(horizon.lower_cm)
      named = horizon.class_given
      left = x + TAPE
      [(D.grain(named.middle, left, top, COLUMN, bottom - top) if named&.texture?),
       D.rect(
         left,
         top,
         COLUMN,
         bottom - top,
         **(named ? { stroke: D::INK, line: 1.6 } : { stroke: D::PENCIL, dash: "5 4" })
       ),
       chip(horizon, left, top, bottom), clay(horizon, x, top, bottom),
       D.text(left + COLUMN + CLAY, words, [horizon.designation, named&.full_name].compact.join("  "), bold: true),
       D.text(left + COLUMN + CLAY, words + 15, note(horizon), size: 11, fill: D::PENCIL)]
    end

    def chip(horizon, left, top, bottom)
      colour = horizon.colour(:moist_colour)
      colour && D.rect(left + COLUMN - 22, top + 4, 18, [bottom - top - 8, 18].min, fill: colour.hex, stroke: D::INK)
    end

    # The estimate with its range; a ring where the hand wrote down a clay of its own.
    def clay(horizon, x, top, bottom)
      verdict = horizon.verdict or return
      own = verdict["own_clay"]
      ring =
        own && D.path("M#{D.n(clay_x(x, own) - 4)} #{D.n((top + bottom) / 2)}a4 4 0 1 0 8 0a4 4 0 1 0 -8 0", line: 1.6)
      found = verdict["clay"] or return ring
      from, to = found["range"].map { |percent| clay_x(x, percent) }
      [D.rect(from, top, [to - from, 1].max, bottom - top, fill: "#c9d2c6"),
       D.path("M#{D.n(clay_x(x, found['mean']))} #{D.n(top)}V#{D.n(bottom)}", line: 2), ring].compact
    end

    def note(horizon)
      ribbon = horizon.speaks&.kept_verdict
      [horizon.depths.to_s, ("ribbon #{ribbon['ribbon_text']}" if ribbon&.dig("ribbon_set", "mean_mm")),
       horizon.moist_colour].compact.join(", ")
    end
  end
end
