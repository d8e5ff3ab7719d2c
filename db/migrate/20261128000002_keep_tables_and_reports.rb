# frozen_string_literal: true

# Tables of the assessor's own authority; reports, with what they held when they were frozen; and the title block that
# reports begin with.
class KeepTablesAndReports < ActiveRecord::Migration[7.2]
  def change
    create_table :assessor_tables do |t|
      t.references :fieldbook, null: false, foreign_key: true
      t.references :deletion, foreign_key: true
      t.string :name, limit: 120, null: false
      t.string :authority, limit: 200, null: false
      t.string :dated_on, limit: 10, null: false
      t.string :limiting, limit: 10, null: false
      t.json :rows, null: false
      t.integer :lock_version, null: false, default: 0
      t.timestamps
    end

    # asked: what the report was made for and with; content: what it held when it was frozen.
    create_table :reports do |t|
      t.references :fieldbook, null: false, foreign_key: true
      t.references :profile, foreign_key: true
      t.references :site, foreign_key: true
      t.references :deletion, foreign_key: true
      t.json :asked, null: false
      t.json :content
      t.string :rules_version, limit: 20
      t.datetime :frozen_at, precision: 6
      t.integer :lock_version, null: false, default: 0
      t.timestamps
    end

    add_column :fieldbooks, :logo, :binary, size: :medium
  end
end
