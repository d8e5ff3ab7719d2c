# frozen_string_literal: true

require "vips"

RSpec.describe "what is described" do
  let(:profile) { profile_with(["E", 0, 30], ["Bt", 30, 70]) }

  def upload(bytes, owner: profile, name: "pit.jpg")
    post "/api/photos?of=#{owner.class.name.downcase}&of_id=#{owner.id}&name=#{Rack::Utils.escape(name)}", bytes,
         {
           "CONTENT_TYPE" => "application/octet-stream",
           "HTTP_IDEMPOTENCY_KEY" => SecureRandom.uuid,
           "HTTP_HOST" => "127.0.0.1"
         }
    JSON.parse(last_response.body)
  end

  def take(*samples) = api_post("/api/profiles/#{profile.id}/samples", { samples: samples })

  # A picture that says where it was taken.
  def picture(ending = ".jpg", width: 600, height: 400)
    plain = Vips::Image.black(width, height, bands: 3) + 120
    placed = plain.cast(:uchar).copy(interpretation: :srgb).mutate do |image|
      image.set_type!(GObject::GSTR_TYPE, "exif-ifd3-GPSLatitude", "47/1 55/1 0/1")
      image.set_type!(GObject::GSTR_TYPE, "exif-ifd0-ImageDescription", "A secret place")
    end
    placed.write_to_buffer(ending)
  end

  it "keeps every field of a horizon, in the words of the core, and refuses others by name" do
    horizon = profile.horizons.last
    change = lambda do |version, **described|
      api_patch("/api/horizons/#{horizon.id}", { version: version, described: described })
    end
    kept =
      change[
        0,
        mottle_abundance: "Common, 2 to under 20 %",
        mottle_kind: "grey",
        fragments_percent: "12,5",
        roots: "few"
      ]
    expect(kept["horizons"].last["described"]).to eq(
      "mottle_abundance" => "common",
      "mottle_kind" => "grey",
      "fragments_percent" => 12.5,
      "roots" => "few"
    )
    expect(change[1, roots: ""]["horizons"].last["described"]).not_to have_key "roots"
    expect(change[2, roots: "lots"]).to be_refused(422, "/described/roots", /Use one of: none, few, common, many/)
    expect(change[2, taste: "sweet"]).to be_refused(422, "/described/taste", "A horizon has no “taste”.")
    expect(api_get("/api/profiles/#{profile.id}")["wetness"]).to include(
      "depth_cm" => 30,
      "sentence" => /from about 30 cm: Bt has common grey mottles/
    )
    expect(api_post("/api/profiles/#{profile.id}/undo", {})["horizons"].last["described"]).to include("roots" => "few")
  end

  it "reads a position as it is written, and changes a site with a trace" do
    site =
      api_post("/api/sites", { name: "Kame", position: "47°55'04.8\"N 15°12'14.4\"W", described: { aspect: "sw" } })
    expect(site["described"]).to eq("latitude" => 47.918, "longitude" => -15.204, "aspect" => "sw")
    changed = api_patch("/api/sites/#{site['id']}", { version: 0, described: { aspect: "", slope_percent: 8 } })
    expect(changed).to include(
      "version" => 1,
      "described" => {
        "latitude" => 47.918,
        "longitude" => -15.204,
        "slope_percent" => 8
      }
    )
    expect(api_patch("/api/sites/#{site['id']}", { version: 0, name: "Other" })).to be_refused(
      409,
      nil,
      /another window/
    )
    expect(api_post("/api/sites", { name: "Kame", position: "somewhere" })).to be_refused(
      422,
      "/position",
      /is no position/
    )
    expect(Revision.last.was["described"]).to include("aspect" => "sw")
  end

  describe "samples at depths" do
    it "are taken several at once, with what was found, and hang on the horizon they fall in" do
      found = [[2, 6], [20, 6.5], [30, 5]].map do |cm, ph|
        { upper_cm: cm, kind: "crumb", findings: [{ test: "ph", value: { value: ph, method: "kit" } }] }
      end
      taken = take(*found)["samples"]
      expect(taken.map { |one| one.values_at("depth", "horizon") }).to eq [
        ["2 cm", "E"],
        ["20 cm", "E"],
        ["30 cm", "Bt"]
      ]
      expect(taken.map do |one|
        one["findings"].first["said"]
      end).to eq ["pH 6, moderately acid", "pH 6.5, slightly acid", "pH 5, very strongly acid"]
    end

    it "are taken all or none" do
      expect(take({ upper_cm: 10 }, { upper_cm: 20, findings: [{ test: "ph", value: { value: 6.3, method: "kit" } }] }))
        .to be_refused(422, "/samples/1/value", "A colour kit with steps of 0.5 is not read to 6.3.")
      expect(take({ upper_cm: 10, kind: "bucket" })).to be_refused(422, "/samples/0/kind", /no kind “bucket”/)
      expect(Sample.count).to eq 0
    end

    it "gather a crumb's looks to its class" do
      sample = take({ upper_cm: 40, kind: "crumb" })["samples"].first
      look = lambda do |value, at|
        api_post("/api/samples/#{sample['id']}/findings", { test: "crumb", value: value, seen_at: at })[
          "samples"
        ].first[
          "findings"
        ].first
      end
      expect(
        look[{ slaking: "fully", minutes: 5, water: "rain", size_mm: 8, air_dry: true }, "2026-05-31T10:05:00Z"]
      ).to include("said" => "crumb class 1 to 6 still possible", "advice" => "Is the water milky?")
      expect(look[{ dispersion: "some", minutes: 1200 }, "2026-05-31T12:00:00Z"]).to include(
        "said" => /class 2, dispersive/,
        "looks" => 2,
        "seen_at" => "2026-05-31T12:00:00Z"
      )
      expect(
        api_post("/api/samples/#{sample['id']}/findings", { test: "crumb", value: { dispersion: "a bit" } })
      ).to be_refused(422, "/dispersion", /Use one of/)
    end

    it "follow the boundary that is moved past them, and go with undo" do
      take({ upper_cm: 28 })
      moved = api_post("/api/horizons/#{profile.horizons.first.id}/boundary", { version: 0, lower_cm: 25 })
      expect(moved["samples"].first["horizon"]).to eq "Bt"
      expect(api_post("/api/profiles/#{profile.id}/undo", {})["samples"].first["horizon"]).to eq "E"
    end

    it "speak no more for their depth once they fell in or were smeared, by themselves or with their pull" do
      sample = take({ upper_cm: 40 })["samples"].first
      reading =
        assign(
          give(api_post("/api/readings", { sample_id: sample["id"] }), ball_holds: false, water_uptake: "soaks_in"),
          "S",
          reason: "loose"
        )
      shown = -> { api_get("/api/profiles/#{profile.id}")["horizons"].last }
      expect(shown[]["reading"]["id"]).to eq reading["id"]
      api_patch("/api/samples/#{sample['id']}", { version: 0, described: { condition: "smeared" } })
      expect(shown[]).to include(
        "reading" => nil,
        "readings" => [include("disturbed" => "smeared", "reported" => false)]
      )
      api_patch("/api/samples/#{sample['id']}", { version: 1, described: { condition: "whole" } })
      expect(shown[]["reading"]).not_to be_nil
      api_patch("/api/profiles/#{profile.id}",
                {
                  version: profile.reload.lock_version,
                  increments: [{ from_cm: 30, to_cm: 60, condition: "fell_in" }]
                })
      expect(shown[]["reading"]).to be_nil
    end

    it "can be deleted, with its readings, and stays in the record" do
      sample = take({ upper_cm: 40 })["samples"].first
      api_post("/api/deletions", { of: "sample", of_id: sample["id"] })
      expect(api_get("/api/profiles/#{profile.id}")["samples"]).to be_empty
      expect(Sample.find(sample["id"]).removed_at).not_to be_nil
    end
  end

  it "names the form of an Australian profile, and what an assigned class and the clay written down do not share" do
    australian = profile_with(["A1", 0, 20], ["B2", 20, 60], key: "field_grades")
    api_patch("/api/horizons/#{australian.horizons.first.id}", { version: 0, boundary: "sharp" })
    { "SL" => 15, "MC" => 20 }.each_with_index do |(code, clay), place|
      reading = give(begin_reading(australian.horizons[place]), clay_estimate: { percent: clay })
      assign(reading, code, reason: "As seen")
    end
    shown = api_get("/api/profiles/#{australian.id}")
    expect(shown["form"]).to include("form" => "duplex")
    expect(shown["questions"].map { |one| one.values_at("question", "designation") }).to include %w[clay_outside B2]
    expect(api_get("/api/profiles/#{profile.id}")["form"]).to be_nil
  end

  it "reports the reading that is chosen, and says by how many classes the others differ" do
    horizon = profile.horizons.last
    readings = [[80, "C"], [15, "L"]].map do |mm, code|
      assign(give(push(give(begin_reading(horizon), ball_holds: true), mm, mm), wet_rub: "neither"), code)
    end
    shown = api_get("/api/profiles/#{profile.id}")
    expect(shown["horizons"].last["reading"]["id"]).to eq readings.last["id"]
    expect(shown["horizons"].last["readings"].map do |one|
      one.values_at("reported", "apart_text")
    end).to eq [[false, "2 classes apart"], [true, nil]]
    expect(shown["questions"].map { |one| one["question"] }).to include "readings_apart"
    chosen = api_patch("/api/horizons/#{horizon.id}", { version: 0, reported_reading_id: readings.first["id"] })
    expect(chosen["horizons"].last["reading"]["id"]).to eq readings.first["id"]
    again = begin_reading(horizon)
    expect(api_get("/api/profiles/#{profile.id}")["horizons"].last).to include(
      "reading" => include("id" => readings.first["id"])
    )
    api_patch("/api/horizons/#{horizon.id}", { version: 1, reported_reading_id: nil })
    shown = api_get("/api/profiles/#{profile.id}")["horizons"].last
    expect([shown["reading"]["id"], shown["readings"].last["id"]]).to eq [readings.last["id"], again["id"]]
    expect(
      api_patch("/api/horizons/#{profile.horizons.first.id}", { version: 0, reported_reading_id: readings.first["id"] })
    ).to be_refused(422, "/reported_reading_id", /not of E/)
  end

  describe "photographs" do
    %w[.jpg .png .webp].each do |ending|
      it "leave behind where they were taken, and everything else but the picture (#{ending})" do
        photo = upload(picture(ending), name: "C:\\fakepath\\..\\..\\etc/pit <b>1.jpg")
        expect(photo).to include("width" => 600, "height" => 400, "caption" => "pit b1.jpg")
        get photo["url"], {}, { "HTTP_HOST" => "127.0.0.1" }
        expect(last_response.headers).to include("content-type" => %r{\Aimage/}, "x-content-type-options" => "nosniff")
        fields = Vips::Image.new_from_buffer(last_response.body, "").get_fields
        expect(fields.grep(Photo::BAGGAGE)).to be_empty
        expect(last_response.body).not_to include "A secret place"
        get photo["thumb_url"], {}, { "HTTP_HOST" => "127.0.0.1" }
        expect(Vips::Image.new_from_buffer(last_response.body, "").width).to eq 480
      end
    end

    it "are told by their content" do
      expect(upload("<html><script>alert(1)</script></html>", name: "pit.jpg")).to be_refused(
        422,
        "/photo",
        /no JPEG, PNG or WebP/
      )
      expect(upload("\xFF\xD8\xFFnot one".b)).to be_refused(422, "/photo", /damaged or is something else/)
      expect(upload("<svg xmlns='http://www.w3.org/2000/svg'/>")).to be_refused(422, "/photo", /no JPEG/)
      expect(upload("\xFF\xD8\xFF".b + ("x" * (21 * 1024 * 1024)))).to be_refused(413, nil, /20480 kB/)
      expect(Photo.count).to eq 0
    end

    it "go from the page and stay in the record" do
      photo = upload(picture)
      expect(api_get("/api/profiles/#{profile.id}")["photos"].size).to eq 1
      api_post("/api/deletions", { of: "photo", of_id: photo["id"] })
      expect(api_get("/api/profiles/#{profile.id}")["photos"]).to be_empty
      expect(Photo.find(photo["id"]).removed_at).not_to be_nil
    end

    it "give a ribbon its length, with what the marks may be off by" do
      reading = begin_reading(profile.horizons.last)
      photo = upload(picture, owner: Reading.find(reading["id"]))
      marks = {
        ruler: {
          points: [[50, 50], [550, 50]],
          mm: 100
        },
        ribbon: [[60, 120], [200, 130], [310, 120]],
        click_px: 2
      }
      expect(api_post("/api/ribbon-measurements", marks)).to include(
        "length_mm" => be_within(0.6).of(50.3),
        "warnings" => []
      )
      with = give(reading, ball_holds: true)
      added =
        api_post(
          "/api/readings/#{reading['id']}/measured-ribbons",
          { version: with["version"], photo_id: photo["id"], **marks }
        )
      expect(added["ribbons"].first).to include("photo_id" => photo["id"], "reading_error_mm" => be_between(0.4, 1.0),
                                                "length_mm" => be_within(0.6).of(50.3))
      expect(added["observations"]["ribbons"].first["reading_error_mm"]).to be < 2
      expect(
        api_post("/api/ribbon-measurements", marks.merge(ruler: { points: [[5, 5], [5, 5]], mm: 100 }))
      ).to be_refused(422, "/ruler", /lie on one another/)
    end
  end

  describe "the search" do
    before { Demo.load }

    {
      { text: "rushes" } => ["Sallow Bottom"],
      { text: "Tare 2" } => ["High Tare"],
      { text: "100%" } => [],
      { text: "sandy loam" } => ["High Tare", "Kiln Bank"],
      { text: "tare RUSHES" } => [],
      { text: "past high" } => ["High Tare"],
      { class: "usda:SL" } => ["High Tare", "Kiln Bank"],
      { unfinished: "1" } => ["High Tare"],
      { to: "2000-01-01" } => [],
      { from: "2000-01-01", text: "kiln" } => ["Kiln Bank"]
    }.each do |wanted, names|
      it "finds #{names.join(', ')} for #{wanted}" do
        expect(
          api_get("/api/sites?#{Rack::Utils.build_query(wanted)}")["sites"].map { |site| site["name"] }
        ).to eq names
      end
    end

    it "counts no more than it must, and says so" do
      stub_const("SiteSearch::MOST", 2)
      ids = Array.new(70) { |number| Site.make(name: "Plot #{number}", note: "grazed").id }
      first = api_get("/api/sites?text=plot+grazed")
      expect(first.values_at("page", "pages", "total", "more")).to eq [1, 2, 32, true]
      pages = [1, 2, 3].map { |page| api_get("/api/sites?text=plot&page=#{page}") }
      expect(pages.flat_map { |page| page["sites"].map { |site| site["id"] } }).to eq ids
      expect(pages.last.values_at("total", "more")).to eq [70, false]
    end

    it "refuses a day that is none" do
      expect(api_get("/api/sites?from=soon")).to be_refused(422, "/from", /2026-05-31/)
    end
  end
end
