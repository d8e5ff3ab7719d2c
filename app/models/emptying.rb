# frozen_string_literal: true

# Removes rows for good, those first that refer to others.
class Emptying
  TRACES = [Answer, Ribbon, Assignment].freeze

  # @param contents [Contents] all that hangs on what is emptied
  def initialize(contents)
    @ids = contents.ids
    @contents = contents
  end

  def call
    deletions = taken_before
    LayerChange.forget(@ids[:horizons], @ids[:samples])
    readings
    samples
    layers
    sites
    pictures
    Deletion.where(id: deletions).update_all(emptied_at: Time.now.utc)
  end

  private

  # Deletions of what was inside, before all of it.
  def taken_before
    found = []
    @contents.each do |model, ids|
      found |= model.where(id: ids).where.not(deletion_id: nil).distinct.pluck(:deletion_id)
    end
    found
  end

  def readings
    Horizon.where(reported_reading_id: @ids[:readings]).update_all(reported_reading_id: nil)
    Horizon.where(speaks_id: @ids[:readings]).update_all(speaks_id: nil)
    Ribbon.where(reading_id: @ids[:readings]).update_all(corrects_id: nil)
    # The second reading lies outside the fieldbook and says nothing without the first.
    DoubleReading.where(first_id: @ids[:readings]).or(DoubleReading.where(second_id: @ids[:readings])).delete_all
    TRACES.each { |model| model.where(reading_id: @ids[:readings]).delete_all }
    Reading.where(id: @ids[:readings]).delete_all
  end

  def samples
    places = CompanionPlace.where(sample_id: @ids[:samples])
                           .or(CompanionPlace.where(companion_test_id: @ids[:companion_tests])).ids
    Finding.where(sample_id: @ids[:samples]).or(Finding.where(companion_place_id: places)).delete_all
    CompanionPlace.where(id: places).delete_all
    LaboratoryResult.where(sample_id: @ids[:samples]).delete_all
    SubmissionBag.where(sample_id: @ids[:samples]).delete_all
    gone(CompanionTest, :companion_tests)
    gone(Sample, :samples)
  end

  def layers
    ReportedClass.where(horizon_id: @ids[:horizons]).delete_all
    Sample.where(horizon_id: @ids[:horizons]).update_all(horizon_id: nil)
    gone(Horizon, :horizons)
    LayerChange.where(profile_id: @ids[:profiles]).delete_all
  end

  def sites
    SearchTerm.where(profile_id: @ids[:profiles]).or(SearchTerm.where(site_id: @ids[:sites])).delete_all
    gone(AssessorTable, :assessor_tables)
    gone(Report, :reports)
    gone(Profile, :profiles)
    gone(Site, :sites)
  end

  # A ribbon that was measured on a picture keeps its length.
  def pictures
    Ribbon.where(photo_id: @ids[:photos]).update_all(photo_id: nil)
    photos = Photo.where(id: @ids[:photos]).to_a
    Photo.where(id: @ids[:photos]).delete_all
    ActiveRecord.after_all_transactions_commit { photos.each(&:throw_away) }
  end

  def gone(model, table)
    Revision.where(record_type: model.name, record_id: @ids[table]).delete_all
    model.where(id: @ids[table]).delete_all
  end
end
