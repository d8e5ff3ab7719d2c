# frozen_string_literal: true

require "prawn"
require "prawn-svg"
require "prawn/table"

module Reports
  # A PDF whose parts are marked for what they are (ISO 32000-1, 14.8), so that a screen reader reads headings, lists
  # and tables as such. Whatever stands in no part is marked as an artifact: lines, grounds, heads that a table repeats.
  #
  #   pdf.part(:Table) { pdf.part(:TR) { pdf.mark(:TH) { pdf.text("Depth") } } }
  class TaggedDocument < Prawn::Document
    # One element of the structure: its kids are other elements, or pieces of content on pages.
    Part = Struct.new(:type, :alt, :parent, :kids, :more, keyword_init: true)
    Piece = Struct.new(:page, :id, keyword_init: true)

    # @param title [String]
    # @param language [String] such as "en"
    # @param options as Prawn::Document has them
    def initialize(title:, language:, **options)
      @whole = @part = Part.new(type: :Document, kids: [])
      @pages = []
      super(**options, info: { Title: title, Creator: "Grittle" })
      say(language)
    end

    # An element around others.
    # @param type [Symbol] a standard structure type
    # @yield what is in it
    def part(type, alt: nil, within: @part, **more)
      before = @part
      @part = Part.new(type: type, alt: alt, parent: within, kids: [], more: more)
      within.kids << @part
      yield @part
    ensure
      @part = before
    end

    # An element with what is drawn in the block.
    # @param type [Symbol]
    # @param alt [String, nil] for what is drawn and not written
    def mark(type, alt: nil, within: @part, **more)
      part(type, alt: alt, within: within, **more) do |made|
        leave
        @marked = made
        enter
        yield
        leave
        @marked = nil
        enter
      end
    end

    # A part that runs over the end of a page goes on as the same part on the next.
    def start_new_page(options = {})
      leave if @open
      super
      @pages << state.page
      enter
    end

    # What is added to finished pages, such as their numbers.
    def artifact
      renderer.add_content("/Artifact BMC")
      yield
      renderer.add_content("EMC")
    end

    # @return [String] the whole file
    def render(*)
      close_structure
      super
    end

    private

    def leave
      renderer.add_content("EMC")
      @open = false
    end

    def enter
      @open = true
      return renderer.add_content("/Artifact BMC") unless @marked

      ids[state.page] ||= []
      piece = Piece.new(page: state.page, id: ids[state.page].size)
      ids[state.page] << @marked
      @marked.kids << piece
      renderer.add_content("/#{@marked.type} <</MCID #{piece.id}>> BDC")
    end

    # Elements by page, in the order of their pieces.
    def ids = @ids ||= {}.compare_by_identity

    def say(language)
      renderer.min_version(1.7)
      renderer.state.store.root.data.merge!(
        Lang: PDF::Core::LiteralString.new(language), MarkInfo: { Marked: true },
        ViewerPreferences: { DisplayDocTitle: true }
      )
    end

    def close_structure
      return if @closed

      go_to_page(page_count)
      leave if @open
      @closed = true
      root = ref!(Type: :StructTreeRoot)
      written = {}.compare_by_identity
      root.data[:K] = [element(@whole, root, written)]
      root.data[:ParentTree] = parent_tree(written)
      renderer.state.store.root.data[:StructTreeRoot] = root
    end

    def element(part, parent, written)
      own = ref!(Type: :StructElem, S: part.type, P: parent)
      written[part] = own
      own.data[:Alt] = part.alt if part.alt
      own.data[:A] = part.more if part.more&.any?
      own.data[:K] = part.kids.map do |kid|
        next element(kid, own, written) if kid.is_a?(Part)

        { Type: :MCR, Pg: kid.page.dictionary, MCID: kid.id }
      end
      own
    end

    def parent_tree(written)
      numbers = @pages.each_with_index.flat_map do |page, at|
        page.dictionary.data[:StructParents] = at
        [at, (ids[page] || []).map { |part| written[part] }]
      end
      ref!(Nums: numbers)
    end
  end
end
