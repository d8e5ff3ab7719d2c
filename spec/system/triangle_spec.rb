# frozen_string_literal: true

RSpec.describe "The triangle" do
  def calls = all("[data-system]").to_h { |system| [system["data-system"], system.find("p", match: :first).text] }

  # 42 sand, 19 clay is a loam in three systems and, within a point of a line, a clay loam in the UK (from memory).
  it "shows every system at one composition, from a link that carries it" do
    visit "/triangle?sand=42&clay=19"
    expect(page).to have_css("[data-system='uk']", text: "clay loam")
    expect(calls).to eq("usda" => "loam", "canada" => "loam", "fao_wrb" => "loam", "uk" => "clay loam")
    expect(page).to have_css("[data-system='uk']", text: /1 point to the next line: near sandy silt loam/)
    expect(page).to have_text("provisional")
  end

  it "follows what is typed, and says what is wrong at its field" do
    visit "/triangle"
    fill_in "Sand", with: "10"
    fill_in "Clay", with: "65"
    expect(page).to have_css("[data-system='canada']", text: "heavy clay").and have_css(
      "[data-system='usda']",
      text: /\bclay\nC, fine/
    )
    expect(page).to have_current_path("/triangle?sand=10&clay=65")
    fill_in "Sand", with: "60"
    expect(page).to have_text("Sand, silt and clay add up to 125; they must add up to 100")
    expect(find_field("Clay").value).to eq "65"
  end

  it "moves by arrow keys and by dragging" do
    visit "/triangle?sand=40&clay=26"
    point = find("[role='slider'][aria-label='Composition in USDA']")
    expect(point["aria-valuetext"]).to include "clay 26 percent: loam"
    point.send_keys(:up)
    expect(page).to have_field("Clay", with: "27")
    expect(page).to have_css("[data-system='usda']", text: "clay loam")
    find("[data-system='usda'] rect.cursor-crosshair").click(x: 0, y: 0) # its middle: half clay
    expect(page).to have_field("Clay", with: "50")
    expect(page).to have_css("[data-system='usda']", text: "clay\nC, fine")
  end

  it "names the grade of the sand, and estimates what another limit of silt would have measured" do
    visit "/triangle?sand=70&clay=10"
    find("[role='radio']", text: "Very fine").click
    expect(page).to have_css("[data-system='usda']", text: /very fine sandy loam/i).and have_no_css("[data-estimate]")
    find("[role='radio']", text: "60 µm").click
    expect(page).to have_css("[data-system='usda'] [data-estimate]", text: "An estimate: silt to 50 µm would be")
    expect(page).to have_no_css("[data-system='uk'] [data-estimate]")
    expect(page).to have_current_path(/limit=60&grade=very_fine/, url: true)
  end
end
