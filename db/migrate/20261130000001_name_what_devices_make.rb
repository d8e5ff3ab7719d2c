# frozen_string_literal: true

# What is made on a device without signal is called by an identifier from there, and what came of a device's writes is
# known when they are sent again.
class NameWhatDevicesMake < ActiveRecord::Migration[7.2]
  TABLES = %i[sites profiles horizons samples readings ribbons findings photos companion_tests companion_places].freeze

  def change
    # A UUID of version 7; rows of before have none.
    TABLES.each do |table|
      add_column table, :uid, :string, limit: 36, collation: "ascii_bin"
      add_index table, :uid, unique: true
    end
    # The version that a write has left, for the next one that was made on it.
    add_column :kept_responses, :left_version, :integer

    # offset_ms: how far a device's clock was behind this one's when it sent; noted, and events are put right by it.
    create_table :deliveries do |t|
      t.references :fieldbook, null: false, foreign_key: true
      t.references :account, foreign_key: true
      t.string :device, limit: 36, null: false
      t.bigint :offset_ms, null: false
      t.integer :events, null: false
      t.datetime :received_at, null: false, precision: 6
    end
  end
end
