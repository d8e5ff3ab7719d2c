# frozen_string_literal: true

module Exchange
  # Rows of a fieldbook that was written by an earlier version, brought to what this one has.
  module Earlier
    # How the roles of people were called.
    PEOPLE = { "hand" => "textured_by", "pen" => "recorded_by" }.freeze

    module_function

    # @param name [String] of a column of a file
    # @return [String] as it is called now
    def column(name) = PEOPLE.fetch(name, name)

    # @param rows [Hash{String=>Array<Hash>}] by table; changed in place
    def complete(rows)
      rows.each_value { |list| list.each { |row| rename_people(row) } }
      rows["assignments"].each { |row| name_system(row) }
      made = rows["ribbons"].to_h { |row| [row["id"], row] }
      rows["ribbons"].each do |row|
        row["entered_at"] ||= made[row["corrects_id"]]&.fetch("taken_back_at", nil) || row["made_at"]
      end
    end

    # @param row [Hash] changed in place, with the values that a change left in it
    def rename_people(row)
      [row, row["was"]].grep(Hash).each do |names|
        PEOPLE.each { |earlier, now| names[now] = names.delete(earlier) if names.key?(earlier) }
      end
    end

    # The key and the system stood in the result alone.
    def name_system(row)
      result = row["result"].is_a?(Hash) ? row["result"] : {}
      row["key"] ||= result["key"]
      row["system"] ||= result["system"]
    end
    private_class_method :rename_people, :name_system
  end
end
