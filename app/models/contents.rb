# frozen_string_literal: true

# All that hangs on one thing, by table: what goes into the bin with it, and out of it.
class Contents
  TABLES = { sites: "Site", profiles: "Profile", horizons: "Horizon", samples: "Sample", readings: "Reading",
             photos: "Photo", companion_tests: "CompanionTest",
             assessor_tables: "AssessorTable", reports: "Report" }.freeze

  # What is said of how many of each there are.
  NOUNS = { sites: "site", profiles: "profile", horizons: "horizon", samples: "sample", readings: "reading",
            photos: "photograph", companion_tests: "companion test",
            assessor_tables: "table", reports: "report" }.freeze

  # @return [Hash{Symbol=>Array<Integer>}] numbers by table
  attr_reader :ids

  # @param record [Site, Profile, Horizon, Sample, Reading, Photo, CompanionTest, AssessorTable,
  #   Report, FileImport]
  # @param all [Boolean] also what lies in the bin or was taken away already
  def initialize(record, all: false)
    @all = all
    @ids = TABLES.keys.to_h { |table| [table, []] }
    gather(record)
    @ids[:photos] |= photos
    @ids[:companion_tests] |= sheets
    @ids[:reports] |= within(Report, profile_id: @ids[:profiles]) | within(Report, site_id: @ids[:sites])
  end

  # @return [Hash{String=>Integer}] how many of each a person would count; a palmful is told by its reading
  def counts
    told = @ids.merge(samples: @ids[:samples] - Reading.where(id: @ids[:readings]).distinct.pluck(:sample_id))
    told.transform_keys(&:to_s).transform_values(&:size).reject { |_, count| count.zero? }
  end

  # @return [Array<String>] who textured any of it
  def people
    Observer.where(id: Reading.where(id: @ids[:readings]).select(:textured_by_id)).order(:name).pluck(:name)
  end

  # @yieldparam model [Class]
  # @yieldparam ids [Array<Integer>]
  def each = TABLES.each { |table, model| yield Object.const_get(model), @ids[table] }

  private

  def gather(record)
    case record
    when FileImport
      below_sites(within(Site, file_import_id: record.id), loose: within(Sample, file_import_id: record.id))
    when Site then below_sites([record.id])
    when Profile then below_profiles([record.id])
    when Horizon then of_horizon(record)
    when Sample then below_samples([record.id])
    when Reading then of_reading(record)
    when CompanionTest then of_sheet(record)
    when AssessorTable then @ids[:assessor_tables] = [record.id]
    when Report then @ids[:reports] = [record.id]
    when Photo then @ids[:photos] = [record.id]
    end
  end

  def below_sites(ids, loose: [])
    @ids[:sites] = ids
    below_profiles(within(Profile, site_id: ids), loose: loose | within(Sample, site_id: ids))
  end

  def below_profiles(ids, loose: [])
    @ids[:profiles] = ids
    @ids[:horizons] = within(Horizon, profile_id: ids)
    below_samples(loose | within(Sample, profile_id: ids) | within(Sample, horizon_id: @ids[:horizons]))
  end

  # Samples taken at a depth of the profile find another horizon.
  def of_horizon(horizon)
    @ids[:horizons] = [horizon.id]
    own = within(Sample, horizon_id: horizon.id, profile_id: nil)
    @all ? below_samples(own) : @ids[:readings] = within(Reading, sample_id: own)
  end

  def below_samples(ids)
    @ids[:samples] = ids
    @ids[:readings] = within(Reading, sample_id: ids)
  end

  # A palmful of no profile goes with its only reading.
  def of_reading(reading)
    @ids[:readings] = [reading.id]
    sample = reading.sample
    alone = sample.place.nil? && within(Reading, sample_id: sample.id) == [reading.id]
    @ids[:samples] = [sample.id] if alone
  end

  # Samples that were taken for it alone go with it.
  def of_sheet(sheet)
    @ids[:companion_tests] = [sheet.id]
    samples = within(Sample, id: CompanionPlace.where(companion_test: sheet).select(:sample_id))
    others = Finding.where(sample_id: samples).where.not(companion_place: CompanionPlace.where(companion_test: sheet))
                    .or(Finding.where(sample_id: samples, companion_place_id: nil)).distinct.pluck(:sample_id)
    @ids[:samples] = samples - others - Reading.where(sample_id: samples).distinct.pluck(:sample_id)
  end

  # Sheets all of whose places are of these samples.
  def sheets
    places = CompanionPlace.where(sample_id: @ids[:samples])
    found = places.distinct.pluck(:companion_test_id)
    elsewhere = CompanionPlace.where(companion_test_id: found).where.not(sample_id: @ids[:samples])
    within(CompanionTest, id: found - elsewhere.distinct.pluck(:companion_test_id))
  end

  def photos
    Photo::OWNERS.keys.flat_map { |of| within(Photo, of: of, of_id: @ids[:"#{of}s"]) }
  end

  def within(model, **of)
    found = model.where(of)
    found = found.kept unless @all
    found = found.where(removed_at: nil) if !@all && model.column_names.include?("removed_at")
    found.ids
  end
end
