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
        Laboratory.refuse(table.problems) unless table.problems.empty?
        answer({ kept: table.take_in(input[:name]).size }, 201)
      end
    end

    # Every bad row with its sentence.
    # @raise [Grittle::InvalidInput]
    def self.refuse(problems)
      raise Grittle::InvalidInput, (problems.to_a.map do |one|
        sentence = "#{one[:place].capitalize}: #{one[:sentence]}"
        Grittle::Problem.new(pointer: "/#{one[:place].tr(' ', '/')}", sentence: sentence)
      end)
    end
  end
end
