# frozen_string_literal: true

module Exchange
  # Anybody's table of horizons as a CSV file: the columns are guessed, the person corrects the guess, and every row is
  # checked before one is kept.
  class HorizonTable
    COLUMNS = Grittle::Entry::Columns
    MOST_ROWS = 50_000
    SHOWN_ROWS = 5
    CM_PER = COLUMNS::DEPTH_UNITS
    DEPTHS = COLUMNS::DEPTHS
    LONGEST_NAME = 120
    # A class that came without a reading: what a column may say of it, in so many characters.
    SAID_OF = { "texture_person" => 120, "texture_date" => 40 }.freeze

    attr_reader :headings, :targets, :unit, :problems

    # @param text [String] the file, as it came
    # @param name [String] of the file, for the site where no column names one
    # @raise [Unreadable]
    def initialize(text, name:)
      @name = name
      file = CsvText.new(text, most: MOST_ROWS)
      @headings = file.headings
      @rows = file.rows
      guesses = COLUMNS.guess(@headings)
      map(guesses.map(&:target), unit: guesses.filter_map(&:unit).first || "cm")
    end

    # @param targets [Array<String, nil>] what each column is: a name of Columns::NAMES, or nil to leave it out
    # @param unit [String] of the depths
    # @raise [Grittle::InvalidInput]
    def map(targets, unit:)
      refuse("unit", "Depths are in #{CM_PER.keys.join(', ')}, not “#{unit}”.") unless CM_PER.key?(unit)
      refuse("targets", "The mapping needs one entry a column.") unless targets.size == headings.size
      targets.compact.each do |target|
        refuse("targets", "There is no field “#{target}”.") unless COLUMNS::NAMES.key?(target)
      end
      twice = targets.compact.tally.find { |_, count| count > 1 }
      refuse("targets", "Two columns are mapped to #{COLUMNS::NAMES[twice.first]}.") if twice
      @targets = targets
      @unit = unit
      check
    end

    # @return [Integer]
    def total = @rows.size

    # @return [Hash{String=>Integer}]
    def counts
      {
        "profiles" => @layers.compact.map { |layer| layer.values_at(:site, :profile) }.uniq.size,
        "horizons" => @layers.compact.size
      }
    end

    # @return [Array<Array<String>>]
    def first_rows = @rows.first(SHOWN_ROWS).map(&:last)

    # @param import [FileImport, nil] that its sites belong to
    # @yield after each row that is kept
    def take_in(import = nil)
      sites = Hash.new { |hash, name| hash[name] = Site.create!(name: name, file_import: import) }
      profiles =
        Hash.new { |hash, (site, name)| hash[[site, name]] = Profile.make(sites[site], { name: name, kind: "pit" }) }
      @layers.each do |layer|
        horizon = profiles[layer.values_at(:site, :profile)].horizons.create!(**layer[:attributes])
        horizon.reported_classes.create!(**layer[:reported], source: @name, added_at: Time.now.utc) if layer[:reported]
        yield if block_given?
      end
      profiles.each_value(&:refresh)
    end

    private

    def check
      @problems = Problems.new
      DEPTHS.each do |depth|
        @problems.add("columns", "No column is mapped to #{COLUMNS::NAMES[depth]}.") unless targets.include?(depth)
      end
      unless targets.include?("designation")
        @problems.add(
          "columns",
          "No column is mapped to #{COLUMNS::NAMES['designation']}."
        )
      end
      @layers = @problems.empty? ? @rows.map { |number, row| layer(row, number) } : []
      overlaps
    end

    def place(number) = "row #{number}"

    def layer(row, number)
      cells =
        targets.zip(row).to_h.compact.transform_values { |cell| Cells.unguard(cell) }.reject { |_, cell| cell.empty? }
      found = Gathered.new(place(number), @problems)
      found.read { refuse("row", PlainText::SENTENCE) } unless cells.values.all? { |cell| PlainText.fine?(cell) }
      attributes = attributes(cells, found)
      reported = found.read { reported(cells) } if cells["texture"]
      names = %w[site profile].to_h { |kind| [kind.to_sym, found.read { short(kind, cells[kind] || @name) }] }
      { **names, attributes: attributes, reported: reported, number: number } if found.good?
    end

    def attributes(cells, found)
      depths = DEPTHS.to_h { |name| [name, found.read { depth(name, cells[name]) }] }
      found.read { Grittle::Profiles::DepthRange.new(*depths.values) } if depths.values.all?
      described = cells.slice(*Grittle::Entry::Fields::HORIZON.keys).to_h do |name, cell|
        [name, found.read { Grittle::Entry::Fields::HORIZON[name].read(cell) }]
      end
      colours = Horizon::COLOURS.map(&:to_s)
      {
        designation: found.read { designation(cells["designation"]) },
        upper_cm: depths["upper_cm"],
        lower_cm: depths["lower_cm"],
        boundary: found.read { boundary(cells["boundary"]) },
        described: described.except(*colours).compact.presence,
        **described.slice(*colours).symbolize_keys
      }
    end

    def depth(name, cell)
      said = COLUMNS::NAMES[name]
      refuse(name, "#{said} is missing.") if cell.nil?
      number = Grittle::Entry::Field.number(cell) || refuse(name, "#{said} is a number of #{unit}, not “#{cell}”.")
      COLUMNS.to_cm(number, unit)
    end

    def short(kind, name)
      name.length <= LONGEST_NAME ? name : refuse(kind, "The name of a #{kind} has at most #{LONGEST_NAME} characters.")
    end

    def designation(cell)
      refuse("designation", "The horizon has no name.") if cell.nil?
      refuse("designation", "A horizon's name has at most 20 characters: “#{cell[0, 40]}”.") if cell.length > 20
      cell
    end

    def boundary(cell)
      return if cell.nil?

      found =
        Grittle::Profiles::Boundaries::MANUAL.find { |word, (name, *)| [word, name.downcase].include?(cell.downcase) }
      if found
        found.first
      else
        refuse(
          "boundary",
          "There is no boundary “#{cell}”. Use one of: #{Grittle::Profiles::Boundaries::MANUAL.keys.join(', ')}."
        )
      end
    end

    # A class in any system that there is, as it was written, with who and when where the table says so.
    def reported(cells)
      SAID_OF.each do |name, most|
        refuse(name, "#{COLUMNS::NAMES[name]} has at most #{most} characters.") if cells[name].to_s.length > most
      end
      { **ReportedClass.read(cells["texture"], cells["texture_system"]),
        person: cells["texture_person"], reported_on: cells["texture_date"] }
    end

    def overlaps
      @layers.compact.group_by { |layer| layer.values_at(:site, :profile) }.each_value do |layers|
        layers.sort_by { |layer| layer[:attributes][:upper_cm] }.each_cons(2) do |above, below|
          next unless below[:attributes][:upper_cm] < above[:attributes][:lower_cm]

          @problems.add(
            place(below[:number]),
            "#{below[:attributes][:designation]} overlaps #{above[:attributes][:designation]} " \
            "of #{place(above[:number])} in #{below[:profile]}."
          )
        end
      end
    end

    def refuse(field, sentence)
      raise(Grittle::InvalidInput, [Grittle::Problem.new(pointer: "/#{field}", sentence: sentence)])
    end

    # What one row gives, and whether all of it could be read.
    class Gathered
      def initialize(place, problems)
        @place = place
        @problems = problems
        @before = problems.count
      end

      def read(&) = @problems.within(@place, &)
      def good? = @problems.count == @before
    end
    private_constant :Gathered
  end
end
