# frozen_string_literal: true

require_relative "../support/page_core"
require_relative "../support/two_sides"

# Days at the pit, asked of the server and of a device without signal that was given the fieldbook before: the same
# answers, but for numbers that only the server gives and for the seconds of clocks. Each step: verb, path, body, and
# the name its answer is kept under; {name.part} stands for a part of an answer before.
RSpec.describe PageCore, type: :api do
  tell = lambda { |name, **answers|
    ["PATCH", "/api/readings/{#{name}.id}", { version: "{#{name}.version}", answers: answers }, name]
  }
  push = lambda do |name, *lengths, unit: "mm"|
    lengths.map do |length|
      ["POST", "/api/readings/{#{name}.id}/ribbons", { version: "{#{name}.version}", length: length, unit: unit }, name]
    end
  end
  change = lambda do |at, verb, **body|
    ["POST", "/api/horizons/{profile.horizons.#{at}.id}/#{verb}",
     { version: "{profile.horizons.#{at}.version}", **body }, "profile"]
  end

  pit = [
    ["POST", "/api/sites", { name: "Low meadow", position: "48.2082 16.3738", described: { slope_percent: "4" } },
     "site"],
    ["GET", "/api/sites?page=1"],
    ["POST", "/api/sites/{site.id}/profiles", { name: "Pit 1", kind: "pit" }, "profile"],
    *[["A", 0, 20], ["Bt", 20, 45], ["C", 45, 90]].map do |name, upper, lower|
      ["POST", "/api/profiles/{profile.id}/horizons", { designation: name, upper_cm: upper, lower_cm: lower },
       "profile"]
    end
  ]
  textured = (0..2).flat_map do |at|
    [
      ["POST", "/api/readings", { horizon_id: "{profile.horizons.#{at}.id}" }, "reading"],
      tell["reading", ball_holds: true], *push["reading", 38 + (10 * at), 41 + (10 * at), 36.5 + (10 * at)],
      tell["reading", wet_rub: "neither", stickiness: "moderately"],
      ["POST", "/api/readings/{reading.id}/assignments",
       { version: "{reading.version}", code: "{reading.proposals.0.code}" }, "reading"],
      ["GET", "/api/readings/{reading.id}/history"]
    ]
  end

  {
    "a profile textured, read down and interpreted" => [
      *pit,
      ["PATCH", "/api/horizons/{profile.horizons.1.id}",
       { version: "{profile.horizons.1.version}", moist_colour: "10YR 4/3", boundary: "clear",
         described: { structure_grade: "moderate" } }, "profile"],
      *textured,
      ["GET", "/api/profiles/{profile.id}", nil, "profile"],
      ["GET", "/api/profiles/{profile.id}/interpretation?daily_mm=5&taken_for=C&horizon_id={profile.horizons.0.id}"],
      ["GET", "/api/side-by-side?readings={profile.horizons.0.reading.id},{reading.id}"],
      ["GET", "/api/work"], ["GET", "/api/settings"]
    ],
    "layers changed, samples taken, a table written" => [
      *pit,
      ["PATCH", "/api/profiles/{profile.id}", { version: "{profile.version}", note: "Drained" }, "profile"],
      ["POST", "/api/profiles/{profile.id}/samples",
       { samples: [{ upper_cm: 30, lower_cm: 40, findings: [{ test: "ph", value: { value: "6.5" } }] },
                   { kind: "bag", label: "B7", upper_cm: 60 }] }, "profile"],
      ["POST", "/api/samples/{profile.samples.0.id}/findings", { test: "fizz", value: { effervescence: "slight" } },
       "profile"],
      ["PATCH", "/api/samples/{profile.samples.1.id}",
       { version: "{profile.samples.1.version}", label: "B8" }, "profile"],
      change[2, "split", at_cm: 70, designation: "C2"], change[0, "boundary", lower_cm: 22],
      ["POST", "/api/profiles/{profile.id}/undo", {}, "profile"], change[2, "merge"],
      ["PUT", "/api/profiles/{profile.id}/table",
       { rows: [{ id: "{profile.horizons.0.id}", version: "{profile.horizons.0.version}", designation: "Ap",
                  upper_cm: 0, lower_cm: 20 },
                { designation: "R", upper_cm: 90, lower_cm: 100, texture: "SL" }] }, "profile"],
      ["POST", "/api/profiles/{profile.id}/duplicate", { name: "Pit 2" }, "copy"],
      ["GET", "/api/profiles/{profile.id}/beside/{copy.id}"], ["GET", "/api/sites/{site.id}/profiles"],
      ["POST", "/api/sites", { name: "High field" }, "other"],
      ["POST", "/api/sites/{other.id}/move", { before: "{site.id}" }], ["GET", "/api/sites?page=1"],
      ["PATCH", "/api/sites/{other.id}", { version: "{other.version}", described: { slope_percent: "12" } }]
    ],
    "quick readings by other keys, corrected and taken back" => [
      *pit,
      ["POST", "/api/readings", { label: "From the fence" }, "quick"], tell["quick", ball_holds: false],
      ["PATCH", "/api/readings/{quick.id}", { version: "{quick.version}", moisture_answer: "too_dry" }, "quick"],
      ["PUT", "/api/readings/{quick.id}/expectation", { version: "{quick.version}", code: "LS" }, "quick"],
      ["PUT", "/api/readings/{quick.id}/place", { step: "rub", unit: "cm" }, "quick"],
      ["PATCH", "/api/readings/{quick.id}", { version: "{quick.version}", key: "rolling", textured_by: "Ines" },
       "quick"],
      tell["quick", ball_holds: true], *push["quick", 1.3, unit: "in"],
      ["PATCH", "/api/readings/{quick.id}/ribbons/{quick.ribbons.0.id}",
       { version: "{quick.version}", length: 1.5, unit: "in" }, "quick"],
      ["DELETE", "/api/readings/{quick.id}/ribbons/{quick.ribbons.0.id}?version={quick.version}", nil, "quick"],
      ["GET", "/api/readings?page=1"], ["GET", "/api/readings/{quick.id}/history"],
      ["PUT", "/api/samples/{quick.sample.id}/place",
       { version: "{quick.sample.version}", horizon_id: "{profile.horizons.0.id}" }],
      ["POST", "/api/readings", {}, "left"], ["POST", "/api/readings/{left.id}/leave", {}]
    ],
    "a companion test by the clock, and what is refused" => [
      *pit,
      ["POST", "/api/companion-tests", { test: "crumb", profile_id: "{profile.id}", setup: { water: "rain" },
                                         places: [{ upper_cm: 10 }, { upper_cm: 50 }] }, "sheet"],
      ["POST", "/api/companion-tests/{sheet.id}/begin", { at: "2026-05-31T10:00:00Z" }, "sheet"],
      ["POST", "/api/companion-places/{sheet.places.0.id}/looks",
       { value: { slaking: "fully" }, at: "2026-05-31T10:05:00Z" }, "sheet"],
      ["GET", "/api/timers"], ["GET", "/api/companion-tests"],
      ["POST", "/api/companion-places/{sheet.places.1.id}/begin-anew", {}, "sheet"],
      ["PATCH", "/api/companion-tests/{sheet.id}", { version: "{sheet.version}", ended: true, note: "Rain" }],
      ["POST", "/api/horizons/{profile.horizons.0.id}/boundary", { version: -1, lower_cm: 25 }],
      ["PATCH", "/api/horizons/{profile.horizons.0.id}", { version: -1, boundary: "clear" }],
      ["POST", "/api/sites", { name: " " }],
      ["POST", "/api/profiles/{profile.id}/horizons", { designation: "B", upper_cm: 10, lower_cm: 5 }],
      ["PATCH", "/api/profiles/{profile.id}", { version: "{profile.version}", described: { weather: "dry" } }],
      ["POST", "/api/comparisons", { sand: 40, clay: 20, silt_limit: 63 }],
      ["POST", "/api/positions", { text: "33U 602094 5340368" }],
      ["POST", "/api/halvings", { answers: ["over"] }]
    ]
  }.each do |day, steps|
    it "answers as the server does: #{day}" do
      sides = TwoSides.new(self)
      sides.run(steps)
      expect(sides.differences.first(10)).to eq []
    end
  end

  # The page has seen what this copy lacks: no conflict is made of it, and nothing is added to what is older.
  it "leaves to the server what was made on a later version than lies here" do
    profile = profile_with(["A", 0, 20], ["B", 20, 40])
    horizon = profile.horizons.first
    reading = Reading.make(horizon: horizon)
    row = { id: horizon.id, version: 1, designation: "Ap", upper_cm: 0, lower_cm: 20 }
    described_class.open do |core|
      TwoSides.lay(core)
      asked = [["PATCH", "horizons/#{horizon.id}", { version: 1, boundary: "clear" }],
               ["PUT", "profiles/#{profile.id}/table", { rows: [row] }],
               ["PATCH", "readings/#{reading.id}", { version: 1, answers: { ball_holds: true } }]]
      answers = asked.map do |verb, path, body|
        core.ask("request", { method: verb, path: "/api/#{path}", query: {}, body: body, key: TwoSides.key,
                              person: nil, role: "lead" })
      end
      expect(answers).to eq [nil] * 3
    end
  end

  # Somebody else's reading, at a horizon that is there already.
  reading = [["GET", "/api/profiles/{given.profile}", nil, "profile"],
             ["GET", "/api/readings/{given.reading}", nil, "theirs"]]
  {
    "surveyor" => [
      *reading, tell["theirs", ball_holds: true], *push["theirs", 38],
      ["PATCH", "/api/samples/{theirs.sample.id}", { version: "{theirs.sample.version}", label: "Mine" }],
      ["PATCH", "/api/horizons/{profile.horizons.0.id}",
       { version: "{profile.horizons.0.version}", reported_reading_id: "{theirs.id}" }],
      ["POST", "/api/readings", { sample_id: "{theirs.sample.id}" }, "mine"], tell["mine", ball_holds: true]
    ],
    "reader" => [*reading, ["POST", "/api/sites", { name: "No" }], ["POST", "/api/comparisons", { sand: 40, clay: 20 }]]
  }.each do |role, steps|
    it "lets a #{role} do what the server lets one do" do
      profile = profile_with(["A", 0, 20], textured_by: "Wren")
      theirs = Reading.make(horizon: profile.horizons.first)
      account = member("Lea", role)
      sign_in(account)
      sides = TwoSides.new(self, account.memberships.first)
      sides.run(steps, "given" => { "profile" => profile.id, "reading" => theirs.id })
      expect(sides.differences.first(10)).to eq []
    end
  end
end
