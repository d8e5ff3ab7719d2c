# frozen_string_literal: true

module Routes
  # What laboratories found in samples.
  module Laboratory
    def self.registered(app)
      app.post "/api/samples/:id/laboratory-results" do
        sample = fieldbook.samples.standing.find(params[:id])
        LaboratoryResult.make(sample, input.transform_keys(&:to_s))
        answer_sample(sample, 201)
      end

      app.post "/api/laboratory-results" do
        usual = input.slice(:method, :laboratory).transform_keys(&:to_s).compact
        table = ::Exchange::LaboratoryTable.new(input[:csv], fieldbook.samples.standing, usual)
        table.problems.refuse_any
        answer({ kept: table.take_in(input[:name]).size }, 201)
      end
    end
  end
end
