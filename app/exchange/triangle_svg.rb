# frozen_string_literal: true

module Exchange
  # The texture triangle with the estimate of every horizon, as an SVG.
  class TriangleSvg
    MEDIA_TYPE = "image/svg+xml"
    MOST = 300
    SIDE = 620
    MARGIN = 60
    D = Drawing

    # @param scope [Scope]
    # @raise [Grittle::InvalidInput] for more horizons than can be told apart
    def initialize(scope)
      method = scope.profile ? scope.profile.field_method : Grittle::FieldMethod.new
      @triangle = Grittle.triangle(method.evidence_system)
      @horizons =
        scope
        .relation(Tables::BY_NAME["horizons"])
        .where(removed_at: nil)
        .order(:profile_id, :upper_cm)
        .limit(MOST + 1)
        .to_a
      return if @horizons.size <= MOST

      raise Grittle::InvalidInput,
            [Grittle::Problem.new(pointer: "/of", sentence: "A triangle holds #{MOST} horizons: export one site.")]
    end

    # @yieldparam piece [String]
    def each = yield(to_s)

    # @return [String]
    def to_s
      height = SIDE * Math.sqrt(3) / 2
      D.svg(
        SIDE + (2 * MARGIN),
        height + (2 * MARGIN),
        "#{@triangle.name}: texture triangle with #{@horizons.size} horizons",
        @triangle.classes.values.map { |one| region(one) },
        points,
        D.text(MARGIN, below = height + MARGIN + 34, "100 % sand"),
        D.text(SIDE + MARGIN, below, "100 % silt", anchor: "end"),
        D.text((SIDE / 2) + MARGIN, MARGIN - 26, "100 % clay", anchor: "middle"),
        D.text(
          (SIDE / 2) + MARGIN,
          below,
          "#{@triangle.name}, silt from #{@triangle.silt_limit} µm",
          anchor: "middle",
          size: 12
        )
      )
    end

    private

    # Sand lies at the left corner, silt at the right, clay on top.
    def at(sand, clay)
      [MARGIN + ((100 - sand - (clay / 2.0)) * SIDE / 100), MARGIN + ((100 - clay) * SIDE * Math.sqrt(3) / 200)]
    end

    def region(texture_class)
      d = texture_class.polygon.map { |sand, clay| at(sand, clay).map { |one| D.n(one) }.join(" ") }
      middle = texture_class.middle
      x, y = at(middle.sand, middle.clay)
      [
        D.path("M#{d.join('L')}Z", line: 1.2, fill: "none"),
        D.text(x, y + 4, texture_class.code, size: 12, anchor: "middle", fill: D::PENCIL)
      ]
    end

    def points
      @horizons.filter_map do |horizon|
        mean = horizon.verdict&.fetch("mean") or next
        x, y = at(*mean.values_at("sand", "clay"))
        [D.path("M#{D.n(x - 4)} #{D.n(y)}a4 4 0 1 0 8 0a4 4 0 1 0 -8 0", fill: D::IRON, stroke: "#ffffff"),
         D.text(x + 7, y + 4, horizon.designation, size: 12, bold: true)]
      end
    end
  end
end
