# frozen_string_literal: true

module Routes
  # Companion tests by the clock: sheets, their looks, and what is due next.
  module Companions
    def self.registered(app)
      app.get("/api/timers") { answer CompanionSerializer.timers(Timers.new(fieldbook).to_a) }

      app.get "/api/companion-tests" do
        asked = fieldbook.companion_tests.preload(CompanionTest::WHOLE).order(id: :desc)
        asked = asked.where(profile_id: params["profile_id"]) if params["profile_id"]
        asked = asked.running if params["running"] == "true"
        found, page = paged(asked)
        answer(tests: found.map { |sheet| CompanionSerializer.line(sheet) }, **page)
      end

      app.post "/api/companion-tests" do
        sheet = CompanionTest.make(fieldbook, owner: owner_of(input), **input.slice(:test, :places, :setup))
        answer CompanionSerializer.call(sheet.reload), 201
      end

      app.get("/api/companion-tests/:id") { answer_sheet(params[:id]) }

      app.patch "/api/companion-tests/:id" do
        sheet = fieldbook.companion_tests.find(params[:id])
        sheet.change(input[:version], **changes)
        answer_sheet(sheet.id)
      end

      app.post "/api/companion-tests/:id/places" do
        sheet = fieldbook.companion_tests.find(params[:id])
        sheet.take(input.except(:setup), input[:setup] || {})
        answer_sheet(sheet.id, 201)
      end

      # The clocks of all places that have not begun.
      app.post "/api/companion-tests/:id/begin" do
        sheet = fieldbook.companion_tests.find(params[:id])
        sheet.places.select { |place| place.started_at.nil? }.each { |place| place.begin(time_of(input[:at])) }
        answer_sheet(sheet.id)
      end

      of_place(app)
      app.helpers Sheets
    end

    def self.of_place(app)
      app.post "/api/companion-places/:id/begin" do
        place = place_named(params[:id])
        place.begin(time_of(input[:at]))
        answer_sheet(place.companion_test_id)
      end

      app.post "/api/companion-places/:id/begin-anew" do
        place = place_named(params[:id])
        place.begin_anew
        answer_sheet(place.companion_test_id)
      end

      app.post "/api/companion-places/:id/looks" do
        place = place_named(params[:id])
        place.write(input[:value], at: time_of(input[:at]))
        answer_sheet(place.companion_test_id, 201)
      end

      app.post "/api/companion-places/:id/looks/:look_id/take-back" do
        place = place_named(params[:id])
        place.looks.find(params[:look_id]).take_back
        place.companion_test.touch
        answer_sheet(place.companion_test_id)
      end
    end
    private_class_method :of_place

    # A sheet is answered as a whole: a look may change what is asked of every place.
    module Sheets
      def answer_sheet(id, status = 200)
        answer CompanionSerializer.call(fieldbook.companion_tests.preload(CompanionTest::WHOLE).find(id)), status
      end

      # @return [CompanionPlace] of a sheet in this fieldbook
      def place_named(id)
        CompanionPlace.where(companion_test: fieldbook.companion_tests).find(id)
      end

      def owner_of(input)
        { profile: input[:profile_id] && fieldbook.profiles.find(input[:profile_id]),
          site: input[:site_id] && fieldbook.sites.find(input[:site_id]) }.compact
      end

      # @return [Time] the one given, or now
      # @raise [Grittle::InvalidInput]
      def time_of(text)
        text ? Time.iso8601(text) : Time.now.utc
      rescue ArgumentError
        raise Grittle::InvalidInput,
              [Grittle::Problem.new(pointer: "/at", sentence: "“#{text}” is no time such as 2026-05-31T10:05:00Z.")]
      end
    end
  end
end
