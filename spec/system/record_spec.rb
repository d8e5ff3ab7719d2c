# frozen_string_literal: true

RSpec.describe "The record of a reading" do
  let(:profile) { profile_with(["A", 0, 20], ["B", 30, 60], textured_by: "Ines", recorded_by: "Olm") }
  let(:reading) { push(give(begin_reading(profile.horizons.first), ball_holds: true, wet_rub: "neither"), 40, 44) }

  def bench_at(step)
    api_put("/api/readings/#{reading['id']}/place", { step: step })
    visit "/readings/#{reading['id']}"
  end

  it "keeps a corrected ribbon, one taken back, and who wrote it down" do
    bench_at "ribbon"
    click_button "Edit ribbon"
    click_button(text: "1. 40 mm")
    fill_in "Length", with: "forty"
    click_button "Save the correction"
    expect(page).to have_text("“forty” is not a length.")
    fill_in "Length", with: "46"
    within("[role='dialog']") { click_button "Folded" }
    click_button "Save the correction"
    expect(page).to have_css("figure svg[aria-label*='46 mm, folded; 44 mm, broke']")
    type("c")
    click_button(text: "2. 44 mm")
    click_button "Remove"
    expect(page).to have_css("figure svg[aria-label*='Ribbons: 46 mm, folded.']")
    find("nav[aria-label='Steps of this reading'] button", text: "Assign").click
    type("h")
    within("[role='dialog']") do
      expect(page).to have_css("tr", text: /ball\s+yes\s+Olm/)
      expect(page).to have_css("s", text: "40 mm, broke").and have_css("s", text: "44 mm, broke")
      expect(page).to have_css("td", text: "46 mm, folded")
    end
  end

  it "takes an answer back" do
    bench_at "rub"
    within("[data-test='wet_rub']") { click_button "Clear answer" }
    expect(page).to have_no_css("[data-test='wet_rub'] [aria-pressed='true']")
    expect_saved
    expect(api_get("/api/readings/#{reading['id']}")["observations"]).not_to have_key "wet_rub"
  end

  it "changes the limits and loses no answer" do
    bench_at "prepare"
    expect(page).to have_text("Ribbon and rub, metric, as printed; textured by Ines, recorded by Olm")
    type("m")
    find("[role='radio']", text: "Judging-contest").click
    fill_in "Recorded by", with: "Juno"
    click_button "Save"
    expect(page).to have_text("Ribbon and rub, judging-contest; textured by Ines, recorded by Juno")
    kept = api_get("/api/readings/#{reading['id']}")
    expect(kept["method"]["limit_set"]).to eq "contest"
    expect(kept["ribbons"].size).to eq 2
  end

  it "shows a loose ribbon's units as the person likes, and stands there again" do
    bench_at "ribbon"
    find("[aria-label='Unit'] button", text: "in").click
    expect(page).to have_css("figure svg[aria-label*='1.57 in, broke; 1.73 in, broke']")
    expect_saved
    page.refresh
    expect(page).to have_css("figure svg[aria-label*='1.57 in']")
  end

  it "lets what another window saved stand, and drops the own change only when told to" do
    bench_at "rub"
    expect(page).to have_css("[data-test='wet_rub'] [aria-pressed='true']", text: "Neither gritty nor smooth")
    give(api_get("/api/readings/#{reading['id']}"), wet_rub: "very_smooth")
    type("1")
    within("[role='dialog']") do
      expect(page).to have_css("[data-yours]", text: "very gritty")
      click_button "Keep what is saved"
    end
    expect(page).to have_css("[data-test='wet_rub'] [aria-pressed='true']", text: "Very smooth")
    expect_saved
  end

  it "can be wrong about a horizon and be put right: depths change, the gap is named, the reading stays" do
    reading
    visit "/profiles/#{profile.id}"
    expect(page).to have_css("[data-horizon='A']", text: "10 of 12").or have_css("[data-horizon='A']", text: "limit")
    expect(page).to have_css("svg[aria-label*='No horizon from 20 to 30 cm.']")
    click_button "Change B, 30 to 60 cm"
    fill_in "Upper depth", with: "20"
    fill_in "Designation", with: "Bw"
    click_button "Save"
    expect(page).to have_css("[data-horizon='Bw']", text: "not textured yet")
    expect(page).to have_no_css("svg[aria-label*='No horizon']")
    expect(Revision.last.was).to include("upper_cm" => "30.0", "designation" => "B")
  end
end
