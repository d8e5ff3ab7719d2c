# frozen_string_literal: true

module Reports
  # Whether what came from a file is something that a page or a PDF can render as a report.
  module Shape
    DIGEST = /\A\h{64}\z/
    LANGUAGE = /\A[a-z-]{2,12}\z/

    module_function

    # @param found [Object]
    # @return [Boolean]
    def content?(found)
      found.is_a?(Hash) && found["title"].is_a?(String) && found["language"].to_s.match?(LANGUAGE) &&
        head?(found["block"]) && list?(found["sections"]) { |one| section?(one) }
    end

    def head?(block)
      block.is_a?(Hash) && texts?(block["lines"]) && [block["name"], block["logo"]].compact.all?(String) &&
        (block["logo"].nil? || Photo.picture?(block["logo"]))
    end

    def section?(section)
      section.is_a?(Hash) && section["title"].is_a?(String) &&
        list?(section["blocks"]) { |one| one.is_a?(Hash) && KINDS[one["kind"]]&.call(one) }
    end

    def list?(found, &) = found.is_a?(Array) && found.all?(&)
    def texts?(found) = list?(found) { |one| one.is_a?(String) }
    def rows?(found, size) = list?(found) { |row| texts?(row) && row.size == size }

    def table?(block)
      head, widths = block.values_at("head", "widths")
      texts?(head) && list?(widths) { |one| one.is_a?(Numeric) } && widths.size == head.size &&
        rows?(block["rows"], head.size)
    end

    def photo?(photo)
      photo.is_a?(Hash) && photo["digest"].to_s.match?(DIGEST) && Photo::KINDS.key?(photo["media_type"])
    end

    pairs = ->(block) { rows?(block["rows"], 2) }
    said = ->(block) { block["text"].is_a?(String) }
    # What a block of each kind must hold.
    KINDS = {
      "facts" => pairs, "sign" => pairs, "text" => said, "heading" => said, "caution" => said,
      "table" => method(:table?), "list" => ->(block) { texts?(block["items"]) },
      "photos" => ->(block) { list?(block["photos"]) { |one| photo?(one) } },
      "column" => ->(block) { texts?(block.values_at("svg", "alt")) }
    }.freeze
  end
end
