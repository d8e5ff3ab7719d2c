# frozen_string_literal: true

module Exchange
  # SVG for files and for the field sheet: plain shapes only, so that every program can show them. Colours are those of
  # the page on paper.
  module Drawing
    INK = "#1e1812"
    PENCIL = "#44392b"
    RULE = "#857459"
    IRON = "#86281a"
    OCHRE = "#9b5f0a"
    REED = "#4d6353"
    FONT = "Atkinson Hyperlegible Next, Atkinson Hyperlegible, sans-serif"
    # Square px that one mark of a fill stands for, and px between lines of pure clay.
    AREA_PER_MARK = 34.0
    CLAY_LINE_PX = 2.6
    # Steps of an even sequence over the plane, and of one along a line. [published: Roberts 2018, generalised golden
    # ratio]
    EVEN_X = 0.7548776662466927
    EVEN_Y = 0.5698402909980532
    EVEN = 0.6180339887498949

    module_function

    # @return [String] a whole SVG
    def svg(width, height, label, *parts)
      size = %(width="#{n(width)}" height="#{n(height)}")
      %(<svg xmlns="http://www.w3.org/2000/svg" #{size} viewBox="0 0 #{n(width)} #{n(height)}" role="img" ) +
        %(aria-label="#{escape(label)}">) +
        %(<rect #{size} fill="#ffffff"/>#{parts.flatten.join("\n")}</svg>\n)
    end

    # Places and sizes in px, colours as in CSS.
    # @return [String] an element
    def rect(x, y, width, height, fill: "none", stroke: "none", line: 1, dash: nil)
      %(<rect x="#{n(x)}" y="#{n(y)}" width="#{n(width)}" height="#{n(height)}" fill="#{fill}" ) +
        %(stroke="#{stroke}" stroke-width="#{line}"#{dashes(dash)}/>)
    end

    # @param d [String] as SVG has it
    # @return [String] an element
    def path(d, stroke: INK, fill: "none", line: 1, dash: nil)
      %(<path d="#{d}" fill="#{fill}" stroke="#{stroke}" stroke-width="#{line}"#{dashes(dash)}/>)
    end

    # @return [String] an element
    def text(x, y, said, size: 14, bold: false, anchor: "start", fill: INK)
      %(<text x="#{n(x)}" y="#{n(y)}" font-family="#{FONT}" font-size="#{size}" font-weight="#{bold ? 700 : 400}" ) +
        %(text-anchor="#{anchor}" fill="#{fill}">#{escape(said)}</text>)
    end

    # A fill drawn from a composition: dots for sand, dashes for silt, level lines for clay, in proportion.
    # @param composition [Grittle::Composition]
    # @return [Array<String>]
    def grain(composition, x, y, width, height)
      sand, silt, clay = %i[sand silt clay].map { |part| composition.public_send(part) / 100.0 }
      [clay_lines(clay, x, y, width, height), marks([sand, silt], x, y, width, height)].compact
    end

    def clay_lines(clay, x, y, width, height)
      return if clay < 0.01

      gap = CLAY_LINE_PX / clay
      count = (height / gap).floor
      d = Array.new(count) { |line| "M#{n(x)} #{n(y + ((line + 0.5) * gap))}h#{n(width)}" }.join
      path(d, stroke: IRON, line: 0.7) unless d.empty?
    end

    def marks(shares, x, y, width, height)
      dots = +""
      dashes = +""
      (width * height / AREA_PER_MARK).floor.times do |i|
        kind = (i * EVEN) % 1
        px = x + 4 + (((0.5 + (i * EVEN_X)) % 1) * (width - 8))
        py = n(y + 2 + (((0.5 + (i * EVEN_Y)) % 1) * (height - 4)))
        if kind < shares.first then dots << "M#{n(px - 1.2)} #{py}a1.2 1.2 0 1 0 2.4 0a1.2 1.2 0 1 0 -2.4 0"
        elsif kind < shares.sum then dashes << "M#{n(px - 2.6)} #{py}h5.2"
        end
      end
      [
        (path(dots, stroke: "none", fill: OCHRE) unless dots.empty?),
        (path(dashes, stroke: REED, line: 1.3) unless dashes.empty?)
      ]
    end

    def dashes(dash) = dash ? %( stroke-dasharray="#{dash}") : ""

    # @return [String] a number to a tenth: enough for a drawing, and shorter
    def n(number) = number.to_f.round(1).to_s.delete_suffix(".0")
    def escape(text) = CGI.escapeHTML(PlainText.clean(text.to_s))
    private_class_method :clay_lines, :marks, :dashes, :escape
  end
end
