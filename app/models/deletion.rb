# frozen_string_literal: true

# One thing that was deleted, with all that hangs on it: it lies in the bin, can be restored, and is gone only when the
# bin is emptied by hand.
class Deletion < ApplicationRecord
  OF = {
    "site" => "Site", "profile" => "Profile", "horizon" => "Horizon", "sample" => "Sample", "reading" => "Reading",
    "photo" => "Photo", "companion_test" => "CompanionTest", "assessor_table" => "AssessorTable", "report" => "Report",
    "import" => "FileImport"
  }.freeze
  # Those that say when they were taken away: they stay in the record of an exported profile.
  MARKED = [Horizon, Sample, Photo].freeze

  belongs_to :fieldbook
  belongs_to :by, class_name: "Observer", optional: true
  attribute :counts, ActiveRecord::Type::Json.new
  attribute :was, ActiveRecord::Type::Json.new

  scope :standing, -> { where(restored_at: nil, emptied_at: nil) }

  # @param fieldbook [Fieldbook]
  # @param of [String] one of OF
  # @param id [Integer]
  # @return [ApplicationRecord] what would be deleted
  # @raise [Grittle::UnknownName, ActiveRecord::RecordNotFound]
  def self.find_in(fieldbook, of, id)
    raise Grittle::UnknownName.new("of", of, OF.keys) unless OF.key?(of)

    fieldbook.public_send(Object.const_get(OF[of]).table_name).find(id)
  end

  # @return [Deletion]
  def self.make(fieldbook, of, id)
    transaction do
      record = locked(fieldbook, of, id)
      named = NamedThing.new(record)
      contents = Contents.new(record)
      deletion = create!(fieldbook: fieldbook, of: of, of_id: record.id, label: named.label, within: named.within,
                         counts: contents.counts, by: Acting.writer(record.writer), deleted_at: Time.now.utc)
      deletion.take(record, contents)
      deletion
    end
  end

  # Of two who delete the same thing the second finds it gone; layers change one at a time.
  def self.locked(fieldbook, of, id)
    record = find_in(fieldbook, of, id)
    (record.is_a?(Horizon) ? record.profile : record).lock!
    find_in(fieldbook, of, id)
  end
  private_class_method :locked

  # Marks all that hangs on the record, so that no finder finds it.
  # @param contents [Contents]
  def take(record, contents)
    LayerChange.make(record.profile, "deletion of #{record.designation}") if record.is_a?(Horizon)
    update!(was: { "reported" => unreport(contents.ids[:readings]) })
    contents.each { |model, ids| mark(model.where(id: ids, deletion_id: nil), id) }
    record.class.where(id: record.id).update_all(removed_at: deleted_at) if MARKED.include?(record.class)
    loose(contents.ids[:samples]).update_all(removed_at: deleted_at) if record.is_a?(Reading)
    take_sheet(record, contents.ids[:samples]) if record.is_a?(CompanionTest)
    SearchTerm.where(profile_id: contents.ids[:profiles]).delete_all
    settle
  end

  # Puts everything back where it was.
  # @raise [Grittle::InvalidInput] while what it belongs to lies in the bin, or its place is taken
  def restore
    transaction do
      with_lock do
        refuse("It is not in the bin any more.") unless standing?
        refuse_homeless
        LayerChange.make(record.profile, "restoring of #{record.designation}") if record.is_a?(Horizon)
        put_back
      end
    end
  end

  # Without a look at what is in its place: the layers of a profile go back as a whole.
  def put_back
    own = taken.to_h { |model, rows| [model, rows.ids] }
    own.each do |model, ids|
      rows = model.where(id: ids)
      rows.where(removed_at: deleted_at).update_all(removed_at: nil) if MARKED.include?(model)
      mark(rows, nil)
    end
    Finding.where(deletion_id: id).update_all(deletion_id: nil)
    (was || {}).fetch("reported", {}).each do |horizon, reading|
      Horizon.where(id: horizon).update_all(reported_reading_id: reading)
    end
    update!(restored_at: Time.now.utc)
    Profile.where(id: own[Profile]).find_each(&:refresh)
    settle
  end

  # @return [Boolean]
  def standing? = restored_at.nil? && emptied_at.nil?

  # @return [ApplicationRecord, nil] what was deleted
  def record = model.find_by(id: of_id)

  # @return [Class]
  def model = Object.const_get(OF.fetch(of))

  # @return [Hash{Class=>ActiveRecord::Relation}] the rows that it took
  def taken
    Contents::TABLES.values.map { |name| Object.const_get(name) }.to_h { |model| [model, model.where(deletion_id: id)] }
  end

  # Removes it from the database, and what was deleted inside of it before: only by hand, and for good.
  # @raise [Grittle::InvalidInput]
  def empty
    transaction do
      with_lock do
        refuse("It is not in the bin any more.") unless standing?
        Emptying.new(Contents.new(record, all: true)).call
        update!(emptied_at: Time.now.utc)
      end
    end
  end

  private

  # The version moves on, so that whatever was kept of the row is looked at anew.
  def mark(rows, deletion)
    return rows.update_all(deletion_id: deletion) unless rows.klass.column_names.include?("lock_version")

    rows.update_all(["deletion_id = ?, lock_version = lock_version + 1, updated_at = ?", deletion, Time.now.utc])
  end

  # A reading in the bin speaks for no horizon; which one it spoke for is kept.
  def unreport(readings)
    horizons = Horizon.where(reported_reading_id: readings)
    horizons.pluck(:id, :reported_reading_id).to_h.tap { horizons.update_all(reported_reading_id: nil) }
  end

  # What was found on it goes with it, also on samples that stay.
  def take_sheet(sheet, samples)
    Sample.where(id: samples).update_all(removed_at: deleted_at)
    places = CompanionPlace.where(companion_test: sheet)
    Finding.where(companion_place: places, deletion_id: nil).update_all(deletion_id: id)
  end

  def loose(samples) = Sample.where(id: samples, horizon_id: nil, profile_id: nil)

  # What lists and sections read of the profile it belongs to.
  def settle
    place = NamedThing.new(record).profile
    Layers.new(place).settle if place && place.deletion_id.nil?
    record.refresh if record.is_a?(Site) && record.deletion_id.nil?
  end

  def refuse_homeless
    record.profile.lock! if record.is_a?(Horizon)
    home = NamedThing.new(record).home
    refuse("#{home} lies in the bin itself: restore that first.") if home
    record.profile.sequence.check_fits(record.depths) if record.is_a?(Horizon)
  end

  def refuse(sentence) = raise(Grittle::InvalidInput, [Grittle::Problem.new(pointer: "", sentence: sentence)])
end
