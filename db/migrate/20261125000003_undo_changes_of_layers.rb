# frozen_string_literal: true

# Every change to the layers of a profile keeps how they were, so that the last one can be undone; a horizon that was
# merged into another stays as removed.
class UndoChangesOfLayers < ActiveRecord::Migration[7.2]
  def change
    add_column :horizons, :removed_at, :datetime, precision: 6

    create_table :layer_changes do |t|
      t.references :profile, null: false, foreign_key: true
      t.string :label, limit: 120, null: false
      t.json :was, null: false
      t.datetime :made_at, null: false, precision: 6
      t.datetime :undone_at, precision: 6
    end
  end
end
