# frozen_string_literal: true

module Exchange
  # The tubs of a reference set as a CSV file, in and out.
  module TubTable
    # What columns are called, without anything but letters; the first is how they are written.
    HEADINGS = {
      "label" => %w[label tub tublabel sample id], "sand" => %w[sand sandpercent], "silt" => %w[silt siltpercent],
      "clay" => %w[clay claypercent], "uncertainty" => %w[uncertainty u error plusminus],
      "class" => %w[class texture textureclass], "method" => %w[method], "silt_limit" => %w[siltlimit siltlimitum],
      "determinations" => %w[determinations n], "organic_matter" => %w[organicmatter om organicmatterpercent],
      "origin" => %w[origin from], "mixed_on" => %w[mixedon mixed date]
    }.freeze

    module_function

    # @param csv [String] the file as it came
    # @return [Array<Hash{String=>String}>] a tub a row
    # @raise [Unreadable, Grittle::InvalidInput] with every bad row
    def read(csv)
      file = CsvText.new(csv, most: ReferenceSet::MOST_TUBS)
      names = file.names(HEADINGS, %w[label clay])
      problems = Problems.new
      tubs = file.rows.map.with_index do |(number, cells), place|
        tub = names.zip(cells).to_h.except(nil).transform_values { |cell| Cells.unguard(cell.to_s.strip) }
                   .compact_blank
        problems.within("row #{number}") { Tub.checked(tub, place) }
        tub
      end
      problems.refuse_any
      tubs
    end

    # @param tubs [Array<Tub>]
    # @return [String]
    def write(tubs)
      CSV.generate do |csv|
        csv << HEADINGS.keys
        tubs.each { |tub| csv << tub.describe.values_at(*HEADINGS.keys).map { |cell| Cells.guard(cell.to_s) } }
      end
    end
  end
end
