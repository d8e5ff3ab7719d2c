# frozen_string_literal: true

# Ten pairs of ribbon and laboratory's clay, and the curve they teach. [our own: the pairs are a prototype's]
RSpec.describe "hands over the API" do
  let(:pairs) do
    [[44, 27], [75, 43], [21, 12], [57, 34], [101, 55], [31, 18], [72, 38], [30, 22], [92, 48], [52, 31]]
  end
  let!(:profile) { profile_with(["A", 0, 20], textured_by: "Wren") }

  def sample(label) = Sample.make(profile, [{ kind: "bag", label: label, upper_cm: 10 }]).first

  def texture(sample, length)
    reading = api_post("/api/readings", { sample_id: sample.id, textured_by: "Wren" })
    assign(push(give(reading, ball_holds: true, wet_rub: "neither"), length, length, length), "L", reason: "as felt")
  end

  def result(sample, clay, method: "pipette")
    api_post("/api/samples/#{sample.id}/laboratory-results", { clay: clay, silt: 30, method: method })
  end

  def hand = api_get("/api/hands/#{api_get('/api/hands')['people'][0]['id']}")

  it "learns a curve from ribbons whose result came later, and says how it fares" do
    pairs.each_with_index { |(mm, clay), at| sample("T#{at}").then { |one| [texture(one, mm), result(one, clay)] } }
    expect(api_get("/api/hands")["people"]).to match [include("name" => "Wren", "samples" => 10)]
    expect(hand).to include("closed" => nil, "left_out" => [])
    expect(hand["curve"]["a"]).to be_between(0.15, 0.25) # ribbons a fifth too long
    expect(hand["own"]["rmse"]).to be < hand["consensus"]["rmse"] / 2
    expect(hand["pairs"]).to include(include("said" => "T0, 10 cm", "length_mm" => 44.0, "clay" => 27.0))
    expect(hand["sentences"].first).to match(/\AYour 40 mm is a consensus 3\d mm\.\z/)
  end

  it "leaves out, with the reason, what could teach it nothing" do
    known = sample("known")
    result(known, 30)
    texture(known, 40)
    again = sample("again")
    felt = texture(again, 40)
    result(again, 30)
    push(felt, 34)
    laser = sample("laser")
    texture(laser, 40)
    result(laser, 30, method: "laser")
    poor = sample("poor")
    texture(poor, 12)
    result(poor, 3)
    expect(hand["left_out"].to_h { |one| [one["said"][/\w+/], one["reason"]] }).to eq(
      "known" => "felt or classed after the result was known",
      "again" => "felt or classed after the result was known", "laser" => "laser reads clay low",
      "poor" => "clay under 5 %"
    )
    expect(hand).to include("pairs" => [], "closed" => "0 of 5 samples.", "sentences" => [])
  end

  it "knows nobody who has no result, and refuses who is not there" do
    texture(sample("T1"), 40)
    expect(api_get("/api/hands")).to eq("people" => [])
    expect(api_get("/api/hands/999999")["status"]).to eq 404
  end
end
