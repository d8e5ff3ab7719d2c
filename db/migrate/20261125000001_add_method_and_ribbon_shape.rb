# frozen_string_literal: true

# The rest of a method (the triangle and the curve of the two numbers, the older list of field grades), and what else is
# seen of a ribbon: its width, whether it carried its own weight, and the minute of working it was made at.
class AddMethodAndRibbonShape < ActiveRecord::Migration[7.2]
  def change
    %i[profiles readings].each do |name|
      change_table name do |t|
        t.string :system, limit: 40, null: false, default: "usda"
        t.string :curve, limit: 40, null: false, default: "consensus"
        t.boolean :older_grades, null: false, default: false
      end
    end

    change_table :ribbons do |t|
      t.decimal :width_mm, precision: 5, scale: 2
      t.decimal :working_minute, precision: 5, scale: 1
      t.boolean :carried_own_weight
    end
  end
end
