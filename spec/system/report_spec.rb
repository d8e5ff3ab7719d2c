# frozen_string_literal: true

RSpec.describe "From a profile to a report" do
  before { Demo.load }

  let(:profile) { Profile.find_by!(name: "Tare 1") }

  it "is walked: interpretation, slider, what if, a frozen report, a changed answer, what has changed since" do
    visit "/profiles/#{profile.id}"
    click_link "Interpretation"
    wet = find("[data-wetting]").text
    find("input[type='range']").send_keys(*[:arrow_right] * 3)
    expect(page).to have_css("[data-wetting]", text: "28 mm wet it to").and have_no_css("[data-wetting]", text: wet)
    within("[aria-label='Horizon']") { click_button "BC" }
    click_button "silt loam"
    expect(page).to have_css("[data-what-if]", text: "All above is shown as if it were so.")
    select "Invented example table, No authority: invented for the demo", from: "Table"
    expect(page).to have_css("[data-table] tbody tr:first-child", text: "unsuitable")
    expect(page).to have_css("[data-tests]", text: "Percolation, Hole 1, 60 cm")
    click_link "Report"
    click_button "New report"
    fill_in "Question", with: "Can the paddock take a seepage bed?"
    fill_in "Made for", with: "The parish"
    click_button "Save"
    expect(page).to have_css("[data-report] dd", text: "Can the paddock take a seepage bed?")
    expect(axe_violations).to be_empty
    click_button "Freeze"
    click_button "Freeze it"
    expect(page).to have_css("[data-unchanged]", text: "Nothing it speaks of has changed since.")
    frozen = page.current_url

    visit "/readings/#{profile.horizons.first.speaks_id}"
    find("nav[aria-label='Steps of this reading'] button", text: "Rub").click
    find("button, [role=radio]", text: /\AVery gritty/).click
    expect_saved
    visit frozen
    expect(page).to have_css("[data-changed] h3",
                             text: "Horizons").and have_css("[data-changed] del, [data-changed] ins")
    expect(page).to have_css("[data-report]", text: "Ap, 0 to 18 cm: loam")
    expect(page).to have_link("PDF", href: %r{/api/reports/\d+/pdf})
  end

  it "takes in an authority's table with its name, authority and date, and names what is wrong in it" do
    file = File.join(Dir.tmpdir, "authority.csv")
    File.write(file, "match,value,unit\n4,20,mm/d\n9,5,mm/d\n")
    visit "/profiles/#{profile.id}/interpretation"
    click_button "Add a table"
    fill_in "Name of the table", with: "Loading"
    fill_in "Authority", with: "Nobody"
    fill_in "Date of issue", with: Date.new(2026, 1, 31)
    attach_file "File, CSV", file
    click_button "Import the table"
    expect(page).to have_css("[role='alert']", text: "Row 3: “9” is no soil category, class or field texture grade.")
    File.write(file, "match,value,unit\n4,20,mm/d\n")
    click_button "Import the table"
    expect(page).to have_css("[role='alert']", text: "The file has changed since it was chosen: choose it again.")
    attach_file "File, CSV", file
    click_button "Import the table"
    expect(page).to have_css("[data-table]", text: "Loading, Nobody, 2026-01-31. The rows are the authority's")
    expect(page).to have_css("[data-table] tbody tr:first-child", text: "20 mm/d")
  end

  it "begins with the title block of the settings" do
    visit "/settings"
    fill_in "Name of the firm or person", with: "Invented Ground"
    fill_in "Further lines: address, licence, telephone", with: "Mill Lane 4\nLower Tare"
    click_button "Save the title block"
    expect(page).to have_css("[role='status']", text: "Saved")
    visit "/reports?site=#{profile.site_id}"
    click_button "New report"
    expect(page).to have_css("[data-report] header", text: "Invented Ground").and have_text("Lower Tare")
    expect(page).to have_css("[data-report] h3", text: "Tare 2: water")
  end
end
