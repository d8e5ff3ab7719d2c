# frozen_string_literal: true

module Routes
  # Survey maps, and double readings during a survey.
  module Survey
    def self.registered(app)
      app.post "/api/survey-maps" do
        SurveyMap.make(input[:name], input[:geojson])
        answer({ maps: Survey.maps }, 201)
      end

      app.get("/api/survey-maps") { answer(maps: Survey.maps) }

      app.delete "/api/survey-maps/:id" do
        SurveyMap.standing.where(fieldbook: fieldbook).find(params[:id]).update!(removed_at: Time.now.utc)
        answer(maps: Survey.maps)
      end

      app.get("/api/profiles/:id/survey") { answer(SurveyMap.of(fieldbook.profiles.find(params[:id]))) }

      app.get "/api/double-readings" do
        answer(Survey.doubles(fieldbook))
      end

      app.put "/api/double-readings" do
        fieldbook.double(input[:drawn])
        answer(Survey.doubles(fieldbook))
      end

      app.post "/api/double-readings/:id/begin" do
        double = DoubleReading.standing(fieldbook).find(params[:id])
        answer({ reading_id: double.begin(input[:name]).id }, 201)
      end

      app.post "/api/double-readings/:id/decline" do
        DoubleReading.standing(fieldbook).where(second_id: nil).find(params[:id]).update!(declined_at: Time.now.utc)
        answer(Survey.doubles(fieldbook))
      end
    end

    def self.maps
      SurveyMap.standing.where(fieldbook: ::Fieldbook.current).order(:id)
               .map { |map| { id: map.id, name: map.name, units: map.read.units.size } }
    end

    # What waits, nothing of its first reading; what is done, both; and the charts.
    def self.doubles(fieldbook)
      DoubleReading.catch_up(fieldbook)
      all = DoubleReading.standing(fieldbook).includes(first: :textured_by, second: :textured_by).order(:id).to_a
      done, waiting = all.partition(&:done?)
      { drawn: fieldbook.doubles?, shares: DoubleReading::SHARES.transform_values { |share| (100 * share).round },
        waiting: waiting.map { |one| waiting(one) }, done: done.reverse.map { |one| both(one) }, charts: charts(done) }
    end

    def self.waiting(double)
      reading = double.first
      { id: double.id, sample: reading.name, place: reading.horizon&.depths&.to_s, kind: double.kind,
        says: DoubleReading::KINDS.fetch(double.kind), first_by: reading.textured_by&.name,
        reading_id: double.second_id }
    end

    def self.both(double)
      { id: double.id, sample: double.first.name, kind: double.kind,
        **%i[first second].to_h do |which|
          reading = double.public_send(which)
          [which, { by: reading.textured_by&.name, named: reading.class_given.full_name }]
        end,
        steps: double.steps, clay: double.clay&.round(1) }
    end

    # Of two people, oldest first.
    def self.charts(done)
      two = done.select { |one| one.kind == "other" }
      within = two.filter_map(&:steps).map { |steps| steps <= 1 }
      clay = two.filter_map(&:clay)
      found = Grittle::Practice::Charts.differences(clay) if clay.any?
      batches = Grittle::Practice::Charts.agreement(within)
      { batches: batches, within: within.count(true), steps: within.size, batch: Grittle::Practice::Charts::BATCH,
        from: Grittle::Practice::Charts::FROM,
        clay: clay.map { |one| one.round(1) },
        limits: found&.transform_values { |one| one.is_a?(Float) ? one.round(1) : one },
        sentence: Grittle::Practice::Charts.say(batches, found) }
    end
    private_class_method :waiting, :both, :charts
  end
end
