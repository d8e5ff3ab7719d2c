# frozen_string_literal: true

module Reports
  # What a report would say otherwise today: line by line within each section.
  class Changes
    # @param was [Hash{String=>Object}] content of a frozen report
    # @param now [Hash{String=>Object}] as the record stands
    def initialize(was, now)
      @was = lines(was)
      @now = lines(now)
    end

    # @return [Array<Hash>] "section", "was" and "now": lists of lines that the other does not have
    def to_a
      (@was.keys | @now.keys).filter_map do |section|
        was, now = [@was, @now].map { |lines| lines.fetch(section, []) }
        gone = without(was, now)
        added = without(now, was)
        { "section" => section, "was" => gone, "now" => added } if gone.any? || added.any?
      end
    end

    private

    # Lines that stand twice count twice.
    def without(lines, others)
      left = others.tally
      lines.reject { |line| (left[line] || 0).positive? && (left[line] -= 1) }
    end

    def lines(content)
      content["sections"].to_h { |section| [section["title"], section["blocks"].flat_map { |block| block(block) }] }
    end

    def block(block)
      case block["kind"]
      when "facts", "sign" then block["rows"].map { |label, value| "#{label}: #{value}" }
      when "table" then block["rows"].map { |row| row.reject { |cell| cell.to_s.empty? }.join("; ") }
      when "list" then block["items"]
      when "photos" then block["photos"].map { |photo| "#{photo['caption']} (#{photo['digest'][0, 8]})" }
      when "column" then [block["alt"]]
      else [block["text"]]
      end
    end
  end
end
