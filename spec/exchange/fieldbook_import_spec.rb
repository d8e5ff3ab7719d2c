# frozen_string_literal: true

# What a fieldbook that was sent may hold, row by row: a good one of each table, then each made bad in one place.
RSpec.describe Exchange::FieldbookImport do
  at = "2026-05-31T10:05:00Z"
  method = {
    "key" => "ribbon_and_rub",
    "limit_set" => "metric",
    "ribbon_counts_from" => "five_mm",
    "unit" => "mm",
    "system" => "usda",
    "curve" => "consensus",
    "older_grades" => false
  }
  good = {
    "sites" => { "id" => 1, "name" => "Kame", "latitude" => 47.9, "longitude" => 15.2 },
    "profiles" => { "id" => 2, "site_id" => 1, "name" => "P", "kind" => "pit", **method,
    "increments" => [{ "from_cm" => 0, "to_cm" => 20 }] },
    "horizons" => {
      "id" => 3,
      "profile_id" => 2,
      "designation" => "A",
      "upper_cm" => 0,
      "lower_cm" => 20,
      "reported_reading_id" => 5,
      "roots" => "many"
    },
    "samples" => { "id" => 4, "horizon_id" => 3, "kind" => "palmful", "condition" => "whole" },
    "findings" => {
      "id" => 9,
      "sample_id" => 4,
      "test" => "ph",
      "value" => {
        "value" => 6.5,
        "method" => "kit"
      },
      "seen_at" => at,
      "recorded_by" => "Ines"
    },
    "readings" => {
      "id" => 5,
      "sample_id" => 4,
      **method,
      "rules_version" => "1",
      "step" => "ribbon",
      "started_at" => at,
      "textured_by" => "Olm"
    },
    "answers" => { "id" => 6, "reading_id" => 5, "observation" => "ball_holds", "value" => true, "given_at" => at },
    "ribbons" => {
      "id" => 7,
      "reading_id" => 5,
      "length_mm" => 38,
      "entered_length" => 38,
      "entered_unit" => "mm",
      "ended" => "broke",
      "made_at" => at
    },
    "assignments" => {
      "id" => 8,
      "reading_id" => 5,
      "code" => "CL",
      "override" => false,
      "rules_version" => "1",
      "assigned_at" => at,
      "result" => {
        "key" => "ribbon_and_rub",
        "system" => "usda",
        "outcomes" => []
      }
    },
    "layer_changes" => { "id" => 1, "profile_id" => 2, "label" => "change of A", "made_at" => at,
                         "was" => { "horizons" => [{ "id" => 3, "designation" => "Ap" }], "samples" => [[4, 3]] } },
    "revisions" => {
      "id" => 1,
      "record_type" => "Horizon",
      "record_id" => 3,
      "was" => {
        "designation" => "Ap"
      },
      "changed_at" => at
    }
  }.freeze

  def book(rows) = described_class.new(rows.transform_values { |row| [row.dup] }, {})

  it "takes in a good row of every table, with its links" do
    whole = book(good)
    expect(whole.problems.to_a).to eq []
    whole.take_in
    horizon = Horizon.last
    expect(
      [
        horizon.reported_reading.textured_by.name,
        horizon.speaks.class_given.code,
        horizon.seen,
        horizon.profile.site.position.latitude
      ]
    ).to eq ["Olm", "CL", { "roots" => "many" }, 47.9]
    expect([Finding.last.recorded_by.name, Ribbon.last.length_mm, LayerChange.last.was["samples"],
            Revision.last.record_id])
      .to eq ["Ines", 38, [[Sample.last.id, horizon.id]], horizon.id]
  end

  {
    ["sites", "name", nil] => "name is needed.",
    ["sites", "name", "x" * 121] => /at most 120/,
    ["sites", "latitude", 91] => /-90 to 90/,
    ["sites", "taste", 1] => "There is no column “taste” in sites.",
    %w[sites id 1] => /id must be a whole number/,
    %w[profiles key guess] => /There is no key “guess”/,
    ["profiles", "increments", [{ "from_cm" => "deep" }]] => /From is a number/,
    ["profiles", "site_id", 9] => "There is no sites 9.",
    ["horizons", "lower_cm", 0] => /runs upwards/,
    %w[horizons upper_cm 0] => /must be a number/,
    %w[horizons moist_colour brown] => /no Munsell/,
    %w[horizons boundary fuzzy] => /no boundary “fuzzy”/,
    %w[horizons roots lots] => /Roots has no/,
    ["horizons", "reported_reading_id", 77] => "There is no readings 77.",
    %w[samples kind bucket] => /no kind “bucket”/,
    ["findings", "value", { "value" => 6.3, "method" => "kit" }] => /steps of 0.5/,
    ["findings", "value", 6] => "value must be an object.",
    %w[findings test taste] => /no test “taste”/,
    %w[readings step dance] => /no step “dance”/,
    ["readings", "textured_by", 7] => /textured_by must be text/,
    %w[readings started_at yesterday] => /must be a time/,
    %w[answers value perhaps] => /ball_holds/,
    %w[answers observation taste] => /no observation “taste”/,
    %w[answers observation kept/nothing] => /no observation/,
    ["ribbons", "length_mm", 900] => /0 to 300 mm/,
    %w[ribbons ended flew] => /no way for a ribbon to end/,
    %w[ribbons entered_unit ell] => /no entered unit “ell”/,
    ["ribbons", "marks", { "ruler" => { "points" => [[0, 0], [0, 0]], "mm" => 100 }, "ribbon" => [[0, 0], [9, 9]] }] =>
      /lie on one another/,
    %w[assignments code XX] => /no class “XX” in usda/,
    %w[assignments result L] => /system is needed/,
    %w[assignments override no] => /must be true or false/,
    ["layer_changes", "was", { "horizons" => [{ "id" => 99 }], "samples" => [] }] => /not how layers were/,
    ["layer_changes", "was", []] => /not how layers were/,
    %w[revisions record_type Observer] => /no record type/,
    ["revisions", "was", { "password" => 1 }] => /columns/
  }.each do |(table, name, value), sentence|
    it "names #{table} with #{name} #{value.inspect[0, 60]}" do
      said = book(good.merge(table => good[table].merge(name => value))).problems.to_a.map { |one| one[:sentence] }
      expect(said).to include(sentence)
    end
  end

  it "names horizons that overlap, but not one that was removed" do
    below =
      good["horizons"].merge(
        "id" => 30,
        "designation" => "B",
        "upper_cm" => 10,
        "lower_cm" => 40,
        "reported_reading_id" => nil
      )
    rows = lambda do |extra|
      good.transform_values { |row| [row.dup] }.merge("horizons" => [good["horizons"].dup, below.merge(extra)])
    end
    expect(described_class.new(rows[{}], {}).problems.to_a).to eq [
      { place: "horizons, row 2", sentence: "B overlaps A above it." }
    ]
    expect(described_class.new(rows["removed_at" => at], {}).problems.to_a).to eq []
  end

  it "takes a picture only as it was written" do
    picture = Vips::Image.black(40, 30, bands: 3).copy(interpretation: :srgb).write_to_buffer(".png", strip: true)
    row = {
      "id" => 1,
      "of" => "site",
      "of_id" => 1,
      "digest" => Digest::SHA256.hexdigest(picture),
      "media_type" => "image/png",
      "width" => 40,
      "height" => 30,
      "bytes" => picture.bytesize,
      "added_at" => at
    }
    said = lambda do |changed, pictures|
      described_class.new({ "sites" => [good["sites"].dup], "photos" => [row.merge(changed)] },
                          pictures).problems.to_a.map { |one| one[:sentence] }
    end
    expect(said[{}, { row["digest"] => picture }]).to eq []
    expect(said[{}, {}]).to match [/is missing/]
    expect(said[{}, { row["digest"] => "#{picture} " }]).to match [/not what its row says/]
    expect(said[{ "media_type" => "image/jpeg" }, { row["digest"] => picture }]).to match [/not what its row says/]
    html = "<html></html>"
    expect(said[{ "digest" => Digest::SHA256.hexdigest(html) }, { Digest::SHA256.hexdigest(html) => html }]).to match [
      /no JPEG/
    ]
  end
end
