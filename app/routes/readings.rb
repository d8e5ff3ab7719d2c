# frozen_string_literal: true

module Routes
  # One hand-texturing: answers, ribbons, and the class.
  module Readings
    METHOD_FIELDS = %i[key system limit_set ribbon_counts_from older_grades curve hand pen label].freeze

    def self.registered(app)
      app.get "/api/readings" do
        quick = Reading.joins(:sample).where(samples: { horizon_id: nil }).order(id: :desc)
        readings, page = paged(quick.includes(:answers, :ribbons, :assignments, :sample, :hand))
        answer(readings: readings.map { |reading| ReadingSerializer.summary(reading) }, **page)
      end

      app.post "/api/readings" do
        horizon = input[:horizon_id] && Horizon.find(input[:horizon_id])
        sample = input[:sample_id] && Sample.find(input[:sample_id])
        answer ReadingSerializer.call(Reading.begin(horizon: horizon, sample: sample, **input.except(:horizon_id, :sample_id))), 201
      end

      app.get("/api/readings/:id") { answer ReadingSerializer.call(reading) }

      app.get("/api/readings/:id/history") { answer ReadingSerializer.history(reading) }

      app.patch "/api/readings/:id" do
        answers = JSON.parse(JSON.generate(input.fetch(:answers, {})))
        reading.answer(input[:version], answers: answers, moisture: input[:moisture_answer], kept: input[:kept],
                                        method: input.slice(*METHOD_FIELDS))
        answer ReadingSerializer.call(reading)
      end

      app.put "/api/readings/:id/expectation" do
        reading.expect(input[:version], input[:code])
        answer ReadingSerializer.call(reading)
      end

      app.put "/api/readings/:id/place" do
        reading.stand_at(**input)
        answer ReadingSerializer.call(reading)
      end

      app.post "/api/readings/:id/ribbons" do
        reading.add_ribbon(input[:version], entered: input[:length], **input.except(:version, :length))
        answer ReadingSerializer.call(reading), 201
      end

      app.post "/api/readings/:id/measured-ribbons" do
        photo = Photo.of(reading).find(input[:photo_id])
        marks = input.slice(:ruler, :second, :ribbon, :click_px)
        reading.add_measured_ribbon(input[:version], photo: photo, marks: marks, **input.except(:version, :photo_id, *marks.keys))
        answer ReadingSerializer.call(reading), 201
      end

      app.patch "/api/readings/:id/ribbons/:ribbon_id" do
        reading.add_ribbon(input[:version], entered: input[:length], **input.except(:version, :length), corrects: ribbon)
        answer ReadingSerializer.call(reading)
      end

      app.delete "/api/readings/:id/ribbons/:ribbon_id" do
        reading.take_back(params["version"].to_i, ribbon)
        answer ReadingSerializer.call(reading)
      end

      app.post "/api/readings/:id/assignments" do
        reading.assign(input[:version], input[:code], reason: input[:reason])
        answer ReadingSerializer.call(reading), 201
      end

      app.helpers Finders
    end

    # The records a path speaks of.
    module Finders
      def reading = @reading ||= Reading.find(params[:id])
      def ribbon = @ribbon ||= reading.ribbons.standing.find(params[:ribbon_id])
    end
  end
end
