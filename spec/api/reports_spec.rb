# frozen_string_literal: true

require "pdf/reader"
require "vips"

RSpec.describe "reports over the API" do
  let(:profile) { profile_with(["A", 0, 20], ["Bt", 20, 60]) }

  def textured(horizon, code, *lengths)
    assign(push(give(begin_reading(horizon), ball_holds: true, wet_rub: "neither"), *lengths), code)
  end

  def make(asked = {}, **owner)
    api_post("/api/reports", { **(owner.empty? ? { profile_id: profile.id } : owner), asked: asked })
  end

  def freeze_it(report) = api_post("/api/reports/#{report['id']}/freeze", { version: report["version"] })
  def section(report, title) = report["content"]["sections"].find { |one| one["title"] == title }

  before { textured(profile.horizons.last, "CL", 41, 44, 39) }

  # consequences: the order in which a client or an authority asks
  it "says in a fixed order what is known, assumed and open" do
    report = make({ question: "Will the bed drain?", client: "A parish" })
    expect(report["content"]["sections"].map { |one| one["title"] }).to eq [
      "Site and question", "Methods", "Column", "Horizons", "Texture contrast", "Water", "Limits", "Wetness",
      "Companion tests", "Laboratory", "Authority's table", "Not tested, assumed", "Classes that are not the key's",
      "Cautions", "Signatures"
    ]
    facts = section(report, "Horizons")["blocks"].last["rows"].to_h
    expect(facts).to include("Class" => a_string_starting_with("clay loam, assigned; the key: clay loam"),
                             "Ribbons" => "41, 44, 39 mm (90 % interval of the length 34.9 to 47.8)")
    expect(section(report, "Not tested, assumed").to_s).to include("Organic matter assumed: ", "A was not textured.")
    expect(section(report, "Cautions").to_s).to include("Local codes and licensed people decide")
  end

  it "keeps what it says when it is frozen, and tells what has changed since" do
    frozen = freeze_it(make({ question: "Will the bed drain?" }))
    expect(frozen).to include("rules_version" => Grittle::RULES_VERSION, "changed" => [])
    textured(profile.horizons.first, "L", 18, 20)
    later = api_get("/api/reports/#{frozen['id']}")
    expect(later["content"]).to eq frozen["content"]
    expect(later["changed"].map { |one| one["section"] }).to include("Horizons", "Column", "Not tested, assumed")
    horizons = later["changed"].find { |one| one["section"] == "Horizons" }
    expect([horizons["was"], horizons["now"]]).to match [include("A, 0 to 20 cm: not textured"),
                                                         include("A, 0 to 20 cm: loam")]
    api_patch("/api/reports/#{frozen['id']}", { version: later["version"], asked: {} })
    expect(last_response.status).to eq 422
  end

  it "is a tagged PDF with title and language whose text is read back" do
    api_put("/api/title-block", { name: "Ground & Co", lines: "Mill Lane 4" })
    post "/api/title-block/logo", Vips::Image.black(800, 200).pngsave_buffer,
         "CONTENT_TYPE" => "application/octet-stream", "HTTP_IDEMPOTENCY_KEY" => SecureRandom.uuid,
         "HTTP_HOST" => "127.0.0.1"
    expect(last_response.status).to eq 200
    report = make({ question: "Will the bed drain?" })
    get "/api/reports/#{report['id']}/pdf", {}, { "HTTP_HOST" => "127.0.0.1" }
    pdf = PDF::Reader.new(StringIO.new(last_response.body))
    root = pdf.objects.deref(pdf.objects.trailer[:Root])
    expect(root).to include(Lang: "en", MarkInfo: { Marked: true })
    tree = pdf.objects.deref(root[:StructTreeRoot])
    document = pdf.objects.deref(pdf.objects.deref(tree[:K]).first)
    kinds = pdf.objects.deref(document[:K]).map { |part| pdf.objects.deref(part)[:S] }
    expect(kinds).to include(:Figure, :H1, :TOC, :Sect)
    expect(pdf.info[:Title]).to eq "Report on Slope 1"
    pages = pdf.pages.map { |page| page.text.gsub(/\s+/, " ") }
    expect(pages.first).to include("Ground & Co", "Mill Lane 4", "Contents", "Signatures")
    expect(pages.join(" ")).to include("Will the bed drain?", "clay loam, assigned", "Below 60 cm nothing was seen.",
                                       "Local codes and licensed people decide")
    expect(pages.each.with_index(1)).to all(satisfy { |text, at| text.include?("#{at} / #{pages.size}") })
    water = pages.index { |text| text.include?("Water ") && text.include?("mm for plants") } + 1
    expect(pages.first).to match(/Water #{water}\b/)
  end

  it "is of a site with all its profiles, and comes back out of a package" do
    Profile.make(profile.site, { name: "Slope 2", kind: "pit" })
    report = freeze_it(make(site_id: profile.site_id))
    expect(report["content"]["sections"].map { |one| one["title"] }).to include("Slope 1: water", "Slope 2: column")
    get "/api/export?format=json&of=site&id=#{profile.site_id}", {}, { "HTTP_HOST" => "127.0.0.1" }
    book = JSON.parse(last_response.body)
    expect(book["reports"].first["content"]["title"]).to eq "Report on Slope"
    book["reports"].first["content"]["sections"].first["blocks"] = [{ "kind" => "photos", "photos" => [
      { "digest" => "../../secret", "media_type" => "image/png" }
    ] }]
    import = Exchange::FieldbookImport.new(book, {})
    expect(import.problems.to_a.map { |one| one.values_at(:place, :sentence) })
      .to include(["reports, row 1", "content is not what a report holds."])
  end

  describe "an authority's table" do
    let(:csv) { "match,structure_grade,value,unit\n4,,20,mm/d\n3,,30,mm/d\n5,,x,mm/d\n" }

    def upload(csv, **more)
      api_post("/api/assessor-tables",
               { name: "Loading", authority: "Nobody", dated_on: "2026-01-01", csv: csv, **more })
    end

    it "names every bad row and keeps nothing of it" do
      sentence = "A value is a number or “unsuitable”, not “x”."
      expect(upload(csv)["errors"]).to eq [{ "pointer" => "/rows/2", "detail" => sentence }]
      expect(AssessorTable.count).to eq 0
      expect(upload("a,b\n1,2\n")["detail"]).to include("needs a column “match”")
    end

    it "is looked up in the interpretation and stands in the report by its name" do
      made = upload(csv.sub(",x,", ",10,"))
      found = api_get("/api/profiles/#{profile.id}/interpretation?table_id=#{made['id']}&base_cm=20")["table"]
      expect(found).to include("name" => "Loading", "base_cm" => 20)
      expect(found["rows"].map { |row| row["value"] }).to eq [20.0, 30.0, nil]
      report = make({ table_id: made["id"], base_cm: "20" })
      expect(section(report, "Authority's table").to_s).to include("Loading, Nobody, 2026-01-01", "20 mm/d")
    end

    it "has an empty template" do
      get "/api/assessor-tables/template", {}, { "HTTP_HOST" => "127.0.0.1" }
      expect(last_response.body).to eq "match,structure_grade,structure_type,value,unit,note\n"
    end
  end

  it "puts what texture means into a table of its own" do
    get "/api/export?format=interpretation&of=profile&id=#{profile.id}", {}, { "HTTP_HOST" => "127.0.0.1" }
    rows = CSV.parse(last_response.body, headers: true)
    expect(rows.map { |row| row["what"] }).to include("Water that plants can take", "Limit",
                                                      "Water that plants can take, to the root limit")
    expect(rows.find { |row| row["horizon"] == "Bt" }.to_h).to include("profile" => "Slope 1", "upper_cm" => "20.0")
  end
end
