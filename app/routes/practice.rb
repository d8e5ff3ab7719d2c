# frozen_string_literal: true

module Routes
  # Reference sets, sessions, and who may see what of them. A key in a header says who asks: of a set its keeper, of a
  # session somebody who sits in it.
  module Practice
    KEY = "HTTP_GRITTLE_KEY"
    S = PracticeSerializer

    def self.registered(app)
      app.get "/api/practice" do
        sessions = PracticeSession.where(fieldbook: fieldbook).includes(:people, :reference_set).order(id: :desc)
        answer(sets: sets.order(:name).map { |one| S.set(one) }, sessions: sessions.limit(50).map { |one| S.line(one) })
      end
      of_sets(app)
      of_sessions(app)
      of_turns(app)
      of_drills(app)
      app.helpers Asking
    end

    def self.of_sets(app)
      app.post "/api/reference-sets" do
        made = ReferenceSet.make(input[:key], name: input[:name], owner: input[:owner],
                                              truth_by: input[:truth_by] || "laboratory", tubs: tubs_of(input))
        answer(S.set(made), 201)
      end

      app.post("/api/reference-tubs") { answer(tubs: ::Exchange::TubTable.read(input[:csv])) }

      app.get("/api/reference-sets/:id") do
        answer(keeper? ? S.kept_set(asked_set) : { **S.set(asked_set), keeps: false })
      end

      app.put "/api/reference-sets/:id" do
        keeper!
        asked_set.change(input[:version], **input.slice(:name, :owner, :truth_by), tubs: tubs_of(input))
        answer(S.kept_set(asked_set.reload))
      end

      app.delete "/api/reference-sets/:id" do
        keeper!
        asked_set.update!(removed_at: Time.now.utc)
        answer({})
      end

      app.get "/api/reference-sets/:id/tubs.csv" do
        keeper!
        content_type "text/csv; charset=utf-8"
        attachment "#{asked_set.name.gsub(/[^\w -]/, '')}.csv"
        ::Exchange::TubTable.write(asked_set.tubs)
      end
    end

    def self.of_sessions(app)
      app.post "/api/practice-sessions" do
        keeper! if input[:set_id]
        made = PracticeSession.make(kind: input[:kind], set: (asked_set if input[:set_id]),
                                    **input.slice(:scheme, :again, :ranked, :by_need, :method).compact)
        answer(S.line(made), 201)
      end

      app.get "/api/practice-codes/:code" do
        found = PracticeSession.where(fieldbook: fieldbook).with_code(params[:code])
        found ? answer(S.line(found)) : refuse(Problem.new(404, "No session has the code #{params[:code][0, 12]}."))
      end

      app.get("/api/practice-sessions/:id") { answer_session }

      app.post "/api/practice-sessions/:id/people" do
        person = asked_session.join(input[:name], input[:key])
        answer(S.of_person(asked_session, person), 201)
      end

      app.post "/api/practice-sessions/:id/next" do
        refuse(Problem.new(422, "Only simulated samples go on and on.")) unless asked_session.simulated?
        person!.another
        answer(S.of_person(asked_session, person.reload), 201)
      end

      app.post "/api/practice-sessions/:id/close" do
        keeper? || (asked_session.group? ? keeper! : person!)
        asked_session.close
        answer_session
      end

      app.get "/api/practice-sessions/:id/comparison" do
        refuse(Problem.new(422, "Simulated samples are read by one person.")) if asked_session.simulated?
        next answer(S.comparison(asked_session, named: true)) if keeper?

        person!
        refuse(Problem.new(403, "People are compared once the session has ended.")) unless asked_session.ended?
        answer(S.comparison(asked_session, named: false))
      end
    end

    def self.of_turns(app)
      app.post "/api/turns/:id/begin" do
        person!
        answer({ reading_id: turn.begin.id }, 201)
      end

      app.post "/api/turns/:id/feel" do
        person!
        turn.feel(input[:version], input[:test])
        answer(ReadingSerializer.call(turn.reading.reload), 201)
      end

      app.post "/api/turns/:id/close" do
        person!
        turn.close(input.transform_keys(&:to_s))
        answer(S.turn(turn.reload, turn.practice_person))
      end
    end

    def self.of_drills(app)
      app.post "/api/key-drills" do
        person = Observer.named(input[:name]) || refuse(Problem.new(422, "Say who reads the key."))
        answer(Practice.drill(KeyDrill.draw(person)), 201)
      end

      app.patch "/api/key-drills/:id" do
        drill = KeyDrill.joins(:observer).where(observers: { fieldbook_id: fieldbook.id }).find(params[:id])
        drill.answer(input[:called])
        answer(Practice.drill(drill))
      end
    end

    # What was answered, in words; what is right and the times only afterwards.
    def self.drill(drill)
      words = Grittle::Observations.new(drill.observations).to_h.map do |test, value|
        { what: Grittle::Tests::Catalogue.short(test), said: said(test, value) }
      end
      shown = { id: drill.id, key: Grittle::Keys[drill.field_key]::NAME, answers: words,
                choices: drill.field_method.codes.map do |code|
                  { code: code, name: drill.field_method.named(code).name }
                end }
      return { **shown, result: nil } unless drill.called

      right = drill.right
      { **shown, result: { right: right, name: drill.field_method.named(right).name, called: drill.called,
                           milliseconds: drill.milliseconds, median: KeyDrill.median(drill.observer) } }
    end

    def self.said(test, value)
      return value.map { |one| "#{Grittle::Units.number(one['length_mm'])} mm" }.join(", ") if test == "ribbons"

      Grittle::Tests::Catalogue.word(test, value)
    end

    # Who asks, and for what.
    module Asking
      def sets = ReferenceSet.standing.where(fieldbook: fieldbook)

      # @return [ReferenceSet, nil] that the path speaks of, by itself or through its session
      def asked_set
        @asked_set ||= of_session? ? asked_session.reference_set : sets.find(asked_set_id)
      end

      # A session is begun of a set that stands in the body.
      def asked_set_id = request.path_info == "/api/practice-sessions" ? input[:set_id] : params[:id]
      def of_session? = turn? || request.path_info.start_with?("/api/practice-sessions/")
      def turn? = request.path_info.start_with?("/api/turns/")

      def asked_session
        @asked_session ||= PracticeSession.where(fieldbook: fieldbook)
                                          .find(turn? ? turn.practice_session.id : params[:id])
      end

      def turn
        @turn ||= Turn.joins(practice_person: :practice_session)
                      .where(practice_sessions: { fieldbook_id: fieldbook.id }).find(params[:id])
      end

      def asked_with = env[KEY].to_s
      def tubs_of(input) = (input[:tubs] || []).map { |one| one.transform_keys(&:to_s) }

      # @return [Boolean] whether who asks keeps the set
      def keeper? = asked_set&.kept_by?(asked_with) || false

      def keeper!
        keeper? || refuse(Problem.new(403, "Only who fills the tubs may do that: with the key of the set."))
      end

      # @return [PracticePerson, nil]
      def person
        @person ||= if turn?
                      (turn.practice_person if turn.practice_person.key?(asked_with))
                    else
                      asked_session.people.find { |one| one.key?(asked_with) }
                    end
      end

      def person! = person || refuse(Problem.new(403, "Only who sits in this session may do that."))

      def answer_session
        return answer(S.of_keeper(asked_session)) if keeper?
        return answer(S.of_person(asked_session.reload, person)) if person

        answer({ **S.line(asked_session), role: "none" })
      end
    end
  end
end
