# frozen_string_literal: true

# What is seen of a horizon beside its depths: its colour, moist and dry, in Munsell notation, and how distinct its
# lower boundary is.
class DescribeHorizons < ActiveRecord::Migration[7.2]
  def change
    change_table :horizons do |t|
      t.string :moist_colour, limit: 20
      t.string :dry_colour, limit: 20
      t.string :boundary, limit: 20
    end
  end
end
