# frozen_string_literal: true

require_relative "../support/two_sides"
require_relative "../../db/demo_picture"

# What a device brings back that was without signal.
RSpec.describe Delivery do
  let(:profile) { profile_with(["A", 0, 20], ["B", 20, 40]) }
  let(:keys) { Array.new(6) { TwoSides.key } }
  let(:horizon) { profile.horizons.first }

  def event(method, path, body = nil, key: TwoSides.key, at: Time.now.utc.iso8601(3), **more)
    { key: key, method: method, path: path, body: body, at: at, **more }
  end

  def deliver(*events, clock: Time.now.utc.iso8601(3))
    api_post("/api/deliveries",
             { device: "0192f0c0-0000-7000-8000-000000000000", clock: clock, events: events })["results"]
  end

  it "makes things under the names the device gave them, and each once" do
    day = [
      event("POST", "/api/sites", { name: "Low meadow" }, key: keys[0]),
      event("POST", "/api/sites/#{keys[0]}/profiles", { name: "Pit", kind: "pit" }, key: keys[1]),
      event("POST", "/api/profiles/#{keys[1]}/horizons", { designation: "A", upper_cm: 0, lower_cm: 20 }, key: keys[2]),
      event("POST", "/api/readings", { horizon_id: keys[2] }, key: keys[3]),
      event("PATCH", "/api/readings/#{Uid.after(keys[3], 1)}", { answers: { ball_holds: true } }, key: keys[4],
version: 0),
      event("POST", "/api/readings/#{Uid.after(keys[3], 1)}/ribbons", { length: 38, unit: "mm" }, key: keys[5],
                                                                                               after: keys[4])
    ]
    expect(deliver(*day.first(4)).map { |one| one["status"] }).to eq [201, 201, 201, 201]
    expect(deliver(*day).map { |one| one["status"] }).to eq [201, 201, 201, 201, 200, 201]
    expect(deliver(*day).map { |one| one["version"] }.last(2)).to eq [1, 2]
    expect([Site.count, Profile.count, Horizon.count, Reading.count, Answer.count, Ribbon.count]).to eq [1] * 6
    expect(Reading.last).to have_attributes(uid: Uid.after(keys[3], 1), lock_version: 2)
  end

  it "merges what is only added, whoever was there meanwhile, and keeps the order of one device" do
    reading = begin_reading(horizon)
    give(reading, wet_rub: "neither")
    late = (Time.now.utc + 9000).iso8601(3) # a clock that is hours ahead, said as such
    path = "/api/readings/#{reading['id']}"
    found = deliver(event("PATCH", path, { answers: { ball_holds: false } }, version: 0, at: late),
                    event("PATCH", path, { answers: { ball_holds: true } }, version: 1, at: late), clock: late)
    expect(found.map { |one| one["status"] }).to eq [200, 200]
    expect(Reading.find(reading["id"]).observations).to include("ball_holds" => true, "wet_rub" => "neither")
    given = Answer.order(:id).pluck(:given_at)
    expect(given).to eq given.sort
    expect(given.last).to be_within(60).of(Time.now.utc)
  end

  it "stops at a horizon that somebody else has changed, and tells both versions" do
    stands = horizon.lock_version
    api_patch("/api/horizons/#{horizon.id}", { version: stands, boundary: "clear" })
    found = deliver(event("PATCH", "/api/horizons/#{horizon.id}", { boundary: "diffuse" }, version: stands),
                    event("POST", "/api/sites", { name: "Never looked at" }))
    expect(found.map { |one| one["status"] }).to eq [409]
    expect(found.first["problem"]).to include("yours" => { "boundary" => "diffuse" },
                                              "standing" => include("values" => { "boundary" => "clear" }))
  end

  it "goes on from the version that the device's own change has left" do
    changes = %w[clear diffuse].map { |word| { boundary: word } }
    path = "/api/horizons/#{horizon.id}"
    found = deliver(event("PATCH", path, changes[0], key: keys[0], version: horizon.lock_version),
                    event("PATCH", path, changes[1], after: keys[0]))
    expect(found.map { |one| one["status"] }).to eq [200, 200]
    expect(horizon.reload.boundary).to eq "diffuse"
  end

  it "asks of a photograph whose reading it is, also where that is named and not numbered" do
    theirs = Acting.in(Fieldbook.current) do
      Acting.writing(keys[0]) do
        Reading.make(horizon: horizon, textured_by: "Wren")
      end
    end
    sign_in(member("Lea", "surveyor"))
    headers = { "CONTENT_TYPE" => "application/octet-stream", "HTTP_IDEMPOTENCY_KEY" => keys[1] }
    post "/api/photos?of=reading&of_id=#{theirs.uid}&name=x.png", DemoPicture.call, headers
    expect([last_response.status, Photo.count]).to eq [403, 0]
    mine = Acting.writing(keys[2]) { Reading.make(horizon: horizon, textured_by: "Lea") }
    post "/api/photos?of=reading&of_id=#{mine.uid}&name=x.png", DemoPicture.call,
         { **headers, "HTTP_IDEMPOTENCY_KEY" => keys[3] }
    expect([last_response.status, Photo.last.of_id]).to eq [201, mine.id]
  end

  it "refuses what belongs to nothing here, and notes how far a clock is off" do
    found = deliver(event("POST", "/api/profiles/#{keys[0]}/horizons", { designation: "A", upper_cm: 0, lower_cm: 5 }),
                    clock: (Time.now.utc - 600).iso8601(3))
    expect(found.first).to include("status" => 404)
    offset = ActiveRecord::Base.connection.select_value("SELECT offset_ms FROM deliveries ORDER BY id DESC LIMIT 1")
    expect(offset).to be_within(5000).of(600_000)
  end

  it "gives a device the rows of a fieldbook, without the bin and without sessions" do
    reading = give(begin_reading(horizon), ball_holds: true)
    Sample.create!(practice: true)
    Deletion.make(Fieldbook.current, "horizon", profile.horizons.last.id)
    mirror = TwoSides.rows(api_get("/api/mirror"))
    expect(mirror["horizons"].map { |row| row["designation"] }).to eq ["A"]
    expect(mirror["answers"].map { |row| row.values_at("reading_id", "value") }).to eq [[reading["id"], true]]
    expect(mirror["samples"].size).to eq 1
    stamp = api_get("/api/mirror")["stamp"]
    expect(api_get("/api/mirror?have=#{stamp}")).to eq("stamp" => stamp, "unchanged" => true)
    give(reading.merge("version" => reading["version"]), wet_rub: "neither")
    expect(api_get("/api/mirror?have=#{stamp}")["stamp"]).not_to eq stamp
    expect(mirror.keys).not_to include("accounts", "sign_ins", "turns", "tubs")
  end
end
