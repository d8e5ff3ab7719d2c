# frozen_string_literal: true

RSpec.describe "The second opinion at the side of the bench" do
  def verdict = find("section[aria-label='Verdict so far']")
  def go(step) = find("nav[aria-label='Steps of this reading'] button", text: step).click

  # The share of the triangle that the 80 % region covers, from the drawing's text.
  def area
    expect(verdict).to have_css("svg[aria-label*='80 % region covers']")
    verdict.find("svg[aria-label*='80 % region covers']")["aria-label"][/covers ([\d.]+) %/, 1].to_f
  end

  # The estimate as the server has it, once everything given has reached it.
  def settled_after
    expect_saved
    area
  end

  # Takes what is suggested until nothing is left to settle, as the hand of a clay loam would answer.
  def follow_suggestions
    answers = { "floury_feel" => /\ASomewhat/, "shear_resistance" => /\ANone/, "cast_strength" => /\AStrong/ }
    5.times do
      break if page.has_css?("[data-next]", text: "Settled.", wait: 1)

      suggested = find("[data-suggested]", match: :first)
      test = suggested["data-suggested"]
      suggested.click
      find("main [data-test='#{test}'] button", text: answers.fetch(test, /\AModerate/)).click
      settled_after
    end
  end

  it "closes in with every answer, suggests what to test, and settles" do
    visit "/readings/#{begin_reading['id']}"
    go "Ball"
    expect(verdict).to have_no_css("[data-evidence]")
    type("1")
    areas = [settled_after]
    [41, 44, 39].each { |mm| push_ribbon(mm) }
    areas << settled_after
    type(:enter, "2")
    back_from_the_end
    expect(verdict).to have_css("[data-evidence]", text: "Clay loam, most likely (39 %); clay is possible (22 %).")
    areas << settled_after
    expect(areas).to eq areas.sort.reverse

    within("[data-next]") do
      expect(page).to have_text("To settle it:").and have_text("Stickiness, 10 s: separates clay loam from clay.")
      find("[data-suggested='stickiness']").click
    end
    expect(page).to have_css("main [data-test='stickiness']").and have_css("[aria-current='step']", text: "More")
    type("3")
    expect(page).to have_no_css("[data-suggested='stickiness']")
    areas << settled_after
    follow_suggestions
    expect(page).to have_css("[data-next]", text: "Settled.")
    expect(area).to be < areas.first / 3
    expect(axe_violations).to be_empty
  end

  it "keeps the key's own question first" do
    visit "/readings/#{push(give(begin_reading, ball_holds: true), 41, 44)['id']}"
    go "Ball"
    within("[data-next]") { expect(all("button").map(&:text).first).to eq "The key asks: wet rub" }
    click_button "The key asks: wet rub"
    expect(step_now).to have_text("Rub")
  end

  it "holds the estimate more loosely for a blind spot, and says so" do
    reading = give(push(give(begin_reading, ball_holds: true), 41, 44, 39), wet_rub: "neither")
    api_put("/api/readings/#{reading['id']}/place", { step: "more" })
    visit "/readings/#{reading['id']}"
    before = area
    click_button(text: /\Awhat may mislead the hand/i)
    find("main [data-test='blind_spots'] button", text: "Calcareous").click
    expect(verdict).to have_css("[data-widened]", text: "Wider uncertainty, because of what you ticked.")
    expect(area).to be > before
  end

  it "says why key and estimate differ where they do by design" do
    visit "/readings/#{give(push(give(begin_reading, ball_holds: true), 26, 26), wet_rub: 'neither')['id']}"
    go "Rub"
    expect(verdict).to have_css(
      "[data-beside='little_over_an_inch']",
      text: "by the curve “Consensus” that is 21 % clay"
    )
  end

  it "sets the estimate given the assigned class beside key and estimate" do
    reading = give(push(give(begin_reading, ball_holds: true), 41, 44, 39), wet_rub: "neither")
    assign(reading, "SI", reason: "By the label on the bag.")
    api_put("/api/readings/#{reading['id']}/place", { step: "assign" })
    visit "/readings/#{reading['id']}"
    expect(page).to have_css("[data-estimate] li", text: /clay loam\s+39 %/).and have_css(
      "[data-estimate] li",
      text: "others"
    )
    expect(page).to have_css(
      "[data-given]",
      text: /By the class alone, for the estimate gave it 0 %: sand 8, silt 88, clay 5 %/
    )
    expect(page).to have_css("svg[aria-label*='Assigned: silt.']")
    click_button(text: /\AAssign clay loam/)
    expect(page).to have_css("[data-given]", text: "Given clay loam: sand")
  end

  it "estimates a field grade in USDA classes, and says so" do
    reading = give(push(give(begin_reading, ball_holds: true), 61, 62), grittiness: "none", wet_rub: "neither")
    api_patch("/api/readings/#{reading['id']}", { version: reading["version"], key: "field_grades" })
    visit "/readings/#{reading['id']}"
    go "Rub"
    expect(verdict).to have_css("[data-evidence]", text: "In USDA classes.")
  end

  it "draws clay with its range down the section" do
    profile = profile_with(["Ap", 0, 20], ["Bt", 20, 60], ["C", 60, 90])
    { 0 => 20, 1 => 80 }.each do |place, mm|
      reading = give(push(give(begin_reading(profile.horizons[place]), ball_holds: true), mm, mm), wet_rub: "neither")
      assign(reading, place.zero? ? "L" : "C")
    end
    visit "/profiles/#{profile.id}"
    expect(page).to have_css("svg[aria-label*='Ap, 0 to 20 cm: loam, ribbon 20 mm, 2 made, clay 1']")
    expect(page).to have_css("svg[aria-label*='not textured yet'] rect.estimate", count: 2)
    expect(page).to have_css("[data-contrast='Ap Bt'] text", text: "+")
    within("[data-boundary='20']") do
      expect(page).to have_css(
        "[data-test='clay_increase']",
        text: "Meets the clay-increase test for a Bt (over 95 %)."
      )
    end
    expect(page).to have_css("[data-perching='stands_on_finer']", text: "stands on Bt")
    click_button "Change Ap, 0 to 20 cm"
    fill_in "Colour, moist", with: "earth"
    find("[role='radio']", text: "Clear").click
    click_button "Save"
    expect(page).to have_text("“earth” is no Munsell notation.")
    fill_in "Colour, moist", with: "10yr 3/3"
    click_button "Save"
    expect(page).to have_css("[data-chip='10YR 3/3']")
    expect(page).to have_css("[data-test='abrupt_change']", text: "The boundary is sharp enough")
    at_size(*Browser::PHONE)
    expect(page).to have_text(/ribbon 80 mm, 2 made; clay \d+ to \d+ %/)
  end
end
