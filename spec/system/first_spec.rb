# frozen_string_literal: true

RSpec.describe "The first start" do
  it "offers one reading of an imagined sample, told step by step, of which nothing stays" do
    visit "/"
    click_button "Show me one reading"
    guide = -> { find("[data-guide]") }
    expect(guide[]).to have_text("The dry clod breaks between finger and thumb")
    within("[role='group'][aria-label='Dry clod']") { click_button(text: /\AModerately hard/) }
    click_button(text: /\ANext/)
    expect(guide[]).to have_text("moist putty")
    click_button(text: /\ANext/)
    expect(guide[]).to have_text("it holds together")
    click_button(text: /\AYes/)
    expect(guide[]).to have_text("31 mm")
    [31, 34, 29].each { |mm| push_ribbon(mm) }
    click_button(text: /\ANext/)
    expect(guide[]).to have_text("neither stands out")
    click_button(text: /\ANeither gritty nor smooth/)
    expect(guide[]).to have_text("come to its end")
    click_button "Assign clay loam"
    expect(guide[]).to have_text("a whole reading: clay loam")
    expect(axe_violations).to be_empty
    click_button "Finish, and delete it"
    expect(page).to have_button("Show me one reading")
  end

  it "lets one go on alone" do
    visit "/"
    click_button "Show me one reading"
    click_button "Go on alone"
    expect(page).to have_no_css("[data-guide]")
    expect(step_now).to have_text("Prepare")
  end
end
