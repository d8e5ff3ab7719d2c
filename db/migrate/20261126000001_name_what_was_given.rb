# frozen_string_literal: true

# A fieldbook that everything belongs to; the class of an assignment with its key, its system and what belongs to its
# name; classes that were reported without a reading; who made every trace; both times of a corrected ribbon; and small
# columns that lists read in place of computing: what a horizon is called, what is still open, and the verdict of a
# reading for its version.
class NameWhatWasGiven < ActiveRecord::Migration[7.2]
  # Who made a trace, by table.
  TRACES = {
    revisions: %i[by], layer_changes: %i[by undone_by], ribbons: %i[taken_back_by], photos: %i[by]
  }.freeze

  def up
    fieldbooks
    assignments
    reported_classes
    traces
    kept
    fill
  end

  def down
    remove_index :readings, %i[classed updated_at]
    remove_columns :readings, :verdict, :verdict_for, :classed
    remove_foreign_key :horizons, column: :speaks_id
    remove_columns :horizons, :speaks_id, :named, :class_system, :class_code
    remove_index :profiles, %i[open touched_at]
    remove_columns :profiles, :open, :touched_at
    remove_column :kept_responses, :replay
    TRACES.each do |table, names|
      names.each { |name| remove_reference table, name, foreign_key: { to_table: :observers } }
    end
    remove_column :ribbons, :entered_at
    drop_table :reported_classes
    remove_columns :assignments, :key, :system, :added
    change_column :assignments, :code, :string, limit: 10, null: false
    %i[sites samples observers photos].each { |table| remove_reference table, :fieldbook, foreign_key: true }
    drop_table :fieldbooks
  end

  private

  def fieldbooks
    create_table :fieldbooks do |t|
      t.string :name, limit: 120, null: false
      t.datetime :created_at, null: false
    end
    execute "INSERT INTO fieldbooks (id, name, created_at) VALUES (1, 'Fieldbook', UTC_TIMESTAMP())"
    %i[sites samples observers photos].each do |table|
      add_reference table, :fieldbook, null: false, default: 1, foreign_key: true
      change_column_default table, :fieldbook_id, from: 1, to: nil
    end
  end

  def assignments
    change_column :assignments, :code, :string, limit: 40, null: false
    change_table :assignments do |t|
      t.string :key, limit: 40
      t.string :system, limit: 40
      t.json :added
    end
    execute "UPDATE assignments SET `key` = JSON_VALUE(result, '$.key'), `system` = JSON_VALUE(result, '$.system')"
    change_column_null :assignments, :system, false
  end

  # The newest of a horizon stands.
  def reported_classes
    create_table :reported_classes do |t|
      t.references :horizon, null: false, foreign_key: true
      t.references :by, foreign_key: { to_table: :observers }
      t.string :key, limit: 40
      t.string :system, limit: 40, null: false
      t.string :code, limit: 40, null: false
      t.json :added
      t.string :said, limit: 120
      t.string :person, limit: 120
      t.string :reported_on, limit: 40
      t.string :source, limit: 200
      t.datetime :added_at, null: false, precision: 6
    end
  end

  def traces
    TRACES.each do |table, names|
      names.each { |name| add_reference table, name, foreign_key: { to_table: :observers } }
    end
    add_column :ribbons, :entered_at, :datetime, precision: 6
    add_column :kept_responses, :replay, :string, limit: 100
  end

  def kept
    change_table :readings do |t|
      t.json :verdict
      t.string :verdict_for, limit: 60
      t.boolean :classed, null: false, default: false
      t.index %i[classed updated_at]
    end
    change_table :horizons do |t|
      t.references :speaks, foreign_key: { to_table: :readings }
      t.json :named
      t.string :class_system, limit: 40
      t.string :class_code, limit: 40
      t.index %i[class_system class_code]
    end
    change_table :profiles do |t|
      t.boolean :open, null: false, default: false
      t.datetime :touched_at, precision: 6
      t.index %i[open touched_at]
    end
  end

  # A ribbon that stands for an earlier one was entered when that one was taken back.
  def fill
    execute <<~SQL.squish
      UPDATE ribbons LEFT JOIN (SELECT id, taken_back_at FROM ribbons) earlier ON earlier.id = ribbons.corrects_id
      SET ribbons.entered_at = COALESCE(earlier.taken_back_at, ribbons.made_at)
    SQL
    change_column_null :ribbons, :entered_at, false
    execute <<~SQL.squish
      UPDATE readings
      SET classed = EXISTS (SELECT 1 FROM assignments WHERE assignments.reading_id = readings.id)
    SQL
    execute "UPDATE profiles SET touched_at = updated_at"
  end
end
