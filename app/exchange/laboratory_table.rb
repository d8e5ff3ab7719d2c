# frozen_string_literal: true

module Exchange
  # A laboratory's results as a CSV file: rows of units, totals and blanks are passed over, samples are found by their
  # label, every bad row is named, and all is kept or nothing. What the file leaves open is asked, not guessed.
  class LaboratoryTable
    MOST_ROWS = 5000
    # What columns are called, without anything but letters.
    HEADINGS = {
      "label" => %w[label sample sampleid samplelabel sampleno id], "sand" => %w[sand sandpercent],
      "silt" => %w[silt siltpercent], "clay" => %w[clay claypercent], "method" => %w[method],
      "uncertainty" => %w[uncertainty u error plusminus], "silt_limit" => %w[siltlimit siltlimitum],
      "determinations" => %w[determinations n], "reported_on" => %w[date reportedon reported],
      "laboratory" => %w[laboratory lab], "number" => %w[number labnumber labno laboratorynumber],
      "remark" => %w[remark remarks comment note]
    }.freeze
    # Labels of rows that are of no sample; and what a row of units holds.
    TOTALS = /\A(total|sum|mean|average|median|min|max|n)\.?\z/i
    UNITS = %r{\A(%|g/kg|g kg-1|µm|um|fraction|percent)?\z}i
    PARTS = Grittle::Practice::LaboratoryRow::PARTS
    # A date whose day and month a reader cannot tell apart, unless one is over 12.
    DAY_MONTH = %r{\A(\d{1,2})[./-](\d{1,2})[./-](\d{4}|\d{2})\z}
    DATE_ORDERS = { "dmy" => "Day first", "mdy" => "Month first" }.freeze
    DUPLICATES = { "mean" => "Two determinations: their mean", "newest" => "The lower row replaces the upper" }.freeze

    # @return [Problems]
    attr_reader :problems

    # @return [Array<Hash{String=>String}>] rows of samples without a result, with the laboratory's remark
    attr_reader :without

    # @param csv [String] the file as it came
    # @param samples [ActiveRecord::Relation] that labels are looked up in
    # @param usual [Hash{String=>String}] "method" and "laboratory" of rows that say none
    # @param labels [Hash{String=>Integer}, nil] as they were sent, to sample; nil takes the samples' own
    # @param skip [Boolean] whether rows that do not fit are passed over
    # @param date_order, duplicates [String, nil] of DATE_ORDERS and DUPLICATES, where the file leaves them open
    # @raise [Unreadable, Grittle::UnknownName]
    def initialize(csv, samples, usual = {}, labels: nil, skip: false, date_order: nil, duplicates: nil)
      ApplicationRecord.one_of(:date_order, date_order, DATE_ORDERS)
      ApplicationRecord.one_of(:duplicates, duplicates, DUPLICATES)
      file = CsvText.new(csv, most: MOST_ROWS)
      @names = file.names(HEADINGS, %w[label clay])
      @by_label = by_label(samples, labels)
      @date_order = date_order
      @duplicates = duplicates
      @problems = Problems.new
      @without = []
      @open = []
      @rows = file.rows.filter_map { |number, cells| row(number, cells, usual) }
      @problems.add("rows", "No row has a result.") if @rows.empty? && @without.empty? && @problems.empty?
      @problems = Problems.new if skip && @rows.any?
      @rows = one_each(@rows)
    end

    # What a person has to say before it can be imported.
    # @return [Array<Hash>] "name", "sentence" and "choices"
    def questions
      asked = []
      asked << question("date_order", "Is #{@open.first} day first or month first?", DATE_ORDERS) if @open.any?
      if @twice
        asked << question("duplicates", "Two rows are of #{@twice}, one date and one method. What are they?",
                          DUPLICATES)
      end
      asked
    end

    # What is about to be imported, to be confirmed.
    # @return [Array<Hash>] "label" as written, "sample" it was found to be, "said", "done"
    def preview
      @rows.map do |sample, input|
        read = LaboratoryResult.core(LaboratoryResult.checked(input)[:written])
        { "label" => input["label"], "sample" => [sample.place&.name, sample.place_name].compact.join(", "),
          "said" => read.to_s, "done" => read.done }
      end
    end

    # @param source [String] name of the file
    # @param submission [Submission, nil]
    # @return [Array<LaboratoryResult>]
    def take_in(source, submission = nil)
      LaboratoryResult.transaction do
        @rows.map { |sample, input| LaboratoryResult.make(sample, input, source: source, submission: submission) }
      end
    end

    private

    def by_label(samples, labels)
      return samples.where.not(label: nil).group_by { |sample| plain(sample.label) } unless labels

      known = samples.index_by(&:id)
      labels.group_by { |label, _| plain(label) }.transform_values { |all| all.map { |_, id| known.fetch(id) } }
    end

    def plain(label) = label.downcase.gsub(/\s+/, "").gsub(/(?<![0-9])0+(?=[0-9])/, "")

    def row(number, cells, usual)
      given = @names.zip(cells).to_h.except(nil).transform_values { |cell| Cells.unguard(cell.to_s.strip) }
      return if passed_over?(given)

      sample = @problems.within("row #{number}") { sample(given["label"]) } or return
      return (@without << given.slice("label", "remark")) && nil if empty?(given)

      given["method"] = given["method"].to_s.downcase.presence || usual["method"]
      given["laboratory"] = given["laboratory"].presence || usual["laboratory"]
      given["reported_on"] = date(given["reported_on"])
      fine = @problems.within("row #{number}") { LaboratoryResult.checked(given) }
      [sample, given] if fine
    end

    def passed_over?(given)
      given["label"].to_s.match?(TOTALS) ||
        (given["label"].to_s.empty? && PARTS.all? { |part| given[part].to_s.match?(UNITS) })
    end

    def empty?(given)
      PARTS.all? { |part| Grittle::Practice::LaboratoryRow::MISSING.include?(given[part].to_s.downcase) }
    end

    # As ISO 8601, where the order of day and month is known.
    def date(text)
      one, other, year = text.to_s.match(DAY_MONTH)&.captures
      return text unless one

      order = @date_order || (if one.to_i > 12
                                "dmy"
                              else
                                ("mdy" if other.to_i > 12)
                              end)
      return (@open << text) && nil unless order

      day, month = order == "dmy" ? [one, other] : [other, one]
      format("%<year>s-%<month>02d-%<day>02d", year: year.size == 2 ? "20#{year}" : year, month: month.to_i,
                                               day: day.to_i)
    end

    # One row for each sample, date and method.
    def one_each(rows)
      rows.group_by { |sample, input| [sample.id, input["reported_on"], input["method"]] }.values.map do |same|
        next same.first if same.size == 1

        @twice = same.first.last["label"] unless @duplicates
        @duplicates == "mean" ? mean_of(same) : same.last
      end
    end

    # The rows stay in the remark, as they were written.
    def mean_of(same)
      sample, first = same.first
      read = same.map { |_, input| LaboratoryResult.core(LaboratoryResult.checked(input)[:written]).percents }
      means = PARTS.to_h { |part| [part, (read.sum { |one| one[part] } / read.size).round(2).to_s] }
      told = "Mean of #{same.map { |_, input| input.values_at(*PARTS).join('/') }.join(' and ')}."
      [sample, first.merge(means, "determinations" => same.size.to_s,
                                  "remark" => [first["remark"].presence, told].compact.join(" "))]
    end

    def sample(label)
      found = @by_label[plain(label.to_s)] || []
      bags = found.select { |one| one.kind == "bag" } # of several with one label, the one that was sent
      found = bags if bags.size == 1
      return found.first if found.size == 1

      refuse(found.empty? ? "There is no sample labelled “#{label}”." : "Several samples are labelled “#{label}”.")
    end

    def question(name, sentence, choices)
      { "name" => name, "sentence" => sentence,
        "choices" => choices.map { |value, word| { "value" => value, "name" => word } } }
    end

    def refuse(sentence) = raise(Grittle::InvalidInput, [Grittle::Problem.new(pointer: "", sentence: sentence)])
  end
end
