# frozen_string_literal: true

module Routes
  # What became of a record: who changed what, when, from what to what.
  module History
    def self.registered(app)
      app.get "/api/history" do
        record = Deletion.find_in(fieldbook, params["of"], params["of_id"])
        answer(label: NamedThing.new(record).label, entries: ::History.new(record).to_a)
      end
    end
  end
end
