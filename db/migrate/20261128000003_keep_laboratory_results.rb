# frozen_string_literal: true

# What laboratories found in samples, as they wrote it; the newest of a sample stands, and the older ones stay.
class KeepLaboratoryResults < ActiveRecord::Migration[7.2]
  def change
    create_table :laboratory_results do |t|
      t.references :sample, null: false, foreign_key: true
      t.references :recorded_by, foreign_key: { to_table: :observers }
      t.json :written, null: false
      t.string :laboratory, limit: 120
      t.string :number, limit: 60
      t.string :reported_on, limit: 10
      t.text :remark
      t.string :source, limit: 200
      t.datetime :added_at, null: false, precision: 6
    end
  end
end
