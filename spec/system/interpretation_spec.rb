# frozen_string_literal: true

RSpec.describe "What a profile means" do
  before { Demo.load }

  let(:profile) { Profile.find_by!(name: "Tare 1") }

  it "is drawn and said from the section on: rain, roots, watering, another class" do
    visit "/profiles/#{profile.id}"
    click_link "Interpretation"
    expect(page).to have_css("h2", text: "Does it matter to be one class away?")
    expect(page).to have_css("[data-verdict='yes']", text: "water it takes, once wet").and have_css("[data-settle]")
    expect(page).to have_css("[data-perched='stands_on_finer']").and have_css("[data-held='Ap']",
                                                                              text: /\d+ \(\d+ to \d+\)/)
    wet = find("[data-wetting]").text
    find("input[type='range']").send_keys(*[:arrow_right] * 5)
    expect(page).to have_css("[data-wetting]", text: "30 mm wet it to").and have_no_css("[data-wetting]", text: wet)
    fill_in "Root depth, cm", with: "60"
    expect(page).to have_css("[data-water]", text: "to 60 cm (80 % interval")
    expect(page).to have_css("[data-plan]", text: /mm reach the roots every \d+ days/)
    fill_in "Share used, 0 to 1", with: "7"
    expect(page).to have_css("[role='alert']", text: "share is a number from 0.05 to 1")
    fill_in "Share used, 0 to 1", with: "0.4"

    within("[aria-label='Horizon']") { click_button "BC" }
    click_button "silt loam"
    expect(page).to have_css("[data-what-if]", text: "When it can be worked: wide window, not narrow window.")
    fill_in "Packing, times usual", with: "1.3"
    expect(page).to have_css("[data-figure='ksat']", text: "Too little drains")
    find("[data-figure='ksat'] summary").click
    expect(page).to have_css("[data-figure='ksat']", text: "with the equation's own error")
    expect(page).to have_css("[data-caution='results']")
    expect(profile.reload.horizons.map { |horizon| horizon.class_given.code }).to include "CL"
  end
end
