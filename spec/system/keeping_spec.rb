# frozen_string_literal: true

require_relative "../support/device_browser"
require_relative "../../db/demo_picture"

RSpec.describe "Nothing is lost" do
  let(:profile) { profile_with(["A", 0, 30], ["B", 30, 60]) }
  let(:reading) { push(give(begin_reading(profile.horizons.first), ball_holds: true), 40) }

  after { cut(false) }

  def bench(reading) = visit("/readings/#{reading['id']}")

  it "when a tab is killed in the middle of a reading: the next one stands where it was" do
    bench(reading)
    find("nav[aria-label='Steps of this reading'] button", text: "Rub").click
    type("3")
    expect_saved
    window = open_new_window
    page.driver.browser.close
    switch_to_window(window)
    bench(reading)
    expect(step_now).to have_text("Assign")
    expect(page).to have_css("nav button", text: /Rub\s+very smooth/)
    visit "/"
    click_button(text: "Slope 1, A")
    expect(step_now).to have_text("Assign")
  end

  it "when the network is gone: answers wait on the device, also for a killed tab, and are sent when it is back" do
    bench(reading)
    expect(page).to have_css("h1", text: "Ready the sample")
    cut(true)
    type(:enter, :enter, :enter, "4", "2", :enter)
    expect(page).to have_css("[role='status']", text: /entries wait on this device/)
    type(:enter)
    expect(step_now).to have_text("Rub")
    type("2") # leads on, behind what waits
    expect(step_now).to have_text("More")
    page.execute_script("window.dispatchEvent(new Event('beforeunload'))")
    cut(false)
    page.refresh
    expect_saved
    find("nav[aria-label='Steps of this reading'] button", text: "Ribbon").click
    expect(page).to have_css("figure svg[aria-label*='40 mm, broke; 42 mm, broke']")
    expect(Ribbon.pluck(:length_mm)).to eq [40, 42]
  end

  it "when the network is gone: sand is halved, and a ribbon marked on a photograph waits with its picture" do
    file = File.join(Dir.mktmpdir, "ribbon.jpg").tap { |path| File.binwrite(path, DemoPicture.call) }
    bench(reading)
    find("nav[aria-label='Steps of this reading'] button", text: "More").click
    find("nav[aria-label='Steps of this reading'] button", text: "Ribbon").click
    click_button "On a photo" # what the dialog needs is loaded
    click_button "Close"
    cut(true)
    find("nav[aria-label='Steps of this reading'] button", text: "More").click
    within("[data-test='sand_estimate']") do
      %w[Less More].each { |said| click_button said, exact: true }
      click_button "Keep 37.5 %"
    end
    find("nav[aria-label='Steps of this reading'] button", text: "Ribbon").click
    click_button "On a photo"
    find("input[type='file']", visible: :all).set(file)
    picture = find("[role='application']")
    expect(page).to have_css("[role='application'] img")
    page.scroll_to(picture, align: :top)
    [:enter, %i[shift right], :enter, :enter, %i[shift down], %i[shift down], :enter].each do |key|
      picture.send_keys(key)
    end
    click_button "Add this ribbon"
    expect(page).to have_css("[role='status']", text: /entries wait on this device/)
    page.execute_script("window.dispatchEvent(new Event('beforeunload'))")
    cut(false)
    page.refresh
    expect_saved
    expect(Reading.find(reading["id"]).observations["sand_estimate"]).to include("percent" => 37.5)
    expect(Ribbon.last.photo_id).to eq Photo.last.id
  end

  it "when somebody else saves the table of horizons meanwhile: what both changed is shown, the rest is kept" do
    visit "/profiles/#{profile.id}/table"
    fill_in "Horizon, row 1", with: "Ap"
    fill_in "Note, row 2", with: "stony"
    Layers.new(profile.reload).write(
      profile.horizons.map do |layer|
        { id: layer.id, version: layer.lock_version, designation: layer.designation.sub("A", "Ah"),
          upper_cm: layer.upper_cm.to_f, lower_cm: layer.lower_cm.to_f, moist_colour: "10YR 4/3" }
      end
    )
    click_button "Save the table"
    within("[data-conflict]") do
      expect(page).to have_css("tr", text: /Ah, horizon Ah Ap/)
      click_button "Save mine on top"
    end
    expect(page).to have_css("[role='status']", text: "2 horizons are saved.")
    expect(profile.reload.horizons.map { |layer| [layer.designation, layer.moist_colour, layer.seen["note"]] })
      .to eq [["Ap", "10YR 4/3", nil], ["B", "10YR 4/3", "stony"]]
  end

  # Takes the network from the page and gives it back. The browser takes it from the page alone and not from its
  # workers, which send as well: they find nobody there.
  def cut(gone)
    WholeApp.gone = gone ? %r{/api/} : nil
    chromium.execute_cdp("Network.enable")
    chromium.execute_cdp(
      "Network.emulateNetworkConditions",
      offline: gone,
      latency: 0,
      downloadThroughput: -1,
      uploadThroughput: -1
    )
  end

  it "when two tabs edit one reading: the second is told, sees both, and chooses" do
    reading
    bench(reading)
    expect(page).to have_css("h1", text: "Ready the sample")
    second = open_new_window
    within_window(second) do
      bench(reading)
      expect(page).to have_css("h1", text: "Ready the sample")
      type("8")
      expect_saved
    end
    type("6")
    within("[role='dialog']") do
      expect(page).to have_css("h2", text: "Changed in another window")
      expect(page).to have_css("[data-theirs]", text: "friable")
      expect(page).to have_css("[data-yours]", text: "loose")
      click_button "Save mine on top"
    end
    expect(page).to have_css("[data-test='moist_clod'] [aria-pressed='true']", text: "Loose")
    expect_saved
    words =
      api_get("/api/readings/#{reading['id']}/history")["entries"].select { |entry| entry["what"] == "moist clod" }
    expect(words.map { |entry| entry.values_at("text", "standing") }).to eq [["friable", false], ["loose", true]]
  end

  describe "on the card of a horizon" do
    let(:horizon) { profile.horizons.first }
    let(:card) { "/profiles/#{profile.id}/horizons/#{horizon.id}" }

    def group(name) = find("[role='group'][aria-label='#{name}']")
    def open_group(name) = within("nav[aria-label='What is described']") { click_button name }

    it "when four answers are given at once: all are kept, in order, and undone one by one" do
      visit card
      open_group "Structure"
      page.execute_script(<<~JS)
        const press = (group, text) => {
          const buttons = document.querySelectorAll(`[role='group'][aria-label='${group}'] button`)
          const named = [...buttons].find((button) => button.textContent === text)
          named.click()
        }
        press("Structure", "Weak")
        press("Structure", "Strong")
        press("Moisture", "Moist")
        press("Shape of peds", "Platy")
      JS
      expect_saved
      expect(horizon.reload.seen).to eq(
        "structure_grade" => "strong",
        "moisture" => "moist",
        "structure_type" => "platy"
      )
      2.times { click_button "Undo" }
      expect(group("Moisture")).to have_no_css("[aria-pressed='true']")
      expect_saved
      expect(horizon.reload.seen).to eq("structure_grade" => "strong")
    end

    it "when the network is gone: answers wait, the fieldbook says how many, and they are sent from there" do
      profile
      visit "/"
      find("a[href='/profiles/#{profile.id}']", match: :first).click
      click_button "Change A, 0 to 30 cm"
      click_link "Describe horizon"
      open_group "Structure"
      cut(true)
      group("Structure").click_button "Weak"
      group("Moisture").click_button "Dry"
      expect(page).to have_css("[data-saved]", text: "Kept on this device: 2 entries")
      click_link "‹ Slope 1"
      click_link "Fieldbook"
      expect(page).to have_css("[data-waiting]", text: "2 entries wait on this device")
      cut(false)
      expect(page).to have_no_css("[data-waiting]")
      expect(horizon.reload.seen).to eq("structure_grade" => "weak", "moisture" => "dry")
    end

    it "when the network goes before the device was brought up to the last answer: that stays, and the next waits" do
      visit card
      open_group "Structure"
      expect { evaluate_async_script("#{DeviceBrowser::KEPT}.then(arguments[0])") }.to eventually_be(true)
      WholeApp.gone = %r{/api/mirror}
      group("Structure").click_button "Strong"
      expect_saved
      cut(true)
      group("Moisture").click_button "Dry"
      expect(page).to have_css("[data-saved]", text: "Kept on this device: 1 entry")
      expect(group("Structure")).to have_css("[aria-pressed='true']", text: "Strong")
      cut(false)
      expect_saved
      expect(horizon.reload.seen).to eq("structure_grade" => "strong", "moisture" => "dry")
    end

    it "when somebody else changed it: both are shown, and one is chosen" do
      visit card
      open_group "Structure"
      horizon.change(horizon.lock_version, { described: { structure_grade: "strong" } })
      group("Structure").click_button "Weak"
      within("[role='dialog']") do
        expect([find("[data-theirs]").text, find("[data-yours]").text]).to eq %w[Strong Weak]
        click_button "Save mine on top"
      end
      expect_saved
      expect(horizon.reload.seen).to eq("structure_grade" => "weak")
      horizon.change(horizon.lock_version, { described: { structure_grade: "massive" } })
      group("Structure").click_button "Moderate"
      click_button "Keep what is saved"
      expect(group("Structure")).to have_css("[aria-pressed='true']", text: "Massive")
      expect(horizon.reload.seen).to eq("structure_grade" => "massive")
    end
  end

  it "when a form is refused: the sentence stands at its field, and what was typed stays" do
    visit "/profiles/#{profile.id}"
    click_button "Add horizon"
    fill_in "Designation", with: "C"
    fill_in "Upper depth", with: "40"
    fill_in "Lower depth", with: "20"
    click_button "Add the horizon"
    expect(page).to have_text("40 to 20 cm runs upwards.")
    expect(find_field("Lower depth")["aria-invalid"]).to eq "true"
    fill_in "Lower depth", with: "80"
    click_button "Add the horizon"
    expect(page).to have_text("40 to 80 cm overlaps B, which is 30 to 60 cm.")
    expect(find_field("Designation").value).to eq "C"
  end

  it "when a length is impossible: the sentence is in the unit it was typed in, and no button moves for it" do
    bench(reading)
    find("nav[aria-label='Steps of this reading'] button", text: "Ribbon").click
    type("3", "0", "1", :enter)
    expect(page).to have_css("[data-slip]", text: "No ribbon is 301 mm long. 30.1?")
    type("y", "9", "9", "9", "9", :enter)
    expect(page).to have_css("[data-slip]", text: "No ribbon is 9999 mm long.")
    type("y")
    expect(page).to have_css("figure svg[aria-label*='Ribbons: 40 mm, broke.']").and have_no_css("[data-slip]")
    click_button "No ribbon"
    expect(page).to have_css("[data-superseded]", text: "You said that no ribbon forms")
    height = -> { evaluate_script("document.querySelector('button[aria-pressed]').getBoundingClientRect().top") }
    before = height.call
    click_button "Close"
    expect(page).to have_no_css("[data-superseded]")
    expect(height.call).to eq before
  end

  it "says so where there is nothing" do
    visit "/readings/4711"
    expect(page).to have_text("There is no reading 4711.")
    visit "/nowhere"
    expect(page).to have_link("To the fieldbook")
  end
end
