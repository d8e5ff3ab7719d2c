# frozen_string_literal: true

# What is written down of a site, a profile, a horizon and a sample, by the core's names of fields; which reading speaks
# for a horizon; what companion tests showed, look by look; photographs; and ribbons that were measured on one.
class DescribeEverything < ActiveRecord::Migration[7.2]
  def change
    %i[sites profiles horizons samples].each { |table| add_column table, :described, :json }
    add_column :profiles, :increments, :json
    %i[sites samples].each { |table| add_column table, :lock_version, :integer, null: false, default: 0 }
    add_column :samples, :removed_at, :datetime, precision: 6
    add_reference :horizons, :reported_reading, foreign_key: { to_table: :readings }

    create_table :findings do |t|
      t.references :sample, null: false, foreign_key: true
      t.references :pen, foreign_key: { to_table: :observers }
      t.string :test, limit: 20, null: false
      t.json :value, null: false
      t.datetime :seen_at, null: false, precision: 6
    end

    # The picture itself lies in var/, under its digest.
    create_table :photos do |t|
      t.string :of, limit: 20, null: false
      t.bigint :of_id, null: false
      t.string :digest, limit: 64, null: false
      t.string :media_type, limit: 20, null: false
      t.string :caption, limit: 200
      t.integer :width, null: false
      t.integer :height, null: false
      t.integer :bytes, null: false
      t.datetime :added_at, null: false, precision: 6
      t.datetime :removed_at, precision: 6
      t.index %i[of of_id]
    end

    change_table :ribbons do |t|
      t.references :photo, foreign_key: true
      t.json :marks
      t.decimal :reading_error_mm, precision: 5, scale: 2
    end
  end
end
