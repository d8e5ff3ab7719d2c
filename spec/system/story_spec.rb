# frozen_string_literal: true

RSpec.describe "One profile, textured from pit to class" do
  def press(name, **options) = click_button(name, **options)

  def add_horizon(designation, lower)
    fill_in "Designation", with: designation
    fill_in "Lower depth", with: lower
  end

  it "by mouse: site, profile, horizons, two readings, the section, and all of it again after a restart" do
    visit "/"
    press "Add the first site"
    fill_in "Name", with: "Drumlin field"
    find("[role='radio']", text: "Summit").click
    press "Add the site"
    expect(page).to have_css("h2", text: "New profile at Drumlin field")
    find("[role='radio']", text: "Hand auger").click
    fill_in "Textured by", with: "Ines"
    press "Open the profile"

    press "Add the first horizon"
    add_horizon "Ap", 25
    press "Add, then another"
    expect(page).to have_text("Ap is added.")
    add_horizon "Bt", 60
    press "Add the horizon"
    press "Texture Ap"

    within("[data-test='moist_clod']") { press "Very friable" }
    press "Next: wet and knead"
    press "Like dough"
    press "Next: squeeze a ball"
    press "Yes" # a ball that holds leads on by itself
    ruler = find("[data-ruler]")
    [30, 33].each do |mm|
      2.times do
        ruler.click(
          x: (12 + ((ruler.native.size.width - 32) * (mm / 100.0))).round - (ruler.native.size.width / 2),
          y: 0
        )
      end
      expect(page).to have_css("output", text: /\Aribbon/)
    end
    expect(page).to have_css("[data-advice]", text: "2 ribbons, in good agreement.")
    press "Next: rub a pinch"
    press "Moderate"
    press "Very gritty" # the key is at its end
    expect(step_now).to have_text("Assign")
    press "Back to More"
    click_button(text: /\Aplasticity/i)
    find("[data-test='plasticity'] button", text: /\A4 mm/).click
    press "Next: assign the class"
    press "Other class"
    within("[role='dialog']") do
      press "loamy sand"
      press "Assign loamy sand"
      expect(page).to have_text("The key does not say loamy sand. Write one line why you do.")
      fill_in "Why, in one line", with: "Single grains all through."
      press "Assign loamy sand"
    end
    expect(page).to have_css("[data-assigned]", text: "loamy sand")
    press "Go on with Bt"

    expect(page).to have_css("a", text: "Bt")
    expect(step_now).to have_text("Ball")
    press "Yes"
    expect(step_now).to have_text("Ribbon")
    [46, 53, 61].each { |mm| push_ribbon(mm) }
    press "Next: rub a pinch"
    press "Very smooth"
    expect(page).to have_css("main li", text: /silty clay\s+\d+ %/i)
    click_button(text: /\AAssign silty clay\s+1/)
    expect(page).to have_css("[data-assigned]", text: "silty clay")
    press "See the section"

    expect(page).to have_css("[data-horizon='Ap']", text: "loamy sand")
    expect(page).to have_css("[data-horizon='Ap']", text: "Single grains all through.")
    expect(page).to have_css("[data-horizon='Bt']", text: "silty clay")
    expect(page).to have_css("[data-horizon='Bt']", text: "ribbon 53 mm, 3 made")
    Capybara.reset_sessions! # another browser, as after a restart: nothing but the database is left
    visit "/"
    expect(page).to have_text("1 site, 1 profile, 2 of 2 horizons textured")
    find("a", text: /Drumlin field 1\s+2 of 2, hand auger/).click
    expect(page).to have_css("[data-horizon='Bt']", text: "on the limit")
  end

  it "by keyboard alone" do
    visit "/"
    expect(page).to have_button("Add the first site")
    tab_to("Add the first site")
    type(:enter)
    tab_to("Name")
    type("Till plain")
    tab_to("Add the site")
    type(:enter)
    expect(page).to have_css("h2", text: "New profile at Till plain")
    tab_to("Open the profile")
    type(:enter)
    expect(page).to have_button("Add the first horizon")
    tab_to("Add the first horizon")
    type(:enter)
    tab_to("Designation")
    type("Bw")
    tab_to("Lower depth")
    type("40")
    tab_to("Add the horizon")
    type(:enter)
    expect(page).to have_button("Texture Bw")
    type("t")

    expect(page).to have_css("h1", text: "Ready the sample")
    type("8", :enter)
    expect(page).to have_css("h1", text: "Wet it and knead")
    type("4", :enter)
    expect(step_now).to have_text("Ball")
    type("1")
    expect(step_now).to have_text("Ribbon")
    type("u")
    expect(page).to have_button("cm", class: "button", exact: true)
    type("7", :enter) # 7 cm
    expect(page).to have_css("figure svg[aria-label*='7.0 cm, broke']")
    type("6", ".", "9", "f", :enter)
    expect(page).to have_css("figure svg[aria-label*='6.9 cm, folded']")
    type(:enter)
    expect(step_now).to have_text("Rub")
    type("4", "2")
    expect(step_now).to have_text("Assign")
    type(:backspace, :backspace)
    expect(step_now).to have_text("Rub")
    type(:enter, :enter)
    expect(step_now).to have_text("Assign")
    type("?")
    expect(page).to have_css("[role='dialog']", text: "another class than the key")
    type(:escape)
    expect(page).to have_no_css("[role='dialog']")
    type("1")
    expect(page).to have_css("[data-assigned]", text: "clay")
    expect_saved
    type(:enter)
    expect(page).to have_css("[data-horizon='Bw']", text: "ribbon 7.0 cm, 2 made")
  end

  it "as a quick reading of a palmful that belongs to no site" do
    visit "/"
    click_button "Quick reading"
    click_button "Change"
    fill_in "What is it?", with: "Heap by the road"
    click_button "Save"
    expect(page).to have_css("a", text: "Heap by the road")
    type(:enter, :enter, "2")
    3.times do |round|
      expect(page).to have_text("Too dry, too wet, or neither?")
      type("3")
      next if round == 2

      expect(page).to have_text("Add a little water")
      type("2")
    end
    expect(page).to have_css("section[aria-label='Verdict so far']", text: "sand")
    type(:enter, "1")
    expect(page).to have_css("[data-assigned]", text: "sand")
    type(:enter)
    expect(find("a", text: "Heap by the road")).to have_text("sand")
  end
end
