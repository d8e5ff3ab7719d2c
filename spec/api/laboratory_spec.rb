# frozen_string_literal: true

RSpec.describe "a laboratory's results over the API" do
  let(:profile) { profile_with(["A", 0, 20], ["Bt", 20, 60]) }
  let!(:samples) do
    Sample.make(profile, [{ kind: "bag", label: "T1-05", upper_cm: 10 }, { kind: "bag", label: "T1-40", upper_cm: 40 }])
  end

  def write(sample, **result) = api_post("/api/samples/#{sample.id}/laboratory-results", result)
  def import(csv, **more) = api_post("/api/laboratory-results", { name: "results.csv", csv: csv, **more })
  def kept(at) = api_get("/api/profiles/#{profile.id}")["samples"][at]["laboratory"]

  it "keeps what was written, and says what was read into it" do
    write(samples[0], sand: "90.2", silt: "8.1", clay: "<2", method: "pipette", laboratory: "Ground", number: "17")
    expect(kept(0)).to match [include("said" => "sand: sand 90.8, silt 8.2, clay 1 % (pipette)",
                                      "laboratory" => "Ground", "number" => "17",
                                      "done" => ["clay “<2” read as half", "sum 99.3 brought to 100"])]
    expect(LaboratoryResult.last.written).to include("sand" => "90.2", "clay" => "<2")
  end

  it "lets a corrected report stand, and keeps the old one" do
    write(samples[0], sand: 40, silt: 40, clay: 20, method: "hydrometer")
    write(samples[0], sand: 44, silt: 38, clay: 18, method: "hydrometer", remark: "corrected")
    expect(kept(0).map { |one| one["percents"]["sand"] }).to eq [44.0, 40.0]
  end

  it "stands beside the hand of a sample that was textured" do
    reading = api_post("/api/readings", { sample_id: samples[1].id })
    assign(push(give(reading, ball_holds: true, wet_rub: "neither"), 41, 44, 39), "CL")
    write(samples[1], sand: 30, silt: 38, clay: 32, method: "pipette")
    expect(kept(1).first["beside"]).to include("class" => "CL", "steps" => 0, "where" => "inside")
    write(samples[1], sand: 30, silt: 38, clay: 32, silt_limit: "63")
    expect(kept(1).first).to include("beside" => nil, "done" => ["silt to 63 µm: only its clay is compared"])
    report = api_post("/api/reports", { profile_id: profile.id })
    expect(report["content"]["sections"].find { |one| one["title"] == "Laboratory" }.to_s).to include("T1-40, 40 cm")
  end

  it "takes in a messy table: units, totals, blanks, labels as people write them, decimal commas" do
    csv = "Soil laboratory, autumn\nSample;Sand %;Silt %;Clay %;Date\n;%;%;%;\nt1-5;41,2;38,8;20;2026-10-02\n;;;;\n" \
          "T1-40;30;;32;2026-10-02\nMean;35;;26;\n"
    expect(import(csv, method: "pipette", laboratory: "Ground")).to include("kept" => 2, "questions" => [])
    expect([kept(0), kept(1)].map { |all| all.first.slice("said", "reported_on", "source") }).to eq [
      { "said" => "loam: sand 41.2, silt 38.8, clay 20 % (pipette)", "reported_on" => "2026-10-02",
        "source" => "results.csv" },
      { "said" => "clay loam: sand 30, silt 38, clay 32 % (pipette)", "reported_on" => "2026-10-02",
        "source" => "results.csv" }
    ]
  end

  it "names every bad row and keeps none" do
    Sample.make(profile, [{ kind: "bag", label: "T1 40", upper_cm: 45 }])
    csv = "label,sand,silt,clay,method\nT1-5,40,40,23.1,pipette\nNobody,40,40,20,pipette\nT1-40,40,40,20,pipette\n" \
          "T1-5,40,40,20,magic\n"
    found = import(csv)["errors"].map { |one| one["detail"] }
    expect(found).to match ["Row 2: Sand, silt and clay add up to 103.1, not to 100.",
                            "Row 3: There is no sample labelled “Nobody”.",
                            "Row 5: There is no method “magic”. Use one of: pipette, hydrometer, laser, other."]
    expect(LaboratoryResult.count).to eq 0
    expect(import("a,b\n1,2\n")["detail"]).to eq "The table needs a column for label."
  end

  it "goes out and comes in with its sample" do
    write(samples[0], sand: 40, silt: 40, clay: 20, method: "pipette")
    get "/api/export?format=json&of=profile&id=#{profile.id}", {}, { "HTTP_HOST" => "127.0.0.1" }
    import = Exchange::FieldbookImport.new(JSON.parse(last_response.body), {})
    expect(import.problems.to_a).to be_empty
    expect { import.take_in }.to change(LaboratoryResult, :count).by(1)
    book = JSON.parse(last_response.body)
    book["laboratory_results"][0]["written"]["clay"] = "much"
    expect(Exchange::FieldbookImport.new(book, {}).problems.to_a.map { |one| one[:sentence] })
      .to eq ["Clay is a number, not “much”."]
  end
end
