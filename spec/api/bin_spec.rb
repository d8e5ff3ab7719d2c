# frozen_string_literal: true

require_relative "../spec_helper"

RSpec.describe "The bin", type: :api do
  let!(:site) { Site.make(name: "Low Meadow") }
  let!(:profile) { Profile.make(site, { name: "Pit 1", kind: "pit" }) }
  let!(:below) do
    Horizon.make(profile, designation: "A", upper_cm: 0, lower_cm: 20)
    Horizon.make(profile.reload, designation: "B", upper_cm: 20, lower_cm: 60)
  end
  let!(:reading) do
    made = assign(give(begin_reading(below), ball_holds: false, water_uptake: "soaks_in"), "S", reason: "loose")
    Reading.find(made["id"])
  end

  def bin_it(record, of: record.class.name.downcase)
    api_post("/api/deletions", { of: of, of_id: record.id })
  end

  def restore(deletion) = api_post("/api/deletions/#{deletion['id']}/restore", {})
  def shown = api_get("/api/profiles/#{profile.id}")
  def exported = get("/api/export?format=json", {}, { "HTTP_HOST" => "127.0.0.1" }).body
  def bin = api_get("/api/deletions")["deletions"].map { |one| one["label"] }

  it "tells what goes along, keeps it, and puts it back as it was" do
    api_get("/api/deletions/preview?of=site&of_id=#{site.id}").then do |told|
      expect(told["holds"]).to eq "1 profile, 2 horizons and 1 reading"
    end
    before = shown
    gone = bin_it(site)
    expect(gone).to include("label" => "Low Meadow", "standing" => true)
    ["/api/profiles/#{profile.id}", "/api/readings/#{reading.id}"].each do |path|
      expect(api_get(path)["status"]).to eq 404
    end
    expect(api_get("/api/sites")["sites"]).to be_empty
    expect(api_get("/api/work")["work"]).to be_nil
    expect(JSON.parse(exported)["readings"]).to be_empty
    expect(bin).to eq ["Low Meadow"]

    restore(gone)
    expect(bin).to be_empty
    alike = ->(now) { [now["name"], now["horizons"].map { |layer| layer.except("version") }] }
    expect(alike[shown]).to eq alike[before]
    expect(api_get("/api/sites?text=meadow")["total"]).to eq 1
  end

  it "takes a horizon out of its profile with its readings, and undoing brings it back from the bin" do
    bin_it(below)
    expect(shown["horizons"].map { |layer| layer["designation"] }).to eq %w[A]
    expect(shown["undo"]).to eq "deletion of B"
    api_post("/api/profiles/#{profile.id}/undo", {})
    expect(shown["horizons"].last["reading"]["id"]).to eq reading.id
    expect(bin).to be_empty
  end

  it "restores nothing into a place that is taken, or into what lies in the bin itself" do
    gone = bin_it(below)
    Horizon.make(profile.reload, designation: "Bt", upper_cm: 20, lower_cm: 40)
    expect(restore(gone)).to be_refused(422, nil, /overlap/)
    outer = bin_it(profile)
    expect(restore(gone)).to be_refused(422, nil, /Pit 1 lies in the bin itself/)
    restore(outer)
    expect(bin).to eq ["B, 20 to 60 cm"]
  end

  it "lets a reading go and come back, with the horizon it spoke for" do
    api_patch("/api/horizons/#{below.id}", { version: below.reload.lock_version, reported_reading_id: reading.id })
    gone = bin_it(reading)
    expect(shown["horizons"].last).to include("reading" => nil, "readings" => [])
    restore(gone)
    expect(shown["horizons"].last["reading"]["id"]).to eq reading.id
    expect(below.reload.reported_reading_id).to eq reading.id
    # An answer on a version from before the deletion is told.
    expect(api_patch("/api/readings/#{reading.id}", { version: reading.lock_version, answers: {} })["status"]).to eq 409
  end

  it "is emptied by hand alone, with what was deleted inside before" do
    bin_it(reading)
    bin_it(below)
    outer = bin_it(site)
    expect(api_delete("/api/deletions/#{outer['id']}")).to include("standing" => false)
    expect([Site, Profile, Horizon, Sample, Reading, Answer, Assignment].map(&:count)).to all eq 0
    expect(bin).to be_empty
    expect(restore(outer)).to be_refused(422, nil, /not in the bin/)
  end

  it "leaves a profile that can be exported, imported and undone when one of its horizons is gone for good" do
    bin_it(below)
    api_delete("/api/deletions")
    Layers.new(profile.reload).undo
    expect(profile.reload.horizons.map(&:designation)).to eq %w[A]
    book = Exchange::ImportFile.call(exported, "book.json").last
    expect(book.problems.to_a).to be_empty
  end

  it "takes one whole import" do
    sent = JSON.parse(post("/api/imports?name=more.csv", "Pit,Layer,Top,Bottom\nNew 1,A,0,10\nNew 1,B,10,20\n",
                           { "HTTP_IDEMPOTENCY_KEY" => SecureRandom.uuid, "HTTP_HOST" => "127.0.0.1",
                             "CONTENT_TYPE" => "application/octet-stream" }).body)
    Exchange::Import.find(sent["id"]).take_in
    import = api_get("/api/file-imports")["imports"].first
    expect(import).to include("holds" => "1 profile and 2 horizons", "standing" => true)
    bin_it(FileImport.find(import["id"]), of: "import")
    expect(api_get("/api/sites")["sites"].map { |one| one["name"] }).to eq ["Low Meadow"]
    expect(api_get("/api/file-imports")["imports"].first["standing"]).to be false
    api_delete("/api/deletions")
    expect(Site.pluck(:name)).to eq ["Low Meadow"]
  end

  it "refuses what is no thing, and what is not there" do
    expect(api_post("/api/deletions", { of: "boot", of_id: 1 })["status"]).to eq 422
    expect(api_post("/api/deletions", { of: "site", of_id: 999 })["status"]).to eq 404
  end

  describe "the order and the shape of the fieldbook" do
    it "puts a site before another, however often" do
      names = %w[Beech Alder Cedar]
      made = names.map { |name| Site.make(name: name) }
      60.times { |time| api_post("/api/sites/#{made[time % 3].id}/move", { before: site.id }) }
      expect(api_get("/api/sites")["sites"].map { |one| one["name"] }).to eq [*names, "Low Meadow"]
      api_post("/api/sites/#{site.id}/move", { before: nil })
      expect(api_get("/api/sites")["sites"].map { |one| one["name"] }.last).to eq "Low Meadow"
      api_post("/api/sites/#{made.last.id}/move", { before: made.first.id })
      expect(api_get("/api/sites")["sites"].first["name"]).to eq "Cedar"
    end

    it "begins the next hole with the horizons of this one" do
      copy = api_post("/api/profiles/#{profile.id}/duplicate", { name: "Pit 2" })
      expect(copy["horizons"].map { |layer| layer.values_at("designation", "upper_cm", "lower_cm", "reading") })
        .to eq [["A", 0, 20, nil], ["B", 20, 60, nil]]
      expect(copy.values_at("site", "kind")).to eq shown.values_at("site", "kind")
    end

    it "begins new profiles and quick readings with the settings" do
      api_put("/api/settings", { key: "field_grades", unit: "cm", textured_by: "Ilka" })
      made = api_post("/api/sites/#{site.id}/profiles", { name: "Pit 3", kind: "pit" })
      expect(made["method"]).to include("key" => "field_grades", "unit" => "cm")
      expect(made["textured_by"]).to eq "Ilka"
      expect(api_post("/api/readings", {})["method"]["key"]).to eq "field_grades"
      expect(api_put("/api/settings", { key: "guessing" })["status"]).to eq 422
    end
  end
end
