# frozen_string_literal: true

require "json_schemer"
require "nokogiri"

RSpec.describe "the fieldbook on its way out and in" do
  def export(format, **of)
    get "/api/export", { format: format, **of }, { "HTTP_HOST" => "127.0.0.1" }
    last_response.body
  end

  def send_file(bytes, name: "file")
    post "/api/imports?name=#{Rack::Utils.escape(name)}", bytes,
         {
           "CONTENT_TYPE" => "application/octet-stream",
           "HTTP_IDEMPOTENCY_KEY" => SecureRandom.uuid,
           "HTTP_HOST" => "127.0.0.1"
         }
    JSON.parse(last_response.body)
  end

  # Taken in here and not in the background, so that the spec's own transaction holds it.
  def take_in(bytes, name: "file")
    sent = send_file(bytes, name: name)
    expect(sent["problems"]).to eq []
    Exchange::Import.find(sent["id"]).take_in
    api_get("/api/imports/#{sent['id']}")
  end

  def zip(files)
    io = StringIO.new
    ZipKit::Streamer.open(io) do |out|
      files.each { |name, text| out.write_deflated_file(name) { |sink| sink << text } }
    end
    io.string
  end

  def sheets(package)
    io = StringIO.new(package)
    ZipKit::FileReader.read_zip_structure(io: io).to_h do |entry|
      [entry.filename, (entry.extractor_from(io).extract || "").force_encoding("UTF-8")]
    end
  end

  def empty
    ActiveRecord::Base.connection.disable_referential_integrity do
      Exchange::Tables::ALL.reverse_each { |table| table.model.delete_all }
    end
  end

  # Everything that is kept, with each id replaced by its place, so that two databases can be compared.
  def everything
    book = JSON.parse(export("json"))
    places =
      Exchange::Tables::ALL.to_h do |table|
        [table.name, book[table.name].each_with_index.to_h { |row, place| [row["id"], place] }]
      end
    Exchange::Tables::ALL.to_h { |table| [table.name, book[table.name].map { |row| placed(table, row, places) }] }
  end

  def placed(table, row, places)
    refs =
      table
      .columns
      .select { |column| column.kind == :ref }
      .to_h { |column| [column.name, places[column.to][row[column.name]]] }
    row.merge(refs, spoken_of(table.name, row, places), "id" => places[table.name][row["id"]])
  end

  def spoken_of(table, row, places)
    case table
    when "photos" then { "of_id" => places[Exchange::Tables::PHOTO_OF[row["of"]]][row["of_id"]] }
    when "layer_changes" then { "was" => Exchange::Traces.layers_inward(row["was"], places) }
    when "revisions"
      { "record_id" => places[Exchange::Traces::OF[row["record_type"]]][row["record_id"]],
        "was" => Exchange::Traces.inward(row["was"], places) }
    else {}
    end
  end

  context "with the whole demo" do
    before do
      Demo.load
      profile = Profile.find_by!(name: "Tare 1")
      profile.change(profile.lock_version, { textured_by: "Somebody else" })
      Layers.new(profile).split(profile.horizons[2], profile.horizons[2].lock_version, at_cm: 50, designation: "Bt2")
    end

    %w[package json].each do |format|
      it "comes back equal through #{format}" do
        before = everything
        file = export(format)
        empty
        expect(everything.values.flatten).to be_empty
        imported = take_in(file)
        expect(imported.values_at("format", "state")).to eq [format, "done"]
        expect(everything).to eq before
        Layers.new(Profile.find_by!(name: "Tare 1")).undo
        expect(Profile.find_by!(name: "Tare 1").horizons.map(&:designation)).to eq %w[Ap E Bt BC C]
      end
    end

    it "leaves no column of the database behind" do
      kept = %w[lock_version created_at updated_at described fieldbook_id]
      # Follows from the rows that are there.
      kept += %w[verdict verdict_for classed speaks_id named class_system class_code open touched_at]
      # Of this fieldbook alone: its bin, where a row came from, and the order of its list.
      kept += %w[deletion_id file_import_id place token submission_id]
      # Names a thing to the devices that were there before the file.
      kept += %w[uid]
      # Samples of sessions are not exported at all.
      kept += %w[practice]
      Exchange::Tables::ALL.each do |table|
        written = table.columns.map { |column| column.kind == :person ? "#{column.name}_id" : column.name }
        missing = table.model.column_names - written - kept
        expect(missing).to be_empty, "#{table.name}: #{missing}"
      end
      own = %w[observers fieldbooks kept_responses deliveries search_terms deletions file_imports]
      # Sessions and their truth leave by their keeper's CSV alone; maps are files already; what is under way to a
      # laboratory, and what was drawn to be read again, is of this place.
      own += %w[reference_sets tubs practice_sessions practice_people turns key_drills left_pairs survey_maps
                submissions submission_bags double_readings]
      # Who may come in is of this place; people leave by their names.
      own += %w[accounts sign_ins failed_sign_ins memberships invitations import_jobs]
      tables = Exchange::Tables::ALL.map(&:name) + own + %w[schema_migrations ar_internal_metadata]
      expect(ActiveRecord::Base.connection.tables - tables).to be_empty
    end

    it "describes the package as a Frictionless Data Package, and keeps its word" do
      files = sheets(export("package"))
      described = JSON.parse(files["datapackage.json"])
      expect(described["profile"]).to eq "tabular-data-package"
      described["resources"].each do |resource|
        rows = CSV.parse(files[resource["path"]], headers: true)
        expect(rows.headers).to eq(resource["schema"]["fields"].map { |field| field["name"] })
      end
      expect(CSV.parse(files["horizons.csv"], headers: true).map { |row| row["texture"] }).to include "clay",
                                                                                                      "sandy loam"
    end

    it "writes JSON that its published schema takes, and would not take otherwise" do
      schema =
        JSONSchemer.schema(
          JSON.parse(File.read(File.expand_path("../../docs/exchange-schema.json", __dir__))),
          format: true
        )
      book = JSON.parse(export("json"))
      expect(schema.validate(book).map { |error| error["error"] }).to eq []
      book["horizons"].first["roots"] = "lots"
      book["sites"].first["taste"] = 1
      expect(schema.validate(book).map { |error| error["data_pointer"] }).to contain_exactly(
        "/horizons/0/roots",
        "/sites/0/taste"
      )
    end

    it "names the keys and links of the package by tables that are there" do
      resources =
        JSON.parse(sheets(export("package"))["datapackage.json"])["resources"].to_h do |one|
          [one["name"], one["schema"]]
        end
      resources.each_value do |schema|
        names = schema["fields"].map { |field| field["name"] }
        expect(names).to include(schema["primaryKey"], *schema["foreignKeys"].map { |link| link["fields"] })
        expect(schema["foreignKeys"].map { |link| link.dig("reference", "resource") } - resources.keys).to be_empty
      end
    end

    it "exports one profile without the others" do
      book = JSON.parse(export("json", of: "profile", id: Profile.find_by!(name: "Sallow 1").id))
      expect(book["profiles"].map { |row| row["name"] }).to eq ["Sallow 1"]
      expect(book["sites"].map { |row| row["name"] }).to eq ["Sallow Bottom"]
      expect(book["horizons"].size).to eq 4
      expect(book["readings"].size).to eq 4
    end

    it "draws the column and the triangle, and sets a field sheet" do
      profile = Profile.find_by!(name: "Tare 1").id
      %w[svg triangle].each do |format|
        drawn = Nokogiri::XML(export(format, of: "profile", id: profile), &:strict)
        expect(last_response.headers).to include(
          "content-type" => "image/svg+xml",
          "content-disposition" => /tare-1\.svg/
        )
        expect(drawn.remove_namespaces!.xpath("//text").map(&:text).join(" ")).to include("Bt")
      end
      expect(export("pdf", of: "profile", id: profile)).to start_with "%PDF"
      expect(last_response.headers["content-disposition"]).to include "tare-1.pdf"
    end

    it "writes sites as points of RFC 7946, and reads them" do
      points = JSON.parse(export("geojson"))
      first = points["features"].first
      expect(first["geometry"]).to include("type" => "Point")
      expect(first["geometry"]["coordinates"].first).to eq Site.first.seen["longitude"]
      sites = Site.count
      expect(take_in(JSON.generate(points))["state"]).to eq "done"
      expect(Site.count).to eq 2 * sites
      expect(Site.last.seen.slice("latitude", "longitude")).to eq Site
        .find_by!(name: Site.last.name)
        .seen
        .slice("latitude", "longitude")
    end
  end

  it "keeps its schema's documentation true" do
    written = JSON.parse(File.read(File.expand_path("../../docs/exchange-schema.json", __dir__)))
    expect(written).to eq JSON.parse(JSON.generate(Exchange::JsonBook.schema))
  end

  describe "a table of horizons" do
    let(:messy) do
      "\uFEFFBottom (in);Remarks;Horizon;Top depth (in);Pit;Texture;Munsell color\r\n" \
        "7,5;grey;Ap;0;A1;Silt loam;10YR 4/2\r\n20;;Bt;7,5;A1;SiC;7.5YR 5/4\r\n12;=1+1;A;0;A2;;\r\n"
    end

    it "is understood whatever the order, the units and the decimal sign, and taken in" do
      sent = send_file(messy, name: "../../etc/valley pits.csv")
      expect(sent["table"]).to include(
        "unit" => "in",
        "targets" => %w[lower_cm note designation upper_cm profile texture moist_colour]
      )
      expect(take_in(messy, name: "../../etc/valley pits.csv")).to include(
        "state" => "done",
        "done" => 3,
        "name" => "valley pits"
      )
      layers = Profile.find_by!(name: "A1").horizons.map do |one|
        [one.designation, one.lower_cm.to_f, one.class_given.code, one.moist_colour]
      end
      expect(layers).to eq [["Ap", 19.1, "SIL", "10YR 4/2"], ["Bt", 50.8, "SIC", "7.5YR 5/4"]]
      expect(Site.last.name).to eq "valley pits"
      package = sheets(export("package"))
      expect(CSV.parse(package["horizons.csv"], headers: true).filter_map { |row| row["note"] }).to include "'=1+1"
      expect(JSON.parse(export("json"))["horizons"].filter_map { |row| row["note"] }).to include "=1+1"
    end

    it "names every bad row, and takes nothing in" do
      sent = send_file("Pit,Horizon,Top,Bottom,Colour,Roots\nA,Ap,0,20,10YR 4/3,many\nA,B,15,40,brown,\n" \
                       "A,C,,90,,lots\nA,,90,95,,\nA,D,100,95,,\n")
      expect(sent["problems"].map { |one| one.values_at("place", "sentence") }).to match [
        ["row 3", /“brown” is no Munsell/], ["row 4", "Upper depth is missing."], ["row 4", /Roots has no “lots”/],
        ["row 5", "The horizon has no name."], ["row 6", /100 to 95 cm runs upwards/]
      ]
      expect(api_post("/api/imports/#{sent['id']}/run", {})).to be_refused(422, nil, /Nothing is imported/)
      expect(
        api_put(
          "/api/imports/#{sent['id']}/mapping",
          { targets: ["profile", "designation", "upper_cm", "lower_cm", nil, nil], unit: "in" }
        )[
          "problem_count"
        ]
      ).to eq 4
      expect(api_put("/api/imports/#{sent['id']}/mapping",
                     { targets: ["site"] * 6, unit: "cm" })).to be_refused(422, "/targets", /Two columns/)
      expect(Horizon.count).to eq 0
    end

    it "counts rows as the spreadsheet does, empty ones too, and takes no name that is too long" do
      sent = send_file("pit;horizon;top;bottom\n;;;\nA;Ap;0;x\n#{'P' * 121};Ap;0;30\n")
      expect(sent["problems"].map { |one| one.values_at("place", "sentence") }).to match [
        ["row 3", "Lower depth is a number of cm, not “x”."], ["row 4", /name of a profile has at most 120/]
      ]
    end

    it "names overlaps within one profile" do
      expect(send_file("pit,horizon,top,bottom\nA,Ap,0,20\nB,Ap,0,30\nA,Bt,15,40\n")["problems"])
        .to eq [{ "place" => "row 4", "sentence" => "Bt overlaps Ap of row 2 in A." }]
    end
  end

  describe "what is sent in bad faith or by mistake" do
    let(:book) { { "format" => "grittle-fieldbook", "version" => "1" } }

    it "unfolds no ZIP bomb" do
      bomb =
        zip(
          "datapackage.json" => JSON.generate(Exchange::Package.descriptor),
          "sites.csv" => "id,name\n1,#{'0' * 60_000_000}\n"
        )
      expect(bomb.bytesize).to be < 100_000
      expect(send_file(bomb)).to be_refused(422, "/file", /unfolds to more than/)
    end

    it "writes nothing under a name that a ZIP brings" do
      evil =
        zip(
          "datapackage.json" => JSON.generate(Exchange::Package.descriptor),
          "../../evil.csv" => "x",
          "/etc/evil" => "x",
          "sites.csv" => "id,name\n1,Kame\n"
        )
      expect(take_in(evil)["state"]).to eq "done"
      expect(Site.pluck(:name)).to eq ["Kame"]
      expect(Dir.glob(File.join(Files::ROOT, "**", "*evil*"))).to be_empty
    end

    it "does not wait for the rest of a file that is cut off inside the ZIP, nor take one that was changed" do
      io = StringIO.new
      packed = Zlib::Deflate.new(nil, -Zlib::MAX_WBITS).deflate("{" * 500, Zlib::SYNC_FLUSH)
      ZipKit::Streamer.open(io) do |out|
        out.add_deflated_entry(
          filename: "datapackage.json",
          compressed_size: packed.bytesize,
          uncompressed_size: 500,
          crc32: 0
        )
        out << packed
      end
      expect(send_file(io.string)).to be_refused(422, "/file", /damaged or cut off/)
      whole = zip("datapackage.json" => JSON.generate(Exchange::Package.descriptor), "sites.csv" => "id,name\n1,Kame\n")
      stored = StringIO.new
      ZipKit::Streamer.open(stored) do |out|
        out.write_stored_file("datapackage.json") { |sink| sink << JSON.generate(Exchange::Package.descriptor) }
      end
      expect(send_file(stored.string.sub("Pieces of land", "Pieces of sand"))).to be_refused(
        422,
        "/file",
        /damaged or cut off/
      )
      expect(send_file(whole)["problems"]).to eq []
    end

    {
      "a cut ZIP" => ["PK\x03\x04 and no more", /damaged or cut off/], "an empty file" => ["", /empty/],
      "a program" => ["MZ\0\0\0", /no text file/], "other JSON" => ['{"a": 1}', /neither a Grittle fieldbook/],
      "broken JSON" => ['{"a": ', /no valid JSON/],
      "another version" => ['{"format":"grittle-fieldbook","version":"9"}', /reads version 1/],
      "headings alone" => ["horizon,top,bottom\n", /no row below/],
      "a deep JSON" => ["{\"a\":#{'[' * 5000}#{']' * 5000}}", /no valid JSON/]
    }.each do |name, (bytes, sentence)|
      it "refuses #{name}" do
        expect(send_file(bytes)).to be_refused(422, "/file", sentence)
      end
    end

    it "refuses a GeoJSON of a million points" do
      point = { type: "Feature", geometry: { type: "Point", coordinates: [1, 2] }, properties: { name: "x" } }
      many = JSON.generate(type: "FeatureCollection", features: [point] * 11_000)
      expect(send_file(many)).to be_refused(422, "/file", /11000 features; at most 10000/)
      expect(send_file(%({"type":"FeatureCollection","features":["#{'x' * 9_000_000}"]}))).to be_refused(
        422,
        "/file",
        /at most 8 MB/
      )
      line = { type: "FeatureCollection",
features: [
  { type: "Feature", geometry: { type: "MultiPoint", coordinates: [[1, 2]] * 1000 }, properties: { name: "x" } }
] }
      expect(send_file(JSON.generate(line))["problems"]).to eq [{ "place" => "feature 1",
"sentence" => "A site is a point, not a MultiPoint." }]
    end

    it "names what a book may not hold, and takes nothing of it" do
      rows = { "sites" => [{ "id" => 1, "name" => "Kame", "aspect" => "up" }, { "id" => 1, "name" => "" }],
               "profiles" => [{ "id" => 1, "site_id" => 7, "name" => "P", "kind" => "tunnel" }],
               "horizons" => [{ "id" => 1, "profile_id" => 1, "designation" => "A", "upper_cm" => 9, "lower_cm" => 2 }],
               "answers" => [{ "id" => 1, "reading_id" => 1, "observation" => "taste", "value" => true,
"given_at" => "2026-05-31T10:05:00Z" }],
               "assignments" => [
                 {
                   "id" => 1,
                   "reading_id" => 1,
                   "code" => "C",
                   "override" => false,
                   "rules_version" => "1",
                   "system" => "usda",
                   "result" => {
                     "key" => "x"
                   },
                   "assigned_at" => "yesterday"
                 }
               ] }
      said = send_file(JSON.generate(book.merge(rows)))["problems"].map { |one| one["sentence"] }.join(" ")
      [
        "Aspect has no “up”",
        "The id 1 stands twice",
        "There is no sites 7",
        "no kind “tunnel”",
        "9 to 2 cm runs upwards",
        "no observation “taste”",
        "must be a time such as"
      ].each { |sentence| expect(said).to include sentence }
    end
  end
end
