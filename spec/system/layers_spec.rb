# frozen_string_literal: true

RSpec.describe "The layers of a section" do
  let(:profile) { profile_with(["Ap", 0, 20], ["B", 20, 60], ["C", 60, 90]) }

  def layers = Profile.find(profile.id).horizons.map { |one| [one.designation, one.upper_cm.to_i, one.lower_cm.to_i] }

  before do
    begin_reading(profile.horizons[1])
    visit "/profiles/#{profile.id}"
  end

  it "splits a horizon where it is pressed, merges it again, and undoes both" do
    find("[data-split='B']").click(x: 0, y: 0)
    within("[role='dialog']") do
      fill_in "The lower part is called", with: "Bt"
      fill_in "Split at", with: "20"
      click_button "Split it"
      expect(page).to have_text("B is 20 to 60 cm: split it between.")
      fill_in "Split at", with: "45,5"
      click_button "Split it"
    end
    expect(page).to have_css("[data-horizon='Bt']").and have_button("Undo: split of B")
    expect(layers).to eq [["Ap", 0, 20], ["B", 20, 45], ["Bt", 45, 60], ["C", 60, 90]]
    click_button "Change Bt, 45.5 to 60 cm"
    click_button "Merge with C"
    expect(page).to have_button("Undo: merging of Bt").and have_no_css("[data-horizon='C']")
    click_button "Undo: merging of Bt"
    expect(page).to have_css("[data-horizon='C']")
    click_button "Undo: split of B"
    expect(page).to have_no_css("[data-horizon='Bt']")
    expect(layers).to eq [["Ap", 0, 20], ["B", 20, 60], ["C", 60, 90]]
    expect(profile.horizons[1].readings.size).to eq 1
  end

  it "moves a boundary by arrow keys and by dragging, to whole centimetres" do
    boundary = find("[role='slider'][aria-label='Lower boundary of B']")
    boundary.send_keys(:down, :down, :up, :down)
    expect(page).to have_button("Undo: boundary below B")
    expect(layers).to eq [["Ap", 0, 20], ["B", 20, 62], ["C", 62, 90]]
    chromium.action.drag_and_drop_by(find("[role='slider'][aria-label='Lower boundary of Ap']").native, 0, 40).perform
    expect(page).to have_button("Undo: boundary below Ap")
    moved = layers.first.last
    expect(moved).to be > 22
    expect(layers[1]).to eq ["B", moved, 62]
    expect(axe_violations).to be_empty
  end
end
