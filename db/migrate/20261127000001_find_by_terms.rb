# frozen_string_literal: true

# What sites are found by, so that a search reads an index and no table; Prepare fills it.
class FindByTerms < ActiveRecord::Migration[7.2]
  def change
    create_table :search_terms do |t|
      t.references :site, null: false, foreign_key: true, index: false
      t.references :profile, foreign_key: true
      t.string :kind, limit: 8, null: false
      t.string :term, limit: 60, null: false
      t.index %i[kind term site_id]
      t.index %i[site_id profile_id]
    end
  end
end
