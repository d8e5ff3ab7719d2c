# frozen_string_literal: true

RSpec.describe "/api/profiles/:id/interpretation" do
  let(:profile) do
    profile_with(["Ap", 0, 20], ["Bt", 20, 60], ["C", 60, 120]).tap do |made|
      felt = [[[30, 33], "neither", "L"], [[70, 74], "neither", "C"], [[12, 14], "very_gritty", "SL"]]
      made.horizons.zip(felt).each do |horizon, (lengths, rub, code)|
        assign(give(push(give(begin_reading(horizon), ball_holds: true), *lengths), wet_rub: rub), code)
      end
    end
  end

  def interpretation(**asked) = api_get("/api/profiles/#{profile.id}/interpretation?#{asked.to_query}")
  def water(found, at) = found["horizons"][at]["figures"].find { |one| one["id"] == "available_water" }

  it "says what follows, by what is assumed" do
    found = interpretation
    expect(water(found, 0)).to include("p50" => be_between(13, 15), "claim" => /medium/)
    expect(found["perching"].first).to include("kind" => "stands_on_finer", "boundary" => 1)
    expect(found["irrigation"]["plans"]["mean"]["net_mm"]).to be_within(0.1).of(found["water"]["mean"] / 2)
    more = interpretation(amount_mm: 60, root_depth_cm: 60, share: 0.4)
    expect(more["wetting"]["front_cm"]).to be > found["wetting"]["front_cm"]
    expect(more["water"]).to include("to_cm" => 60, "why" => "the depth you gave")
    expect(more["irrigation"]["share"]).to eq 0.4
  end

  it "shows what would follow from the next class, and from other soil, and changes nothing" do
    bt = profile.horizons[1]
    before = interpretation
    finer = before["horizons"][1]["neighbours"].first["code"]
    what_if = interpretation(horizon_id: bt.id, taken_for: finer)
    expect(what_if["horizons"][1]["named"]["code"]).to eq finer
    expect(what_if["water"]["mean"]).not_to eq before["water"]["mean"]
    poor = interpretation(organic_matter: "#{profile.horizons.first.id}:0,#{bt.id}:4")
    expect(water(poor, 0)["p50"]).to be < water(before, 0)["p50"]
    expect(poor["horizons"].map { |one| one["organic_matter"]["percent"] }).to eq [0, 4, 0.5]
    expect(interpretation).to eq before
  end

  it "refuses what cannot be, in a sentence" do
    profile
    {
      { amount_mm: "much" } => "amount_mm is a number from 0 to 500, not “much”.",
      { density_factor: "#{profile.horizons.first.id}:7" } => "density_factor is a number from 0.9 to 1.3, not “7”.",
      { share: 3 } => "share is a number from 0.05 to 1, not “3”.",
      { horizon_id: profile.horizons.first.id, taken_for: "MUD" } => /MUD/
    }.each { |asked, sentence| expect(interpretation(**asked)).to be_refused(422, nil, sentence) }
  end
end
