# frozen_string_literal: true

# Survey maps and double readings over the API.
RSpec.describe "a survey over the API" do
  let(:profile) { profile_with(["A", 0, 20], ["B", 20, 60], textured_by: "Wren") }
  let(:map) do
    unit = lambda do |name, west, east, textures|
      ring = [[west, 47], [east, 47], [east, 48], [west, 48], [west, 47]]
      { type: "Feature", geometry: { type: "Polygon", coordinates: [ring] },
        properties: { unit: name, scale: 24_000,
                      components: [{ percent: 100, layers: [{ upper_cm: 0, lower_cm: 100, textures: textures }] }] } }
    end
    { type: "FeatureCollection", features: [unit.call("Tn", 15, 15.5, ["SIL"]), unit.call("Fd", 15.5, 16, ["C"])] }
  end

  def texture(horizon, code)
    felt = push(give(begin_reading(horizon), ball_holds: true, wet_rub: "neither"), 41, 44)
    assign(felt, code, reason: "as felt")
  end

  def add_map = api_post("/api/survey-maps", { name: "Invented survey", geojson: JSON.generate(map) })
  def survey = api_get("/api/profiles/#{profile.id}/survey")

  def stand_at(longitude, accuracy = 10)
    site = profile.site
    site.change(site.lock_version, { position: "47.5, #{longitude}", described: { "accuracy_m" => accuracy } })
  end

  it "says what the map expects only of horizons that have a class" do
    add_map
    stand_at(15.2)
    texture(profile.horizons.first, "SIL")
    found = survey["found"]
    a, b = found["horizons"]
    expect(a).to include("ratio" => be_within(0.01).of(12 * 0.6), "sentence" => "The map expects this.")
    expect(a["expected"].first).to eq("name" => "silt loam", "percent" => 60)
    expect(b).to include("ratio" => nil, "expected" => [], "sentence" => "Looked up once a class is assigned.")
    expect(found["warning"]).to eq "At 1:24 000 a millimetre of the map is 24 m, and bodies under 2.3 ha hide in " \
                                   "other units."
  end

  # 0.0003° of longitude at 47.5° N are 22.6 m: within 24 m and 10 m of accuracy together.
  { 15.4997 => true, 15.4990 => false }.each do |longitude, near|
    it "#{near ? 'names' : 'does not name'} both units #{near ? 'near' : 'away from'} their line" do
      add_map
      stand_at(longitude)
      expect(survey["found"]["warning"].include?("Tn and Fd")).to be near
    end
  end

  it "is blank without a map, without a place, and off the map" do
    expect(survey).to include("maps" => [], "place" => nil, "found" => nil)
    add_map
    expect(survey["found"]).to be_nil
    stand_at(17)
    expect(survey["found"]).to be_nil
  end

  it "refuses what is no such map, and looks up none that was removed" do
    expect(api_post("/api/survey-maps",
                    { name: "x", geojson: "{" })).to be_refused(422, "/geojson", "The file is no JSON.")
    map[:features][1][:properties].delete(:scale)
    expect(add_map["errors"][0]["detail"]).to match(/\AFeature 2 has no polygon/)
    map[:features].pop
    id = add_map["maps"][0]["id"]
    expect(api_delete("/api/survey-maps/#{id}")).to eq("maps" => [])
  end

  describe "double readings" do
    # As many classed readings of one horizon as are wanted.
    def many(count)
      Array.new(count) do
        reading = Reading.make(horizon: profile.horizons.first, textured_by: "Wren")
        reading.answer(0, answers: { "ball_holds" => true })
        reading.assign(reading.lock_version, "L", reason: "as felt")
        reading
      end
    end

    it "draws one in ten that are closed for another person and one in twenty for the same, if asked to" do
      many(3)
      expect(DoubleReading.count).to eq 0
      api_put("/api/double-readings", { drawn: true })
      many(120)
      kinds = DoubleReading.group(:kind).count
      expect(kinds["other"]).to be_between(4, 24) # binomial, 0.1 of 120: 0.999 lie within
      expect(kinds["self"]).to be_between(1, 15)
      api_put("/api/double-readings", { drawn: false })
      expect { many(40) }.not_to change(DoubleReading, :count)
    end

    it "gives a day that ended without a draw one of its readings" do
      api_put("/api/double-readings", { drawn: true })
      allow(DoubleReading).to receive(:draw)
      reading = many(1).first
      Fieldbook.find(Fieldbook.current.id).update!(settings: { doubles_since: 3.days.ago.utc.iso8601 })
      Reading.where(id: reading.id).update_all(started_at: 1.day.ago)
      expect(api_get("/api/double-readings")["waiting"].size).to eq 1
      expect(api_get("/api/double-readings")["waiting"].size).to eq 1
    end

    it "is read blind by the right person, and compared once both have a class" do
      reading = texture(profile.horizons.first, "CL")
      double = DoubleReading.create!(first_id: reading["id"], kind: "other", drawn_at: Time.now.utc)
      waiting = api_get("/api/double-readings")["waiting"].first
      expect(waiting.to_s).not_to match(/clay|CL/)
      path = "/api/double-readings/#{double.id}/begin"
      expect(api_post(path,
                      { name: "Wren" })).to be_refused(422, "/name", "Wren read it first: somebody else reads it now.")
      second = api_get("/api/readings/#{api_post(path, { name: 'Reed' })['reading_id']}")
      expect([second["name"], second["profile"], second["horizons"]]).to eq ["Double #{double.id}", nil, []]
      assign(push(give(second, ball_holds: true, wet_rub: "neither"), 60, 62), "C", reason: "as felt")
      found = api_get("/api/double-readings")
      expect(found["waiting"]).to eq []
      expect(found["done"].first).to include("steps" => 1, "clay" => be > 3,
                                             "second" => { "by" => "Reed", "named" => "clay" })
      expect(found["charts"]).to include("steps" => 1, "within" => 1, "sentence" => "Nothing out of the usual.")
    end
  end
end
