# frozen_string_literal: true

RSpec.describe "companion tests over the API" do
  let(:profile) { profile_with(["A", 0, 20], ["Bt", 20, 60]) }
  let(:began) { Time.utc(2026, 9, 14, 8, 0, 0) }

  def at(minutes) = (began + (minutes * 60)).iso8601

  def sheet(test, *places, **more)
    api_post("/api/companion-tests", { test: test, places: places, profile_id: profile.id, **more })
  end

  def due(minutes) = (began + (minutes * 60)).iso8601(3)

  def begin_all(sheet) = api_post("/api/companion-tests/#{sheet['id']}/begin", { at: at(0) })

  def look(sheet, place, minutes, **value)
    api_post("/api/companion-places/#{sheet['places'][place]['id']}/looks", { at: at(minutes), value: value })
  end

  it "takes crumbs from several depths on one sheet and decides each" do
    made = begin_all(sheet("crumb", { upper_cm: 10 }, { upper_cm: 40 }, setup: { water: "rain", air_dry: true }))
    look(made, 0, 5, slaking: "fully", dispersion: "complete")
    found = look(made, 1, 5.5, slaking: "not", dispersion: "none")
    expect(found["places"].map { |place| place.values_at("name", "horizon", "said") })
      .to eq([["10 cm", "A", "crumb class 1, dispersive: a warning for dams, tunnels and effluent"],
              ["40 cm", "Bt", "crumb class 7 to 8 still possible"]])
    expect(api_get("/api/profiles/#{profile.id}")["samples"].map { |one| one["findings"].map { |f| f["said"] } })
      .to eq([["crumb class 1, dispersive: a warning for dams, tunnels and effluent"],
              ["crumb class 7 to 8 still possible"]])
  end

  it "keeps a late look with its real minutes" do
    made = begin_all(sheet("crumb", { upper_cm: 10 }))
    found = look(made, 0, 300, slaking: "fully", dispersion: "none")["places"][0]["looks"]
    expect(found).to match([include("minutes" => 300.0, "mark" => a_string_including("counts for no time"))])
  end

  context "when they began just now" do
    let(:began) { Time.now.utc.floor }

    it "lists what is due over all sheets, soonest first, of two at once the shorter first" do
      begin_all(sheet("crumb", { upper_cm: 10 }))
      begin_all(sheet("columns", { label: "A alone" }, { label: "A over Bt" }))
      ph = begin_all(sheet("ph", { upper_cm: 30 }, setup: { kit_minutes: 5 }))
      timers = api_get("/api/timers")["timers"]
      expect(timers.map { |timer| timer.values_at("title", "place", "due_at") })
        .to eq([["Layered columns", "A alone", due(1)], ["Layered columns", "A over Bt", due(1)],
                ["Crumb in still water", "10 cm", due(5)], ["pH by colour kit", "30 cm", due(5)]])
      api_patch("/api/companion-tests/#{ph['id']}", { version: ph["version"], ended: true })
      expect(api_get("/api/timers")["timers"].size).to eq(3)
    end
  end

  it "takes back a look that was entered by mistake, and begins a place anew" do
    made = begin_all(sheet("crumb", { upper_cm: 10 }))
    found = look(made, 0, 5, slaking: "fully", dispersion: "complete")
    place = found["places"][0]
    back = api_post("/api/companion-places/#{place['id']}/looks/#{place['looks'][0]['id']}/take-back", {})
    expect(back["places"][0]).to include("looks" => [], "said" => "no look yet")
    look(made, 0, 6, slaking: "not")
    anew = api_post("/api/companion-places/#{place['id']}/begin-anew", {})["places"][0]
    expect(anew).to include("started_at" => nil, "looks" => [])
    expect(Finding.where.not(taken_back_at: nil).count).to eq(2)
  end

  it "lies in the bin with what was found on it, and comes back whole" do
    made = begin_all(sheet("ph", { upper_cm: 10 }))
    look(made, 0, 2, value: 6)
    gone = api_post("/api/deletions", { of: "companion_test", of_id: made["id"] })
    expect(api_get("/api/profiles/#{profile.id}")["samples"]).to be_empty
    expect(api_get("/api/timers")["timers"]).to be_empty
    api_post("/api/deletions/#{gone['id']}/restore", {})
    expect(api_get("/api/companion-tests/#{made['id']}")["places"][0]["said"]).to eq("pH 6, moderately acid")
  end

  it "makes every test at two places, and knows what it is about before it begins" do
    Grittle::Companions::TESTS.each_value do |test|
      places = [10, 40].map { |cm| test.at_depth ? { upper_cm: cm } : { label: "Tube #{cm}" } }
      made = sheet(test.name, *places)
      expect(made["places"].size).to eq 2
      expect(made["kind"]["steps"].size).to be >= 3
      expect(made["places"]).to all(include("looks" => [], "done" => false, "void" => false))
    end
    listed = api_get("/api/companion-tests?profile_id=#{profile.id}")["tests"]
    expect(listed.map { |one| one["test"] }).to match_array Grittle::Companions::TESTS.keys
    expect(listed.map { |one| one["begun_at"] }).to all(be_nil)
  end

  it "belongs to a site, or to nothing yet" do
    at_site = api_post("/api/companion-tests", { test: "percolation", site_id: profile.site_id,
                                                 places: [{ label: "Hole 1" }, { label: "Hole 2" }] })
    expect(at_site).to include("name" => "Percolation, Slope", "profile" => nil)
    alone = api_post("/api/companion-tests", { test: "rod", places: [{ label: "From the bed" }] })
    expect(alone).to include("name" => "Rod shrinkage", "site" => nil)
    expect(api_get("/api/companion-tests?running=true")["total"]).to eq 2
    api_patch("/api/companion-tests/#{alone['id']}", { ended: true })
    expect(api_get("/api/companion-tests?running=true")["tests"].map { |one| one["id"] }).to eq [at_site["id"]]
  end

  it "keeps a ball that was remoulded apart from its crumb" do
    made = begin_all(sheet("crumb", { upper_cm: 10 }, setup: { water: "rain", air_dry: true }))
    look(made, 0, 1200, slaking: "fully", dispersion: "none")
    api_post("/api/companion-tests/#{made['id']}/places",
             { label: "Remoulded", upper_cm: 10, setup: { remoulded: true } })
    both = begin_all(made)
    found = look(both, 1, 120, slaking: "fully", dispersion: "some")["places"]
    expect(found.map { |place| place["said"] }).to eq ["crumb class 3 to 6 still possible", "remoulded, it disperses"]
    told = look(both, 0, 1201, remoulded_disperses: true)["places"].first
    expect(told["said"]).to eq "crumb class 3, disperses when worked wet"
  end

  it "goes out and comes in with its clocks and its looks, also those that were taken back" do
    made = begin_all(sheet("ph", { upper_cm: 10 }))
    found = look(made, 0, 2, value: 6)["places"][0]
    api_post("/api/companion-places/#{found['id']}/looks/#{found['looks'][0]['id']}/take-back", {})
    look(made, 0, 2.5, value: 6.5)
    get "/api/export?format=json&of=profile&id=#{profile.id}", {}, { "HTTP_HOST" => "127.0.0.1" }
    import = Exchange::FieldbookImport.new(JSON.parse(last_response.body), {})
    expect(import.problems.to_a).to be_empty
    import.take_in
    copy = CompanionTest.last
    expect(copy.id).not_to eq made["id"]
    expect([copy.profile.name, copy.places.first.started_at, copy.places.first.looks.map(&:value)])
      .to eq ["Slope 1", began, [{ "value" => 6.5, "minutes" => 2.5 }]]
    expect(Finding.where(companion_place: copy.places).where.not(taken_back_at: nil).count).to eq 1
  end

  {
    "an unknown test" => [{ test: "dance", places: [{ upper_cm: 10 }] }, 422, "There is no test “dance”"],
    "no place" => [{ test: "ph", places: [] }, 422, ""],
    "a depth that is none" => [{ test: "ph", places: [{ upper_cm: -4 }] }, 422, "A depth is"],
    "a part that is none" => [{ test: "jar", places: [{ upper_cm: 4 }], setup: { water_mm: 9000 } }, 422,
                              "Water above the bottom is a number from 40 to 600 mm, not “9000”."]
  }.each do |what, (body, status, sentence)|
    it "refuses #{what} and makes nothing" do
      answer = api_post("/api/companion-tests", { profile_id: profile.id, **body })
      expect([last_response.status, answer["detail"]]).to match([status, a_string_including(sentence)])
      expect([CompanionTest.count, Sample.count]).to eq([0, 0])
    end
  end

  it "refuses a look before its clock, a look in the future, and a sample of another profile" do
    made = begin_all(sheet("ph", { upper_cm: 10 }))
    expect(look(made, 0, -5, value: 6)["detail"]).to eq("It is seen before its clock began.")
    expect(look(made, 0, 1e6, value: 6)["detail"]).to eq("It cannot be seen in the future.")
    other = Sample.make(profile_with(["A", 0, 20]), [{ kind: "crumb", upper_cm: 5 }]).first
    expect(sheet("ph", { sample_id: other.id })["detail"]).to eq("That sample is of another profile or site.")
  end

  it "leaves a sample on its sheet" do
    made = sheet("ph", { upper_cm: 10 })
    sample = Sample.find(made["places"][0]["sample_id"])
    api_put("/api/samples/#{sample.id}/place", { version: sample.lock_version, site_id: profile.site_id })
    expect(last_response.status).to eq(422)
  end
end
