# frozen_string_literal: true

RSpec.describe "the desk table" do
  let(:profile) { profile_with(["A", 0, 20], ["B", 20, 60]) }

  def write(*rows) = api_put("/api/profiles/#{profile.id}/table", { rows: rows })

  def row(horizon, **more)
    {
      id: horizon.id,
      version: horizon.lock_version,
      designation: horizon.designation,
      upper_cm: 0,
      lower_cm: 20,
      **more
    }
  end

  it "is written as a whole, boundaries that trade places too, and undone as a whole" do
    above, below = profile.horizons.to_a
    written = write(row(above, upper_cm: 40, lower_cm: 70), row(below, lower_cm: 40, described: { roots: "many" }),
                    { designation: "C", upper_cm: 70, lower_cm: 90, moist_colour: "10YR 5/4" })
    expect(written["horizons"].map do |one|
      one.values_at("designation", "upper_cm", "lower_cm")
    end).to eq [["B", 0, 40], ["A", 40, 70], ["C", 70, 90]]
    expect(api_post("/api/profiles/#{profile.id}/undo", {})["horizons"].map { |one| one["designation"] }).to eq %w[A B]
  end

  it "is refused as a whole, with each sentence at its cell" do
    refused = write(row(profile.horizons.first, upper_cm: "deep", described: { roots: "lots" }),
                    { designation: "C", upper_cm: 10, lower_cm: 5 })
    expect(refused["errors"].map { |one| one["pointer"] }).to eq %w[/rows/0/upper_cm /rows/1/lower_cm]
    expect(write({ designation: "C", upper_cm: 50, lower_cm: 70 })).to be_refused(
      422,
      "/rows/0/upper_cm",
      /C, 50 to 70 cm, overlaps B/
    )
    expect(write(row(profile.horizons.first, version: 7))).to be_refused(409, nil, /another window/)
    expect(Horizon.count).to eq 2
  end

  it "changes what a row names and nothing else, and says which row was changed meanwhile" do
    above, below = profile.horizons.to_a
    above.change(above.lock_version, { designation: "Ah", moist_colour: "10YR 4/3" })
    late = { id: above.id, version: 0, designation: "Ap", described: { roots: "few" } }
    refused = write({ id: below.id, version: 0, lower_cm: 70 }, late)
    expect(refused["standing"]).to eq("row" => 1, "of" => "Ah", "version" => 1,
                                      "values" => { "designation" => "Ah", "described" => {} })
    expect(below.reload.lower_cm).to eq 60
    written = write({ id: below.id, version: 0, lower_cm: 70 }, { **late, version: 1 })
    expect(written["horizons"].map { |one| one.values_at("designation", "upper_cm", "lower_cm", "version") })
      .to eq [["Ap", 0, 20, 2], ["B", 20, 70, 1]]
    expect(written["horizons"].first).to include("described" => { "roots" => "few" },
                                                 "moist_colour" => include("notation" => "10YR 4/3"))
  end

  it "takes a class without a reading, in any system, and leaves that of a reading alone" do
    above, below = profile.horizons.to_a
    assign(give(begin_reading(above), ball_holds: false, water_uptake: "soaks_in"), "S", reason: "loose")
    written = write(row(above.reload, texture: "clay"),
                    row(below.reload, upper_cm: 20, lower_cm: 60, texture: "light clay"))
    expect(written["horizons"].map { |one| one["named"].values_at("system", "name") })
      .to eq [%w[usda sand], ["australia", "light clay"]]
    again = write(row(below.reload, upper_cm: 20, lower_cm: 60, texture: "Light clay"))
    expect([again["horizons"].last["reported_class"]["said"], ReportedClass.count]).to eq ["light clay", 1]
    expect(write(row(below.reload, upper_cm: 20, lower_cm: 60, texture: "mud")))
      .to be_refused(422, "/rows/0/texture", /no texture class “mud”/)
  end

  it "stands beside another profile" do
    other = profile_with(["A", 0, 90])
    expect(api_get("/api/profiles/#{profile.id}/beside/#{other.id}")["differences"].map { |one| one["sentence"] })
      .to eq ["Below 60 cm Slope 1 has no horizon to compare."]
  end
end
