# frozen_string_literal: true

RSpec.describe "Every school on one bench" do
  def bench_at(step, reading)
    api_put("/api/readings/#{reading['id']}/place", { step: step })
    visit "/readings/#{reading['id']}"
    expect(page).to have_css("h1", visible: :all)
  end

  let(:reading) { give(push(give(begin_reading, ball_holds: true), 44, 47, 45), wet_rub: "neither", grittiness: "moderate") }

  it "gives the other tests one by one, by number keys, and marks those that a school waits for" do
    bench_at "more", reading
    expect(page).to have_css("[aria-label='Tests'] button", text: /finest wire\s+for rolling/)
    type("3", "3", "2") # plasticity, stickiness, shine
    expect(page).to have_css("[data-test='thumbprint']")
    click_button(text: /\Ashine/)
    expect(page).to have_css("[data-caution='shine']", text: "back of the knife")
    click_button(text: /\Afinest wire/)
    type("3")
    expect(page).to have_css("[data-test='ring_forms']")
    type("1")
    expect_saved
    kept = api_get("/api/readings/#{reading['id']}")["observations"]
    expect(kept).to include("plasticity" => "moderately", "stickiness" => "moderately", "shine" => "slight",
                            "finest_wire_mm" => "3", "ring_forms" => true)
    expect(step_now).to have_text("5 answers")
  end

  it "narrows the sand by halving, and two numbers answer" do
    bench_at "more", reading
    click_button(text: /\ASand by halving/)
    within("[data-test='sand_estimate']") do
      expect(page).to have_text("Is it more than 50 % sand?")
      %w[Less More Less].each { |answer| click_button answer, exact: true }
      expect(page).to have_text("About 31.3 % sand.")
      click_button "Keep 31.3 %"
    end
    click_button(text: /\ASand by halving\s+31 %/)
    expect(page).to have_text("Kept: 31.3 %, give or take 6.3.")
    expect_saved
    kept = api_get("/api/readings/#{reading['id']}")
    expect(kept["observations"]["sand_estimate"]).to eq("percent" => 31.25, "half_width" => 6.25)
    expect(kept["assessment"]["keys"].find { |key| key["key"] == "two_numbers" }["outcomes"].first["code"]).to eq "CL"
  end

  it "shows what each curve and each key makes of the same answers, and who agrees" do
    bench_at "assign", give(reading, stickiness: "moderately", shine: "slight", cast_strength: "strong")
    type("s")
    within("[role='dialog']") do
      expect(page).to have_css("tr", text: /Cautious\s+21 %/).and have_css("tr", text: /Consensus\s+34 %/)
      expect(page).to have_css("tr", text: /Sand first\s+clay loam\s+agrees/)
      expect(page).to have_css("tr", text: /Rolling\s+asks: finest wire/)
      expect(page).to have_css("tr", text: /Texture groups\s+moderately fine/)
    end
    expect(axe_violations).to be_empty
  end

  it "shows a contradiction beside the verdict, with the way to the test to repeat" do
    bench_at "rub", give(push(give(begin_reading, ball_holds: true), 60, 61, 60), stickiness: "non")
    within("[data-contradiction='long_ribbon_not_sticky']") do
      expect(page).to have_text("A long ribbon, yet not sticky.")
      click_button "Repeat: more"
    end
    expect(step_now).to have_text("More")
    click_button(text: /\Astickiness/)
    click_button(text: /\AModerately/)
    expect(page).to have_no_css("[data-contradiction]")
  end
end
