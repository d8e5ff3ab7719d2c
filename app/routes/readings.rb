# frozen_string_literal: true

module Routes
  # One hand-texturing: answers, ribbons, and the class.
  module Readings
    METHOD_FIELDS = [*Methodical::PARTS, :textured_by, :recorded_by, :label].freeze

    # What a photograph is found by.
    PHOTO_BY = { photo_id: :id, photo_token: :token }.freeze

    def self.registered(app)
      app.get "/api/readings" do
        found = QuickReadings.new(fieldbook, params).relation
        readings, page = paged(found.preload(:assignments, :textured_by, sample: :site))
        answer(readings: readings.map { |reading| ReadingSerializer.quick(reading) }, **page)
      end

      app.get "/api/side-by-side" do
        answer SideBySideSerializer.call(params["readings"].to_s.split(",").map { |id| fieldbook.readings.find(id) })
      end

      app.post "/api/readings" do
        horizon = input[:horizon_id] && fieldbook.horizons.find(input[:horizon_id])
        sample = input[:sample_id] && fieldbook.samples.find(input[:sample_id])
        QuickReadings.sweep(fieldbook) unless horizon || sample
        begun = Reading.make(horizon: horizon, sample: sample, **input.except(:horizon_id, :sample_id))
        written "/api/readings/#{begun.id}", ReadingSerializer.call(begun), 201
      end

      app.get "/api/readings/:id" do
        stamp = Stamp.reading(params[:id].to_i)
        if stamp
          # Whether it is theirs stands in it, so each person has an answer of their own.
          answer_kept(["reading", params[:id].to_i, Acting.person&.id], stamp.join(" of ")) { shown }
        else
          reading
        end
      end

      app.get("/api/readings/:id/history") { answer ReadingSerializer.history(reading) }

      app.patch "/api/readings/:id" do
        answers = input.fetch(:answers, {}).deep_stringify_keys
        reading.answer(input[:version], answers: answers, moisture: input[:moisture_answer], kept: input[:kept],
                                        method: input.slice(*METHOD_FIELDS))
        kept
      end

      app.put "/api/readings/:id/expectation" do
        reading.expect(input[:version], input[:code])
        kept
      end

      app.post "/api/readings/:id/leave" do
        answer(forgotten: QuickReadings.forgotten?(fieldbook, reading))
      end

      app.put "/api/readings/:id/place" do
        reading.stand_at(**input)
        kept
      end

      app.post "/api/readings/:id/ribbons" do
        reading.add_ribbon(input[:version], entered: input[:length], **input.except(:version, :length))
        kept 201
      end

      app.post "/api/readings/:id/measured-ribbons" do
        photo = Photo.of(reading).find_by!(input.slice(:photo_id, :photo_token).transform_keys(PHOTO_BY))
        marks = input.slice(:ruler, :second, :ribbon, :click_px)
        reading.add_measured_ribbon(
          input[:version],
          photo: photo,
          marks: marks,
          **input.except(:version, *PHOTO_BY.keys, *marks.keys)
        )
        kept 201
      end

      app.patch "/api/readings/:id/ribbons/:ribbon_id" do
        reading.add_ribbon(
          input[:version],
          entered: input[:length],
          **input.except(:version, :length),
          corrects: ribbon
        )
        kept
      end

      app.delete "/api/readings/:id/ribbons/:ribbon_id" do
        reading.take_back(params["version"].to_i, ribbon)
        kept
      end

      app.post "/api/readings/:id/assignments" do
        reading.assign(
          input[:version],
          input[:code],
          reason: input[:reason],
          **input.slice(*Grittle::NamedClass::QUALIFIERS)
        )
        kept 201
      end

      app.helpers Finders
    end

    # The records a path speaks of.
    module Finders
      # What a write is answered with: all, or without the second opinion, so that the key's verdict is there sooner.
      def kept(status = 200)
        evidence = params["evidence"] || "full"
        written("/api/readings/#{reading.id}", shown(evidence), status)
      end

      # @param evidence [String] how much of the second opinion
      def shown(evidence = "full")
        LoadedReadings.put_back(fieldbook, reading)
        # while the assessment is at hand, so that the section finds it
        reading.kept_verdict if reading.profile && evidence == "full"
        ReadingSerializer.call(reading, evidence: evidence)
      end

      def reading = @reading ||= LoadedReadings.take(fieldbook, params[:id].to_i)
      def ribbon = @ribbon ||= reading.ribbons.standing.find(params[:ribbon_id])
    end
  end
end
