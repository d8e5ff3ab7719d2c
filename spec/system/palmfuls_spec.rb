# frozen_string_literal: true

RSpec.describe "Palmfuls, the bin and settings" do
  before { Demo.load }

  def dialog = find("[role='dialog']")
  def row(name) = find("ol > li", text: name)

  def begin_one
    visit "/"
    click_button "Quick reading"
    expect(step_now).to have_text("Prepare")
  end

  describe "a quick reading" do
    it "is not kept when it is left as it was opened, and is named, placed and found when it is not" do
      begin_one
      click_link "Quick readings"
      expect(page).to have_css("h1", text: "Quick readings").and have_no_text("Palmful")

      begin_one
      type("k", "1")
      expect_saved
      visit page.current_path
      find("nav[aria-label='Steps of this reading'] button", text: "Prepare").click
      click_button "Name, colour, smell, place"
      within(dialog) do
        fill_in "Name", with: "Spoil heap"
        fill_in "Odour", with: "of eggs"
        fill_in "Colour, moist", with: "brown"
        fill_in "Position", with: "48.2082, 16.3738"
        select "High Tare", from: "Site"
        click_button "Save"
        expect(page).to have_css("[aria-invalid='true']")
        fill_in "Colour, moist", with: "10YR 4/3"
        expect(page).to have_no_css("[aria-invalid='true']") # what was wrong is mended
        click_button "Save"
      end
      expect(page).to have_no_css("[role='dialog']")
      visit "/readings"
      fill_in "Search", with: "eggs"
      expect(page).to have_no_text("Bed by the gate")
      expect(row("Spoil heap")).to have_text("High Tare").and have_text("10YR 4/3")
      expect(Reading.last.sample.attributes).to include("label" => "Spoil heap", "site_id" => Site.first.id)
    end

    it "takes its place at a depth of a profile" do
      visit "/readings"
      row("Bed by the gate").click_button("Details")
      within(dialog) do
        select "High Tare", from: "Site"
        select "Tare 1", from: "Profile"
        fill_in "Taken at", with: "50"
        click_button "Save"
      end
      expect(page).to have_text("No quick reading yet")
      expect(Sample.find_by!(label: "Bed by the gate").horizon.designation).to eq "Bt"
    end

    it "stands beside horizons from anywhere" do
      visit "/readings"
      row("Bed by the gate").click_button("Set beside")
      visit "/profiles/#{Profile.find_by!(name: 'Tare 1').id}"
      find("button[aria-label*='Bt'], a, button", text: "Bt", match: :first).click
      within(dialog) { click_button "Set beside" }
      within(dialog) { click_button "Close" }
      click_link "Show them"
      expect(page).to have_css("h1", text: "Side by side")
      expect(page).to have_css("[data-difference]", text: "Bed by the gate and Tare 1 Bt: loam against clay")
      expect(page).to have_css("[data-region]", count: 2)
      expect(axe_violations).to be_empty
    end
  end

  describe "what is deleted" do
    it "is told first, undone at once, or restored from the bin, and gone only by hand" do
      profile = Profile.find_by!(name: "Tare 1")
      visit "/profiles/#{profile.id}"
      within("header") { click_button "More" }
      click_button "Delete profile"
      within(dialog) do
        expect(page).to have_text("With it: 5 horizons").and have_text("Textured by")
        click_button "Delete"
      end
      expect(page).to have_css("[data-deleted]", text: "Deleted: Tare 1")
      expect(page).to have_no_link(href: "/profiles/#{profile.id}")
      click_button "Undo"
      expect(page).to have_link(href: "/profiles/#{profile.id}")

      click_button "Site details: Kiln Bank"
      within(dialog) { click_button "Delete site" }
      click_button "Delete", exact: true
      expect(page).to have_css("[data-deleted]", text: "Kiln Bank")
      visit "/bin"
      expect(row("Kiln Bank")).to have_text("With 1 profile, 3 horizons and 3 readings")
      row("Kiln Bank").click_button("Remove for good")
      within(dialog) { click_button "Keep" }
      row("Kiln Bank").click_button("Restore")
      expect(page).to have_text("The bin is empty.")
      expect(Site.kept.pluck(:name)).to include "Kiln Bank"
    end

    it "is a horizon with its readings, undone at the section, or a whole import" do
      profile = Profile.find_by!(name: "Sallow 1")
      Deletion.make(Fieldbook.current, "horizon", profile.horizons.last.id)
      visit "/profiles/#{profile.id}"
      click_button "Undo: deletion of 2C"
      expect(page).to have_css("svg[aria-label*='2C, 80 to 110 cm']")
      imported = FileImport.create!(name: "wells.csv", counts: { "sites" => 1 }, imported_at: Time.now.utc)
      Site.make(name: "Wells").update!(file_import: imported)
      visit "/bin"
      click_button "Delete the whole import: wells.csv"
      click_button "Delete", exact: true
      expect(page).to have_text("nothing of it is left here")
      expect(Site.kept.pluck(:name)).not_to include "Wells"
    end
  end

  it "are ordered by hand, sorted, and begun again for the next hole" do
    visit "/"
    click_button "List"
    click_button "Move Kiln Bank up"
    expect(page).to have_css("[role='status']", text: "Kiln Bank is above Sallow Bottom now.", visible: :all)
    expect(page).to have_css("main section:nth-of-type(2) h2", text: "Kiln Bank")
    select "By name", from: "Order"
    visit "/profiles/#{Profile.find_by!(name: 'Tare 1').id}"
    within("header") { click_button "More" }
    click_button "Duplicate for the next hole"
    within(dialog) do
      fill_in "Name", with: "Tare 3"
      click_button "Open the new profile"
    end
    expect(page).to have_css("h1", text: "Tare 3")
    expect(page).to have_css("svg[aria-label*='Bt, 32 to 66 cm: not textured yet']")
  end

  it "show depths in inches, dark by choice, and begin new profiles as set" do
    visit "/settings"
    find("[role='radio']", text: "inches").click
    find("[role='radio']", text: "Dark").click
    expect(page).to have_css("html[data-theme='dusk']")
    find("[role='radio']", text: "Field texture grades").click
    fill_in "Textured by", with: "Ilka"
    click_button "Save"
    expect(page).to have_css("[role='status']", text: "Saved")
    visit "/profiles/#{Profile.find_by!(name: 'Tare 1').id}"
    expect(page).to have_text("depth, in")
    click_button "Add horizon"
    within(dialog) do
      expect(find_field("Upper depth").value).to eq "51.2" # 130 cm
      fill_in "Designation", with: "R"
      fill_in "Lower depth", with: "60"
      click_button "Add the horizon"
    end
    expect(page).to have_no_css("[role='dialog']")
    expect(Horizon.last.attributes).to include("upper_cm" => 130, "lower_cm" => 152.4)
    visit "/profiles/#{Profile.find_by!(name: 'Tare 1').id}/table"
    was = Horizon.order(:id).pluck(:upper_cm)
    find("[data-cell='#{Profile.find_by!(name: 'Tare 1').horizons.count - 1}-2']").set("59")
    click_button "Save"
    expect(page).to have_text("horizons are saved.")
    expect(Horizon.order(:id).pluck(:upper_cm)).to eq was
    expect(Horizon.last.lower_cm).to eq 149.9 # 59 in
    visit "/"
    click_button "Add profile at High Tare"
    expect(find_field("Textured by").value).to eq "Ilka"
    expect(page).to have_css("[role='radio'][aria-checked='true']", text: "Field texture grades")
  end
end
