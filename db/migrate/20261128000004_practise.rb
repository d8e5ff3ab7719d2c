# frozen_string_literal: true

# Reference samples and who reads them blind; hands as they were learnt; submissions to a laboratory; maps; double
# readings.
class Practise < ActiveRecord::Migration[7.2]
  def change
    # One person's hand as it was learnt on a day, never changed; which of them is in use; and with which one a reading
    # is assessed.
    create_table :own_hands do |t|
      t.references :observer, null: false, foreign_key: true
      t.json :numbers, null: false
      t.integer :pairs, null: false
      t.datetime :made_at, null: false, precision: 6
    end
    add_reference :observers, :own_hand, foreign_key: true
    add_reference :readings, :own_hand, foreign_key: true

    # A pair that a person took out of what a hand is learnt from.
    create_table :left_pairs do |t|
      t.references :observer, null: false, foreign_key: true
      t.string :pair, limit: 30, null: false
      t.text :reason, null: false
      t.datetime :left_at, null: false, precision: 6
      t.datetime :undone_at, precision: 6
    end

    # keeper: digest of the key of who fills the tubs.
    create_table :reference_sets do |t|
      t.references :fieldbook, null: false, foreign_key: true
      t.string :name, limit: 120, null: false
      t.string :owner, limit: 120
      t.string :truth_by, limit: 20, null: false
      t.string :keeper, limit: 64, null: false
      t.integer :lock_version, null: false, default: 0
      t.datetime :removed_at, precision: 6
      t.timestamps
    end

    create_table :tubs do |t|
      t.references :reference_set, null: false, foreign_key: true
      t.string :label, limit: 60, null: false
      t.json :written, null: false
      t.json :about
      t.datetime :removed_at, precision: 6
    end

    # tub_ids: the tubs when it was begun, in the order that codes are given by; a set may change meanwhile.
    create_table :practice_sessions do |t|
      t.references :fieldbook, null: false, foreign_key: true
      t.references :reference_set, foreign_key: true
      t.string :kind, limit: 20, null: false
      t.string :scheme, limit: 30, null: false
      t.string :join_code, limit: 8, index: { unique: true }
      t.bigint :seed, null: false
      t.boolean :again, null: false, default: true
      t.boolean :ranked, null: false, default: false
      t.boolean :by_need, null: false, default: false
      t.json :tub_ids
      t.json :field_method, null: false
      t.datetime :begun_at, null: false, precision: 6
      t.datetime :ended_at, precision: 6
    end

    create_table :practice_people do |t|
      t.references :practice_session, null: false, foreign_key: true
      t.references :observer, null: false, foreign_key: true
      t.string :key_digest, limit: 64, null: false
      t.datetime :joined_at, null: false, precision: 6
      t.index %i[practice_session_id observer_id], unique: true
    end

    # given: what a simulated sample is; said: what was called, with what was felt, when the turn was closed.
    create_table :turns do |t|
      t.references :practice_person, null: false, foreign_key: true
      t.references :tub, foreign_key: true
      t.references :reading, foreign_key: true
      t.integer :place, null: false
      t.integer :code, null: false
      t.boolean :again, null: false, default: false
      t.boolean :guess, null: false, default: false
      t.json :given
      t.json :said
      t.datetime :closed_at, precision: 6
      t.datetime :shown_at, precision: 6
    end

    create_table :key_drills do |t|
      t.references :observer, null: false, foreign_key: true
      t.json :observations, null: false
      t.string :field_key, limit: 30, null: false
      t.string :called, limit: 20
      t.datetime :shown_at, null: false, precision: 6
      t.integer :milliseconds
    end

    # A sample of a session is none of the fieldbook's.
    add_column :samples, :practice, :boolean, null: false, default: false

    # token: of the caller's own, so that the laboratory makes one submission of it; report: the table as it came;
    # taken: the revision that was imported; next_at: when the laboratory is asked again.
    create_table :submissions do |t|
      t.references :fieldbook, null: false, foreign_key: true
      t.string :laboratory, limit: 120, null: false
      t.string :analysis, limit: 20, null: false
      t.string :way, limit: 20, null: false
      t.string :token, limit: 36, null: false, index: { unique: true }
      t.string :state, limit: 20, null: false
      t.string :number, limit: 60
      t.text :note
      t.string :sent_by, limit: 120
      t.json :problems
      t.text :report, size: :medium
      t.integer :revision, null: false, default: 0
      t.integer :taken, null: false, default: 0
      t.integer :tries, null: false, default: 0
      t.string :trouble, limit: 300
      t.datetime :next_at, precision: 6, index: true
      t.datetime :due_at, precision: 6
      t.datetime :made_at, null: false, precision: 6
    end

    create_table :submission_bags do |t|
      t.references :submission, null: false, foreign_key: true
      t.references :sample, null: false, foreign_key: true
      t.string :label, limit: 120, null: false
    end
    add_reference :laboratory_results, :submission, foreign_key: true

    create_table :survey_maps do |t|
      t.references :fieldbook, null: false, foreign_key: true
      t.string :name, limit: 120, null: false
      t.json :document, null: false
      t.datetime :added_at, null: false, precision: 6
      t.datetime :removed_at, precision: 6
    end

    # Drawn once the first reading was closed; by another person or by the first again.
    create_table :double_readings do |t|
      t.references :first, null: false, foreign_key: { to_table: :readings }
      t.references :second, foreign_key: { to_table: :readings }
      t.string :kind, limit: 10, null: false
      t.datetime :drawn_at, null: false, precision: 6
      t.datetime :declined_at, precision: 6
    end
  end
end
