# frozen_string_literal: true

module Exchange
  # A column of a table: its name, what it holds, and how it is read from a record and from a file.
  #
  #   kinds: id, text, integer, number, flag, time, json, ref (an id in another table), person (a name), field (a field
  #   that the core describes), derived (for people; ignored on the way in)
  Column = Struct.new(:name, :kind, :about, :to, :field, keyword_init: true) do
    # @return [String] type in a Frictionless table schema
    def type
      {
        integer: "integer",
        id: "integer",
        ref: "integer",
        number: "number",
        flag: "boolean",
        time: "datetime",
        json: "object",
        field: { number: "number", flag: "boolean" }[field&.type]
      }[
        kind
      ] || "string"
    end
  end

  # One table of the package, and the list of the same name in JSON.
  Table = Struct.new(:name, :model, :columns, :about, keyword_init: true) do
    # @return [Column]
    def [](name) = columns.find { |column| column.name == name }

    # @return [Array<Column>] those that the core describes
    def fields = columns.select { |column| column.kind == :field }
  end

  # What leaves and enters Grittle, table by table, parents first. Names are those of the database and the wire.
  module Tables
    FIELDS = Grittle::Entry::Fields
    METHOD = Grittle::FieldMethod::PARTS.to_h { |name, part| [name.to_s, part.default == false ? :flag : :text] }
                                        .merge("textured_by" => :person, "recorded_by" => :person).freeze
    # A class, as ClassColumns keeps it.
    NAMED = { "key" => :text, "system" => :text, "code" => :text, "added" => :json }.freeze

    def self.columns(plain, refs: {}, described: nil, except: [])
      own = plain.map { |name, kind| Column.new(name: name, kind: kind) }
      links = refs.map { |name, to| Column.new(name: name, kind: :ref, to: to, about: "id in #{to}") }
      fields = (described ? FIELDS::ALL[described].values : []).reject { |field| except.include?(field.name) }
      [Column.new(name: "id", kind: :id, about: "of this file; another is given on the way in"), *links, *own,
       *fields.map do |field|
         Column.new(name: field.name, kind: :field, field: field, about: [field.label, field.unit].compact.join(", "))
       end].freeze
    end

    def self.table(name, model, about, plain, **more)
      Table.new(name: name, model: model, about: about, columns: columns(plain, **more)).freeze
    end
    private_class_method :columns, :table

    ALL = [
      table(
        "sites",
        Site,
        "Pieces of land",
        { "name" => :text, "landform" => :text, "note" => :text },
        described: "site"
      ),
      table("profiles", Profile, "Exposures, with the method of their readings",
            { "name" => :text, "kind" => :text, "note" => :text, **METHOD, "increments" => :json },
            refs: { "site_id" => "sites" }, described: "profile"),
      table(
        "horizons",
        Horizon,
        "Layers; depths in cm. texture is the class that stands for it with all that belongs to its name, " \
        "clay_percent the clay that the hand wrote down: for people, computed anew",
        {
          "designation" => :text,
          "upper_cm" => :number,
          "lower_cm" => :number,
          "boundary" => :text,
          "moist_colour" => :text,
          "dry_colour" => :text,
          "removed_at" => :time,
          "texture" => :derived,
          "clay_percent" => :derived
        },
        refs: {
          "profile_id" => "profiles",
          "reported_reading_id" => "readings"
        },
        described: "horizon",
        except: %w[moist_colour dry_colour]
      ),
      table(
        "samples",
        Sample,
        "Pieces of soil that something was done to; depths in cm",
        { "kind" => :text, "label" => :text, "upper_cm" => :number, "lower_cm" => :number, "removed_at" => :time },
        refs: {
          "horizon_id" => "horizons",
          "profile_id" => "profiles",
          "site_id" => "sites"
        },
        described: "sample"
      ),
      table("companion_tests", CompanionTest, "Sheets of companion tests that take time",
            { "test" => :text, "note" => :text, "ended_at" => :time, "recorded_by" => :person },
            refs: { "profile_id" => "profiles", "site_id" => "sites" }),
      table("companion_places", CompanionPlace, "What stands on those sheets, each of a sample; when its clock began",
            { "started_at" => :time }, refs: { "companion_test_id" => "companion_tests", "sample_id" => "samples" }),
      table(
        "findings",
        Finding,
        "Looks at companion tests; minutes in value are those since the clock of its place began",
        { "test" => :text, "value" => :json, "seen_at" => :time, "taken_back_at" => :time, "recorded_by" => :person },
        refs: {
          "sample_id" => "samples",
          "companion_place_id" => "companion_places"
        }
      ),
      table("own_hands", OwnHand, "What was learnt of a person's hand on a day; readings keep the one they began with",
            { "observer" => :person, "numbers" => :json, "pairs" => :integer, "made_at" => :time }),
      table("readings", Reading, "Hand-texturings of one sample by one person",
            { **METHOD, "begun_by" => :person, "rules_version" => :text, "step" => :text,
              "started_at" => :time, "updated_at" => :time },
            refs: { "sample_id" => "samples", "own_hand_id" => "own_hands" }),
      table(
        "answers",
        Answer,
        "Observations as given, oldest first; the newest of a name stands, null takes it back",
        { "observation" => :text, "value" => :json, "given_at" => :time, "recorded_by" => :person },
        refs: {
          "reading_id" => "readings"
        }
      ),
      table(
        "reported_classes",
        ReportedClass,
        "Classes of horizons that came without a reading, as somebody wrote them; the newest stands",
        {
          **NAMED,
          "said" => :text,
          "person" => :text,
          "reported_on" => :text,
          "source" => :text,
          "added_at" => :time,
          "by" => :person
        },
        refs: {
          "horizon_id" => "horizons"
        }
      ),
      table("photos", Photo, "Photographs; the pictures lie in photos/ under their digest",
            {
              "of" => :text,
              "of_id" => :integer,
              "digest" => :text,
              "media_type" => :text,
              "caption" => :text,
              "width" => :integer,
              "height" => :integer,
              "bytes" => :integer,
              "added_at" => :time,
              "removed_at" => :time,
              "by" => :person
            }),
      table("ribbons", Ribbon, "Ribbons as made, lengths in mm",
            {
              "length_mm" => :number,
              "entered_length" => :number,
              "entered_unit" => :text,
              "thickness_mm" => :number,
              "width_mm" => :number,
              "working_minute" => :number,
              "carried_own_weight" => :flag,
              "ended" => :text,
              "reading_error_mm" => :number,
              "marks" => :json,
              "made_at" => :time,
              "entered_at" => :time,
              "taken_back_at" => :time,
              "taken_back_by" => :person,
              "recorded_by" => :person
            },
            refs: { "reading_id" => "readings", "corrects_id" => "ribbons", "photo_id" => "photos" }),
      table(
        "assignments",
        Assignment,
        "Classes that were given, with what the key said; the newest stands",
        {
          **NAMED,
          "override" => :flag,
          "reason" => :text,
          "rules_version" => :text,
          "result" => :json,
          "assigned_at" => :time,
          "recorded_by" => :person
        },
        refs: {
          "reading_id" => "readings"
        }
      ),
      table("laboratory_results", LaboratoryResult,
            "What laboratories found in samples, as written; the newest stands. read_as and beside_hand: for people",
            { "written" => :json, "laboratory" => :text, "number" => :text, "reported_on" => :text, "remark" => :text,
              "source" => :text, "added_at" => :time, "recorded_by" => :person,
              "read_as" => :derived, "beside_hand" => :derived },
            refs: { "sample_id" => "samples" }),
      table("assessor_tables", AssessorTable, "Tables of the assessor's own authority, row by row as they came",
            { "name" => :text, "authority" => :text, "dated_on" => :text, "limiting" => :text, "rows" => :json }),
      table("reports", Report, "Reports: what they were made for and with, and what a frozen one held",
            { "asked" => :json, "content" => :json, "rules_version" => :text, "frozen_at" => :time },
            refs: { "profile_id" => "profiles", "site_id" => "sites" }),
      table(
        "layer_changes",
        LayerChange,
        "How the layers of a profile were before each change, so that it can be undone",
        {
          "label" => :text,
          "was" => :json,
          "made_at" => :time,
          "by" => :person,
          "undone_at" => :time,
          "undone_by" => :person
        },
        refs: {
          "profile_id" => "profiles"
        }
      ),
      table("revisions", Revision, "The values that sites, profiles, horizons and samples had before they were changed",
            { "record_type" => :text, "record_id" => :integer, "was" => :json, "changed_at" => :time, "by" => :person })
    ].freeze
    BY_NAME = ALL.to_h { |one| [one.name, one] }.freeze
    # Written once all rows are there: a horizon comes before its readings.
    LATER = [%w[horizons reported_reading_id]].freeze
    # Which table a photo's of_id speaks of.
    PHOTO_OF = { "site" => "sites", "profile" => "profiles", "horizon" => "horizons", "reading" => "readings" }.freeze
  end
end
