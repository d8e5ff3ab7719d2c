# frozen_string_literal: true

module Exchange
  # A laboratory's results as a CSV file: rows of units, totals and blanks are passed over, samples are found by their
  # label, every bad row is named, and all is kept or nothing.
  class LaboratoryTable
    MOST_ROWS = 5000
    # What columns are called, without anything but letters.
    HEADINGS = {
      "label" => %w[label sample sampleid samplelabel sampleno id], "sand" => %w[sand sandpercent],
      "silt" => %w[silt siltpercent], "clay" => %w[clay claypercent], "method" => %w[method],
      "uncertainty" => %w[uncertainty u error plusminus], "silt_limit" => %w[siltlimit siltlimitum],
      "reported_on" => %w[date reportedon reported], "laboratory" => %w[laboratory lab],
      "number" => %w[number labnumber labno laboratorynumber], "remark" => %w[remark remarks comment note]
    }.freeze
    # Labels of rows that are of no sample; and what a row of units holds.
    TOTALS = /\A(total|sum|mean|average|median|min|max|n)\.?\z/i
    UNITS = %r{\A(%|g/kg|g kg-1|µm|um|fraction|percent)?\z}i

    # @return [Problems]
    attr_reader :problems

    # @param csv [String] the file as it came
    # @param samples [ActiveRecord::Relation] that labels are looked up in
    # @param usual [Hash{String=>String}] "method" and "laboratory" of rows that say none
    # @raise [Unreadable]
    def initialize(csv, samples, usual = {})
      file = CsvText.new(csv, most: MOST_ROWS)
      @names = names(file.headings)
      @by_label = samples.where.not(label: nil).group_by { |sample| plain(sample.label) }
      @problems = Problems.new
      @rows = file.rows.filter_map { |number, cells| row(number, cells, usual) }
      @problems.add("rows", "No row has a result.") if @rows.empty? && @problems.empty?
    end

    # @param source [String] name of the file
    # @return [Array<LaboratoryResult>]
    def take_in(source)
      LaboratoryResult.transaction do
        @rows.map do |sample, input|
          LaboratoryResult.make(sample, input, source: source)
        end
      end
    end

    private

    def names(headings)
      found = headings.map do |heading|
        letters = heading.to_s.downcase.gsub("%", "percent").gsub(/[^a-z]/, "")
        HEADINGS.find { |_, said| said.include?(letters) }&.first
      end
      missing = %w[label clay] - found
      raise Unreadable, "The table needs a column for #{missing.first}." if missing.any?

      found
    end

    def plain(label) = label.downcase.gsub(/\s+/, "").gsub(/(?<![0-9])0+(?=[0-9])/, "")

    def row(number, cells, usual)
      given = @names.zip(cells).to_h.except(nil).transform_values { |cell| Cells.unguard(cell.to_s.strip) }
      return if passed_over?(given)

      sample = @problems.within("row #{number}") { sample(given["label"]) } or return
      given["method"] = given["method"].to_s.downcase.presence || usual["method"]
      given["laboratory"] = given["laboratory"].presence || usual["laboratory"]
      fine = @problems.within("row #{number}") { LaboratoryResult.checked(given) }
      [sample, given] if fine
    end

    def passed_over?(given)
      parts = given.values_at("sand", "silt", "clay").map(&:to_s)
      given["label"].to_s.match?(TOTALS) || (given["label"].to_s.empty? && parts.all? { |part| part.match?(UNITS) })
    end

    def sample(label)
      found = @by_label[plain(label.to_s)] || []
      bags = found.select { |one| one.kind == "bag" } # of several with one label, the one that was sent
      found = bags if bags.size == 1
      return found.first if found.size == 1

      refuse(found.empty? ? "There is no sample labelled “#{label}”." : "Several samples are labelled “#{label}”.")
    end

    def refuse(sentence) = raise(Grittle::InvalidInput, [Grittle::Problem.new(pointer: "", sentence: sentence)])
  end
end
