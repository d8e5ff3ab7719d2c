# frozen_string_literal: true

module Exchange
  # Whether a row holds what the application itself would have kept. Fields are brought to their kept form on the way.
  class RowChecks
    LENGTHS = {
      "name" => 120,
      "laboratory" => 120,
      "number" => 60,
      "remark" => 2000,
      "authority" => 200,
      "dated_on" => 10,
      "designation" => 20,
      "label" => 120,
      "caption" => 200,
      "reason" => 300,
      "rules_version" => 20,
      "textured_by" => 120,
      "recorded_by" => 120,
      "by" => 120,
      "undone_by" => 120,
      "taken_back_by" => 120,
      "said" => 120,
      "person" => 120,
      "reported_on" => 40,
      "source" => 200,
      "note" => 2000
    }.freeze
    NEEDED = {
      "sites" => %w[name],
      "profiles" => %w[name kind site_id],
      "horizons" => %w[designation upper_cm lower_cm profile_id],
      "samples" => %w[kind],
      "companion_tests" => %w[test],
      "laboratory_results" => %w[sample_id written added_at],
      "assessor_tables" => %w[name authority dated_on limiting rows],
      "reports" => %w[asked],
      "companion_places" => %w[companion_test_id sample_id],
      "findings" => %w[sample_id test value seen_at],
      "own_hands" => %w[observer numbers pairs made_at],
      "readings" => %w[sample_id step started_at rules_version],
      "answers" => %w[reading_id observation given_at],
      "photos" => %w[of of_id digest media_type],
      "ribbons" => %w[reading_id length_mm entered_length entered_unit ended made_at],
      "assignments" => %w[reading_id code system result rules_version assigned_at override],
      "reported_classes" => %w[horizon_id code system added_at],
      "layer_changes" => %w[profile_id label was made_at],
      "revisions" => %w[record_type record_id was changed_at]
    }.freeze
    METHOD = Grittle::FieldMethod::PARTS.to_h { |name, part| [name.to_s, part.choices] }.freeze
    CHOICES = {
      "sites" => {
        "landform" => Grittle::Profiles::LANDFORMS
      },
      "profiles" => {
        "kind" => Grittle::Profiles::EXPOSURES,
        **METHOD
      },
      "horizons" => {
        "boundary" => Grittle::Profiles::Boundaries::ALL
      },
      "samples" => {
        "kind" => Sample::KINDS
      },
      "companion_tests" => {
        "test" => CompanionTest::TESTS
      },
      "readings" => {
        "step" => Reading::STEPS,
        **METHOD
      },
      "ribbons" => {
        "entered_unit" => Grittle::Units::LENGTHS
      },
      "photos" => {
        "of" => Photo::OWNERS,
        "media_type" => Photo::KINDS
      }
    }.freeze
    RIBBON = Grittle::PushedRibbon::FIELDS

    # @param pictures [#[]]
    # @param ids [Hash{String=>Hash}] by table
    def initialize(pictures, ids)
      @pictures = pictures
      @ids = ids
      @layers = Hash.new { |hash, profile| hash[profile] = [] }
    end

    # @return [Boolean] whether it is a time of ISO 8601
    def self.time?(value)
      Time.iso8601(value)
    rescue ArgumentError, TypeError
      false
    end

    # @raise [Grittle::InvalidInput]
    def row(table, row)
      checked(table, row)
    rescue NoMethodError, TypeError, ArgumentError # a value that is something else than it is anywhere
      refuse("The row has a shape that none of #{table.name} has.")
    end

    # A horizon that was gone through, for what it may overlap.
    # @param where [String]
    def layer(row, where)
      return if row["removed_at"] || !depths?(row)

      @layers[row["profile_id"]] << [row["upper_cm"], row["lower_cm"], row["designation"], where]
    end

    # @return [Array<Array<String>>] place and sentence of horizons that overlap in one profile
    def overlaps
      @layers.values.flat_map do |layers|
        layers.sort_by(&:first).each_cons(2).filter_map do |(_, above_ends, above), (below_begins, _, below, where)|
          [where, "#{below} overlaps #{above} above it."] if below_begins < above_ends
        end
      end
    end

    private

    def checked(table, row)
      whole(table, row)
      table.columns.each { |column| plain(column, row[column.name]) unless row[column.name].nil? }
      CHOICES.fetch(table.name, {}).each { |name, words| ApplicationRecord.one_of(name, row[name], words) }
      table.fields.each { |column| row[column.name] = column.field.read(row[column.name]) }
      send(:"check_#{table.name}", row) if respond_to?(:"check_#{table.name}", true)
    end

    # Nothing more and nothing less than a row of the table has.
    def whole(table, row)
      unknown = row.keys - table.columns.map(&:name)
      refuse("There is no column “#{unknown.first}” in #{table.name}.") unless unknown.empty?
      refuse("The id must be a whole number, not #{Grittle::Spoken.of(row['id'])}.") unless row["id"].is_a?(Integer)
      missing = NEEDED[table.name].find { |name| row[name].nil? }
      refuse("#{missing} is needed.") if missing
    end

    # What a value of each kind is, and how that is said.
    KINDS = {
      number: [->(value) { value.is_a?(Numeric) }, "a number"],
      text: [->(value) { value.is_a?(String) }, "text"],
      person: [->(value) { value.is_a?(String) }, "text"],
      flag: [->(value) { [true, false].include?(value) }, "true or false"],
      time: [->(value) { time?(value) }, "a time such as 2026-05-31T10:05:00Z"]
    }.freeze
    private_constant :KINDS

    def plain(column, value)
      refuse("#{column.name}: #{PlainText::SENTENCE}") if PlainText.flaw(value)
      limit = LENGTHS[column.name]
      refuse("#{column.name} has at most #{limit} characters.") if limit && value.to_s.length > limit
      fits, said = KINDS[column.kind]
      refuse("#{column.name} must be #{said}, not “#{Grittle::Spoken.of(value)}”.") unless fits.nil? || fits.call(value)
    end

    def depths?(row) = row.values_at("upper_cm", "lower_cm").all?(Numeric)

    def check_profiles(row)
      pulls = row["increments"]
      refuse("increments must be a list of objects.") unless pulls.nil? || (pulls.is_a?(Array) && pulls.all?(Hash))
      (row["increments"] || []).each { |pull| Grittle::Entry::Fields.read("increment", pull) }
    end

    def check_horizons(row)
      Grittle::Profiles::DepthRange.new(row["upper_cm"], row["lower_cm"])
      Horizon::COLOURS.each do |name|
        row[name.to_s] &&= Grittle::Profiles::Munsell.new(row[name.to_s], field: name).to_s
      end
    end

    def check_findings(row)
      refuse("value must be an object.") unless row["value"].is_a?(Hash)
      Grittle::Profiles::Findings.read(row["test"], row["value"], whole: false)
    end

    def check_answers(row)
      name, value = row.values_at("observation", "value")
      return if value.nil?
      return Grittle::Observations.new(name => value) if Grittle::Tests::Vocabulary::ALL.key?(name)

      if name == Answer::MOISTURE
        words = Grittle::MoistureLoop::ANSWERS.to_h { |one| [one, one] }
        return ApplicationRecord.one_of(:moisture_answer, value, words)
      end
      return if name == Answer::EXPECTED && value.is_a?(Hash) && Grittle::NamedClass.find(value)
      if name.start_with?(Answer::KEPT) && Grittle::Contradictions::RULES.key?(name.delete_prefix(Answer::KEPT)) &&
         value.is_a?(String)
        return
      end

      refuse("There is no observation “#{name}” with that value.")
    end

    # What a hand was learnt to be must be one that can be assessed with.
    def check_own_hands(row)
      Grittle::Practice::OwnHand.new(row["numbers"])
    rescue KeyError, FloatDomainError
      refuse("numbers is no hand.")
    end

    def check_ribbons(row)
      Grittle::PushedRibbon.new(row.slice(*RIBBON).compact)
      Reading.measure(row["marks"].deep_symbolize_keys) if row["marks"]
    end

    def check_assignments(row)
      refuse("result must be an object.") unless row["result"].is_a?(Hash)
      check_reported_classes(row)
    end

    def check_reported_classes(row)
      added = row["added"]
      refuse("added must be an object.") unless added.nil? || added.is_a?(Hash)
      known = ((added || {}).keys - Grittle::NamedClass::QUALIFIERS.map(&:to_s)).empty?
      refuse("There is no class “#{row['code']}” in #{row['system']}.") \
        unless known && Grittle::NamedClass.find({ **row.slice("key", "system", "code"), **(added || {}) })
    end

    def check_assessor_tables(row)
      rows = row["rows"]
      fine = rows.is_a?(Array) && rows.all? { |one| one.is_a?(Hash) && (one.keys - AssessorTable::COLUMNS).empty? }
      refuse("rows must be a list of objects with #{AssessorTable::COLUMNS.join(', ')}.") unless fine
      AssessorTable::CORE.new(rows, limiting: row["limiting"])
      AssessorTable::DAY.read(row["dated_on"])
    end

    def check_laboratory_results(row)
      refuse("written must be an object.") unless row["written"].is_a?(Hash)
      unknown = row["written"].keys - LaboratoryResult::WRITTEN
      refuse("written has no “#{unknown.first}”.") if unknown.any?
      LaboratoryResult.checked(row["written"].merge("reported_on" => row["reported_on"]))
    end

    def check_reports(row)
      refuse("A report is of a profile or of a site.") if row.values_at("profile_id", "site_id").compact.size != 1
      asked = row["asked"]
      refuse("asked must be an object.") unless asked.is_a?(Hash) && (asked.keys - Report::ASKED).empty?
      return if row["content"].nil? || Reports::Shape.content?(row["content"])

      refuse("content is not what a report holds.")
    end

    def check_layer_changes(row) = Traces.check_layers(row["was"], @ids)

    def check_revisions(row)
      ApplicationRecord.one_of(:record_type, row["record_type"], Traces::OF)
      Traces.check(row["was"], row["record_type"])
    end

    def check_photos(row)
      picture = @pictures[row["digest"]] || refuse("The picture #{row['digest'].to_s[0, 12]} is missing.")
      Photo.check_clean(picture, row["media_type"], row["digest"])
    end

    def refuse(sentence) = raise(Grittle::InvalidInput, [Grittle::Problem.new(pointer: "", sentence: sentence)])
  end
end
