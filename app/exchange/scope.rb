# frozen_string_literal: true

module Exchange
  # What is exported: the whole fieldbook, one site, or one profile with its site.
  class Scope
    OF = %w[fieldbook site profile].freeze

    # @param of [String] one of OF
    # @param id [Integer, nil]
    # @raise [Grittle::UnknownName, ActiveRecord::RecordNotFound]
    def initialize(of, id = nil)
      raise Grittle::UnknownName.new("of", of, OF) unless OF.include?(of)

      @whole = of == "fieldbook"
      @fieldbook = Fieldbook.current
      @site = @fieldbook.sites.find(id) if of == "site"
      @profile = @fieldbook.profiles.find(id) if of == "profile"
    end

    # @return [String] for a file's name
    def name = (@profile || @site)&.name || @fieldbook.name

    # @return [Profile, nil]
    attr_reader :profile

    # @return [ActiveRecord::Relation] of one table
    def relation(table)
      @whole ? out_of_bin(table) : send(table.name)
    end

    # By which column a row hangs on what may lie in the bin, and of which table.
    OWNERS = {
      "sites" => { id: :sites }, "profiles" => { id: :profiles }, "horizons" => { profile_id: :profiles },
      "samples" => { profile_id: :profiles, horizon_id: :horizons, site_id: :sites, id: :samples },
      "reported_classes" => { horizon_id: :horizons }, "findings" => { sample_id: :samples, id: :findings },
      "laboratory_results" => { sample_id: :samples }, "companion_tests" => { id: :companion_tests },
      "assessor_tables" => { id: :assessor_tables },
      "reports" => { id: :reports, profile_id: :profiles, site_id: :sites },
      "companion_places" => { companion_test_id: :companion_tests, sample_id: :samples },
      "readings" => { id: :readings }, "answers" => { reading_id: :readings }, "ribbons" => { reading_id: :readings },
      "assignments" => { reading_id: :readings }, "layer_changes" => { profile_id: :profiles }
    }.freeze

    # By which column a row hangs on what was read in sessions, of which table, and how else it must stand.
    PRACTISED = {
      "samples" => ["samples", :id], "readings" => ["samples", :sample_id], "answers" => ["readings", :reading_id],
      "ribbons" => ["readings", :reading_id], "assignments" => ["readings", :reading_id],
      "photos" => ["readings", :of_id, { of: "reading" }]
    }.freeze

    # How the fieldbook of a row is found: by the column of that name in the table at the end of these steps, which are
    # made from the row on, so that the database goes through the rows in their order.
    STEPS = {
      "sites" => [], "samples" => [], "photos" => [], "companion_tests" => [], "reports" => [],
      "assessor_tables" => [], "profiles" => %w[site_id sites], "horizons" => %w[profile_id profiles site_id sites],
      "layer_changes" => %w[profile_id profiles site_id sites],
      "reported_classes" => %w[horizon_id horizons profile_id profiles site_id sites],
      "companion_places" => %w[companion_test_id companion_tests], "findings" => %w[sample_id samples],
      "laboratory_results" => %w[sample_id samples], "own_hands" => %w[observer_id observers],
      "readings" => %w[sample_id samples], "answers" => %w[reading_id readings sample_id samples],
      "ribbons" => %w[reading_id readings sample_id samples],
      "assignments" => %w[reading_id readings sample_id samples]
    }.freeze

    # Tables whose rows say in two columns what they are of.
    SPOKEN_OF = {
      "photos" => [:of, :of_id, Tables::PHOTO_OF], "revisions" => [:record_type, :record_id, Traces::OF]
    }.freeze

    private

    # What lies in the bin is not exported. A horizon or a sample that was deleted by itself stays in the record of its
    # profile, as removed.
    def out_of_bin(table)
      rows = without_practice(table)
      return rows unless Deletion.standing.exists?

      OWNERS.fetch(table.name, {}).each do |column, of|
        rows = rows.where.not(column => gone[of]).or(rows.where(column => nil)) if gone[of].any?
      end
      said, number, owners = SPOKEN_OF[table.name]
      (owners || {}).reduce(rows) do |left, (word, owner)|
        ids = gone[owner.to_sym]
        ids.any? ? left.where.not(said => word, number => ids) : left
      end
    end

    # What was read in sessions is none of the fieldbook.
    def without_practice(table)
      rows = of_fieldbook(table)
      return rows unless PRACTISED.key?(table.name) && Sample.exists?(practice: true)

      samples = Sample.where(practice: true)
      readings = Reading.where(sample_id: samples.select(:id))
      of, column, more = PRACTISED[table.name]
      left = table.model.where(column => { "samples" => samples, "readings" => readings }.fetch(of).select(:id),
                               **more.to_h)
      rows.where.not(id: left.ids)
    end

    def of_fieldbook(table)
      return changes if table.name == "revisions"

      last = table.name
      steps = STEPS.fetch(table.name).each_slice(2).map do |column, to|
        "STRAIGHT_JOIN #{to} ON #{to}.id = #{last}.#{column}".tap { last = to }
      end
      table.model.joins(steps.join(" ")).where(last => { fieldbook_id: @fieldbook.id })
    end

    # What was changed of the rows that are exported.
    def changes
      found = Traces::OF.map do |model, name|
        owned = of_fieldbook(Tables::BY_NAME[name]).select("#{name}.id")
        Revision.where(record_type: model).where("revisions.record_id IN (#{owned.to_sql})")
      end
      found.reduce(:or)
    end

    # @return [Hash{Symbol=>Array<Integer>}] rows that are left out, by table
    def gone
      @gone ||= begin
        profiles = Profile.where.not(deletion_id: nil).ids
        horizons = Horizon.where(profile_id: profiles).ids
        sites = Site.where.not(deletion_id: nil).ids
        samples = { profile_id: profiles, horizon_id: horizons, site_id: sites }
                  .flat_map { |column, ids| Sample.where(column => ids).ids }.uniq
        loose = Sample.where.not(deletion_id: nil).where(horizon_id: nil, profile_id: nil, site_id: nil).ids
        { sites: sites, profiles: profiles, horizons: horizons, samples: samples | loose,
          readings: Reading.where.not(deletion_id: nil).ids, findings: Finding.where.not(deletion_id: nil).ids,
          companion_tests: CompanionTest.where.not(deletion_id: nil).ids,
          assessor_tables: AssessorTable.where.not(deletion_id: nil).ids,
          reports: Report.where.not(deletion_id: nil).ids }
      end
    end

    # Numbers are looked up once and level by level: nested in one another, the database would go through whole tables.
    def sites = Site.where(id: @profile ? @profile.site_id : @site.id)
    def profiles = Profile.where(id: profile_ids)
    def horizons = Horizon.where(id: horizon_ids)
    def samples = Sample.where(id: sample_ids)
    def reported_classes = ReportedClass.where(horizon_id: horizon_ids)
    def findings = Finding.where(sample_id: sample_ids, deletion_id: nil)
    def laboratory_results = LaboratoryResult.where(sample_id: sample_ids)
    def companion_tests = CompanionTest.where(id: companion_test_ids)
    def reports = Report.kept.where(profile_id: profile_ids).or(Report.kept.where(site_id: @profile ? [] : site_ids))
    def assessor_tables = AssessorTable.kept.where(id: reports.map { |report| report.asked["table_id"] }.compact)
    def companion_places = CompanionPlace.where(companion_test_id: companion_test_ids, sample_id: sample_ids)
    def own_hands = OwnHand.where(id: Reading.where(id: reading_ids).select(:own_hand_id))
    def readings = Reading.where(id: reading_ids)
    def answers = Answer.where(reading_id: reading_ids)
    def ribbons = Ribbon.where(reading_id: reading_ids)
    def assignments = Assignment.where(reading_id: reading_ids)
    def layer_changes = LayerChange.where(profile_id: profile_ids)
    def revisions = owned(Traces::OF) { |model, ids| Revision.where(record_type: model, record_id: ids) }
    def photos = owned(Tables::PHOTO_OF) { |of, ids| Photo.where(of: of, of_id: ids) }

    # @param owners [Hash{String=>String}] what a row says of its owner => the owner's table
    def owned(owners)
      owners.map { |said, table| yield said, send("#{table.delete_suffix('s')}_ids") }.reduce(:or)
    end

    def site_ids = [@profile ? @profile.site_id : @site.id]
    def profile_ids = @profile_ids ||= @profile ? [@profile.id] : Profile.kept.where(site: @site).ids
    def horizon_ids = @horizon_ids ||= Horizon.where(profile_id: profile_ids).ids
    def reading_ids = @reading_ids ||= Reading.kept.where(sample_id: sample_ids).ids

    def companion_test_ids
      @companion_test_ids ||= begin
        owners = { profile_id: profile_ids, site_id: @profile ? [] : site_ids }
        owners.flat_map { |column, ids| CompanionTest.kept.where(column => ids).ids }.uniq
      end
    end

    def sample_ids
      owners = { horizon_id: horizon_ids, profile_id: profile_ids, site_id: @profile ? [] : site_ids }
      @sample_ids ||= owners.flat_map { |column, ids| Sample.where(column => ids).ids }.uniq
    end
  end
end
