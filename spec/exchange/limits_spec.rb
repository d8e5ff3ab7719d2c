# frozen_string_literal: true

# Names of files, sizes of drawings, and a receiver that is not there.
RSpec.describe Exchange do
  {
    "High Tare" => 'attachment; filename="high-tare.pdf"',
    "../../etc/passwd" => 'attachment; filename="etc-passwd.pdf"',
    "Höhe \"7\"\r\nX: y" => 'attachment; filename="hohe-7-x-y.pdf"',
    "岩" => 'attachment; filename="fieldbook.pdf"'
  }.each do |name, header|
    it("offers #{name.inspect} under a name that every system can keep") do
      expect(Exchange::Stream.disposition(name, "pdf")).to eq header
    end
  end

  it "draws and sets as much as a sheet holds, and says where it ends" do
    site = Site.make(name: "Many")
    61.times { |number| Profile.make(site, { name: "P#{number}", kind: "pit" }) }
    ask = ->(format) { api_get("/api/export?format=#{format}&of=site&id=#{site.id}") }
    expect(ask["svg"]).to be_refused(422, "/of", /holds 40 columns/)
    expect(ask["pdf"]).to be_refused(422, "/of", /holds 60 profiles/)
    expect(api_get("/api/export?format=docx")).to be_refused(422, "/format", /package, json, geojson/)
    expect(api_get("/api/export?format=pdf&of=galaxy")).to be_refused(422, "/of", /fieldbook, site, profile/)
    expect(api_get("/api/export?format=pdf&of=site&id=0")).to be_refused(404, nil, /no site 0/)
  end

  it "says that no receiver answers" do
    stub_const("GpsReceiver::ADDRESS", "127.0.0.1:1")
    expect(api_post("/api/positions/here", {})).to be_refused(
      422,
      "/position",
      "No GPS receiver answers at 127.0.0.1:1."
    )
    expect(api_post("/api/positions", { text: "47.918, 15.204" })).to include("text" => "47°55'04.8\"N 15°12'14.4\"E")
  end

  it "knows no import that was never sent" do
    expect(api_get("/api/imports/nothing")).to be_refused(404, nil, /no import/)
  end
end
