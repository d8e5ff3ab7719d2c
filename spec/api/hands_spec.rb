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

  describe "in use" do
    def switch(on) = api_post("/api/hands/#{Observer.find_by(name: 'Wren').id}/curve", { in_use: on })

    def taught
      pairs.each_with_index { |(mm, clay), at| sample("T#{at}").then { |one| [texture(one, mm), result(one, clay)] } }
    end

    def felt(**more)
      push(give(api_post("/api/readings", more), ball_holds: true, wet_rub: "neither"), 60, 60, 60)
    end

    def clay(reading) = api_get("/api/readings/#{reading['id']}")["assessment"]["evidence"]["mean"]["clay"]

    it "is refused with the reason before there is enough" do
      texture(sample("T1"), 40)
      result(Sample.last, 30)
      expect(switch(true)).to be_refused(422, "", "Not yet: 1 of 5 samples.")
    end

    it "stands in later readings of the person alone, and in those of before not" do
      taught
      before = felt(textured_by: "Wren")
      expect(switch(true)["in_use"]).to include("pairs" => 10, "curve" => hand["curve"])
      after, other = %w[Wren Reed].map { |name| felt(textured_by: name) }
      expect(clay(after)).to be < clay(before) - 3
      expect(clay(other)).to eq clay(before)
      said = api_get("/api/readings/#{after['id']}")["own_hand"]
      expect(said).to include("name" => "Wren", "pairs" => 10)
      expect(said["without"]["mean"]["clay"]).to eq clay(before)
      expect(api_get("/api/readings/#{other['id']}")["own_hand"]).to be_nil
    end

    it "is a version that never changes: later pairs make another" do
      taught
      switch(true)
      first = felt(textured_by: "Wren")
      was = clay(first)
      late = sample("late")
      texture(late, 20)
      result(late, 50)
      expect(switch(true)["in_use"]["pairs"]).to eq 11
      expect(clay(first)).to eq was
      expect(Reading.find(first["id"]).own_hand.pairs).to eq 10
      expect(switch(false)["in_use"]).to be_nil
      expect(Reading.find(felt(textured_by: "Wren")["id"]).own_hand).to be_nil
    end

    it "goes with the person that a reading is said to be of" do
      taught
      switch(true)
      reading = felt(textured_by: "Reed")
      api_patch("/api/readings/#{reading['id']}", { version: reading["version"], textured_by: "Wren" })
      expect(Reading.find(reading["id"]).own_hand.observer.name).to eq "Wren"
    end

    it "learns nothing from a pair that a person took out, until it is put back" do
      taught
      path = "/api/hands/#{Observer.find_by(name: 'Wren').id}/left-pairs"
      pair = hand["pairs"].first["sample"]
      out = api_post(path, { pair: pair, reason: "Dried out" })
      expect(out["pairs"].size).to eq 9
      expect(out["left_out"]).to include(include("sample" => pair, "reason" => "taken out: Dried out"))
      expect(api_post(path, { pair: pair, reason: "" })["pairs"].size).to eq 10
      expect(LeftPair.pluck(:reason)).to eq ["Dried out"] # the record of it stays
    end
  end

  it "knows nobody who has no result, and refuses who is not there" do
    texture(sample("T1"), 40)
    expect(api_get("/api/hands")).to eq("people" => [])
    expect(api_get("/api/hands/999999")["status"]).to eq 404
  end
end
