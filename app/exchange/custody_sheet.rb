# frozen_string_literal: true

require "prawn"
require "prawn/table"

module Exchange
  # The chain-of-custody sheet that goes with the bags: what is in them, what is asked for, and a line for everybody
  # through whose hands they pass.
  class CustodySheet
    HANDS = 4
    HEADS = ["No.", "Label", "Taken at", "Depth", "Kind", "Seal whole, remark"].freeze
    WIDTHS = { 0 => 28, 2 => 130, 3 => 80, 4 => 62 }.freeze
    CAUTION = "Soil may be contaminated: what is suspected stands below. Keep the bags closed, cool and out of the " \
              "sun; carriers and laboratories have rules of their own for soil."

    # @param submission [Submission]
    def initialize(submission)
      @submission = submission
    end

    # @return [String] PDF
    def render
      @pdf = Prawn::Document.new(page_size: "A4", margin: [42, 42, 50, 42],
                                 info: { Title: "Chain of custody", Creator: "Grittle" })
      Fonts.into(@pdf, size: 9.5)
      head
      bags
      hands
      @pdf.number_pages "Submission #{@submission.id}, page <page> of <total>", at: [0, -18], size: 8
      @pdf.render
    end

    private

    def head
      @pdf.text "Chain of custody", size: 18, style: :bold
      @pdf.move_down 6
      facts.each { |name, said| @pdf.text "<b>#{name}:</b> #{clean(said)}", inline_format: true }
      @pdf.move_down 6
      @pdf.text CAUTION, size: 8.5
      contaminated.each { |site| @pdf.text "Suspected contamination at #{clean(site)}.", style: :bold }
      @pdf.move_down 10
    end

    def facts
      method = Grittle::Practice::LaboratoryResult::METHODS.fetch(@submission.analysis)
      { "Submission" => "#{@submission.id}#{", laboratory's number #{@submission.number}" if @submission.number}",
        "To" => @submission.laboratory, "Sent by" => @submission.sent_by || "", "Made" =>
        @submission.made_at.strftime("%Y-%m-%d"), "Analysis" => "Sand, silt and clay by #{method.downcase}",
        "Note" => @submission.note }.compact
    end

    def contaminated
      @submission.bags.filter_map { |bag| bag.sample.place&.site || bag.sample.site }.uniq
                 .select { |site| site.seen["contamination"] }.map(&:name)
    end

    def bags
      rows = @submission.bags.includes(:sample).each.with_index(1).map do |bag, number|
        sample = bag.sample
        [number.to_s, clean(bag.label), clean(sample.place&.name || sample.site&.name || ""), sample.depth_text,
         Grittle::Entry::Fields::SAMPLE_KINDS.fetch(sample.kind), ""]
      end
      @pdf.table([HEADS, *rows], header: true, width: @pdf.bounds.width, column_widths: WIDTHS,
                                 cell_style: { padding: [5, 4], border_width: 0.5, size: 9 })
      @pdf.move_down 16
    end

    def hands
      @pdf.start_new_page if @pdf.cursor < 180
      @pdf.text "Through whose hands", size: 12, style: :bold
      @pdf.move_down 4
      lines = Array.new(HANDS) { ["", "", "", ""] }
      @pdf.table([["Given by, signature", "Date, time", "Taken by, signature", "Date, time"], *lines],
                 width: @pdf.bounds.width, cell_style: { height: 28, border_width: 0.5, size: 9 })
    end

    def clean(text) = PlainText.clean(text.to_s).gsub("<", "‹").gsub(">", "›")
  end
end
