# frozen_string_literal: true

require_relative "tagged_document"

module Reports
  # A report as PDF: tagged, with title and language, a contents page, and the site's name and a number on every page.
  class Pdf
    MEDIA_TYPE = "application/pdf"
    D = Exchange::Drawing
    SIZE = 10
    MARGIN = [52, 52, 60, 52].freeze
    # Points of the first column of facts.
    LABEL = 120
    # px of the longer side that a photograph is printed with.
    PHOTO_PX = 1400

    # @param report [Report]
    def initialize(report)
      @report = report
      @content = report.said
      @frozen_at = report.frozen_at
      @rules = report.rules_version || Grittle::RULES_VERSION
    end

    # Twice, so that the contents know the pages.
    # @return [String]
    def render
      written({})
      written(@found).render
    end

    private

    def written(pages)
      @pages = pages
      @found = {}
      @pdf = TaggedDocument.new(title: clean(@content["title"]), language: @content["language"], page_size: "A4",
                                margin: MARGIN)
      Fonts.into(@pdf, size: SIZE)
      front
      @pdf.start_new_page
      @content["sections"].each { |section| section(section) }
      footers
      outline
      @pdf
    end

    def front
      block = @content["block"]
      logo(block["logo"]) if block["logo"]
      [block["name"], *block["lines"]].compact.each { |line| mark(:P, line, size: 11) }
      @pdf.move_down(block["name"] ? 40 : 10)
      mark(:H1, @content["title"], size: 26, style: :bold)
      @pdf.move_down(4)
      mark(:P, status, size: 11, color: ink(D::PENCIL))
      @pdf.move_down(24)
      contents
    end

    def status
      return "Frozen on #{@frozen_at.strftime('%Y-%m-%d %H:%M UTC')}, rules #{@rules}." if @frozen_at

      "Draft: the record may still change. Rules #{@rules}."
    end

    def logo(encoded)
      picture = Base64.strict_decode64(encoded)
      @pdf.mark(:Figure, alt: "Logo") { @pdf.image(StringIO.new(picture), fit: [160, 70]) }
      @pdf.move_down(8)
    end

    def contents
      mark(:H2, "Contents", size: 14, style: :bold)
      @pdf.move_down(4)
      @pdf.part(:TOC) do
        @content["sections"].each do |section|
          @pdf.mark(:TOCI) { dotted(section["title"], @pages[section["title"]].to_s) }
        end
      end
    end

    def dotted(title, page)
      width = @pdf.bounds.width - 30
      @pdf.float { @pdf.text_box(page, at: [width, @pdf.cursor], width: 30, align: :right) }
      @pdf.text(clean(title))
      @pdf.stroke_color(ink(D::RULE))
      @pdf.line_width(0.4)
      @pdf.stroke_horizontal_line(0, @pdf.bounds.width, at: @pdf.cursor + 1)
      @pdf.move_down(2)
    end

    def section(section)
      @pdf.start_new_page if @pdf.cursor < 90
      @found[section["title"]] = @pdf.page_number
      @pdf.part(:Sect) do
        mark(:H2, section["title"], size: 15, style: :bold)
        @pdf.move_down(3)
        section["blocks"].each do |block|
          send(:"draw_#{block['kind']}", block)
          @pdf.move_down(5)
        end
      end
      @pdf.move_down(8)
    end

    def draw_text(block) = mark(:P, block["text"])
    def draw_caution(block) = mark(:P, block["text"], style: :bold)

    def draw_heading(block)
      @pdf.start_new_page if @pdf.cursor < 80
      mark(:H3, block["text"], size: 11.5, style: :bold)
    end

    def draw_list(block)
      @pdf.part(:L) do
        block["items"].each do |item|
          @pdf.part(:LI) do
            @pdf.mark(:LBody) { @pdf.indent(10) { bulleted(item) } }
          end
        end
      end
    end

    def bulleted(item)
      @pdf.fill_color(ink(D::INK))
      @pdf.fill_rectangle([-8, @pdf.cursor - 5], 3, 3)
      @pdf.text(clean(item))
    end

    def draw_facts(block)
      table(block["rows"], header: false) do |cells|
        cells.column(0).width = LABEL
        cells.column(0).font_style = :bold
      end
    end

    def draw_table(block)
      table([block["head"], *block["rows"]], header: true) do |cells|
        cells.row(0).font_style = :bold
        block["widths"].each_with_index { |share, at| cells.column(at).width = share * @pdf.bounds.width }
      end
    end

    # Every cell is an element of the structure; what is drawn twice, such as a head on the next page, is none.
    def table(rows, header:, &block)
      plain = rows.map { |row| row.map { |cell| clean(cell) } }
      style = { size: 9, padding: [3, 5], border_width: 0.5, border_color: ink(D::RULE) }
      made = @pdf.make_table(plain, header: header, width: @pdf.bounds.width, cell_style: style, &block)
      @pdf.part(:Table) do
        lines = Array.new(plain.size) { @pdf.part(:TR) { |line| line } }
        made.cells.each { |cell| cell.extend(MarkedCell).within(lines[cell.row], head_of(cell, header)) }
        made.draw
      end
    end

    # @return [Symbol, nil] what it is the head of
    def head_of(cell, header)
      return (:Column if cell.row.zero?) if header

      :Row if cell.column.zero?
    end

    # A cell that is marked for what it is when it is drawn.
    module MarkedCell
      def within(line, head)
        @line = line
        @head = head
      end

      def draw_content
        more = @head ? { O: :Table, Scope: @head } : {}
        @pdf.mark(@head ? :TH : :TD, within: @line, **more) { super }
      end
    end

    def draw_column(block)
      @pdf.start_new_page if @pdf.cursor < 300
      @pdf.mark(:Figure, alt: clean(block["alt"])) do
        @pdf.svg(block["svg"], width: @pdf.bounds.width * 0.8, enable_web_requests: false)
      end
    end

    def draw_photos(block)
      block["photos"].each do |photo|
        path = Photo.new(photo.slice("digest", "media_type")).path
        next mark(:P, "#{photo['caption']}: the picture is not there any more.") unless File.exist?(path)

        @pdf.start_new_page if @pdf.cursor < 260
        picture = small(path)
        @pdf.mark(:Figure, alt: clean("Photograph: #{photo['caption']}")) do
          @pdf.image(StringIO.new(picture), fit: [@pdf.bounds.width * 0.75, 220])
        end
        mark(:P, photo["caption"], size: 9)
        @pdf.move_down(6)
      end
    end

    def small(path)
      found = Vips::Image.thumbnail(path, PHOTO_PX, size: :down)
      found = found.flatten(background: 255) if found.has_alpha?
      found.jpegsave_buffer(Q: 85, strip: true)
    end

    def draw_sign(block)
      block["rows"].each do |label, name|
        @pdf.move_down(26)
        @pdf.stroke_horizontal_line(0, 260, at: @pdf.cursor)
        @pdf.move_down(3)
        mark(:P, [label, name.presence].compact.join(": "), size: 9)
      end
    end

    def footers
      name = clean("#{@report.land.name}. #{@content['title']}")
      @pdf.page_count.times do |at|
        @pdf.go_to_page(at + 1)
        @pdf.artifact do
          @pdf.canvas do
            @pdf.draw_text(shortened(name), at: [MARGIN[3], 30], size: 8)
            @pdf.draw_text("#{at + 1} / #{@pdf.page_count}", at: [@pdf.bounds.right - MARGIN[1] - 28, 30], size: 8)
          end
        end
      end
    end

    def shortened(text) = text.length > 90 ? "#{text[0, 89]}…" : text

    def outline
      found = @found
      @pdf.outline.define { found.each { |title, page| page(title: title, destination: page) } }
    end

    def mark(type, said, **how) = @pdf.mark(type) { @pdf.text(clean(said), **how) }
    def clean(text) = PlainText.clean(text.to_s)
    def ink(hex) = hex.delete("#")
  end
end
