# frozen_string_literal: true

RSpec.describe "/api/readings" do
  it "takes one sample from the first answer to its class, and the section shows it" do
    profile = profile_with(["A", 0, 20], ["Bt", 20, 55], textured_by: "Ines", recorded_by: "Olm", unit: "in",
limit_set: "contest")
    reading = begin_reading(profile.horizons.first)
    expect(reading).to include("textured_by" => "Ines", "recorded_by" => "Olm", "step" => "prepare")
    expect(reading["method"]).to include("limit_set" => "contest", "unit" => "in")

    reading = give(reading, moist_clod: "firm", mould_feel: "doughy", ball_holds: true)
    reading = push(reading, 2.75, 2.8, unit: "in", thickness_mm: 3, ended: "folded")
    expect(reading["ribbons"].first).to include("length_mm" => 69.85, "entered" => { "length" => 2.75, "unit" => "in" })
    reading = give(reading, wet_rub: "very_smooth")
    expect(reading["assessment"]["keys"].first["outcomes"].first["code"]).to eq "SIC"

    reading = assign(reading, "SIC")
    expect(reading["assigned"]).to include(
      "code" => "SIC",
      "name" => "silty clay",
      "override" => false,
      "rules_version" => Grittle::RULES_VERSION
    )
    expect(reading["next_horizon"]).to include("designation" => "Bt", "reading_id" => nil)
    layer = api_get("/api/profiles/#{profile.id}")["horizons"].first
    expect(layer["reading"]).to include("ribbon_text" => "2.78 in, 2 made")
    expect(layer["reading"]["assigned"]["code"]).to eq "SIC"
  end

  it "keeps what a correction replaces" do
    reading = push(give(begin_reading, ball_holds: true, wet_rub: "neither"), 41, 44)
    reading = give(reading, wet_rub: "very_smooth")
    first = reading["ribbons"].first
    reading =
      api_patch(
        "/api/readings/#{reading['id']}/ribbons/#{first['id']}",
        { version: reading["version"], length: 4.6, unit: "cm" }
      )
    expect(reading["ribbons"].map { |ribbon| ribbon["length_mm"] }).to eq [46.0, 44.0]
    reading =
      api_delete(
        "/api/readings/#{reading['id']}/ribbons/#{reading['ribbons'].last['id']}?version=#{reading['version']}"
      )
    expect(reading["ribbons"].size).to eq 1

    history = api_get("/api/readings/#{reading['id']}/history")["entries"]
    expect(history.map { |entry| entry.values_at("what", "text", "standing") }).to include(
      ["wet rub", "neither gritty nor smooth", false],
      ["wet rub", "very smooth", true],
      ["ribbon", "41 mm, broke", false],
      ["ribbon", /\A4.6 cm, broke \(corrects the one of/, true],
      ["ribbon", "44 mm, broke: taken back", false]
    )
  end

  it "goes round the moisture loop until it is sand" do
    reading = begin_reading
    3.times do |round|
      reading = give(reading, ball_holds: false)
      expect(reading["moisture"]).to include("open" => true, "rounds" => round)
      reading = api_patch("/api/readings/#{reading['id']}", { version: reading["version"], moisture_answer: "too_dry" })
      expect(reading["observations"]).not_to have_key("ball_holds") if round < 2
    end
    expect(reading["observations"]).to include("ball_holds" => false, "moisture_rounds" => 3)
    expect(reading["assessment"]["keys"].first["outcomes"]).to eq [
      { "code" => "S", "name" => "sand", "weight" => 1.0, "percent" => 100 }
    ]
  end

  it "begins where the bench wants to stand, at a step that there is" do
    expect(api_post("/api/readings", { step: "ball" })).to include("step" => "ball")
    expect(api_post("/api/readings", {})).to include("step" => "prepare")
    expect(api_post("/api/readings", { step: "dance" })).to be_refused(422, "/step", /no step “dance”/)
  end

  it "asks about moisture only after a ball" do
    reading = begin_reading
    expect(api_patch("/api/readings/#{reading['id']}", { version: reading["version"], moisture_answer: "too_dry" }))
      .to be_refused(422, "/moisture_answer", /asked after a ball/)
  end

  it "wants a reason for another class than the key's, and keeps both" do
    reading = give(push(give(begin_reading, ball_holds: true), 28, 29, 28), wet_rub: "very_gritty")
    expect(assign(reading, "LS")).to be_refused(422, "/reason", /The key does not say loamy sand/)
    reading = assign(reading, "LS", reason: "It only just held.")
    expect(reading["assigned"]).to include("override" => true, "reason" => "It only just held.")
    expect(reading["assigned"]["proposed"].first["code"]).to eq "SCL"
    reading = assign(reading, "SCL")
    classes = api_get("/api/readings/#{reading['id']}/history")["entries"].select { |entry| entry["what"] == "class" }
    expect(classes.map do |entry|
      entry.values_at("text", "standing")
    end).to eq [["loamy sand: It only just held.", false], ["sandy clay loam", true]]
  end

  it "tells the second of two writers, with both versions, and keeps the first" do
    reading = begin_reading
    give(reading, ball_holds: true)
    answer = give(reading, ball_holds: false)
    expect(answer).to be_refused(409, nil, /changed in another window/)
    expect(answer["current"]["observations"]).to eq("ball_holds" => true)
    expect(answer["yours"]).to eq("answers" => { "ball_holds" => false })
    expect(api_get("/api/readings/#{reading['id']}")["version"]).to eq answer["current"]["version"]
  end

  it "makes one record of a write that is sent twice, and refuses its key for another" do
    reading = begin_reading
    ribbon = { version: reading["version"], length: 40, unit: "mm" }
    first, again = Array.new(2) { api_post("/api/readings/#{reading['id']}/ribbons", ribbon, key: "the-same-word") }
    expect(again).to eq first
    expect(last_response.headers["idempotent-replay"]).to eq "true"
    expect(Ribbon.count).to eq 1
    expect(api_post("/api/readings/#{reading['id']}/ribbons", ribbon.merge(length: 41), key: "the-same-word"))
      .to be_refused(422, nil, /was used for another write/)
  end

  it "remembers where the bench stands without moving the version" do
    reading = begin_reading
    moved = api_put("/api/readings/#{reading['id']}/place", { step: "ribbon", unit: "cm" })
    expect(moved).to include("step" => "ribbon", "version" => reading["version"])
    expect(api_put("/api/readings/#{reading['id']}/place", { step: "lunch" })).to be_refused(
      422,
      "/step",
      /no step “lunch”/
    )
  end

  {
    { length: -3, unit: "mm" } => ["/length", "A ribbon is 0 to 300 mm long, not -3."],
    { length: 301, unit: "mm" } => ["/length", "A ribbon is 0 to 300 mm long, not 301."],
    { length: 12, unit: "in" } => ["/length", "A ribbon is 0 to 11.81 in long, not 12."],
    { length: 30, unit: "ell" } => ["/unit", /no unit “ell”/],
    { length: "long", unit: "mm" } => ["/length", /must be a number/],
    { length: 30, unit: "mm", thickness_mm: 40 } => ["/thickness_mm", /mm thick, not 40/],
    { length: 30, unit: "mm", ended: "snapped" } => ["/ended", /no way for a ribbon to end/]
  }.each do |ribbon, (pointer, sentence)|
    it "refuses the ribbon #{ribbon} at #{pointer} and loses nothing" do
      reading = push(begin_reading, 40)
      expect(
        api_post("/api/readings/#{reading['id']}/ribbons", { version: reading["version"], **ribbon })
      ).to be_refused(422, pointer, sentence)
      expect(api_get("/api/readings/#{reading['id']}")["ribbons"].size).to eq 1
    end
  end

  it "refuses an eleventh ribbon" do
    reading = push(begin_reading, *[40] * 10)
    expect(push(reading, 40)).to be_refused(422, "/length", /10 ribbons are enough/)
  end

  describe "method" do
    let(:reading) do
      give(push(give(begin_reading, ball_holds: true), 44, 47, 45), wet_rub: "neither", grittiness: "moderate")
    end

    def change(reading, **fields)
      api_patch("/api/readings/#{reading['id']}", { version: reading["version"], **fields })
    end

    it "switches the key and loses nothing" do
      changed = change(reading, key: "field_grades")
      expect(changed["observations"]).to eq reading["observations"]
      expect(changed["assessment"]["keys"].first).to include("key" => "field_grades", "system" => "australia")
      back = change(changed, key: "ribbon_and_rub")
      expect(back["assessment"]).to eq reading["assessment"]
    end

    it "stands at More where the new key's path has no such step" do
      api_put("/api/readings/#{reading['id']}/place", { step: "rub" })
      changed = change(api_get("/api/readings/#{reading['id']}"), key: "two_numbers", system: "uk", curve: "cautious")
      expect(changed["step"]).to eq "more"
      expect(changed["method"]).to include("key" => "two_numbers", "system" => "uk", "curve" => "cautious")
    end

    it "assigns only what the key can name, in its names" do
      grades = change(reading, key: "field_grades")
      expect(assign(grades, "SICL", reason: "By eye.")).to be_refused(422, "/class", /no class “SICL”/)
      assigned = assign(grades, "LC", reason: "By eye.")["assigned"]
      expect(assigned).to include(
        "name" => "light clay",
        "system" => "australia",
        "key" => "field_grades",
        "override" => true
      )
    end

    { key: "guess", system: "moon", curve: "straight" }.each do |field, value|
      it("refuses the #{field} “#{value}”") do
        expect(change(reading, field => value)).to be_refused(422, "/#{field}", /“#{value}”/)
      end
    end

    it "is the profile's to begin with" do
      profile = profile_with(["Ap", 0, 20], key: "two_numbers", system: "canada", older_grades: true)
      expect(begin_reading(profile.horizons.first)["method"])
        .to include("key" => "two_numbers", "system" => "canada", "older_grades" => true)
      expect(api_get("/api/profiles/#{profile.id}")["method_name"]).to eq "Sand and clay by feel, Canada"
    end
  end

  it "keeps a ribbon's shape, its minute, and whether it carried itself" do
    reading = push(begin_reading, 44, thickness_mm: 2.5, width_mm: 10, working_minute: 1.5, carried_own_weight: true)
    expect(reading["ribbons"].first).to include(
      "width_mm" => 10.0,
      "working_minute" => 1.5,
      "carried_own_weight" => true
    )
    expect(reading["observations"]["ribbons"].first).to include(
      "thickness_mm" => 2.5,
      "width_mm" => 10.0,
      "working_minute" => 1.5
    )
    refused = push(reading, 44, width_mm: 900)
    expect(refused).to be_refused(422, "/width_mm", /1 to 60 mm wide, not 900/)
  end

  it "hides what was expected until a class is assigned, in the record too" do
    reading = give(push(give(begin_reading, ball_holds: true), 60, 61, 62), wet_rub: "neither")
    reading = api_put("/api/readings/#{reading['id']}/expectation", { version: reading["version"], code: "CL" })
    expect(reading["expected"]).to eq("hidden" => true)
    said = lambda do
      api_get("/api/readings/#{reading['id']}/history")["entries"].find { |entry| entry["what"] == "expected" }["text"]
    end
    expect(said.call).to eq "hidden until a class is assigned"
    expect(assign(reading, "C")["expected"]).to eq(
      "hidden" => false,
      "code" => "CL",
      "name" => "clay loam",
      "agreement" => "one_off"
    )
    expect(said.call).to eq "clay loam"
    expect(
      api_put("/api/readings/#{reading['id']}/expectation", { version: 99, code: "moss" }).keys
    ).to include "detail"
  end

  it "keeps both sides of a contradiction with the reason, and takes that back" do
    reading = give(push(give(begin_reading, ball_holds: true), 60, 61, 62), stickiness: "non")
    keep = lambda do |on, reason, rule: "long_ribbon_not_sticky"|
      api_patch("/api/readings/#{on['id']}", { version: on["version"], kept: { rule: rule, reason: reason } })
    end
    kept = keep[reading, "Salt on the hand."]
    expect(kept["assessment"]["contradictions"].first).to include(
      "kept" => "Salt on the hand.",
      "decides" => /If it sticks/
    )
    expect(keep[kept, nil]["assessment"]["contradictions"].first["kept"]).to be_nil
    now = api_get("/api/readings/#{reading['id']}")
    expect(keep[now, " "]).to be_refused(422, "/kept/reason", /one line why/)
    expect(keep[now, "So.", rule: "moon"]).to be_refused(422, "/rule", /no rule “moon”/)
  end

  it "estimates beside the key, and within the class that is assigned" do
    reading = give(push(give(begin_reading, ball_holds: true), 41, 44, 39), wet_rub: "neither")
    evidence = reading["assessment"]["evidence"]
    expect(evidence).to include(
      "system" => "usda",
      "settled" => false,
      "felt" => 3,
      "sentence" => /\AClay loam, most likely/
    )
    expect(evidence["next_tests"].first).to include("test" => "stickiness")
    assigned = assign(reading, "C", reason: "Heavier to the spade.")
    expect(assigned["assigned"]["estimate"]).to include("uniform" => false, "probability" => be_within(0.03).of(0.2))
    moved = api_patch("/api/readings/#{reading['id']}", { version: assigned["version"], key: "sand_first" })
    expect(moved["assessment"]["evidence"]).to include("system" => "canada", "mean" => evidence["mean"])
  end

  it "answers by the key alone where the estimate is not waited for, and has it all the next time" do
    profile = profile_with(["Ap", 0, 20])
    reading = push(give(begin_reading(profile.horizons.first), ball_holds: true), 20, 21)
    path = "/api/readings/#{reading['id']}"
    quick = api_patch("#{path}?evidence=none", { version: reading["version"], answers: { wet_rub: "neither" } })
    whole = api_get(path)
    expect(quick["assessment"]).to eq whole["assessment"].merge("evidence" => nil)
    expect(whole["assessment"]["evidence"]).to include("felt" => 3)
    summary = api_get("/api/profiles/#{profile.id}")["horizons"].first["reading"]
    expect(summary["outcomes"].map { |one| one["code"] }).to eq %w[L CL]
    refused = api_patch("#{path}?evidence=some", { version: whole["version"], answers: {} })
    expect(refused).to be_refused(422, "/evidence", /no evidence “some”/)
  end

  it "gives a profile's readings their clay, within the class where there is one" do
    profile = profile_with(["Ap", 0, 20], ["Bt", 20, 60], ["C", 60, 90])
    assign(give(push(give(begin_reading(profile.horizons[0]), ball_holds: true), 20, 21), wet_rub: "neither"), "L")
    push(give(begin_reading(profile.horizons[1]), ball_holds: true), 80, 81)
    begin_reading(profile.horizons[2])
    clay = api_get("/api/profiles/#{profile.id}")["horizons"].map { |layer| layer["clay"] }
    expect(clay[0]).to include("given" => true, "uniform" => false, "range" => all(be_between(7, 27)))
    expect(clay[1]).to include("given" => false, "mean" => be_within(4).of(51))
    expect(clay[2]).to be_nil
    expect(api_get("/api/sites")["sites"].last["profiles"].first["horizons"].first.keys).to eq %w[
      id
      designation
      upper_cm
      lower_cm
      code
      system
    ]
  end
end
