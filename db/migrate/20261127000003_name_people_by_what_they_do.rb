# frozen_string_literal: true

# Who textured and who recorded are called so, also in what changes left behind and in the settings.
class NamePeopleByWhatTheyDo < ActiveRecord::Migration[7.2]
  TEXTURED = %i[profiles readings].freeze
  RECORDED = %i[profiles readings answers ribbons assignments findings].freeze

  def up
    TEXTURED.each { |table| rename_column table, :hand_id, :textured_by_id }
    RECORDED.each { |table| rename_column table, :pen_id, :recorded_by_id }
    rename_in :revisions, :was, "hand_id" => "textured_by_id", "pen_id" => "recorded_by_id"
    rename_in :fieldbooks, :settings, "hand" => "textured_by", "pen" => "recorded_by"
  end

  def down
    rename_in :fieldbooks, :settings, "textured_by" => "hand", "recorded_by" => "pen"
    rename_in :revisions, :was, "textured_by_id" => "hand_id", "recorded_by_id" => "pen_id"
    RECORDED.each { |table| rename_column table, :recorded_by_id, :pen_id }
    TEXTURED.each { |table| rename_column table, :textured_by_id, :hand_id }
  end

  private

  def rename_in(table, column, names)
    names.each do |from, to|
      execute <<~SQL.squish
        UPDATE #{table}
        SET #{column} = JSON_REMOVE(JSON_SET(#{column}, '$.#{to}', JSON_EXTRACT(#{column}, '$.#{from}')), '$.#{from}')
        WHERE JSON_CONTAINS_PATH(#{column}, 'one', '$.#{from}')
      SQL
    end
  end
end
