# frozen_string_literal: true

# Sites, profiles, horizons, samples, readings and the people who made them.
#
# Nothing is edited without a trace: answers, ribbons and assignments are only ever added (a later row corrects an
# earlier one), and a changed site, profile or horizon leaves its earlier values in revisions. Depths are cm, lengths
# mm; times are UTC.
class CreateFieldbook < ActiveRecord::Migration[7.2]
  def change
    create_table :observers do |t|
      t.string :name, limit: 120, null: false, index: { unique: true }
      t.datetime :created_at, null: false
    end

    create_table :sites do |t|
      t.string :name, limit: 120, null: false
      t.string :landform, limit: 40
      t.text :note
      t.timestamps
    end

    create_table :profiles do |t|
      t.references :site, null: false, foreign_key: true
      t.string :name, limit: 120, null: false
      t.string :kind, limit: 40, null: false
      method_columns(t)
      t.text :note
      t.integer :lock_version, null: false, default: 0
      t.timestamps
    end

    create_table :horizons do |t|
      t.references :profile, null: false, foreign_key: true
      t.string :designation, limit: 20, null: false
      t.decimal :upper_cm, precision: 6, scale: 1, null: false
      t.decimal :lower_cm, precision: 6, scale: 1, null: false
      t.integer :lock_version, null: false, default: 0
      t.timestamps
      t.check_constraint "upper_cm >= 0 and upper_cm < lower_cm", name: "horizons_run_downwards"
    end

    # A piece of soil that something was done to. It may belong to a horizon, to a depth of a profile, to a site, or to
    # nothing yet.
    create_table :samples do |t|
      t.references :horizon, foreign_key: true
      t.references :profile, foreign_key: true
      t.references :site, foreign_key: true
      t.string :kind, limit: 40, null: false, default: "palmful"
      t.string :label, limit: 120
      t.decimal :upper_cm, precision: 6, scale: 1
      t.decimal :lower_cm, precision: 6, scale: 1
      t.timestamps
    end

    # One hand-texturing of one sample by one person; who wrote it down is another column.
    create_table :readings do |t|
      t.references :sample, null: false, foreign_key: true
      method_columns(t)
      t.string :rules_version, limit: 20, null: false
      t.string :step, limit: 20, null: false
      t.datetime :started_at, null: false
      t.integer :lock_version, null: false, default: 0
      t.timestamps
    end

    # One observation as it was given; the newest row of a name stands, and a null value takes it back.
    create_table :answers do |t|
      t.references :reading, null: false, foreign_key: true
      t.references :pen, foreign_key: { to_table: :observers }
      t.string :observation, limit: 40, null: false
      t.json :value
      t.datetime :given_at, null: false, precision: 6
    end

    create_table :ribbons do |t|
      t.references :reading, null: false, foreign_key: true
      t.references :pen, foreign_key: { to_table: :observers }
      t.references :corrects, foreign_key: { to_table: :ribbons }
      t.decimal :length_mm, precision: 7, scale: 3, null: false
      t.decimal :entered_length, precision: 7, scale: 3, null: false
      t.string :entered_unit, limit: 4, null: false
      t.decimal :thickness_mm, precision: 5, scale: 2
      t.string :ended, limit: 20, null: false, default: "broke"
      t.datetime :made_at, null: false, precision: 6
      t.datetime :taken_back_at, precision: 6
    end

    # The class somebody gave, with what the key said at that moment and by which rules.
    create_table :assignments do |t|
      t.references :reading, null: false, foreign_key: true
      t.references :pen, foreign_key: { to_table: :observers }
      t.string :code, limit: 10, null: false
      t.boolean :override, null: false, default: false
      t.string :reason, limit: 300
      t.string :rules_version, limit: 20, null: false
      t.json :result, null: false
      t.datetime :assigned_at, null: false, precision: 6
    end

    create_table :revisions do |t|
      t.string :record_type, limit: 40, null: false
      t.bigint :record_id, null: false
      t.json :was, null: false
      t.datetime :changed_at, null: false, precision: 6
      t.index %i[record_type record_id]
    end

    # The answer to a write, under the word its caller gave it, so that a retry makes no second record.
    create_table :kept_responses do |t|
      t.string :idempotency_key, limit: 80, null: false, index: { unique: true }
      t.string :request_digest, limit: 64, null: false
      t.integer :status
      t.text :body, size: :medium
      t.datetime :created_at, null: false
    end
  end

  private

  # A reading takes these over from its profile and keeps its own, so that the record stays true when the profile's
  # method changes.
  def method_columns(table)
    table.string :key, limit: 40, null: false
    table.string :limit_set, limit: 40, null: false
    table.string :ribbon_counts_from, limit: 40, null: false
    table.string :unit, limit: 4, null: false
    table.references :hand, foreign_key: { to_table: :observers }
    table.references :pen, foreign_key: { to_table: :observers }
  end
end
