# frozen_string_literal: true

# Accounts and how they are signed in; who is a member of which fieldbook, and as which of its people; invitations.
# Two people of one fieldbook have two names, of two fieldbooks they may have one.
class LetPeopleIn < ActiveRecord::Migration[7.2]
  def change
    accounts
    memberships
    traces
    imports
  end

  private

  # login: an e-mail or a name. An account of the demo has no password: it is signed in with one press.
  def accounts
    create_table :accounts do |t|
      t.string :name, limit: 100, null: false
      t.string :login, limit: 190, null: false, index: { unique: true }
      t.string :password_digest, limit: 100
      t.boolean :demo, null: false, default: false
      t.datetime :created_at, null: false
      t.datetime :closed_at
    end

    # token_digest: of what the browser's cookie holds.
    create_table :sign_ins do |t|
      t.references :account, null: false, foreign_key: true
      t.string :token_digest, limit: 64, null: false, index: { unique: true }
      t.string :device, limit: 120
      t.datetime :begun_at, null: false
      t.datetime :seen_at, null: false
      t.datetime :ended_at
    end

    # Wrong passwords, so that guessing is slowed down in every process and over a restart.
    create_table :failed_sign_ins do |t|
      t.string :who_digest, limit: 64, null: false
      t.datetime :at, null: false
      t.index %i[who_digest at]
    end
  end

  def memberships
    create_table :memberships do |t|
      t.references :fieldbook, null: false, foreign_key: true
      t.references :account, null: false, foreign_key: true
      t.references :observer, null: false, foreign_key: true
      t.string :role, limit: 20, null: false
      t.datetime :joined_at, null: false
      t.datetime :removed_at
      t.integer :lock_version, null: false, default: 0
      t.index %i[fieldbook_id account_id], unique: true
    end

    create_table :invitations do |t|
      t.references :fieldbook, null: false, foreign_key: true
      t.references :by, null: false, foreign_key: { to_table: :accounts }
      t.references :observer, foreign_key: true
      t.references :used_by, foreign_key: { to_table: :accounts }
      t.string :role, limit: 20, null: false
      t.string :token_digest, limit: 64, null: false, index: { unique: true }
      t.string :note, limit: 120
      t.datetime :made_at, null: false
      t.datetime :ends_at, null: false
      t.datetime :used_at
      t.datetime :withdrawn_at
    end
  end

  def traces
    add_index :observers, %i[fieldbook_id name], unique: true
    remove_index :observers, column: :name, unique: true
    add_reference :readings, :begun_by, foreign_key: { to_table: :observers }
    add_column :fieldbooks, :removed_at, :datetime
    %i[reference_sets practice_people].each { |table| add_reference table, :account, foreign_key: true }
  end

  # A file on its way in, and how far it has come. token: in its address, and the folder the file lies in.
  def imports
    create_table :import_jobs do |t|
      t.references :fieldbook, null: false, foreign_key: true
      t.references :by, foreign_key: { to_table: :observers }
      t.string :token, limit: 16, null: false, index: { unique: true }
      t.string :name, limit: 200, null: false
      t.string :state, limit: 20, null: false
      t.integer :done, null: false, default: 0
      t.integer :tries, null: false, default: 0
      t.json :mapping
      t.text :failure
      t.datetime :made_at, null: false
      t.datetime :beat_at, precision: 6
      t.datetime :cancel_at
      t.index %i[state beat_at]
    end
  end
end
