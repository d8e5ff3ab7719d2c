# frozen_string_literal: true

# Companion tests that take time: a sheet with its places, each of a sample, and what was found at each look. A look that
# was entered by mistake is taken back, not removed.
class TimeCompanionTests < ActiveRecord::Migration[7.2]
  def change
    create_table :companion_tests do |t|
      t.references :fieldbook, null: false, foreign_key: true
      t.references :profile, foreign_key: true
      t.references :site, foreign_key: true
      t.references :recorded_by, foreign_key: { to_table: :observers }
      t.references :deletion, foreign_key: true
      t.string :test, limit: 20, null: false
      t.text :note
      t.datetime :ended_at, precision: 6
      t.integer :lock_version, null: false, default: 0
      t.timestamps
    end

    # started_at is when the clock of this place began: nil before.
    create_table :companion_places do |t|
      t.references :companion_test, null: false, foreign_key: true
      t.references :sample, null: false, foreign_key: true
      t.datetime :started_at, precision: 6
    end

    change_table :findings do |t|
      t.references :companion_place, foreign_key: true
      t.datetime :taken_back_at, precision: 6
      t.references :deletion, foreign_key: true
    end
  end
end
