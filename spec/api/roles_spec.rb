# frozen_string_literal: true

# Every operation of the API's description, asked as nobody, as a stranger, as reader, surveyor and lead. An operation
# that says nothing of who may, or speaks of a kind of thing that is not made here, fails.
RSpec.describe "who may what" do
  operations = YAML.safe_load_file(Api::SCHEMA)["paths"].flat_map do |path, all|
    all.slice(*Needs::VERBS).map { |verb, operation| [verb, path, operation["x-needs"]] }
  end

  # What a path speaks of, by its first part; each is of the fieldbook that the stranger is no member of.
  let(:things) do
    profile = profile_with(["A", 0, 20], ["B", 20, 40])
    horizon = profile.horizons.first
    sample = Sample.make(profile, [{ kind: "bag", label: "Secret bag", upper_cm: 10 }]).first
    reading = Reading.make(horizon: horizon, textured_by: "Odd")
    sheet = CompanionTest.make(Fieldbook.current, test: "crumb", places: [{ upper_cm: 10 }],
                                                    owner: { profile: profile })
    set = ReferenceSet.make("a" * 32, name: "Secret set", tubs: [{ "label" => "T1", "clay" => 20, "sand" => 40 }])
    session = PracticeSession.make(kind: "group", set: set)
    turn = session.join("Odd", "b" * 32).turns.first
    photo = Photo.make(profile, File.binread(File.expand_path("../../docs/screenshots/triangle.png", __dir__)))
    report = Report.make(Fieldbook.current, { profile: profile })
    deletion = Deletion.make(Fieldbook.current, "site", Site.make(name: "Secret site").id)
    table = AssessorTable.make(Fieldbook.current, Demo::TABLE)
    map = SurveyMap.make("Secret map", File.read(File.expand_path("../../db/demo_map.geojson", __dir__)))
    { "sites" => profile.site, "profiles" => profile, "horizons" => horizon, "samples" => sample, "readings" => reading,
      "companion-tests" => sheet, "companion-places" => sheet.places.first, "reference-sets" => set,
      "practice-sessions" => session, "turns" => turn, "photos" => photo, "reports" => report, "deletions" => deletion,
      "survey-maps" => map, "assessor-tables" => table, "hands" => reading.textured_by, "people" => reading.textured_by,
      "submissions" => Submission.make([sample], laboratory: "Secret", analysis: "pipette", way: "paper"),
      "key-drills" => KeyDrill.draw(reading.textured_by), "members" => Fieldbook.current.memberships.first,
      "double-readings" => DoubleReading.create!(first: reading, kind: "other", drawn_at: Time.now.utc),
      "invitations" => Invitation.make(Fieldbook.current, by: lead, role: "reader").first,
      "sign-ins" => SignIn.begin(lead).first, "imports" => nil, "practice-codes" => nil }
  end
  let!(:lead) { member("Lea", "lead") }
  let!(:surveyor) { member("Sur", "surveyor") }
  let!(:reader) { member("Rea", "reader") }
  let!(:stranger) { member("Str", "lead", fieldbook: Fieldbook.create!(name: "Elsewhere", created_at: Time.now.utc)) }

  queries = { "/api/export" => "?format=json&of=fieldbook", "/api/history" => "?of=site&of_id=%<sites>s",
              "/api/deletions/preview" => "?of=site&of_id=%<sites>s", "/api/side-by-side" => "?readings=%<readings>s",
              "/api/photos" => "?of=profile&of_id=%<profiles>s&name=x.png", "/api/imports" => "?name=x.csv" }

  def numbers = @numbers ||= things.to_h { |kind, thing| [kind.to_sym, thing&.id || ("f" * 16)] }

  # The path with the numbers of what was made; what belongs to those has the number 1.
  define_method(:filled) do |path|
    parts = path.split("/")
    parts.each_index do |at|
      kind = parts[at] == "{other_id}" ? "profiles" : parts[at - 1]
      number = %w[ribbons looks photos].include?(kind) && at > 4 ? 1 : numbers[kind.to_sym]
      parts[at] = parts[at].sub(/\{\w+\}/) { number || raise("What is #{path} of?") }
    end
    parts.join("/") + format(queries.fetch(path, ""), numbers)
  end

  def ask(verb, path)
    file = verb == "post" && path.match?(%r{/(photos|logo|imports)(\?|\z)})
    type = file ? "application/octet-stream" : "application/json"
    headers = { "HTTP_HOST" => "127.0.0.1", "CONTENT_TYPE" => type, "HTTP_IDEMPOTENCY_KEY" => SecureRandom.uuid }
    public_send(verb, path, verb == "get" ? {} : "{}", headers)
    last_response.status
  end

  # @return [Integer] status of what leaves nothing behind
  def tried(verb, asked, account)
    account ? sign_in(account) : sign_out
    status = nil
    ActiveRecord::Base.transaction(requires_new: true) do
      status = ask(verb, asked)
      raise ActiveRecord::Rollback
    end
    status
  end

  def may?(role, need) = need == "nobody" || (role && (need == "account" || Membership.enough?(role, need)))

  it "lets each role do what the description says, and no more" do
    numbers
    wrong = operations.flat_map do |verb, path, need|
      asked = filled(path)
      { nil => nil, "reader" => reader, "surveyor" => surveyor, "lead" => lead }.filter_map do |role, account|
        status = tried(verb, asked, account)
        # Others may refuse as well, such as the keeper of a set; what the role refuses says so.
        refused = role ? last_response.body.include?("#{role} cannot do this") : status == 401
        "#{role || 'nobody'}: #{verb} #{path} gave #{status}" if refused == may?(role, need) || status > 499
      end
    end
    expect(wrong).to eq []
  end

  it "tells a stranger nothing by any number, and changes nothing for one" do
    numbers
    book = "/fieldbooks/#{Fieldbook.first_of_all.id}"
    tables = ActiveRecord::Base.connection.tables - %w[sign_ins]
    rows = lambda do
      tables.to_h { |table| [table, ActiveRecord::Base.connection.select_value("SELECT COUNT(*) FROM #{table}")] }
    end
    before = rows.call
    sign_in(stranger)
    told = operations.reject { |_, _, need| %w[nobody account].include?(need) }.flat_map do |verb, path, _|
      asked = filled(path)
      found = []
      found << "#{verb} #{path} below the fieldbook's number" unless ask(verb, "#{book}#{asked}") == 404
      next found unless verb == "get" || path.include?("{")

      status = tried(verb, asked, stranger)
      said = last_response.body[/.{0,40}(?:Secret|Slope|Lea\b|Odd).{0,40}/]
      found << "#{verb} #{path} said #{said}" if said
      found << "#{verb} #{path} gave #{status}" if path.match?(/id\}/) && ![404, 403, 422].include?(status)
      found
    end
    expect(told).to eq []
    expect(rows.call).to eq before
  end

  it "has a line in the description for every route, and a route for every line" do
    needs = Needs.in(Api::SCHEMA)
    routes = Api.routes.except("HEAD").flat_map do |verb, all|
      all.map { |pattern, *| [verb, pattern.to_s.gsub(/:\w+/, "1")] }
    end
    expect(routes.reject { |verb, path| needs.of(verb, path) }).to eq []
    lines = operations.map { |verb, path, _| [verb.upcase, path.gsub(/\{\w+\}/, "1")] }
    expect(lines - routes).to eq []
  end

  describe "whose reading it is" do
    def profile = @profile ||= profile_with(["A", 0, 20])

    def mine
      sign_in(surveyor)
      begin_reading(profile.horizons.first)
    end

    it "is of who is signed in, and traced to them" do
      expect(mine).to include("textured_by" => "Sur", "recorded_by" => "Sur")
      give(mine, ball_holds: true)
      expect(Answer.last.recorded_by.name).to eq "Sur"
    end

    it "is changed by nobody else, not by a lead either, whose correction is a reading of their own" do
      reading = mine
      [lead, member("Second", "surveyor")].each do |other|
        sign_in(other)
        expect(give(reading, ball_holds: true)).to be_refused(403, nil, /Sur's reading stays as it is/)
        expect(push(reading, 40)).to be_refused(403, nil, /a reading of your own/)
      end
      sign_in(lead)
      own = begin_reading(profile.horizons.first)
      expect(give(own, ball_holds: true)["observations"]).to eq("ball_holds" => true)
      sign_in(surveyor)
      expect(api_get("/api/readings/#{reading['id']}")["version"]).to eq 0
    end

    it "lets a lead alone choose the one that is reported, and delete what holds those of others" do
      reading = mine
      horizon = profile.horizons.first
      change = { version: horizon.reload.lock_version, reported_reading_id: reading["id"] }
      second = member("Second", "surveyor")
      sign_in(second)
      expect(api_patch("/api/horizons/#{horizon.id}", change)).to be_refused(403, nil, /a lead decides/)
      expect(api_post("/api/deletions", { of: "profile", of_id: profile.id })).to be_refused(403, nil, /only a lead/)
      sign_in(lead)
      api_patch("/api/horizons/#{horizon.id}", change)
      expect(last_response.status).to eq 200
      api_post("/api/deletions", { of: "profile", of_id: profile.id })
      expect(last_response.status).to eq 201
    end

    it "has its photographs and its palmful's name to itself" do
      sign_in(surveyor)
      reading = api_post("/api/readings", { label: "By the weir" })
      sample = Reading.find(reading["id"]).sample
      picture = File.binread(File.expand_path("../../docs/screenshots/triangle.png", __dir__))
      photo = Photo.make(Reading.find(reading["id"]), picture)
      sign_in(member("Second", "surveyor"))
      change = { version: sample.lock_version, label: "Mine now" }
      expect(api_patch("/api/samples/#{sample.id}", change)).to be_refused(403, nil, /Sur's reading/)
      expect(api_post("/api/deletions", { of: "photo", of_id: photo.id })).to be_refused(403, nil, /only a lead/)
      sign_in(surveyor)
      api_patch("/api/samples/#{sample.id}", change)
      expect(last_response.status).to eq 200
    end

    it "of two members at once on one reading lets the first, and gives the second both versions" do
      both = Reading.make(horizon: profile.horizons.first, textured_by: "Sur", recorded_by: "Lea")
      sign_in(surveyor)
      reading = api_get("/api/readings/#{both.id}")
      give(reading, ball_holds: true)
      sign_in(lead)
      late = give(reading, ball_holds: false)
      expect(last_response.status).to eq 409
      expect(late["current"]["observations"]).to eq("ball_holds" => true)
      expect(late["yours"]["answers"]).to eq("ball_holds" => false)
    end
  end
end
