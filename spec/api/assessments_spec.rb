# frozen_string_literal: true

require "open3"

RSpec.describe "/api/assessments" do
  it "says what the core and the command line say" do
    observations = {
      "ball_holds" => true,
      "ribbons" => [{ "length_mm" => 46 }, { "length_mm" => 53 }, { "length_mm" => 61 }],
      "wet_rub" => "very_smooth"
    }
    answer = api_post("/api/assessments", { observations: observations })
    out, =
      Open3.capture2(
        "ruby",
        File.expand_path("../../bin/grittle", __dir__),
        "assess",
        stdin_data: JSON.generate(observations)
      )
    expect(answer).to eq JSON.parse(out)
    expect(answer).to eq JSON.parse(JSON.generate(Grittle.assess(observations).to_h))
    expect(Reading.count).to eq 0
  end

  it "gives a composition its class, neighbours and distance" do
    answer = api_post("/api/compositions", { sand: 65, clay: 20 })
    expect(answer).to include("class" => "SCL", "distance_to_boundary" => 0.0, "near" => %w[SCL SL])
  end

  it "hands the page its words" do
    words = api_get("/api/catalogue")
    keys = words["keys"].to_h { |key| [key["id"], key] }
    expect(keys["rolling"]["steps"].map { |step| step["id"] }).to eq %w[
      prepare
      moisten
      ball
      wire
      rub
      ribbon
      more
      assign
    ]
    expect(keys["two_numbers"]["codes"]["uk"].size).to eq 11
    expect(words["names"].map { |name| name.values_at("system", "code") }.uniq.size).to eq words["names"].size
  end
end
