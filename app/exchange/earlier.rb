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
    # @param ribbons [Enumerable<Hash>] those of the file, as they stand there
    # @return [Hash] the row
    def complete(table, row, ribbons)
      rename_people(row)
      name_system(row) if table == "assignments"
      row["entered_at"] ||= entered(row, ribbons) if table == "ribbons"
      row
    end

    # One that corrects another was entered when that was taken back.
    def entered(row, ribbons)
      corrected = row["corrects_id"] && ribbons.find { |one| one["id"] == row["corrects_id"] }
      corrected&.fetch("taken_back_at", nil) || row["made_at"]
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
    private_class_method :rename_people, :name_system, :entered
  end
end
