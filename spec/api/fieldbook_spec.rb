# frozen_string_literal: true

RSpec.describe "the fieldbook" do
  it "is made of sites, profiles and horizons, one by one" do
    site = api_post("/api/sites", { name: "Kame", landform: "crest" })
    profile = api_post("/api/sites/#{site['id']}/profiles", { name: "Kame 1", kind: "hand_auger", textured_by: "Ines" })
    expect(profile).to include("kind_name" => "Hand auger", "horizons" => [], "next_horizon_id" => nil)
    api_post("/api/profiles/#{profile['id']}/horizons", { designation: "C", upper_cm: 45.5, lower_cm: 80 })
    profile = api_post("/api/profiles/#{profile['id']}/horizons", { designation: "Ap", upper_cm: 0, lower_cm: 22 })
    expect(profile["horizons"].map { |h| h.values_at("designation", "upper_cm", "lower_cm") }).to eq [
      ["Ap", 0, 22],
      ["C", 45.5, 80]
    ]
    expect(profile["gaps"].map { |gap| gap["sentence"] }).to eq ["No horizon from 22 to 45.5 cm."]
    expect(api_get("/api/sites")).to include("total" => 1, "pages" => 1)
  end

  it "keeps the depths that a correction replaces, and refuses a stale one" do
    profile = profile_with(["A", 0, 20], ["B", 20, 60])
    horizon = profile.horizons.last
    changed = api_patch("/api/horizons/#{horizon.id}", { version: 0, lower_cm: 70 })
    expect(changed["horizons"].last["lower_cm"]).to eq 70
    expect(Revision.last.was).to include("lower_cm" => "60.0")
    expect(api_patch("/api/horizons/#{horizon.id}", { version: 0, lower_cm: 90 })).to be_refused(
      409,
      nil,
      /another window/
    )
  end

  {
    { designation: "B", upper_cm: 40, lower_cm: 20 } => ["/lower_cm", /40 to 20 cm runs upwards/],
    { designation: "B", upper_cm: 10, lower_cm: 40 } => ["/upper_cm", "10 to 40 cm overlaps A, which is 0 to 20 cm."],
    { designation: "B", upper_cm: -5, lower_cm: 40 } => ["/upper_cm", /0 to 1000, not -5/],
    { designation: "B", upper_cm: "deep", lower_cm: 40 } => ["/upper_cm", /Upper depth must be a number/],
    { designation: " ", upper_cm: 20, lower_cm: 40 } => ["/designation", "Give the horizon a name."],
    { designation: "B", upper_cm: 20 } => ["/lower_cm", /Lower depth is needed/]
  }.each do |horizon, (pointer, sentence)|
    it "refuses the horizon #{horizon} at #{pointer}" do
      profile = profile_with(["A", 0, 20])
      expect(api_post("/api/profiles/#{profile.id}/horizons", horizon)).to be_refused(422, pointer, sentence)
      expect(Horizon.count).to eq 1
    end
  end

  it "names the kinds of exposure it knows" do
    expect(api_post("/api/sites/#{Site.make(name: 'Kame').id}/profiles", { name: "1", kind: "tunnel" }))
      .to be_refused(422, "/kind", /Use one of: pit, hand_auger, power_auger/)
  end

  it "goes on where the work stopped: an unfinished reading, else the next horizon, else nothing" do
    expect(api_get("/api/work")).to eq("work" => nil)
    profile = profile_with(["A", 0, 20], ["B", 20, 50])
    expect(api_get("/api/work")["work"]).to include("title" => "Slope 1, A", "detail" => "0 to 20 cm, not begun")
    reading = give(begin_reading(profile.horizons.first), ball_holds: false)
    expect(api_get("/api/work")["work"]).to include("reading_id" => reading["id"], "step" => "prepare")
    reading = api_patch("/api/readings/#{reading['id']}", { version: reading["version"], moisture_answer: "neither" })
    assign(reading, "S")
    expect(api_get("/api/work")["work"]).to include("title" => "Slope 1, B", "reading_id" => nil)
  end

  it "begins with a demo: sites, profiles, a dozen horizons, one profile half done" do
    Demo.load
    profiles = api_get("/api/sites")["sites"].flat_map { |site| site["profiles"] }
    expect(Site.count).to be >= 2
    expect(profiles.size).to be >= 3
    done = profiles.map { |profile| profile["horizons"].map { |horizon| !horizon["code"].nil? } }
    expect(done.flatten.size).to be >= 12
    expect(done.count { |column| column.include?(true) && column.include?(false) }).to eq 1
    expect(api_get("/api/work")["work"]["title"]).to eq "Tare 2, Bt1"
    expect(api_get("/api/readings")["readings"].map { |reading| reading["label"] }).to eq ["Bed by the gate"]
  end

  it "pages its sites, thirty at a time" do
    32.times { |number| Site.make(name: "Site #{number}") }
    first = api_get("/api/sites")
    expect(first.values_at("page", "pages", "total")).to eq [1, 2, 32]
    expect(first["sites"].size).to eq 30
    expect(api_get("/api/sites?page=2")["sites"].map { |site| site["name"] }).to eq ["Site 30", "Site 31"]
    expect(api_get("/api/sites?page=9")["sites"]).to be_empty
  end

  it "lists the first profiles of a site that has many, and all of them a line each" do
    site = Site.make(name: "Grid")
    profiles = Array.new(60) { |number| Profile.make(site, { name: "G#{number}", kind: "probe" }) }
    Horizon.make(profiles.last, designation: "A", upper_cm: 0, lower_cm: 25)
    other = profile_with(["A", 0, 20])
    listed = api_get("/api/sites")["sites"]
    expect(listed.map { |one| [one["profile_count"], one["profiles"].size] }).to eq [[60, 12], [1, 1]]
    expect(listed.first["profiles"].map { |one| one["name"] }).to eq(Array.new(12) { |number| "G#{number}" })
    expect(listed.last["profiles"].first["id"]).to eq other.id
    lines = api_get("/api/sites/#{site.id}/profiles?page=2")
    expect(lines).to include("total" => 60, "pages" => 2, "site" => { "id" => site.id, "name" => "Grid" })
    expect(lines["profiles"].last).to include(
      "name" => "G59",
      "horizons" => 1,
      "textured" => 0,
      "depth_cm" => 25,
      "designations" => "A"
    )
    expect(api_get("/api/work")["work"]["title"]).to eq "Slope 1, A"
  end

  it "changes a profile's method for readings to come, and leaves those there are" do
    profile = profile_with(["A", 0, 20], ["B", 20, 40])
    before = begin_reading(profile.horizons.first)
    changed = api_patch("/api/profiles/#{profile.id}",
                        { version: 0, limit_set: "inch_tiers", unit: "in", textured_by: "Olm" })
    expect(changed).to include("textured_by" => "Olm", "version" => 1, "method_name" => "Ribbon and rub, inch tiers")
    expect(api_get("/api/readings/#{before['id']}")["method"]["limit_set"]).to eq "metric"
    expect(begin_reading(profile.horizons.last)["method"]).to include("limit_set" => "inch_tiers", "unit" => "in")
    expect(api_patch("/api/profiles/#{profile.id}", { version: 0, name: "Late" })).to be_refused(
      409,
      nil,
      /another window/
    )
  end

  it "knows one observer by one name" do
    2.times { profile_with(textured_by: "Ines ", recorded_by: "Ines") }
    expect(Observer.pluck(:name)).to eq ["Ines"]
  end

  it "lists quick readings apart from those of horizons, newest first" do
    begin_reading(profile_with(["A", 0, 20]).horizons.first)
    api_post("/api/readings", { label: "Heap" })
    api_post("/api/readings", { label: "Bed" })
    expect(api_get("/api/readings")["readings"].map { |reading| reading["label"] }).to eq %w[Bed Heap]
  end

  it "does not call an untouched quick reading work, nor let it hide what is" do
    api_post("/api/readings", {})
    expect(api_get("/api/work")).to eq("work" => nil)
    begun = give(begin_reading, ball_holds: true)
    api_post("/api/readings", {})
    expect(api_get("/api/work")["work"]["reading_id"]).to eq begun["id"]
  end

  it "says what changes from horizon to horizon, where both are textured and touch" do
    profile = profile_with(["O", 0, 5], ["E", 5, 30], ["Bt", 30, 60], ["C", 70, 90], textured_by: "Ines")
    {
      1 => [14, "SL", "very_gritty"],
      2 => [80, "C", "neither"],
      3 => [40, "CL", "neither"]
    }.each do |place, (mm, code, rub)|
      assign(give(push(give(begin_reading(profile.horizons[place]), ball_holds: true), mm, mm), wet_rub: rub), code)
    end
    shown = api_get("/api/profiles/#{profile.id}")
    found = shown["contrasts"]
    expect(found.map { |one| one.values_at("upper", "lower", "depth_cm") }).to eq [["E", "Bt", 30]]
    expect(found.first["tests"].map { |one| one["test"] }).to eq %w[clay_increase argic abrupt_change]
    expect(shown["perching"].map { |one| one.values_at("depth_cm", "kind") }).to eq [[30, "stands_on_finer"]]
    expect(api_get("/api/sites")["sites"].last["profiles"].first).not_to have_key "contrasts"
  end

  it "keeps colours as Munsell writes them, with a chip, and the boundary in the words of the method" do
    profile = profile_with(["E", 0, 30], key: "field_grades")
    horizon = profile.horizons.first
    change = ->(version, **seen) { api_patch("/api/horizons/#{horizon.id}", { version: version, **seen }) }
    seen = change[0, moist_colour: "10yr 6 / 2", dry_colour: "10YR 7/2", boundary: "sharp"]["horizons"].first
    expect(seen["moist_colour"]).to include("notation" => "10YR 6/2", "wet" => true, "chip" => /\A#\h{6}\z/)
    expect(seen["boundary"]).to eq "sharp"
    expect(change[1, moist_colour: "brown"]).to be_refused(422, "/moist_colour", /“brown” is no Munsell notation/)
    expect(change[1, boundary: "very_abrupt"]).to be_refused(422, "/boundary", /sharp, abrupt, clear, gradual, diffuse/)
    expect(change[1, moist_colour: "", boundary: nil]["horizons"].first).to include(
      "moist_colour" => nil,
      "boundary" => nil
    )
    expect(Revision.last.was).to include("moist_colour" => "10YR 6/2", "boundary" => "sharp")
  end

  describe "the layers of a profile" do
    let(:profile) { profile_with(["Ap", 0, 20], ["B", 20, 60], ["C", 60, 90]) }
    let(:middle) { profile.horizons[1] }
    let!(:reading) { begin_reading(middle) }
    let(:before) { [["Ap", 0, 20, nil], ["B", 20, 60, reading["id"]], ["C", 60, 90, nil]] }

    def act(name, horizon = middle, version: horizon.reload.lock_version, **how)
      api_post("/api/horizons/#{horizon.id}/#{name}", { version: version, **how })
    end

    def layers(answer)
      answer["horizons"].map { |h| [h["designation"], h["upper_cm"], h["lower_cm"], h["reading"]&.fetch("id")] }
    end

    {
      "split" => [
        { at_cm: 35, designation: "B2" },
        [["Ap", 0, 20, nil], ["B", 20, 35, :reading], ["B2", 35, 60, nil], ["C", 60, 90, nil]]
      ],
      "merge" => [{}, [["Ap", 0, 20, nil], ["B", 20, 90, :reading]]],
      "boundary" => [{ lower_cm: 52 }, [["Ap", 0, 20, nil], ["B", 20, 52, :reading], ["C", 52, 90, nil]]]
    }.each do |name, (how, after)|
      it "#{name}: keeps the readings, and can be undone" do
        changed = act(name, **how)
        expect(layers(changed)).to eq(after.map { |row| row.map { |cell| cell == :reading ? reading["id"] : cell } })
        expect(changed["undo"]).to include "B"
        undone = api_post("/api/profiles/#{profile.id}/undo", {})
        expect(layers(undone)).to eq before
      end
    end

    it "merges the readings of both, and gives each its own back" do
      other = begin_reading(profile.horizons[2])
      act("merge")
      expect(middle.reload.readings.map(&:id)).to contain_exactly(reading["id"], other["id"])
      api_post("/api/profiles/#{profile.id}/undo", {})
      expect(profile.horizons[2].reload.readings.map(&:id)).to eq [other["id"]]
    end

    it "undoes one by one, adding and changing too, until nothing is left" do
      changed = api_patch("/api/horizons/#{middle.id}", { version: middle.lock_version, designation: "Bw" })
      expect(changed["undo"]).to eq "change of B"
      expect(layers(api_post("/api/profiles/#{profile.id}/undo", {}))).to eq before
      expect(layers(api_post("/api/profiles/#{profile.id}/undo", {}))).to eq before.first(2) # C was added last
      expect(api_post("/api/profiles/#{profile.id}/undo", {})).to be_refused(422, nil, /B has been textured since/)
      expect(api_post("/api/profiles/#{Profile.make(Site.last, { name: 'Bare', kind: 'pit' }).id}/undo", {}))
        .to be_refused(422, nil, "There is nothing to undo.")
    end

    it "refuses what does not fit, and what is stale" do
      expect(act("split", at_cm: 60, designation: "B2")).to be_refused(
        422,
        "/at_cm",
        "B is 20 to 60 cm: split it between."
      )
      expect(act("split", at_cm: 40, designation: " ")).to be_refused(422, "/designation", /Give the horizon a name/)
      expect(act("boundary", lower_cm: 95)).to be_refused(422, "/lower_cm", /95 to 90 cm runs upwards/)
      expect(act("boundary", lower_cm: 10)).to be_refused(422, "/lower_cm", /20 to 10 cm runs upwards/)
      expect(act("merge", profile.horizons[2])).to be_refused(422, nil, /No horizon touches C from below/)
      expect(act("merge", version: 99)).to be_refused(409, nil, /another window/)
      expect(layers(api_get("/api/profiles/#{profile.id}"))).to eq before
    end

    it "does not hide a reading by undoing" do
      split = act("split", at_cm: 40, designation: "B2")
      begin_reading(Horizon.find(split["horizons"][2]["id"]))
      expect(api_post("/api/profiles/#{profile.id}/undo", {})).to be_refused(422, nil, /B2 has been textured since/)
    end
  end
end
