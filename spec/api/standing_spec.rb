# frozen_string_literal: true

# Who changes what somebody else has changed meanwhile is told how it stands now, field by field, and nothing is written
# over.
RSpec.describe "a change on an earlier version" do
  let(:profile) { profile_with(["A", 0, 20], ["B", 20, 60]) }
  let(:horizon) { profile.horizons.first }
  let(:bag) { Sample.make(profile, [{ kind: "bag", upper_cm: 30 }]).first }

  {
    "a site" => [
      ->(spec) { spec.profile.site },
      "sites",
      { name: "Till", note: "Wet" },
      { name: "Slope", note: "Mine" }
    ],
    "a profile" => [
      lambda(&:profile),
      "profiles",
      { note: "Wet", textured_by: "Ines" },
      { note: "Mine", textured_by: "Ada", kind: "pit" }
    ],
    "a horizon" => [
      lambda(&:horizon),
      "horizons",
      { moist_colour: "10YR 4/3" },
      { moist_colour: "10YR 3/2", lower_cm: 20 }
    ],
    "what was described" => [lambda(&:horizon), "horizons", { described: { "roots" => "few" } },
                             { described: { "roots" => "many", "boundary_note" => nil }.compact }],
    "a sample" => [lambda(&:bag), "samples", { label: "Theirs" }, { label: "Mine", upper_cm: 30 }]
  }.each do |what, (record, path, theirs, mine)|
    it "of #{what} shows what stands beside what was not saved" do
      changed = record.call(self)
      version = changed.lock_version
      changed.change(version, theirs)
      answer = api_patch("/api/#{path}/#{changed.id}", { version: version, **mine })
      expect(last_response.status).to eq 409
      expect(answer["yours"]).to eq JSON.parse(JSON.generate(mine))
      expect(answer["standing"]).to include("version" => changed.reload.lock_version)
      known = JSON.parse(JSON.generate(theirs)).slice(*answer["yours"].keys)
      expect(answer.dig("standing", "values")).to include(known).and have_attributes(keys: answer["yours"].keys)
    end
  end

  it "is made when it is sent again on what stands" do
    horizon.change(horizon.lock_version, { moist_colour: "10YR 4/3" })
    standing = api_patch("/api/horizons/#{horizon.id}", { version: 0, moist_colour: "10YR 3/2" }).fetch("standing")
    api_patch("/api/horizons/#{horizon.id}", { version: standing["version"], moist_colour: "10YR 3/2" })
    expect(last_response.status).to eq 200
    expect(horizon.reload.moist_colour).to eq "10YR 3/2"
  end
end
