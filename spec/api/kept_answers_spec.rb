# frozen_string_literal: true

# What was written out once for a record is sent again only as long as the record stands as it did.
RSpec.describe "answers that are kept" do
  let(:profile) { profile_with(["A", 0, 20], ["Bt", 20, 60]) }
  let(:reading) { push(give(begin_reading(profile.horizons.last), ball_holds: true, wet_rub: "neither"), 52, 54) }
  let(:picture) { Vips::Image.black(60, 40).jpegsave_buffer }

  def seen
    { profile: api_get("/api/profiles/#{profile.id}"), reading: api_get("/api/readings/#{reading['id']}"),
      sites: api_get("/api/sites") }
  end

  def anew
    {
      profile: ProfileSerializer.call(Profile.find(profile.id)),
      reading: ReadingSerializer.call(Reading.find(reading["id"])),
      sites: {
        sites: ProfileSerializer.sites(Site.order(:id).to_a),
        page: 1,
        pages: 1,
        total: 1,
        more: false
      }
    }.transform_values { |value| JSON.parse(JSON.generate(value)) }
  end

  {
    "an answer" => -> { give(reading, grittiness: "moderate") },
    "a ribbon" => -> { push(reading, 61) },
    "a class" => -> { assign(reading, "C", reason: "By eye") },
    "another step" => -> { api_put("/api/readings/#{reading['id']}/place", { step: "rub" }) },
    "a label" => lambda do
      api_patch("/api/readings/#{reading['id']}", { version: reading["version"], label: "Lower half" })
    end,
    "a second reading" => -> { begin_reading(profile.horizons.first) },
    "the site's name" => -> { profile.site.change(profile.site.lock_version, { name: "Slope end" }) },
    "contamination" => -> { profile.site.change(profile.site.lock_version, { described: { contamination: true } }) },
    "a horizon's colour" => lambda do
      profile.horizons.first.change(profile.horizons.first.lock_version, { moist_colour: "10YR 4/3" })
    end,
    "a split" => lambda do
      Layers.new(profile).split(
        profile.horizons.last,
        profile.horizons.last.lock_version,
        at_cm: 40,
        designation: "Bt2"
      )
    end,
    "an undone change" => lambda {
      profile.horizons.first.change(profile.horizons.first.lock_version, { moist_colour: "10YR 4/3" })
      seen
      Layers.new(profile).undo
    },
    "a sample" => -> { Sample.make(profile, [{ kind: "bag", upper_cm: 30 }]) },
    "a finding" => lambda {
      Finding.make(
        Sample.make(profile, [{ kind: "crumb", upper_cm: 30 }]).first,
        test: "ph",
        value: {
          value: 6,
          method: "kit"
        }
      )
    },
    "a reported class" => lambda do
      profile.horizons.first.reported_classes.create!(system: "usda", code: "SL", added_at: Time.now.utc)
    end,
    "a picture of the reading" => -> { Photo.make(Reading.find(reading["id"]), picture) },
    "a picture of a horizon" => -> { Photo.make(profile.horizons.first, picture) },
    "a picture of the profile" => -> { Photo.make(profile, picture) },
    "a picture taken away" => -> { Photo.make(profile.site, picture).update!(removed_at: Time.now.utc) }
  }.each do |what, change|
    it "follow #{what}" do
      reading
      seen
      instance_exec(&change)
      profile.reload
      expect(seen).to eq anew
      expect(seen).to eq anew # now from what was kept
    end

    it "leave nothing old in the next answer to a reading after #{what}" do
      reading
      instance_exec(&change)
      next_one = give(api_get("/api/readings/#{reading['id']}"), shine: "slight")
      expect(next_one).to eq JSON.parse(JSON.generate(ReadingSerializer.call(Reading.find(reading["id"]))))
    end
  end

  it "leave nothing in the next answer of one that was refused" do
    api_patch(
      "/api/readings/#{reading['id']}",
      { version: reading["version"], answers: { grittiness: "moderate", shine: "none at all" } }
    )
    expect(last_response.status).to eq 422
    expect(give(reading, stickiness: "very")["observations"]).not_to include("grittiness", "shine")
  end

  it "go out packed where the reader takes them so" do
    reading
    plain = seen[:profile]
    packed =
      Rack::MockRequest.new(Api).get(
        "/api/profiles/#{profile.id}",
        "HTTP_ACCEPT_ENCODING" => "gzip",
        "HTTP_HOST" => "127.0.0.1"
      )
    expect(packed.headers).to include("content-encoding" => "gzip", "vary" => "Accept-Encoding")
    expect(JSON.parse(Zlib.gunzip(packed.body))).to eq plain
  end

  it "are forgotten once there are too many, the one asked for longest ago first" do
    kept = Recent.new(most: 10, &:size)
    made = []
    ask = ->(key) { kept.fetch([key]) { (made << key) && (key * 4) } }
    %w[a b a c a b].each(&ask)
    expect(made).to eq %w[a b c b]
  end
end
