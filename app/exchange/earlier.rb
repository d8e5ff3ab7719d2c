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

    # @param table [String] name
    # @param row [Hash] changed in place
    # @yieldparam id [Integer] of a ribbon of the file
    # @yieldreturn [String, nil] when it was taken back
    # @return [Hash] the row
    def complete(table, row)
      rename_people(row)
      name_system(row) if table == "assignments"
      # One that corrects another was entered when that was taken back.
      row["entered_at"] ||= yield(row["corrects_id"]) || row["made_at"] if table == "ribbons"
      row
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
