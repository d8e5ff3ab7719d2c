# frozen_string_literal: true

# A map beside the section, and samples that are read twice.
RSpec.describe "A survey" do
  let(:profile) { profile_with(["A", 0, 20], ["B", 20, 60], textured_by: "Maren") }
  let(:map) { File.expand_path("../../db/demo_map.geojson", __dir__) }

  def classed(horizon, code = "CL")
    felt = push(give(begin_reading(horizon), ball_holds: true, wet_rub: "neither"), 41, 44)
    assign(felt, code, reason: "as felt")
  end

  it "draws the map of one's own beside the section, with odds of what has a class and the warning of its scale" do
    site = profile.site
    site.change(site.lock_version, { position: "47.9196, 15.2089", described: { "accuracy_m" => 10 } })
    classed(profile.horizons.first)
    visit "/profiles/#{profile.id}"
    within("[data-survey]") do
      expect(page).to have_text("No map yet")
      click_button "Maps"
    end
    fill_in "Name", with: "Invented survey"
    attach_file "File, GeoJSON", map
    click_button "Add the map"
    expect(page).to have_css("[aria-label='Maps'] li", text: "Invented survey, 3 polygons")
    find("button[aria-label='Close']").click
    within("[data-survey]") do
      expect(page).to have_css("svg[aria-label*='Ta']").and have_text("The line between Ta and We lies within that")
      expect(page).to have_css("li", text: /A, 0 to 20 cm, clay loam: The map says little\. 0\.8\d times/)
      expect(page).to have_css("li", text: "B, 20 to 60 cm: Looked up once a class is assigned.")
    end
    expect(console_errors).to eq []
  end

  it "draws samples to be read twice, and lets another person read one blind" do
    visit "/double-readings"
    click_button "Draw from now on"
    expect(page).to have_text("Samples are drawn.").and have_text("None waits.")
    reading = classed(profile.horizons.first)
    DoubleReading.delete_all # whatever chance has drawn
    DoubleReading.create!(first_id: reading["id"], kind: "other", drawn_at: Time.now.utc)
    page.refresh
    fill_in "Who reads", with: "Tobe"
    expect(page).to have_css("[aria-label='Waiting'] li", text: "0 to 20 cm: by another person; first read by Maren")
    expect(page).to have_no_text("clay loam")
    click_button(text: /\ARead it/)
    expect(page).to have_text("Double readings").and have_no_text("Slope 1")
    second = Reading.last
    [[:enter, "Moisten"], [:enter, "Ball"], %w[1 Ribbon]].each do |key, step|
      type(key)
      expect(step_now).to have_text(step)
    end
    2.times { push_ribbon(60) }
    type(:enter, "3")
    expect(step_now).to have_text("Assign")
    expect(page).to have_css("button", text: /\AAssign /)
    type(:enter)
    expect(page).to have_css("[data-assigned]")
    type(:enter)
    expect(page).to have_css("[aria-label='Read twice'] li", text: /Maren clay loam, Tobe .*silty clay.*step/)
    expect(second.reload.sample.practice).to be true
    expect(console_errors).to eq []
  end
end
