# frozen_string_literal: true

# What is deleted lies in a bin until it is emptied by hand: each row knows the deletion that took it. Files that were
# imported are remembered, with what stands by itself of them, so that one can be deleted as a whole. Sites have a place
# in the list, and the fieldbook has settings: the method and the people that what is new begins with.
class KeepWhatIsDeleted < ActiveRecord::Migration[7.2]
  TABLES = %i[sites profiles horizons samples readings photos].freeze

  def up
    create_table :deletions do |t|
      t.references :fieldbook, null: false, foreign_key: true
      t.references :by, foreign_key: { to_table: :observers }
      t.string :of, limit: 20, null: false
      t.bigint :of_id, null: false
      t.string :label, limit: 200, null: false
      t.string :within, limit: 200
      t.json :counts, null: false
      t.json :was
      t.datetime :deleted_at, null: false, precision: 6
      t.datetime :restored_at, precision: 6
      t.datetime :emptied_at, precision: 6
    end
    create_table :file_imports do |t|
      t.references :fieldbook, null: false, foreign_key: true
      t.string :name, limit: 200, null: false
      t.json :counts, null: false
      t.datetime :imported_at, null: false, precision: 6
    end
    TABLES.each { |table| add_reference table, :deletion, foreign_key: true }
    %i[sites samples].each { |table| add_reference table, :file_import, foreign_key: true }
    add_column :fieldbooks, :settings, :json
    add_column :photos, :token, :string, limit: 40
    add_index :photos, :token, unique: true
    add_column :sites, :place, :double
    execute "UPDATE sites SET place = id"
    change_column_null :sites, :place, false
    add_index :sites, %i[fieldbook_id place id]
    add_index :sites, %i[fieldbook_id name id]
  end

  def down
    remove_index :sites, %i[fieldbook_id name id]
    remove_index :sites, %i[fieldbook_id place id]
    remove_column :sites, :place
    remove_column :fieldbooks, :settings
    remove_column :photos, :token
    %i[sites samples].each { |table| remove_reference table, :file_import, foreign_key: true }
    TABLES.each { |table| remove_reference table, :deletion, foreign_key: true }
    drop_table :file_imports
    drop_table :deletions
  end
end
