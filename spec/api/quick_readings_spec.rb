# frozen_string_literal: true

require_relative "../spec_helper"

RSpec.describe "Quick readings", type: :api do
  def quick(label = nil, **described)
    made = give(api_post("/api/readings", { label: label }.compact), ball_holds: false, water_uptake: "soaks_in")
    return made if described.empty?

    change(made, described: described)
    made
  end

  def change(made, **what)
    sample = Reading.find(made["id"]).sample
    api_patch("/api/samples/#{sample.id}", { version: sample.lock_version, **what })
  end

  def listed(query = "") = api_get("/api/readings?#{query}")["readings"].map { |one| one["label"] || one["id"] }

  it "are found by words, class, day and nearness, newest first" do
    quick("Gate", odour: "of eggs", latitude: 48.2, longitude: 16.3)
    assign(quick("Ditch"), "S", reason: "loose")
    quick("Bank", latitude: 48.3, longitude: 16.3)
    {
      "" => %w[Bank Ditch Gate], "text=eggs" => %w[Gate], "text=sand" => %w[Ditch], "text=dit" => %w[Ditch],
      "class=usda:S" => %w[Ditch], "class=usda:C" => [], "near=48.21%2016.3" => %w[Gate Bank],
      "from=2000-01-01&to=2000-12-31" => [], "from=#{Date.today}" => %w[Bank Ditch Gate], "text=100%25" => []
    }.each { |query, labels| expect([query, listed(query)]).to eq [query, labels] }
    expect(api_get("/api/readings?near=nowhere")["status"]).to eq 422
  end

  it "are not kept when nothing was done with them" do
    left = api_post("/api/readings", {})
    used = quick
    expect(listed).to eq [used["id"]]
    expect([left, used].map { |one| api_post("/api/readings/#{one['id']}/leave", {})["forgotten"] }).to eq [true, false]
    expect(Reading.ids).to eq [used["id"]]
    Reading.find(api_post("/api/readings", {})["id"]).update_columns(started_at: Time.now.utc - 7200)
    api_post("/api/readings", {})
    expect(Reading.count).to eq 2
  end

  it "go on with the method and the people of the last one" do
    first = quick("First")
    api_patch("/api/readings/#{first['id']}", { version: first["version"], key: "sand_first", textured_by: "Ilka" })
    api_put("/api/readings/#{first['id']}/place", { unit: "in" })
    expect(api_post("/api/readings", {})).to include("textured_by" => "Ilka",
                                                     "method" => include("key" => "sand_first", "unit" => "in"))
  end

  it "find their place: a site, a depth of a profile, a horizon, and nowhere again" do
    profile = Profile.make(Site.make(name: "Low Meadow"), { name: "Pit 1", kind: "pit" })
    horizon = Horizon.make(profile, designation: "A", upper_cm: 0, lower_cm: 20)
    made = assign(quick("Gate"), "S", reason: "loose")
    sample = Reading.find(made["id"]).sample
    place = lambda do |**where|
      api_put("/api/samples/#{sample.id}/place", { version: sample.reload.lock_version, **where })
    end
    place[site_id: profile.site_id]
    expect(api_get("/api/readings")["readings"].first["site"]["name"]).to eq "Low Meadow"
    expect(place[profile_id: profile.id, upper_cm: 8]["horizons"].first["reading"]["id"]).to eq made["id"]
    expect(listed).to be_empty
    place[horizon_id: horizon.id]
    expect(api_get("/api/readings/#{made['id']}")["horizon"]["designation"]).to eq "A"
    place[horizon_id: nil]
    expect(api_get("/api/profiles/#{profile.id}")["horizons"].first["reading"]).to be_nil
    expect(listed).to eq ["Gate"]
    expect(api_put("/api/samples/#{sample.id}/place", { version: 0, site_id: profile.site_id })["status"]).to eq 409
    expect(place[profile_id: profile.id, upper_cm: -1]["status"]).to eq 422
  end

  it "stand side by side, two to six, with what differs" do
    made = [[47, 46, 48], [12, 13, 12]].each_with_index.map do |lengths, at|
      push(give(api_post("/api/readings", { label: "Palm #{at}" }), ball_holds: true), *lengths)
    end
    ids = made.map { |one| one["id"] }
    beside = api_get("/api/side-by-side?readings=#{ids.join(',')}")
    expect(beside["items"].map { |one| one["lengths_mm"] }).to eq [[47, 46, 48], [12, 13, 12]]
    expect(beside["differences"]).to include(
      "Palm 0 and Palm 1: ribbons of 47 mm against 12 mm; their intervals do not meet."
    )
    expect(api_get("/api/side-by-side?readings=#{ids.first}")).to be_refused(422, "/readings", /2 to 6/)
    expect(api_get("/api/side-by-side?readings=#{ids.first},999")["status"]).to eq 404
  end
end
