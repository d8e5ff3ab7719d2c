# frozen_string_literal: true

module Exchange
  # Rows of a fieldbook that was written by an earlier version, brought to what this one has.
  module Earlier
    module_function

    # @param rows [Hash{String=>Array<Hash>}] by table; changed in place
    def complete(rows)
      rows["assignments"].each { |row| name_system(row) }
      made = rows["ribbons"].to_h { |row| [row["id"], row] }
      rows["ribbons"].each do |row|
        row["entered_at"] ||= made[row["corrects_id"]]&.fetch("taken_back_at", nil) || row["made_at"]
      end
    end

    # The key and the system stood in the result alone.
    def name_system(row)
      result = row["result"].is_a?(Hash) ? row["result"] : {}
      row["key"] ||= result["key"]
      row["system"] ||= result["system"]
    end
    private_class_method :name_system
  end
end
